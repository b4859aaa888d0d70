/**
 * How much a place counts: not at all up to one value, in full from another, evenly between. Shares that are counted so
 * do not jump when a place comes to lie just over a threshold.
 */
export const byDegrees = (value: number, from: number, whole: number): number =>
  Math.min(1, Math.max(0, (value - from) / Math.max(whole - from, 1e-12)))

/**
 * The value that a share of the area of some triangles does not pass, and the triangle that has it.
 *
 * @param triangles at least one
 */
export function percentileByArea(
  areaMm2: Float64Array,
  triangles: readonly number[],
  figureOf: (triangle: number) => number,
  share: number,
): { value: number; triangle: number } {
  const figure = Float64Array.from(triangles, figureOf)
  const sorted = Int32Array.from(triangles.keys()).sort((a, b) => figure[a]! - figure[b]!)
  const goal = share * triangles.reduce((sum, t) => sum + areaMm2[t]!, 0)
  let below = 0
  let last = 0
  for (const i of sorted) {
    last = i
    below += areaMm2[triangles[i]!]!
    if (below >= goal) break
  }
  return { value: figure[last]!, triangle: triangles[last]! }
}
