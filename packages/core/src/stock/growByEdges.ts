import { areaD, Clipper, EndType, FillRule, inflatePathsD, JoinType, type PathsD } from 'clipper2-ts'
import { add, cross2, type Polygon, scale, signedArea, subtract, unit, type Vec2 } from '../geometry/index.ts'

/** How far each edge of an outline is moved outward, mm; negative = drawn in, left out = stays. */
export type GrowthByEdge = Readonly<Record<string, number>>

interface EdgedOutline {
  readonly polygon: Polygon
  /** Edge name of the side from point i to point i+1. */
  readonly edgeOfSide: readonly string[]
}

const decimals = 4
const arcToleranceMm = 0.02
const mitreLimit = 2
const overlapMm = 0.01
const hairMm = 0.05
/** Sine of the turn from which a corner is drawn out to a point. */
const sharpCorner = 0.5

/**
 * The outline with each of its edges moved by its own distance: outward edges gain a strip that ends square at the
 * edge's ends, inward edges lose one. Counter-clockwise; the largest piece if a narrow outline falls apart; empty if
 * nothing is left.
 */
export function growByEdges(outline: EdgedOutline, growth: GrowthByEdge): Vec2[] {
  const distances = new Set(Object.values(growth))
  const everyEdgeAlike = outline.edgeOfSide.every((edge) => growth[edge] !== undefined) && distances.size === 1
  let shape: PathsD = [counterClockwise(outline.polygon)]
  if (everyEdgeAlike) {
    const [byMm = 0] = distances
    if (byMm !== 0)
      shape = inflatePathsD(shape, byMm, JoinType.Round, EndType.Polygon, mitreLimit, decimals, arcToleranceMm)
    return largest(shape)
  }
  const stretches = edgeStretches(
    signedArea(outline.polygon) >= 0
      ? outline
      : {
          polygon: [...outline.polygon].reverse(),
          edgeOfSide: outline.edgeOfSide.map((_, i, all) => all[(2 * all.length - 2 - i) % all.length]!),
        },
  )
  for (const { edge, line } of stretches) {
    const byMm = growth[edge] ?? 0
    if (byMm <= 0) continue
    shape = Clipper.unionD(shape, strip(line, byMm, EndType.Butt), FillRule.NonZero, decimals)
  }
  stretches.forEach(({ edge, line }, i) => {
    const next = stretches[(i + 1) % stretches.length]!
    const [byMm, nextMm] = [growth[edge] ?? 0, growth[next.edge] ?? 0]
    const step = ramp(line, byMm, next.line, nextMm)
    if (step !== null) shape = Clipper.unionD(shape, step, FillRule.NonZero, decimals)
    // A ramp begins as wide as the wider strip: the corner before it is filled as far out.
    const wide = Math.max(byMm, nextMm)
    const corner =
      step === null ? filledCorner(line, byMm, next.line, nextMm) : filledCorner(line, wide, next.line, wide)
    if (corner !== null) shape = Clipper.unionD(shape, corner, FillRule.NonZero, decimals)
  })
  stretches.forEach(({ edge, line }, i) => {
    const byMm = growth[edge] ?? 0
    if (byMm >= 0) return
    // Beside an edge that was moved outward, its strip is cut off too.
    const beside = (k: number) =>
      Math.max(0, growth[stretches[(i + k + stretches.length) % stretches.length]!.edge] ?? 0)
    const cut = lengthened(line, beside(-1), beside(1))
    shape = Clipper.differenceD(shape, strip(cut, -byMm, EndType.Round), FillRule.NonZero, decimals)
  })
  return largest(withoutHairs(shape))
}

/** Closes slits and takes away spikes of next to no width, which would cross once the outline is thinned. */
function withoutHairs(shape: PathsD): PathsD {
  const moved = (paths: PathsD, byMm: number) =>
    inflatePathsD(paths, byMm, JoinType.Miter, EndType.Polygon, 10, decimals, arcToleranceMm)
  return moved(moved(moved(shape, hairMm), -2 * hairMm), hairMm)
}

const strip = (line: readonly Vec2[], reachMm: number, end: EndType): PathsD =>
  inflatePathsD([line.map(asPoint)], reachMm, JoinType.Round, end, mitreLimit, decimals, arcToleranceMm)

/** The stretches of an outline that belong to one edge each, in order. */
export function edgeStretches({ polygon, edgeOfSide }: EdgedOutline): { edge: string; line: Vec2[] }[] {
  const count = polygon.length
  const first = edgeOfSide.findIndex((edge, i) => edge !== edgeOfSide[(i + count - 1) % count])
  if (first < 0) return [{ edge: edgeOfSide[0] ?? '', line: [...polygon, ...polygon.slice(0, 1)] }]
  const stretches: { edge: string; line: Vec2[] }[] = []
  for (let k = 0; k < count; k++) {
    const i = (first + k) % count
    const edge = edgeOfSide[i]!
    const last = stretches[stretches.length - 1]
    const next = polygon[(i + 1) % count]!
    if (last?.edge === edge && k > 0) last.line.push(next)
    else stretches.push({ edge, line: [polygon[i]!, next] })
  }
  return stretches
}

/** The corner between two edges that both move outward, so that no notch is left there; null elsewhere. */
function filledCorner(line: readonly Vec2[], byMm: number, next: readonly Vec2[], nextMm: number) {
  if (byMm <= 0 || nextMm <= 0) return null
  const at = line[line.length - 1]!
  const outward = (from: Vec2, to: Vec2): Vec2 => {
    const [dx, dy] = unit(subtract(to, from))
    return [dy, -dx]
  }
  const first = outward(line[line.length - 2]!, at)
  const second = outward(at, next[1]!)
  const [one, other] = [scale(first, byMm), scale(second, nextMm)]
  const across = cross2(first, second)
  // Where the two new edges meet; edges that run on almost straight meet nowhere near, and leave only a wedge.
  const mitre: Vec2[] =
    across > sharpCorner
      ? [[(byMm * second[1] - nextMm * first[1]) / across, (nextMm * first[0] - byMm * second[0]) / across]]
      : []
  const corner = [at, add(at, one), ...mitre.map((m) => add(at, m)), add(at, other)]
  // Edges that bend inward there have film on both sides already.
  if (signedArea(corner) <= 1e-6) return null
  // A hair larger than the gap, so that no slit of no width stays beside it.
  return inflatePathsD([counterClockwise(corner)], overlapMm, JoinType.Miter, EndType.Polygon, mitreLimit, decimals)
}

/** How gently a wide strip runs out into a narrow one where their edges run on: so many mm along for each mm across. */
const rampSlope = 3
/** Steps of less than this are none to a hand, mm. */
const leastStepMm = 1
const rampEveryMm = 2

/**
 * Where two edges that move outward by different distances run on into each other, the wider strip runs out along the narrower one: a step
 * there would tear and could not be held. Null where they meet at a corner, or are alike.
 */
function ramp(line: readonly Vec2[], byMm: number, next: readonly Vec2[], nextMm: number): PathsD | null {
  if (byMm <= 0 || nextMm <= 0 || Math.abs(byMm - nextMm) < leastStepMm) return null
  const turn = cross2(
    unit(subtract(line[line.length - 1]!, line[line.length - 2]!)),
    unit(subtract(next[1]!, next[0]!)),
  )
  if (Math.abs(turn) > sharpCorner) return null
  // Along the narrower edge, away from where they meet; outward is to the right of the outline's run.
  const [away, side] = byMm > nextMm ? [next, 1] : [[...line].reverse(), -1]
  const [wide, narrow] = [Math.max(byMm, nextMm), Math.min(byMm, nextMm)]
  const lengthMm = rampSlope * (wide - narrow)
  const [inner, outer]: [Vec2[], Vec2[]] = [[], []]
  let doneMm = 0
  for (let i = 1; i < away.length && doneMm < lengthMm; i++) {
    const [from, to] = [away[i - 1]!, away[i]!]
    const longMm = Math.hypot(to[0] - from[0], to[1] - from[1])
    const [dx, dy] = unit(subtract(to, from))
    const out: Vec2 = [side * dy, -side * dx]
    const pieces = Math.max(1, Math.ceil(longMm / rampEveryMm))
    for (let k = i === 1 ? 0 : 1; k <= pieces; k++) {
      const at = Math.min(doneMm + (longMm * k) / pieces, lengthMm)
      const p = add(from, scale([dx, dy], at - doneMm))
      inner.push(p)
      outer.push(add(p, scale(out, narrow + (wide - narrow) * (1 - at / lengthMm))))
    }
    doneMm += longMm
  }
  const polygon = [...inner, ...outer.reverse()]
  if (Math.abs(signedArea(polygon)) < 1e-6) return null
  return inflatePathsD([counterClockwise(polygon)], overlapMm, JoinType.Miter, EndType.Polygon, mitreLimit, decimals)
}

/** The line with straight pieces added at its ends. */
function lengthened(line: readonly Vec2[], atStartMm: number, atEndMm: number): Vec2[] {
  const on = (from: Vec2, to: Vec2, byMm: number): Vec2[] =>
    byMm === 0 ? [] : [add(to, scale(unit(subtract(to, from)), byMm))]
  const [first, second] = [line[0]!, line[1]!]
  const [last, before] = [line[line.length - 1]!, line[line.length - 2]!]
  return [...on(second, first, atStartMm), ...line, ...on(before, last, atEndMm)]
}

const asPoint = ([x, y]: Vec2) => ({ x, y, z: 0 })
const counterClockwise = (polygon: Polygon) => {
  const points = polygon.map(asPoint)
  return signedArea(polygon) >= 0 ? points : points.reverse()
}

function largest(paths: PathsD): Vec2[] {
  let best: PathsD[number] = []
  let most = 0
  for (const path of paths) {
    const area = Math.abs(areaD(path))
    if (area > most) {
      most = area
      best = path
    }
  }
  const points = best.map(({ x, y }): Vec2 => [x, y])
  return signedArea(points) >= 0 ? points : points.reverse()
}
