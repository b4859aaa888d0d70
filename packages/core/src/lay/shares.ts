/**
 * How much a place counts: not at all up to one value, in full from another, evenly between. Shares that are counted so
 * do not jump when a place comes to lie just over a threshold.
 */
export const byDegrees = (value: number, from: number, whole: number): number =>
  Math.min(1, Math.max(0, (value - from) / Math.max(whole - from, 1e-12)))

/** What some triangles, at least one, have over a share of their area, and the triangle that it is read from. */
type OfArea = (
  areaMm2: Float64Array,
  triangles: readonly number[],
  figureOf: (triangle: number) => number,
  share: number,
) => { value: number; triangle: number }

/**
 * The value that a share of the area of some triangles does not pass, and the triangle that has it.
 */
export const percentileByArea: OfArea = (areaMm2, triangles, figureOf, share) => {
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

/**
 * The mean over the share of the area of some triangles that has most of something, and the triangle that has most. It lies
 * near the percentile halfway into that share, but does not hang on the one triangle that happens to hold it.
 */
export const meanOfMost: OfArea = (areaMm2, triangles, figureOf, share) => {
  const figure = Float64Array.from(triangles, figureOf)
  const sorted = Int32Array.from(triangles.keys()).sort((a, b) => figure[b]! - figure[a]!)
  const wholeMm2 = share * triangles.reduce((sum, t) => sum + areaMm2[t]!, 0)
  let [leftMm2, sum] = [wholeMm2, 0]
  for (const i of sorted) {
    const takenMm2 = Math.min(areaMm2[triangles[i]!]!, leftMm2)
    sum += takenMm2 * figure[i]!
    leftMm2 -= takenMm2
    if (leftMm2 <= 0) break
  }
  return { value: sum / wholeMm2, triangle: triangles[sorted[0]!]! }
}
