import { EigenvalueDecomposition, Matrix } from 'ml-matrix'

/** One linear wish: row · unknowns = wanted, as sure as `sigma`. */
export interface Wish {
  readonly row: readonly [number, number, number]
  readonly wanted: number
  readonly sigma: number
}

export interface Estimate {
  readonly value: readonly [number, number, number]
  /** One standard deviation of each unknown; Infinity where nothing determines it. */
  readonly sigma: readonly [number, number, number]
}

const rankTolerance = 1e-12

/**
 * Weighted least squares for three unknowns of like size, by the eigenvectors of the normal matrix: a direction that
 * no wish determines, or only to more than the worst sigma, keeps its unknowns at the least change, and shows as an infinite sigma.
 */
export function estimate(wishes: readonly Wish[], worstSigma: number = Number.POSITIVE_INFINITY): Estimate {
  const normal = new Float64Array(9)
  const right = new Float64Array(3)
  for (const { row, wanted, sigma } of wishes) {
    const weight = 1 / (sigma * sigma)
    for (let i = 0; i < 3; i++) {
      right[i]! += weight * row[i]! * wanted
      for (let j = 0; j < 3; j++) normal[3 * i + j]! += weight * row[i]! * row[j]!
    }
  }
  const { value, variance } = leastChange(normal, right, worstSigma)
  return { value, sigma: [Math.sqrt(variance[0]), Math.sqrt(variance[1]), Math.sqrt(variance[2])] }
}

/**
 * The least change that satisfies a 3x3 normal equation, and the variance of each unknown; see `estimate` for what is not
 * determined.
 *
 * @param normal row by row, length 9
 */
export function leastChange(
  normal: Float64Array,
  right: Float64Array,
  worstSigma: number = Number.POSITIVE_INFINITY,
): { readonly value: [number, number, number]; readonly variance: [number, number, number] } {
  const eigen = new EigenvalueDecomposition(Matrix.from1DArray(3, 3, normal), { assumeSymmetric: true })
  const directions = eigen.eigenvectorMatrix
  const most = Math.max(...eigen.realEigenvalues)
  const value: [number, number, number] = [0, 0, 0]
  const variance: [number, number, number] = [0, 0, 0]
  eigen.realEigenvalues.forEach((strength, k) => {
    const known = strength > rankTolerance * most && strength * worstSigma * worstSigma > 1
    let along = 0
    for (let i = 0; i < 3; i++) along += directions.get(i, k) * right[i]!
    for (let i = 0; i < 3; i++) {
      const direction = directions.get(i, k)
      if (known) {
        value[i]! += (direction * along) / strength
        variance[i]! += (direction * direction) / strength
      } else if (Math.abs(direction) > 1e-6) variance[i] = Number.POSITIVE_INFINITY
    }
  })
  return { value, variance }
}
