import { randomGamma, randomNormal } from 'd3-random'
import { seededRandom } from '../numerics/index.ts'

/** Something that shifts every reading it has part in by an amount of its own: a piece, a body, a hand. */
export interface Factor {
  /** Which of its levels each reading belongs to. */
  readonly of: readonly number[]
  readonly levels: number
  /** How large its shifts ordinarily are, in the unit of the readings: the scale of a half-Cauchy prior on their spread. */
  readonly scale: number
}

/** A sum of shifts that is asked for: of each factor named here one level. */
export type Asked = readonly { readonly factor: number; readonly level: number }[]

export interface MixedData {
  /** The readings. */
  readonly y: readonly number[]
  /** How well each was read, one standard deviation. */
  readonly sigma: readonly number[]
  readonly factors: readonly Factor[]
  /** How much ordinarily stays unexplained from one fit to the next, in the unit of the readings. */
  readonly noiseScale: number
  readonly asked: readonly Asked[]
  readonly seed?: number
}

export interface Estimated {
  readonly mean: number
  /** The middle 90 % of what it may be. */
  readonly low: number
  readonly high: number
}

export interface MixedEstimate {
  /** What was asked for, in the same order. */
  readonly asked: readonly Estimated[]
  /** How much the levels of each factor differ from each other: one standard deviation. */
  readonly spreads: readonly Estimated[]
  readonly noise: Estimated
}

/** Noise has tails (Student’s t with so many degrees of freedom), so that one odd reading moves nothing much. */
const tails = 6
/** Draws times readings: many readings are sure after few draws. */
const workOfAll = 400_000
const [fewest, most] = [300, 2000]
/** Weights of readings move slowly: they are drawn anew every so many rounds. */
const weighEvery = 3
const discarded = 0.25

/**
 * A mixed model with crossed random effects and readings of known sharpness: y = sum of shifts + noise + reading error. Shifts of a factor are
 * drawn from a normal distribution about zero (what is planned is what is expected), whose spread is estimated too, so few readings are pulled
 * towards zero and many speak for themselves. Sampled by Gibbs (Gelman et al., Bayesian Data Analysis, 3rd ed., ch. 11 and 15; half-Cauchy
 * spreads after Makalic and Schmidt 2016; moves along what readings do not tell apart, after Liu and Sabatti 2000), from a seed, so that the same
 * readings give the same answer.
 */
export function mixedModel(data: MixedData): MixedEstimate {
  const { y, sigma, factors, noiseScale, asked, seed = 1 } = data
  const n = y.length
  const random = seededRandom(seed)
  const normal = randomNormal.source(random)(0, 1)
  const gamma = (shape: number) => randomGamma.source(random)(shape, 1)
  const draws = Math.round(Math.min(most, Math.max(fewest, workOfAll / Math.max(1, n))))
  const skipped = Math.round(discarded * draws)

  const effects = factors.map(({ levels }) => new Float64Array(levels))
  const spreads = factors.map(({ scale }) => spread(scale, gamma))
  const noise = spread(noiseScale, gamma)
  const drawWeight = gamma((tails + 1) / 2)
  const weight = new Float64Array(n).fill(1)
  const fitted = new Float64Array(n)
  const truth = Float64Array.from(y)
  const levelsOf = factors.map(({ of }) => Int32Array.from(of))
  const sums = factors.map(({ levels }) => ({ precision: new Float64Array(levels), pull: new Float64Array(levels) }))

  const kept = asked.map(() => new Float64Array(draws))
  const keptSpreads = factors.map(() => new Float64Array(draws))
  const keptNoise = new Float64Array(draws)

  for (let draw = -skipped; draw < draws; draw++) {
    // What each reading would be, were it read without error.
    for (let i = 0; i < n; i++) {
      const own = (weight[i] ?? 1) / noise.variance
      const read = 1 / (sigma[i] ?? 1) ** 2
      truth[i] = ((fitted[i] ?? 0) * own + (y[i] ?? 0) * read) / (own + read) + normal() / Math.sqrt(own + read)
    }
    factors.forEach(({ levels }, f) => {
      const [effect, of, sum] = [effects[f], levelsOf[f], sums[f]]
      if (effect === undefined || of === undefined || sum === undefined) return
      sum.precision.fill(1 / (spreads[f]?.variance ?? 1))
      sum.pull.fill(0)
      for (let i = 0; i < n; i++) {
        const level = of[i] ?? 0
        const own = (weight[i] ?? 1) / noise.variance
        sum.precision[level] = (sum.precision[level] ?? 0) + own
        sum.pull[level] = (sum.pull[level] ?? 0) + own * ((truth[i] ?? 0) - (fitted[i] ?? 0) + (effect[level] ?? 0))
      }
      const before = Float64Array.from(effect)
      for (let level = 0; level < levels; level++) {
        const precision = sum.precision[level] ?? 1
        effect[level] = (sum.pull[level] ?? 0) / precision + normal() / Math.sqrt(precision)
      }
      for (let i = 0; i < n; i++) {
        const level = of[i] ?? 0
        fitted[i] = (fitted[i] ?? 0) + (effect[level] ?? 0) - (before[level] ?? 0)
      }
    })
    // All of one factor up and all of another down changes no reading: without such moves few levels hardly mix.
    for (let a = 0; a < factors.length; a++)
      for (let b = a + 1; b < factors.length; b++) shiftAgainst(effects[a], spreads[a], effects[b], spreads[b], normal)

    const weighs = draw % weighEvery === 0
    let squares = 0
    for (let i = 0; i < n; i++) {
      const off = (truth[i] ?? 0) - (fitted[i] ?? 0)
      if (weighs) weight[i] = drawWeight() / ((tails + (off * off) / noise.variance) / 2)
      squares += (weight[i] ?? 1) * off * off
    }
    noise.update(n, squares)
    effects.forEach((effect, f) => {
      spreads[f]?.update(
        effect.length,
        effect.reduce((sum, e) => sum + e * e, 0),
      )
    })

    if (draw < 0) continue
    asked.forEach((terms, k) => {
      const row = kept[k]
      if (row !== undefined)
        row[draw] = terms.reduce((sum, { factor, level }) => sum + (effects[factor]?.[level] ?? 0), 0)
    })
    keptSpreads.forEach((row, f) => {
      row[draw] = Math.sqrt(spreads[f]?.variance ?? 0)
    })
    keptNoise[draw] = Math.sqrt(noise.variance)
  }
  return { asked: kept.map(estimated), spreads: keptSpreads.map(estimated), noise: estimated(keptNoise) }
}

/** A variance with a half-Cauchy prior of such a scale on its root, as a mixture of inverse gammas. */
function spread(scale: number, gamma: (shape: number) => () => number) {
  let inner = scale * scale
  const drawInner = gamma(1)
  const drawers = new Map<number, () => number>()
  const drawerOf = (shape: number) => {
    const known = drawers.get(shape) ?? gamma(shape)
    drawers.set(shape, known)
    return known
  }
  return {
    variance: scale * scale,
    update(count: number, squares: number) {
      this.variance = (1 / inner + squares / 2) / drawerOf((count + 1) / 2)()
      inner = (1 / (scale * scale) + 1 / this.variance) / drawInner()
    },
  }
}
type Spread = ReturnType<typeof spread>

function shiftAgainst(
  up: Float64Array | undefined,
  upSpread: Spread | undefined,
  down: Float64Array | undefined,
  downSpread: Spread | undefined,
  normal: () => number,
): void {
  if (up === undefined || down === undefined || upSpread === undefined || downSpread === undefined) return
  const precision = up.length / upSpread.variance + down.length / downSpread.variance
  const pull =
    down.reduce((sum, e) => sum + e, 0) / downSpread.variance - up.reduce((sum, e) => sum + e, 0) / upSpread.variance
  const by = pull / precision + normal() / Math.sqrt(precision)
  for (let i = 0; i < up.length; i++) up[i] = (up[i] ?? 0) + by
  for (let i = 0; i < down.length; i++) down[i] = (down[i] ?? 0) - by
}

function estimated(draws: Float64Array): Estimated {
  const sorted = Float64Array.from(draws).sort()
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0
  return { mean: draws.reduce((sum, d) => sum + d, 0) / draws.length, low: at(0.05), high: at(0.95) }
}
