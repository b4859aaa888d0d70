import * as tp from '../packages/core/src/photogrammetry/testPhotos.ts'
import { measured } from '../packages/core/src/photogrammetry/measured.ts'
import { fitRigid3 } from './zzfit.ts'
for (const [name, part] of [['bumper',tp.bumperPart()],['bonnet',tp.bonnetPart()],['lamp',tp.lampPart()]] as const)
 for (const [cn, cam] of [['ideal',tp.idealCamera],['phone',tp.phone]] as const)
  for (let seed=1; seed<=(cn==='ideal'?1:6); seed++) {
  const poses = tp.standsRound(part,12)
  const rays = tp.photographed(part,poses,cam,seed*100)
  const photographs = poses.map((_,i)=>({seen: rays.filter(r=>r.photo===i).map(r=>({target:r.point,atPx:r.atPx}))}))
  const len=(b:readonly[number,number])=>Math.hypot(...[0,1,2].map(k=>part.points[b[0]]![k]!-part.points[b[1]]![k]!))
  const t0=performance.now()
  const m = measured({photographs, inner:{focalPx:tp.focalPx*1.01,middlePx:tp.middlePx}, plate:new Map(part.plate.map((p,i)=>[p,tp.plateMm[i]!])), bars: part.bars.map((b,i)=>({targets:b,lengthMm:len(b)*(1+(i===0?cam.barShare:0))}))})
  if(!m){console.log(name,cn,'null', photographs.map(p=>p.seen.length+'/'+p.seen.filter(s=>part.plate.includes(s.target)).length).join(' '));continue}
  const f = fitRigid3(m.points.map(p=>p.atMm), m.points.map(p=>part.points[p.target]!))
  console.log(name,cn,seed,'pts',m.points.length,'rms',f.rms.toFixed(3),'worst',f.worst.toFixed(3),'z',f.z.toFixed(3),'px',m.rmsPx.toFixed(3),'rej',m.rejected.length,'bar',m.barsOff.map(b=>(100*b).toFixed(3)).join(),'sig',Math.sqrt(m.points.reduce((s,p)=>s+p.sigmaMm.reduce((q,v)=>q+v*v,0),0)/m.points.length).toFixed(3),'cover',(m.points.filter((p,i)=>f.off[i]!.every((v,k)=>Math.abs(v)<=2*f.sig(p.sigmaMm)[k]!)).length/m.points.length).toFixed(2),(performance.now()-t0).toFixed(0)+'ms','few',m.tooFewRays.length)
 }
