import { pair, setPair } from './memory'

/**
 * The last step of a fixed-point iteration against the one before: `by` is this step, `x` where it began, `lastBy` and `lastEnd`
 * the step before and where it ended. Writes their differences and remembers this one. All rows hold `pairs` pairs.
 */
export function remember(
  pairs: i32,
  x: usize,
  by: usize,
  lastBy: usize,
  lastEnd: usize,
  stepChange: usize,
  endChange: usize,
): void {
  for (let i = 0; i < pairs; i++) {
    const f = pair(by, i)
    const g = f64x2.add(pair(x, i), f)
    setPair(stepChange, i, f64x2.sub(f, pair(lastBy, i)))
    setPair(endChange, i, f64x2.sub(g, pair(lastEnd, i)))
    setPair(lastBy, i, f)
    setPair(lastEnd, i, g)
  }
}

export function dot(pairs: i32, a: usize, b: usize): f64 {
  let even = f64x2.splat(0)
  let odd = f64x2.splat(0)
  const last = pairs - 1
  let i = 0
  for (; i < last; i += 2) {
    even = f64x2.add(even, f64x2.mul(pair(a, i), pair(b, i)))
    odd = f64x2.add(odd, f64x2.mul(pair(a, i + 1), pair(b, i + 1)))
  }
  if (i < pairs) even = f64x2.add(even, f64x2.mul(pair(a, i), pair(b, i)))
  even = f64x2.add(even, odd)
  return f64x2.extract_lane(even, 0) + f64x2.extract_lane(even, 1)
}

/** y - share·x, written to y. */
export function takeAway(pairs: i32, y: usize, share: f64, x: usize): void {
  const s = f64x2.splat(share)
  for (let i = 0; i < pairs; i++) setPair(y, i, f64x2.sub(pair(y, i), f64x2.mul(s, pair(x, i))))
}
