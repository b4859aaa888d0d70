/**
 * How much a place counts: not at all up to one value, in full from another, evenly between. Shares that are counted so
 * do not jump when a place comes to lie just over a threshold.
 */
export const byDegrees = (value: number, from: number, whole: number): number =>
  Math.min(1, Math.max(0, (value - from) / Math.max(whole - from, 1e-12)))

/**
 * The value that a share of the area of some triangles does not pass, and the triangle that has it. Between two triangles
 * the value is interpolated, by area.
 *
 * @param triangles at least one
 */
export function percentileByArea(
  areaMm2: Float64Array,
  triangles: readonly number[],
  figureOf: (triangle: number) => number,
  share: number,
): { value: number; triangle: number } {
  const sorted = triangles
    .map((triangle) => ({ triangle, value: figureOf(triangle) }))
    .sort((a, b) => a.value - b.value)
  const goal = share * triangles.reduce((sum, t) => sum + areaMm2[t]!, 0)
  let below = 0
  for (const [i, { triangle, value }] of sorted.entries()) {
    // A triangle's value stands for the middle of its area.
    const here = below + areaMm2[triangle]! / 2
    if (here >= goal) {
      const before = sorted[i - 1]
      if (before === undefined) return { value, triangle }
      const gap = (areaMm2[before.triangle]! + areaMm2[triangle]!) / 2
      return { value: value - ((here - goal) / gap) * (value - before.value), triangle }
    }
    below += areaMm2[triangle]!
  }
  return sorted[sorted.length - 1]!
}
