import type { GapToRead } from '@truelay/core/exercises'
import { add, cross2, scale, subtract, type Vec2 } from '@truelay/core/geometry'

/** So many times as wide as they are. */
const times = 10

/** The corners of a piece whose gaps, two on each edge of the part in its order, are drawn wider than they are. */
export function apart(part: readonly Vec2[], gaps: readonly GapToRead[]): Vec2[] {
  const lines = part.map((_, i) => {
    const [a, b] = [gaps[2 * i], gaps[2 * i + 1]].map((gap) =>
      gap === undefined ? ([0, 0] as Vec2) : add(gap.at, scale(gap.normal, times * gap.gapMm)),
    ) as [Vec2, Vec2]
    return { at: a, along: subtract(b, a) }
  })
  return lines.map((line, i) => {
    const before = lines[(i + lines.length - 1) % lines.length] ?? line
    const turn = cross2(before.along, line.along)
    const t = cross2(subtract(line.at, before.at), line.along) / turn
    return add(before.at, scale(before.along, t))
  })
}
