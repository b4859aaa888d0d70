import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import type { Vec2 } from '../geometry/index.ts'
import { type Inner, type Pose, turnOfMatrix, type Vec3 } from './camera.ts'

/** A spot of a plane and where it is seen. */
export interface OnPlane {
  readonly onPlaneMm: Vec2
  readonly atPx: Vec2
}

/**
 * From where a plane with known spots was photographed: its homography by the direct linear transform (Hartley and Zisserman, 2003, 4.1), taken apart
 * by a known focal length. The lens is taken as if it bent nothing: good enough to begin with. Null where fewer than four are seen or they lie in a line.
 */
export function poseOfPlane(spots: readonly OnPlane[], { focalPx, middlePx }: Inner): Pose | null {
  if (spots.length < 4) return null
  const rows = spots.flatMap(({ onPlaneMm: [x, y], atPx }) => {
    // In units in which all numbers are about as large as each other.
    const [u, v] = [(atPx[0] - middlePx[0]) / focalPx, (atPx[1] - middlePx[1]) / focalPx]
    const [a, b] = [x / scaleMm, y / scaleMm]
    return [
      [a, b, 1, 0, 0, 0, -u * a, -u * b, -u],
      [0, 0, 0, a, b, 1, -v * a, -v * b, -v],
    ]
  })
  const svd = new SingularValueDecomposition(new Matrix(rows).transpose().mmul(new Matrix(rows)), {
    autoTranspose: true,
  })
  const values = svd.diagonal
  // One way to fit nothing is the answer; two mean a line.
  if ((values[7] ?? 0) < 1e-12 * (values[0] ?? 1)) return null
  const h = svd.rightSingularVectors.getColumn(8)
  const column = (k: number): Vec3 => [h[k] ?? 0, h[3 + k] ?? 0, h[6 + k] ?? 0]
  const [a, b, c] = [column(0), column(1), column(2)]
  const sign = c[2] < 0 ? -1 : 1
  const size = (sign * 2) / (Math.hypot(...a) + Math.hypot(...b))
  const times = (v: Vec3, k: number): Vec3 => [v[0] * k, v[1] * k, v[2] * k]
  const [x, y] = [times(a, size), times(b, size)]
  const z: Vec3 = [x[1] * y[2] - x[2] * y[1], x[2] * y[0] - x[0] * y[2], x[0] * y[1] - x[1] * y[0]]
  const near = new SingularValueDecomposition(new Matrix([0, 1, 2].map((i) => [x[i] ?? 0, y[i] ?? 0, z[i] ?? 0])))
  const turn = near.leftSingularVectors.mmul(near.rightSingularVectors.transpose())
  const moveMm = times(c, size * scaleMm)
  return { turn: turnOfMatrix(turn.to1DArray()), moveMm }
}

const scaleMm = 100
