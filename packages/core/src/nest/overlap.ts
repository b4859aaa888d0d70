import { type Film, sidesInBox } from './shape.ts'

/** Room for the sides of two shapes that come near each other; grows with the shapes. */
let nearA = new Float64Array(4 * 500)
let nearB = new Float64Array(4 * 500)

/** Whether two shapes lie over each other; `dx, dy` = place of `b` less place of `a`. Touching is no overlap. */
export function sidesCross(a: Film, b: Film, dx: number, dy: number): boolean {
  const minX = Math.max(a.minX, b.minX + dx)
  const maxX = Math.min(a.maxX, b.maxX + dx)
  const minY = Math.max(a.minY, b.minY + dy)
  const maxY = Math.min(a.maxY, b.maxY + dy)
  if (minX >= maxX || minY >= maxY) return false
  if (nearA.length < a.sides.length) nearA = new Float64Array(a.sides.length)
  if (nearB.length < b.sides.length) nearB = new Float64Array(b.sides.length)
  const inA = sidesWithin(a, 0, 0, minX, minY, maxX, maxY, nearA)
  const inB = sidesWithin(b, dx, dy, minX, minY, maxX, maxY, nearB)
  let touch = false
  for (let i = 0; i < inA; i += 4) {
    const ax = nearA[i]!
    const ay = nearA[i + 1]!
    const bx = nearA[i + 2]!
    const by = nearA[i + 3]!
    const loX = ax < bx ? ax : bx
    const hiX = ax < bx ? bx : ax
    const loY = ay < by ? ay : by
    const hiY = ay < by ? by : ay
    for (let j = 0; j < inB; j += 4) {
      const cx = nearB[j]!
      const ex = nearB[j + 2]!
      if ((cx < loX && ex < loX) || (cx > hiX && ex > hiX)) continue
      const cy = nearB[j + 1]!
      const ey = nearB[j + 3]!
      if ((cy < loY && ey < loY) || (cy > hiY && ey > hiY)) continue
      const c = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)
      const e = (bx - ax) * (ey - ay) - (by - ay) * (ex - ax)
      if ((c > 0 && e > 0) || (c < 0 && e < 0) || (c === 0 && e === 0)) continue
      const p = (ex - cx) * (ay - cy) - (ey - cy) * (ax - cx)
      const q = (ex - cx) * (by - cy) - (ey - cy) * (bx - cx)
      if ((p > 0 && q > 0) || (p < 0 && q < 0)) continue
      // An end that lies just on a side crosses nothing, nor does it say that nothing is crossed.
      if (c === 0 || e === 0 || p === 0 || q === 0) touch = true
      else return true
    }
  }
  if (
    touch &&
    (reachesInto(a, 0, 0, nearA, inA, b, dx, dy, nearB, inB) || reachesInto(b, dx, dy, nearB, inB, a, 0, 0, nearA, inA))
  )
    return true
  // No side crosses another: one may still lie wholly within the other.
  return !touch && (holdsFirst(a, b, dx, dy) || holdsFirst(b, a, -dx, -dy))
}

/** Film thinner than this over other film is none, mm. */
const thinMm = 1e-4

/**
 * Whether film along the rim of one shape lies on another, where rims touch: looked at between the places where they do, a hair within the first.
 * Each shape with its place, and with those of its sides, as they lie, that come near the other.
 */
function reachesInto(
  own: Film,
  ownX: number,
  ownY: number,
  sides: Float64Array,
  inSides: number,
  other: Film,
  otherX: number,
  otherY: number,
  others: Float64Array,
  inOthers: number,
): boolean {
  for (let i = 0; i < inSides; i += 4) {
    const x = sides[i]!
    const y = sides[i + 1]!
    const alongX = sides[i + 2]! - x
    const alongY = sides[i + 3]! - y
    const longMm = Math.hypot(alongX, alongY)
    if (longMm === 0) continue
    const meets = [0, 1]
    for (let j = 0; j < inOthers; j += 4) {
      const toX = others[j]! - x
      const toY = others[j + 1]! - y
      const share = (toX * alongX + toY * alongY) / (longMm * longMm)
      if (share > 0 && share < 1 && Math.abs(alongX * toY - alongY * toX) < thinMm * longMm) meets.push(share)
    }
    meets.sort((s, t) => s - t)
    for (let k = 1; k < meets.length; k++) {
      const middle = (meets[k - 1]! + meets[k]!) / 2
      for (const within of [thinMm, -thinMm]) {
        const px = x + middle * alongX - (within * alongY) / longMm
        const py = y + middle * alongY + (within * alongX) / longMm
        if (inFilm(own.sides, px - ownX, py - ownY) && inFilm(other.sides, px - otherX, py - otherY)) return true
      }
    }
  }
  return false
}

const rimMm = 1e-6

function sidesWithin(
  { sides, boxes }: Film,
  dx: number,
  dy: number,
  minX: number,
  minY: number,
  maxX: number,
  maxY: number,
  into: Float64Array,
): number {
  let found = 0
  // A side that lies just on the rim of the box must not be lost to rounding.
  const loX = minX - dx - rimMm
  const loY = minY - dy - rimMm
  const hiX = maxX - dx + rimMm
  const hiY = maxY - dy + rimMm
  for (let box = 0; box < boxes.length; box += 4) {
    if (boxes[box]! > hiX || boxes[box + 2]! < loX || boxes[box + 1]! > hiY || boxes[box + 3]! < loY) continue
    const from = box * sidesInBox
    const to = Math.min(sides.length, from + 4 * sidesInBox)
    for (let i = from; i < to; i += 4) {
      const x0 = sides[i]!
      const x1 = sides[i + 2]!
      if ((x0 < loX && x1 < loX) || (x0 > hiX && x1 > hiX)) continue
      const y0 = sides[i + 1]!
      const y1 = sides[i + 3]!
      if ((y0 < loY && y1 < loY) || (y0 > hiY && y1 > hiY)) continue
      into[found] = x0 + dx
      into[found + 1] = y0 + dy
      into[found + 2] = x1 + dx
      into[found + 3] = y1 + dy
      found += 4
    }
  }
  return found
}

/** Whether any loop of `b` begins within the film of `a`. */
function holdsFirst(a: Film, b: Film, dx: number, dy: number): boolean {
  for (const first of b.loops) {
    const x = b.sides[4 * first]! + dx
    const y = b.sides[4 * first + 1]! + dy
    if (x > a.minX && x < a.maxX && y > a.minY && y < a.maxY && inFilm(a.sides, x, y)) return true
  }
  return false
}

function inFilm(sides: Float64Array, x: number, y: number): boolean {
  let inside = false
  for (let i = 0; i < sides.length; i += 4) {
    const y0 = sides[i + 1]!
    const y1 = sides[i + 3]!
    if (y0 > y !== y1 > y && x < sides[i]! + ((y - y0) / (y1 - y0)) * (sides[i + 2]! - sides[i]!)) inside = !inside
  }
  return inside
}
