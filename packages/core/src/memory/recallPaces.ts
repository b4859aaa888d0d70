import type { FitFact } from './fitFact.ts'
import { indexed } from './indexed.ts'
import { type Estimated, mixedModel } from './mixedModel.ts'

/** Who lays what: as far as the pace hangs on it. */
export type PaceOf = Pick<FitFact, 'modelId' | 'slot' | 'hand'>

const placeOf = ({ modelId, slot }: PaceOf) => `${modelId} ${slot}`

/** How fast fits go against their plans, real minutes over planned ones; null where too few tell. By place and by hand, on a scale on which half and double are as far apart. */
export function recallPaces(
  facts: readonly (PaceOf & Pick<FitFact, 'pace'>)[],
  about: readonly PaceOf[],
): Estimated[] | null {
  const read = facts.flatMap((fact) => (fact.pace === null ? [] : [{ fact, pace: fact.pace }]))
  if (read.length < 2) return null
  const place = indexed(
    about.map(placeOf),
    read.map(({ fact }) => placeOf(fact)),
  )
  const hand = indexed(
    about.map((a) => a.hand),
    read.map(({ fact }) => fact.hand),
  )
  const { asked } = mixedModel({
    y: read.map(({ pace }) => Math.log(pace)),
    sigma: read.map(() => paceSigma),
    factors: [place, hand].map(({ of, levels }) => ({ of, levels, scale: paceScale })),
    noiseScale: paceScale,
    asked: about.map((_, i) => [
      { factor: 0, level: place.asked[i] ?? 0 },
      { factor: 1, level: hand.asked[i] ?? 0 },
    ]),
  })
  return asked.map(({ mean, low, high }) => ({ mean: Math.exp(mean), low: Math.exp(low), high: Math.exp(high) }))
}

/** The middle of some twenty steps is known to about a tenth. */
const paceSigma = 0.1
/** Hands and places ordinarily differ by a quarter. */
const paceScale = 0.25
