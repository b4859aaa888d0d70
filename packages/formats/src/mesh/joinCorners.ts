import type { TriangleMesh } from '@truelay/core/geometry'

const joinMm = 1e-3
/** Far wider than corners are joined, so that most have to be looked for in one cell only. */
const cellMm = 16 * joinMm

/** Corners at the same place become one, also where rounding parted them; triangles that lose their area by it are dropped. */
export function joinCorners(position: ArrayLike<number>, triangle: ArrayLike<number>): TriangleMesh {
  const cells = new Map<string, number[]>()
  const kept: number[] = []
  const renamed = new Int32Array(position.length / 3)
  const cell = (x: number) => Math.floor(x / cellMm)
  const isAt = (name: number, at: readonly [number, number, number]) =>
    Math.hypot(...at.map((x, k) => x - (kept[3 * name + k] as number))) <= joinMm
  for (let v = 0; v < renamed.length; v++) {
    const at = [position[3 * v] ?? 0, position[3 * v + 1] ?? 0, position[3 * v + 2] ?? 0] as const
    const [cx, cy, cz] = at.map(cell) as [number, number, number]
    let name: number | undefined
    // Only cells that the reach of the corner enters: mostly its own.
    const near = at.map((x) => [...new Set([cell(x - joinMm), cell(x), cell(x + joinMm)])])
    for (const x of near[0] ?? [])
      for (const y of near[1] ?? [])
        for (const z of near[2] ?? []) name ??= cells.get(`${x},${y},${z}`)?.find((other) => isAt(other, at))
    if (name === undefined) {
      name = kept.length / 3
      const key = `${cx},${cy},${cz}`
      cells.set(key, [...(cells.get(key) ?? []), name])
      kept.push(...at)
    }
    renamed[v] = name
  }
  const corners: number[] = []
  for (let t = 0; t + 2 < triangle.length; t += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => renamed[triangle[t + k] ?? 0] ?? 0) as [number, number, number]
    if (a !== b && b !== c && c !== a) corners.push(a, b, c)
  }
  return { position: Float64Array.from(kept), triangle: Int32Array.from(corners) }
}
