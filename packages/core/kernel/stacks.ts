import { num, pair, setNum, setPair } from './memory'

/**
 * One step of TR-BDF2 (Bank et al. 1985) for stacks of slices that lie side by side, two at a time. `t` holds a row of stacks depth by
 * depth, row after row. `step`: weight, share of the ends, share of the middle, pivot of the surface; then a number a slice of capacity,
 * conductance and the elimination's up, inverse and down. `air`: transfer over every stack at the start, in between and at the end, then
 * its temperatures alike. `scratch`: two rows of stacks and two surfaces. What came in through all surfaces, J/m².
 */
export function stepStacks(rows: i32, pairs: i32, slices: i32, step: usize, t: usize, air: usize, scratch: usize): f64 {
  const weight = num(step, 0)
  const shareOfEnds = num(step, 1)
  const fromMiddle = num(step, 2)
  const surfacePivot = num(step, 3)
  const oneEach = (<usize>slices) << 3
  const capacity = step + 32
  const conductance = capacity + oneEach
  const up = conductance + oneEach
  const inverse = up + oneEach
  const down = inverse + oneEach
  const middle = scratch
  const right = middle + ((<usize>(pairs * slices)) << 4)
  const flow = right + ((<usize>(pairs * slices)) << 4)
  const atStart = flow + ((<usize>pairs) << 4)
  const hWm2K = air
  const gasC = air + ((<usize>(3 * rows * pairs)) << 4)
  const stacks = rows * pairs
  let came = f64x2.splat(0)
  for (let row = 0; row < rows; row++) {
    const top = t + ((<usize>(row * slices * pairs)) << 4)
    const over = row * pairs
    firstRight(pairs, slices, weight, top, over, hWm2K, gasC, capacity, conductance, up, right, flow, atStart)
    atSurface(pairs, weight, surfacePivot, over + stacks, hWm2K, gasC, right, middle)
    downward(pairs, slices, inverse, down, right, middle)
    secondRight(pairs, slices, fromMiddle, top, capacity, up, middle, right)
    atSurface(pairs, weight, surfacePivot, over + 2 * stacks, hWm2K, gasC, right, top)
    downward(pairs, slices, inverse, down, right, top)
    for (let x = 0; x < pairs; x++) {
      const between = cameIn(hWm2K, gasC, over + stacks + x, pair(middle, x))
      const end = cameIn(hWm2K, gasC, over + 2 * stacks + x, pair(top, x))
      const ends = f64x2.mul(f64x2.splat(shareOfEnds), f64x2.add(pair(atStart, x), between))
      came = f64x2.add(came, f64x2.add(ends, f64x2.mul(f64x2.splat(weight), end)))
    }
  }
  return f64x2.extract_lane(came, 0) + f64x2.extract_lane(came, 1)
}

// @ts-expect-error: decorator
@inline function cameIn(hWm2K: usize, gasC: usize, at: i32, surface: v128): v128 {
  return f64x2.mul(pair(hWm2K, at), f64x2.sub(pair(gasC, at), surface))
}

/** The first stage's right-hand sides, eliminated from the back upwards in the walk that makes them. */
function firstRight(
  pairs: i32,
  slices: i32,
  weight: f64,
  t: usize,
  air: i32,
  hWm2K: usize,
  gasC: usize,
  capacity: usize,
  conductance: usize,
  up: usize,
  right: usize,
  flow: usize,
  atStart: usize,
): void {
  for (let x = 0; x < pairs; x++) {
    setPair(atStart, x, cameIn(hWm2K, gasC, air + x, pair(t, x)))
    setPair(flow, x, f64x2.splat(0))
  }
  const w = f64x2.splat(weight)
  for (let i = slices - 1; i >= 0; i--) {
    const at = i * pairs
    const below = i == slices - 1 ? at : at + pairs
    const c = f64x2.splat(num(capacity, i))
    const u = f64x2.splat(num(up, i))
    const g = f64x2.splat(i == 0 ? 0 : num(conductance, i - 1))
    for (let x = 0; x < pairs; x++) {
      const own = pair(t, at + x)
      const fromAbove = i == 0 ? pair(atStart, x) : f64x2.mul(g, f64x2.sub(pair(t, at - pairs + x), own))
      const came = f64x2.mul(w, f64x2.add(fromAbove, pair(flow, x)))
      const sum = f64x2.add(f64x2.add(f64x2.mul(c, own), came), f64x2.mul(u, pair(right, below + x)))
      setPair(right, at + x, sum)
      setPair(flow, x, f64x2.neg(fromAbove))
    }
  }
}

function secondRight(
  pairs: i32,
  slices: i32,
  fromMiddle: f64,
  t: usize,
  capacity: usize,
  up: usize,
  middle: usize,
  right: usize,
): void {
  for (let i = slices - 1; i >= 0; i--) {
    const at = i * pairs
    const below = i == slices - 1 ? at : at + pairs
    const ofMiddle = f64x2.splat(num(capacity, i) * fromMiddle)
    const ofBefore = f64x2.splat(num(capacity, i) * (fromMiddle - 1))
    const u = f64x2.splat(num(up, i))
    for (let x = at; x < at + pairs; x++) {
      const own = f64x2.sub(f64x2.mul(ofMiddle, pair(middle, x)), f64x2.mul(ofBefore, pair(t, x)))
      setPair(right, x, f64x2.add(own, f64x2.mul(u, pair(right, below + x - at))))
    }
  }
}

function atSurface(
  pairs: i32,
  weight: f64,
  surfacePivot: f64,
  air: i32,
  hWm2K: usize,
  gasC: usize,
  right: usize,
  into: usize,
): void {
  const w = f64x2.splat(weight)
  const pivot = f64x2.splat(surfacePivot)
  for (let x = 0; x < pairs; x++) {
    const h = f64x2.mul(w, pair(hWm2K, air + x))
    const sum = f64x2.add(pair(right, x), f64x2.mul(h, pair(gasC, air + x)))
    setPair(into, x, f64x2.div(sum, f64x2.add(pivot, h)))
  }
}

function downward(pairs: i32, slices: i32, inverse: usize, down: usize, right: usize, into: usize): void {
  for (let i = 1; i < slices; i++) {
    const v = f64x2.splat(num(inverse, i))
    const d = f64x2.splat(num(down, i))
    for (let x = i * pairs; x < (i + 1) * pairs; x++)
      setPair(into, x, f64x2.add(f64x2.mul(pair(right, x), v), f64x2.mul(d, pair(into, x - pairs))))
  }
}

/**
 * Heat from stack to stack of the row `t`, implicit, at so many depths: (stored + flow) x = stored x before, a tridiagonal system that was
 * eliminated from the last stack inwards. `sideways` holds for every depth its number, then stored, inward, inverse and outward of each strip.
 */
export function handOnAcross(depths: i32, strips: i32, across: i32, sideways: usize, scratch: usize, t: usize): void {
  const oneEach = (<usize>strips) << 3
  for (let d = 0; d < depths; d++) {
    const at = sideways + <usize>d * (8 + 4 * oneEach)
    const stored = at + 8
    const inward = stored + oneEach
    const inverse = inward + oneEach
    const outward = inverse + oneEach
    const row = t + ((<usize>(<i32>num(at, 0) * across)) << 3)
    let sum: f64 = 0
    for (let i = strips - 1; i >= 0; i--) {
      sum = num(stored, i) * num(row, i) + num(inward, i) * sum
      setNum(scratch, i, sum)
    }
    let x: f64 = 0
    for (let i = 0; i < strips; i++) {
      x = num(scratch, i) * num(inverse, i) + num(outward, i) * x
      setNum(row, i, x)
    }
  }
}
