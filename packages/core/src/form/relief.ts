import type { Vec2 } from '../geometry/index.ts'
import type { Relief } from './formTypes.ts'

/** Height of a relief between its grid points (bilinear); beyond its rim the rim's height, mm. */
export function reliefHeight({ originMm, stepMm, columns, heightsMm }: Relief): (p: Vec2) => number {
  const rows = Math.floor(heightsMm.length / columns)
  const at = (c: number, r: number) => heightsMm[r * columns + c] ?? 0
  return ([x, y]) => {
    const u = Math.min(columns - 1, Math.max(0, (x - originMm[0]) / stepMm))
    const v = Math.min(rows - 1, Math.max(0, (y - originMm[1]) / stepMm))
    const c = Math.min(columns - 2, Math.floor(u))
    const r = Math.min(rows - 2, Math.floor(v))
    const [s, t] = [u - c, v - r]
    return (1 - t) * ((1 - s) * at(c, r) + s * at(c + 1, r)) + t * ((1 - s) * at(c, r + 1) + s * at(c + 1, r + 1))
  }
}

/** The heights of the other side of the vehicle. */
export function mirroredRelief(relief: Relief): Relief {
  const { originMm, stepMm, columns, heightsMm } = relief
  const right = originMm[0] + (columns - 1) * stepMm
  return {
    ...relief,
    originMm: [right === 0 ? 0 : -right, originMm[1]],
    heightsMm: heightsMm.map((_, i) => heightsMm[i - (i % columns) + columns - 1 - (i % columns)] ?? 0),
  }
}

/** So many heights a form holds at most. */
export const mostHeights = 20_000

/**
 * Heights known to the left of x = 0, and to its right the same in a mirror; read off the grid where its columns do not meet the
 * middle. Where that would be too many they stand further apart, and what is lost between them is added to the error.
 */
export function likenessOnTheRight(relief: Relief): Relief {
  const { originMm, columns, heightsMm } = relief
  const height = reliefHeight(relief)
  const rows = Math.floor(heightsMm.length / columns)
  const [leftMm, upMm] = [Math.max(relief.stepMm, -originMm[0]), (rows - 1) * relief.stepMm]
  // Its first column stays where it was, and one lies in the middle.
  let toTheLeft = Math.ceil(leftMm / relief.stepMm)
  const up = (columnsToTheLeft: number) => Math.ceil((upMm * columnsToTheLeft) / leftMm - 1e-9) + 1
  while (toTheLeft > 1 && (2 * toTheLeft + 1) * up(toTheLeft) > mostHeights) toTheLeft--
  const stepMm = leftMm / toTheLeft
  const across = 2 * toTheLeft + 1
  const whole: Relief = {
    ...relief,
    originMm: [-leftMm, originMm[1]],
    stepMm,
    columns: across,
    heightsMm: Array.from({ length: across * up(toTheLeft) }, (_, i) =>
      height([-Math.abs((i % across) - toTheLeft) * stepMm, originMm[1] + Math.floor(i / across) * stepMm]),
    ),
  }
  const seen = reliefHeight(whole)
  const lostMm = heightsMm.reduce((most, z, i) => {
    const at: Vec2 = [
      originMm[0] + (i % columns) * relief.stepMm,
      originMm[1] + Math.floor(i / columns) * relief.stepMm,
    ]
    return at[0] > 0 ? most : Math.max(most, Math.abs(seen(at) - z))
  }, 0)
  return { ...whole, errorMm: relief.errorMm + lostMm }
}
