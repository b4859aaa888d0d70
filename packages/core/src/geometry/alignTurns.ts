import type { TriangleMesh } from './mesh.ts'

/**
 * Every triangle turned as its neighbours are: what lies over a shared side runs along it the other way. In each piece those that are fewer are turned
 * over. A surface with one side only is left as far as it goes.
 */
export function alignTurns(mesh: TriangleMesh): { readonly mesh: TriangleMesh; readonly turned: number } {
  const { triangle } = mesh
  const count = triangle.length / 3
  const sides = new Map<string, number[]>()
  const nameOf = (a: number, b: number) => (a < b ? `${a} ${b}` : `${b} ${a}`)
  for (let t = 0; t < count; t++)
    for (let c = 0; c < 3; c++) {
      const name = nameOf(triangle[3 * t + c] as number, triangle[3 * t + ((c + 1) % 3)] as number)
      const own = sides.get(name)
      if (own === undefined) sides.set(name, [t])
      else own.push(t)
    }
  /** Whether a triangle runs from a to b along their side. */
  const runs = (t: number, a: number, b: number) =>
    [0, 1, 2].some((c) => triangle[3 * t + c] === a && triangle[3 * t + ((c + 1) % 3)] === b)
  const flip = new Int8Array(count).fill(-1)
  const aligned = triangle.slice()
  let turned = 0
  for (let first = 0; first < count; first++) {
    if (flip[first] !== -1) continue
    const piece = [first]
    flip[first] = 0
    for (let q = 0; q < piece.length; q++) {
      const t = piece[q] as number
      for (let c = 0; c < 3; c++) {
        const [a, b] = [triangle[3 * t + c] as number, triangle[3 * t + ((c + 1) % 3)] as number]
        const both = sides.get(nameOf(a, b)) ?? []
        if (both.length !== 2) continue
        const other = (both[0] === t ? both[1] : both[0]) as number
        if (flip[other] !== -1) continue
        flip[other] = runs(other, a, b) ? 1 - (flip[t] as number) : (flip[t] as number)
        piece.push(other)
      }
    }
    const ones = piece.filter((t) => flip[t] === 1).length
    const fewer = 2 * ones <= piece.length ? 1 : 0
    for (const t of piece) {
      if (flip[t] !== fewer) continue
      turned++
      aligned[3 * t + 1] = triangle[3 * t + 2] as number
      aligned[3 * t + 2] = triangle[3 * t + 1] as number
    }
  }
  return turned === 0 ? { mesh, turned } : { mesh: { ...mesh, triangle: aligned }, turned }
}
