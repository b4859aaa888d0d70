import type { Ingredient } from './mixTypes.ts'

/** What a learned figure rests on. */
export interface LearnedUse {
  /** Used over worked out. */
  readonly factor: number
  /** One standard deviation of its logarithm. */
  readonly sigma: number
  readonly uses: number
}

/** How far shops and single jobs scatter, as standard deviations of the logarithm. */
const shopSpread = 0.4
const jobSpread = 0.35

/** The shop's own factor on its need, from what was worked out and what was used: a mean of logarithms, drawn to 1 while there are few. */
export function learnUse(uses: readonly { readonly neededMl: number; readonly usedMl: number }[]): LearnedUse {
  const logs = uses.filter((u) => u.neededMl > 0 && u.usedMl > 0).map((u) => Math.log(u.usedMl / u.neededMl))
  const weight = logs.length / jobSpread ** 2
  const prior = 1 / shopSpread ** 2
  const mean = logs.reduce((sum, log) => sum + log, 0) / jobSpread ** 2 / (weight + prior)
  return { factor: Math.exp(mean), sigma: Math.sqrt(1 / (weight + prior)), uses: logs.length }
}

/** What a job takes from the shelf. */
export interface Demand {
  readonly job: string
  readonly needs: readonly { readonly what: Ingredient; readonly ml: number }[]
}

export interface Outlook {
  readonly what: Ingredient
  readonly leftMl: number
  readonly neededMl: number
  /** What is left after every job; negative where it does not reach. */
  readonly afterMl: number
  /** The first job for which it does not reach. */
  readonly runsOutAt: string | null
}

/** How far the shelf reaches for the jobs to come, in their order. */
export function outlook(
  shelf: readonly { readonly what: Ingredient; readonly leftMl: number }[],
  demands: readonly Demand[],
): Outlook[] {
  return shelf.map(({ what, leftMl }) => {
    let left = leftMl
    let runsOutAt: string | null = null
    for (const { job, needs } of demands) {
      left -= needs.reduce((sum, need) => sum + (need.what === what ? need.ml : 0), 0)
      if (left < 0 && runsOutAt === null) runsOutAt = job
    }
    return { what, leftMl, neededMl: leftMl - left, afterMl: left, runsOutAt }
  })
}
