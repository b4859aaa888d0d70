import { clampSingularValues, singularValues2x2 } from '../../numerics/index.ts'

/** Replaces each matrix by the nearest rotation; returns the energy sum A((s1-1)^2 + (s2-1)^2) of what was there. */
export function toRotations(matrices: Float64Array, area: Float64Array, out: Float64Array): number {
  let energy = 0
  for (let t = 0; t < area.length; t++) {
    const i = 4 * t
    const m00 = matrices[i]!
    const m01 = matrices[i + 1]!
    const m10 = matrices[i + 2]!
    const m11 = matrices[i + 3]!
    const px = (m00 + m11) / 2
    const py = (m10 - m01) / 2
    const p = Math.sqrt(px * px + py * py)
    const c = p > 1e-100 ? px / p : 1
    const s = p > 1e-100 ? py / p : 0
    out[i] = c
    out[i + 1] = -s
    out[i + 2] = s
    out[i + 3] = c
    const d0 = m00 - c
    const d1 = m01 + s
    const d2 = m10 - s
    const d3 = m11 - c
    energy += area[t]! * (d0 * d0 + d1 * d1 + d2 * d2 + d3 * d3)
  }
  return energy
}

/** Pulls all singular values towards 1 by `pull` (0 = not at all, 1 = all the way) and then into [least, most]. */
export function intoBox(matrices: Float64Array, least: number, most: number, pull: number, out: Float64Array): void {
  for (let i = 0; i < matrices.length; i += 4) clampSingularValues(matrices, i, least, most, pull, out)
}

/** What a triangle may do that no box holds, and how much it is drawn to lie as it would by itself. */
const freely = { least: 0.2, most: 5, pull: 0.2 }

/** Replaces what `intoBox` made of the triangles that are let off the box. */
export function letOff(matrices: Float64Array, triangles: readonly number[], pull: number, out: Float64Array): void {
  for (const t of triangles)
    clampSingularValues(matrices, 4 * t, freely.least, freely.most, Math.max(pull, freely.pull), out)
}

/** How far outside [least, most] the worst singular value is, of those that are held; 0 = all inside. */
export function outsideBox(matrices: Float64Array, least: number, most: number, off?: ReadonlySet<number>): number {
  let worst = 0
  for (let i = 0; i < matrices.length; i += 4) {
    if (off?.has(i >> 2)) continue
    const [larger, smaller] = singularValues2x2(matrices[i]!, matrices[i + 1]!, matrices[i + 2]!, matrices[i + 3]!)
    if (larger - most > worst) worst = larger - most
    if (least - smaller > worst) worst = least - smaller
  }
  return worst
}
