import type { Vec2 } from '@truelay/core/geometry'

/** How far apart the middles of a figure and of an anchor's number have to stand so that both are read, px. */
const clearPx: Vec2 = [38, 27]

/** A little more than that, so that one step leads off a number whatever is rounded. */
const stepPx: Vec2 = [clearPx[0] + 0.5, clearPx[1] + 0.5]

/** Farther than this it is no longer seen where a figure belongs, px. */
const mostPx = 2.5 * stepPx[1]

const ways: readonly Vec2[] = [
  [0, -1],
  [0, 1],
  [-1, 0],
  [1, 0],
]

/** Where a figure stands so that it covers no number of an anchor: moved the shortest way, up, down or aside. */
export function clearOf(at: Vec2, anchors: readonly Vec2[]): Vec2 {
  const covered = (p: Vec2) =>
    anchors.find((a) => Math.abs(p[0] - a[0]) < clearPx[0] && Math.abs(p[1] - a[1]) < clearPx[1])
  const first = covered(at)
  if (first === undefined) return at
  let nearest = at
  let least = mostPx
  for (const [x, y] of ways) {
    let moved = at
    // Past one number there may be the next.
    for (let next: Vec2 | undefined = first; next !== undefined; next = covered(moved))
      moved = x === 0 ? [at[0], next[1] + y * stepPx[1]] : [next[0] + x * stepPx[0], at[1]]
    const way = Math.hypot(moved[0] - at[0], moved[1] - at[1])
    if (way >= least) continue
    least = way
    nearest = moved
  }
  return nearest
}

/** Where figures stand so that none covers a number of an anchor or a figure that comes before it. */
export function eachClearOf(figures: readonly Vec2[], anchors: readonly Vec2[]): readonly Vec2[] {
  const taken = [...anchors]
  return figures.map((at) => {
    const clear = clearOf(at, taken)
    taken.push(clear)
    return clear
  })
}
