import { EigenvalueDecomposition, Matrix } from 'ml-matrix'

import type { Spot3 } from './scan.ts'

/** The plane that lies nearest to points in space. */
export interface NearestPlane {
  readonly middle: Spot3
  /** Of length one, to either side. */
  readonly normal: Spot3
  /** Squared distances from the middle along the three main ways, the least first: that along the normal. */
  readonly spread: readonly [number, number, number]
}

/** Least squared distances, by the eigenvectors of the points' spread (Pearson 1901). Points in one line leave the normal open: their second spread is nothing. */
export function planeThrough(points: readonly Spot3[]): NearestPlane {
  const along = (k: 0 | 1 | 2) => points.reduce((sum, p) => sum + p[k], 0) / Math.max(1, points.length)
  const middle: Spot3 = [along(0), along(1), along(2)]
  const spread = Matrix.zeros(3, 3)
  for (const p of points)
    for (const i of [0, 1, 2] as const)
      for (const j of [0, 1, 2] as const) spread.set(i, j, spread.get(i, j) + (p[i] - middle[i]) * (p[j] - middle[j]))
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(spread, { assumeSymmetric: true })
  const order = [0, 1, 2].sort((a, b) => (realEigenvalues[a] ?? 0) - (realEigenvalues[b] ?? 0))
  const value = (k: number) => realEigenvalues[order[k] ?? 0] ?? 0
  const [x, y, z] = eigenvectorMatrix.getColumn(order[0] ?? 0)
  return { middle, normal: [x ?? 0, y ?? 0, z ?? 0], spread: [value(0), value(1), value(2)] }
}
