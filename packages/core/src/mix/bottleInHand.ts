import { paragraph, percent, say, type Sentence } from '../say/index.ts'
import { strengthWords } from './strengthWords.ts'
import { isAlike } from './whatIsIt.ts'
import { type MixLimits, mixDefaults, type Strength } from './mixTypes.ts'

/** The bottle that is in hand against the one that was planned. */
export interface BottleVerdict {
  readonly asPlanned: boolean
  /** What is different, and what comes of it; null where it may stand in. */
  readonly warning: Sentence | null
  /** It must not be used on this part. */
  readonly never: boolean
}

/**
 * Whether a bottle may stand in for the planned one, and what comes of it where it differs.
 *
 * @param takesStrongAlcohol false for lenses and painted plastic
 */
export function bottleInHand(
  taken: { readonly says: Sentence; readonly strength: Strength },
  planned: { readonly says: Sentence; readonly strength: Strength },
  takesStrongAlcohol: boolean,
  limits: MixLimits = mixDefaults,
): BottleVerdict {
  const { alcoholPercent, soapMlPerL } = taken.strength
  const wanted = planned.strength
  const never = !takesStrongAlcohol && alcoholPercent > limits.lensAlcoholPercent
  if (!never && isAlike(taken.strength, wanted)) return { asPlanned: true, warning: null, never: false }
  const effects = [
    never
      ? say`More than ${percent(limits.lensAlcoholPercent, 1)} alcohol crazes and cracks this plastic: do not use it here.`
      : null,
    alcoholPercent > wanted.alcoholPercent + 2 ? say`It grabs sooner.` : null,
    alcoholPercent < wanted.alcoholPercent - 2 ? say`It does not flush the soap: film will not grab.` : null,
    soapMlPerL > 1.5 * wanted.soapMlPerL + 0.3 ? say`More soap: it slides longer and bonds later.` : null,
    soapMlPerL < wanted.soapMlPerL / 1.5 - 0.1 ? say`Less soap: it grabs early.` : null,
  ]
  return {
    asPlanned: false,
    never,
    warning: paragraph(
      say`This is ${taken.says}, ${strengthWords(taken.strength)}; planned is ${planned.says}, ${strengthWords(wanted)}.`,
      ...effects,
    ),
  }
}
