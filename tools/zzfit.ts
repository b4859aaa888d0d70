import { Matrix, SingularValueDecomposition } from 'ml-matrix'
export function fitRigid3(a: readonly (readonly number[])[], b: readonly (readonly number[])[]) {
  const mean=(l: readonly (readonly number[])[])=>[0,1,2].map(k=>l.reduce((s,p)=>s+p[k]!,0)/l.length); const ma=mean(a), mb=mean(b)
  const h=Matrix.zeros(3,3); a.forEach((p,n)=>{for(let i=0;i<3;i++)for(let j=0;j<3;j++)h.set(i,j,h.get(i,j)+(b[n]![i]!-mb[i]!)*(p[j]!-ma[j]!))})
  const s=new SingularValueDecomposition(h); const R=s.leftSingularVectors.mmul(s.rightSingularVectors.transpose())
  const off=a.map((p,n)=>{const q=R.mmul(Matrix.columnVector(p.map((v,k)=>v-ma[k]!))).to1DArray(); return [0,1,2].map(k=>q[k]!+mb[k]!-b[n]![k]!)})
  const rms=Math.sqrt(off.reduce((t,o)=>t+o.reduce((q,v)=>q+v*v,0),0)/off.length)
  return {rms, worst:Math.max(...off.map(o=>Math.hypot(...o))), z:Math.sqrt(off.reduce((t,o)=>t+o[2]!**2,0)/off.length), off, sig:(v: readonly number[])=>v}
}
