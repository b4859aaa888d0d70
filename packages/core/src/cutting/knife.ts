import { add, cross2, distance, dot2, lerp, type Polygon, scale, subtract, unit, type Vec2 } from '../geometry/index.ts'

export interface Knife {
  /** How far the knife goes on past the place where it began, so that no bridge is left, mm. */
  readonly overcutMm: number
  /** How far the point of the blade trails behind the middle of its holder, mm; 0 for a knife that is turned by the machine. */
  readonly offsetMm: number
}

/** Corners that bend less than this are followed by the blade itself, degrees; round sharper ones it is swung in steps of that many. */
const gentleDeg = 12
const degOfRad = 180 / Math.PI

/**
 * The way of the holder's middle for a closed line that the blade's point shall cut. The middle runs ahead of the point by the offset: at a corner it
 * goes on by that much and swings round the corner, so that the blade turns on its point.
 */
export function knifeWay(loop: Polygon, { overcutMm, offsetMm }: Knife): Vec2[] {
  const line = withOvercut(loop, overcutMm)
  if (offsetMm === 0) return line
  const way: Vec2[] = []
  line.forEach((p, i) => {
    const [before, next] = [line[i - 1], line[i + 1]]
    const into = before === undefined ? null : unit(subtract(p, before))
    const out = next === undefined ? null : unit(subtract(next, p))
    if (into !== null) way.push(add(p, scale(into, offsetMm)))
    if (out === null) return
    if (into !== null) way.push(...swing(p, into, out, offsetMm))
    else way.push(add(p, scale(out, offsetMm)))
  })
  return way
}

/** From one direction to another round a corner, both ends left out but the last. */
function swing(corner: Vec2, into: Vec2, out: Vec2, byMm: number): Vec2[] {
  const turn = Math.atan2(cross2(into, out), dot2(into, out))
  if (Math.abs(turn) * degOfRad < gentleDeg) return []
  const steps = Math.ceil((Math.abs(turn) * degOfRad) / gentleDeg)
  const from = Math.atan2(into[1], into[0])
  return Array.from({ length: steps }, (_, k): Vec2 => {
    const angle = from + (turn * (k + 1)) / steps
    return add(corner, [byMm * Math.cos(angle), byMm * Math.sin(angle)])
  })
}

/** Once round and on over the beginning. */
function withOvercut(loop: Polygon, overcutMm: number): Vec2[] {
  const [first] = loop
  if (first === undefined) return []
  const line: Vec2[] = [...loop, first]
  let leftMm = overcutMm
  for (let i = 0; i + 1 < loop.length && leftMm > 1e-9; i++) {
    const [a, b] = [loop[i] ?? first, loop[i + 1] ?? first]
    const longMm = distance(a, b)
    line.push(leftMm >= longMm ? b : lerp(a, b, leftMm / longMm))
    leftMm -= longMm
  }
  return line
}
