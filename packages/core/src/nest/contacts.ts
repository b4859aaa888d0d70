/** Sides of a shape, four numbers each: x, y of its beginning and its end, counter-clockwise round the film; and where the shape lies. */
export interface Lying {
  readonly sides: Float64Array
  readonly x: number
  readonly y: number
}

/** A side that lies along a side of another shape, against its direction. */
export interface Contact {
  /** How long they lie along each other, mm. */
  sharedMm: number
  /** Outward from the other side, of length 1. */
  outX: number
  outY: number
  /** How far before the other side it lies, in the middle of what they share and at the nearer end; below 0 within its film, mm. */
  offMm: number
  leastOffMm: number
}

/** Sides that run against each other by less than this count as along each other, sine of the angle. */
const along = 0.05

/** Tells every side of `a` that lies along one of `b`, both its ends by no more than `reachMm` off. The contact told is always the same object. */
export function eachContact(a: Lying, b: Lying, reachMm: number, tell: (contact: Contact) => void): void {
  const contact: Contact = { sharedMm: 0, outX: 0, outY: 0, offMm: 0, leastOffMm: 0 }
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  for (let k = 0; k < b.sides.length; k += 4) {
    const rx = b.sides[k]! + dx
    const ry = b.sides[k + 1]! + dy
    const wayX = b.sides[k + 2]! + dx - rx
    const wayY = b.sides[k + 3]! + dy - ry
    const long = Math.hypot(wayX, wayY)
    if (long < 1e-9) continue
    const ux = wayX / long
    const uy = wayY / long
    for (let i = 0; i < a.sides.length; i += 4) {
      const px = a.sides[i]! - rx
      const py = a.sides[i + 1]! - ry
      const qx = a.sides[i + 2]! - rx
      const qy = a.sides[i + 3]! - ry
      const offP = px * uy - py * ux
      const offQ = qx * uy - qy * ux
      if (offP > reachMm || offQ > reachMm || offP < -reachMm || offQ < -reachMm) continue
      const atP = px * ux + py * uy
      const atQ = qx * ux + qy * uy
      if (atQ >= atP || Math.abs(offP - offQ) > along * (atP - atQ)) continue
      const from = Math.max(atQ, 0)
      const to = Math.min(atP, long)
      if (to <= from) continue
      const offAt = (at: number) => offP + ((offQ - offP) * (at - atP)) / (atQ - atP)
      contact.sharedMm = to - from
      contact.outX = uy
      contact.outY = -ux
      contact.offMm = offAt((from + to) / 2)
      contact.leastOffMm = Math.min(offAt(from), offAt(to))
      tell(contact)
    }
  }
}
