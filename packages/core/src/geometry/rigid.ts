import { rotate, type Vec2 } from './vector.ts'

/** A turn about the origin, then a move. */
export interface RigidMove {
  readonly turnRad: number
  readonly moveMm: Vec2
}

export const standingStill: RigidMove = { turnRad: 0, moveMm: [0, 0] }

export const applyRigid = (m: RigidMove, p: Vec2): Vec2 => {
  const [x, y] = rotate(p, m.turnRad)
  return [x + m.moveMm[0], y + m.moveMm[1]]
}

/** First `first`, then `second`. */
export const thenRigid = (first: RigidMove, second: RigidMove): RigidMove => ({
  turnRad: first.turnRad + second.turnRad,
  moveMm: applyRigid(second, first.moveMm),
})

/** A turn about `about`, then a move. */
export const turnAbout = (about: Vec2, turnRad: number, moveMm: Vec2): RigidMove => {
  const turned = rotate(about, turnRad)
  return { turnRad, moveMm: [about[0] - turned[0] + moveMm[0], about[1] - turned[1] + moveMm[1]] }
}

/**
 * The turn and move that bring `from` nearest to `to`, in the sense of least weighted squared distance.
 * Closed form of the planar case (weighted Procrustes).
 */
export function fitRigid(from: readonly Vec2[], to: readonly Vec2[], weight?: readonly number[]): RigidMove {
  let sum = 0
  let fx = 0
  let fy = 0
  let tx = 0
  let ty = 0
  for (let i = 0; i < from.length; i++) {
    const w = weight?.[i] ?? 1
    sum += w
    fx += w * from[i]![0]
    fy += w * from[i]![1]
    tx += w * to[i]![0]
    ty += w * to[i]![1]
  }
  fx /= sum
  fy /= sum
  tx /= sum
  ty /= sum
  let cosine = 0
  let sine = 0
  for (let i = 0; i < from.length; i++) {
    const w = weight?.[i] ?? 1
    const ax = from[i]![0] - fx
    const ay = from[i]![1] - fy
    const bx = to[i]![0] - tx
    const by = to[i]![1] - ty
    cosine += w * (ax * bx + ay * by)
    sine += w * (ax * by - ay * bx)
  }
  const turnRad = Math.atan2(sine, cosine)
  const [rx, ry] = rotate([fx, fy], turnRad)
  return { turnRad, moveMm: [tx - rx, ty - ry] }
}
