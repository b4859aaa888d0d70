import { int, num, setInt, setNum } from './memory'

/**
 * A piece in one of its turns, as an address: its box (least x, y, greatest x, y), how far it reaches across, how much it counts beside
 * another, how many circles stand in for it and in how many groups of four; then the groups, each four x, four y, four radii as
 * singles. A last group is filled up with circles of no radius, far away.
 */
const circlesFrom: usize = 64
const groupBytes: usize = 48
// @ts-expect-error: decorator
@inline function across(shape: usize): f64 { return num(shape, 4) }
// @ts-expect-error: decorator
@inline function counts(shape: usize): f64 { return num(shape, 5) }
// @ts-expect-error: decorator
@inline function circles(shape: usize): i32 { return int(shape, 12) }
// @ts-expect-error: decorator
@inline function groups(shape: usize): i32 { return int(shape, 13) }

/** Depths of circles that are less than this share of a piece count softly. */
const softShare: f64 = 0.01

/**
 * How deep two shapes lie in each other, by their circles: each pair of circles counts by its depth and by the lesser radius; circles that are
 * apart still count a little, so that there is a way out from everywhere (Gardeyn and Wauters 2025). Negative where no circles meet.
 */
function depth(a: usize, b: usize, dx: f64, dy: f64, soft: f64): f64 {
  const least = f32x4.splat(<f32>soft)
  const twice = f32x4.splat(<f32>(2 * soft))
  const square = f32x4.splat(<f32>(soft * soft))
  const ofA = circles(a)
  const ofB = groups(b)
  let sum = f32x4.splat(0)
  let most = f32x4.splat(-1)
  for (let i = 0; i < ofA; i++) {
    const at = a + circlesFrom + <usize>(i >> 2) * groupBytes + ((<usize>(i & 3)) << 2)
    const x = f32x4.splat(<f32>(<f64>load<f32>(at) - dx))
    const y = f32x4.splat(<f32>(<f64>load<f32>(at, 16) - dy))
    const r = f32x4.splat(load<f32>(at, 32))
    let other = b + circlesFrom
    for (let g = 0; g < ofB; g++) {
      const ux = f32x4.sub(x, v128.load(other))
      const uy = f32x4.sub(y, v128.load(other, 16))
      const radius = v128.load(other, 32)
      const away = f32x4.sqrt(f32x4.add(f32x4.mul(ux, ux), f32x4.mul(uy, uy)))
      const deep = f32x4.sub(f32x4.add(r, radius), away)
      const softly = f32x4.div(square, f32x4.sub(twice, deep))
      const much = v128.bitselect(deep, softly, f32x4.ge(deep, least))
      sum = f32x4.add(sum, f32x4.mul(much, f32x4.min(r, radius)))
      most = f32x4.max(most, deep)
      other += groupBytes
    }
  }
  const all = <f64>(
    (f32x4.extract_lane(sum, 0) + f32x4.extract_lane(sum, 1) + f32x4.extract_lane(sum, 2) + f32x4.extract_lane(sum, 3))
  )
  return v128.any_true(f32x4.gt(most, f32x4.splat(0))) ? all : -all
}

// @ts-expect-error: decorator
@inline function apart(a: usize, b: usize, dx: f64, dy: f64): bool {
  return num(a, 2) <= num(b, 0) + dx || num(b, 2) + dx <= num(a, 0) || num(a, 3) <= num(b, 1) + dy || num(b, 3) + dy <= num(a, 1)
}

/**
 * What an overlap of two shapes counts: more for large pieces; the root evens out (Gardeyn and Wauters 2025). `dx, dy` = place of `b` less place of
 * `a`. 0 where their boxes lie apart; negative where no circles meet, so that it is for their sides to say whether it counts at all.
 */
export function pairLoss(a: usize, b: usize, dx: f64, dy: f64): f64 {
  if (apart(a, b, dx, dy)) return 0
  const soft = softShare * max(across(a), across(b))
  const deep = depth(a, b, dx, dy, soft)
  const loss = Math.sqrt(Math.PI * Math.abs(deep) + soft * soft) * counts(a) * counts(b)
  return deep < 0 ? -loss : loss
}

/**
 * What overlaps of copy `i` would count if it lay as `shape` at x, y, each pair by its weight, where circles meet; ends where that is `enough`. Copies
 * whose boxes meet but no circles are written to `unsure`, what they would count to `unsureLoss`, and how many to the first of `told`;
 * how many pairs of circles were held against each other to the second.
 */
export function lossAt(
  size: i32,
  i: i32,
  shape: usize,
  x: f64,
  y: f64,
  enough: f64,
  shapeOf: usize,
  xs: usize,
  ys: usize,
  weight: usize,
  unsure: usize,
  unsureLoss: usize,
  told: usize,
): f64 {
  let sum: f64 = 0
  let left = 0
  let pairs = 0
  const row = i * size
  for (let j = 0; j < size; j++) {
    if (j === i) continue
    const other = <usize>int(shapeOf, j)
    const loss = pairLoss(shape, other, num(xs, j) - x, num(ys, j) - y)
    if (loss === 0) continue
    pairs += circles(shape) * groups(other)
    if (loss > 0) {
      sum += num(weight, row + j) * loss
      if (sum >= enough) break
    } else {
      setInt(unsure, left, j)
      setNum(unsureLoss, left, -num(weight, row + j) * loss)
      left++
    }
  }
  setInt(told, 0, left)
  setInt(told, 1, pairs)
  return sum
}
