import type { Polygon } from '../geometry/index.ts'

/** A circle that lies within a piece. */
export interface Pole {
  readonly x: number
  readonly y: number
  readonly radiusMm: number
}

/** How much of the piece the circles shall cover, and how many they may be. */
const enoughCovered = 0.85
const mostPoles = 10
const cellsAcross = 48

/**
 * Circles that stand in for a piece where only the depth of an overlap counts: each is the largest within the piece whose middle lies outside the
 * ones before and that reaches little into them, as found on a grid and moved a little where that helps (poles of inaccessibility; Gardeyn and Wauters
 * 2025 use them so). Larger ones, sought along the ridges as well, were tried: kits came out longer by a hundredth.
 * @param loops outline and openings, in any direction
 */
export function polesOf(loops: readonly Polygon[], areaMm2: number): Pole[] {
  const sides = Float64Array.from(
    loops.flatMap((loop) => loop.flatMap(([x, y], i) => [x, y, ...loop[(i + 1) % loop.length]!])),
  )
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity]
  for (let i = 0; i < sides.length; i += 4) {
    minX = Math.min(minX, sides[i]!)
    maxX = Math.max(maxX, sides[i]!)
    minY = Math.min(minY, sides[i + 1]!)
    maxY = Math.max(maxY, sides[i + 1]!)
  }
  const step = Math.max(maxX - minX, maxY - minY) / cellsAcross
  const spots: Pole[] = []
  for (let x = minX + step / 2; x < maxX; x += step)
    for (let y = minY + step / 2; y < maxY; y += step) {
      const radiusMm = insideBy(sides, x, y)
      if (radiusMm > 0) spots.push({ x, y, radiusMm })
    }
  const free = spots.map(({ radiusMm }) => radiusMm)
  const poles: Pole[] = []
  let coveredMm2 = 0
  while (poles.length < mostPoles && coveredMm2 < enoughCovered * areaMm2) {
    let best = -1
    for (let i = 0; i < spots.length; i++) if (best < 0 || free[i]! > free[best]!) best = i
    if (best < 0 || free[best]! <= step / 4) break
    const pole = movedToBest(sides, spots[best]!, step)
    poles.push(pole)
    coveredMm2 += Math.PI * pole.radiusMm ** 2
    for (let i = 0; i < spots.length; i++) {
      const { x, y } = spots[i]!
      free[i] = Math.min(free[i]!, Math.hypot(x - pole.x, y - pole.y) - pole.radiusMm)
    }
    free[best] = 0
  }
  if (poles.length > 0) return poles
  // A piece too thin for the grid: its first side's middle, a hair wide.
  return [{ x: (sides[0]! + sides[2]!) / 2, y: (sides[1]! + sides[3]!) / 2, radiusMm: step / 100 }]
}

/** The largest circle near by: steps of half a cell and less, as long as they help. */
function movedToBest(sides: Float64Array, from: Pole, step: number): Pole {
  let best = from
  for (let by = step / 2; by > step / 32; by /= 2)
    for (const [dx, dy] of [
      [by, 0],
      [-by, 0],
      [0, by],
      [0, -by],
    ] as const) {
      const radiusMm = insideBy(sides, best.x + dx, best.y + dy)
      if (radiusMm > best.radiusMm) best = { x: best.x + dx, y: best.y + dy, radiusMm }
    }
  return best
}

/** Distance to the nearest side, mm; negative outside. */
function insideBy(sides: Float64Array, x: number, y: number): number {
  let [nearest, inside] = [Infinity, false]
  for (let i = 0; i < sides.length; i += 4) {
    const [ax, ay] = [sides[i]!, sides[i + 1]!]
    const [dx, dy] = [sides[i + 2]! - ax, sides[i + 3]! - ay]
    const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)))
    nearest = Math.min(nearest, (x - ax - t * dx) ** 2 + (y - ay - t * dy) ** 2)
    if (ay > y !== ay + dy > y && x < ax + ((y - ay) / dy) * dx) inside = !inside
  }
  return inside ? Math.sqrt(nearest) : -Math.sqrt(nearest)
}
