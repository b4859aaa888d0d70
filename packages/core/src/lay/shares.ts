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
 * The value that a share of the area of some triangles does not pass, and the triangle that has it: of the part round a pivot
 * that holds it the next part is taken, until all in it are alike (C. A. R. Hoare, "Find", 1961, with areas for numbers).
 */
export const percentileByArea: OfArea = (areaMm2, triangles, figureOf, share) => {
  const figure = new Float64Array(triangles.length)
  const place = new Int32Array(triangles.length)
  for (let i = 0; i < triangles.length; i++) {
    figure[i] = figureOf(triangles[i]!)
    place[i] = i
  }
  const areaAt = (k: number) => areaMm2[triangles[place[k]!]!]!
  const figureAt = (k: number) => figure[place[k]!]!
  const exchange = (k: number, l: number) => {
    const i = place[k]!
    place[k] = place[l]!
    place[l] = i
  }
  let leftMm2 = share * triangles.reduce((sum, t) => sum + areaMm2[t]!, 0)
  let [low, high] = [0, place.length - 1]
  for (;;) {
    const pivot = figureAt((low + high) >> 1)
    let [lessMm2, alikeMm2] = [0, 0]
    let [less, k, more] = [low, low, high]
    while (k <= more) {
      const value = figureAt(k)
      if (value < pivot) {
        lessMm2 += areaAt(k)
        exchange(less++, k++)
      } else if (value > pivot) exchange(k, more--)
      else alikeMm2 += areaAt(k++)
    }
    if (less > low && lessMm2 >= leftMm2) high = less - 1
    else if (more === high || lessMm2 + alikeMm2 >= leftMm2) return { value: pivot, triangle: triangles[place[less]!]! }
    else {
      leftMm2 -= lessMm2 + alikeMm2
      low = more + 1
    }
  }
}

/**
 * The mean over the share of the area of some triangles that has most of something, and the triangle that has most. It lies
 * near the percentile halfway into that share, but does not hang on the one triangle that happens to hold it.
 */
export const meanOfMost: OfArea = (areaMm2, triangles, figureOf, share) => {
  const from = percentileByArea(areaMm2, triangles, figureOf, 1 - share).value
  const most = triangles
    .map((triangle) => ({ triangle, figure: figureOf(triangle) }))
    .filter(({ figure }) => figure >= from)
    .sort((a, b) => b.figure - a.figure)
  const wholeMm2 = share * triangles.reduce((sum, t) => sum + areaMm2[t]!, 0)
  let [leftMm2, sum] = [wholeMm2, 0]
  for (const { triangle, figure } of most) {
    const takenMm2 = Math.min(areaMm2[triangle]!, leftMm2)
    sum += takenMm2 * figure
    leftMm2 -= takenMm2
    if (leftMm2 <= 0) break
  }
  return { value: sum / wholeMm2, triangle: most[0]!.triangle }
}
