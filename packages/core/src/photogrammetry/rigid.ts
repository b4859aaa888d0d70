import { determinant, Matrix, SingularValueDecomposition } from 'ml-matrix'
import type { Vec3 } from './camera.ts'

/** A turn and a move, without stretch. */
export interface Rigid {
  /** 3 x 3. */
  readonly turn: Matrix
  readonly place: (p: Vec3) => Vec3
}

/** The turn and move that bring `from` nearest to `to`, point by point (Kabsch 1976). Three pairs that are in no line are needed. */
export function rigidOnto(from: readonly Vec3[], to: readonly Vec3[]): Rigid {
  const [mf, mt] = [middleOf(from), middleOf(to)]
  const h = Matrix.zeros(3, 3)
  from.forEach((p, n) => {
    const q = to[n] ?? p
    for (const i of [0, 1, 2] as const)
      for (const j of [0, 1, 2] as const) h.set(i, j, h.get(i, j) + (q[i] - mt[i]) * (p[j] - mf[j]))
  })
  const svd = new SingularValueDecomposition(h)
  const [u, v] = [svd.leftSingularVectors, svd.rightSingularVectors]
  const flip = Matrix.diag([1, 1, determinant(u.mmul(v.transpose())) < 0 ? -1 : 1])
  const turn = u.mmul(flip).mmul(v.transpose())
  const t = (i: number, j: number) => turn.get(i, j)
  return {
    turn,
    place: (p) => {
      const [x, y, z] = [p[0] - mf[0], p[1] - mf[1], p[2] - mf[2]]
      const along = (i: 0 | 1 | 2) => t(i, 0) * x + t(i, 1) * y + t(i, 2) * z + mt[i]
      return [along(0), along(1), along(2)]
    },
  }
}

export function middleOf(points: readonly Vec3[]): Vec3 {
  const along = (k: 0 | 1 | 2) => points.reduce((sum, p) => sum + p[k], 0) / Math.max(1, points.length)
  return [along(0), along(1), along(2)]
}

export const apart = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])
