import { percent, perLitre, say, type Sentence } from '../say/index.ts'
import type { Strength } from './mixTypes.ts'

/** A strength as it stands on a bottle: "10 % alcohol", "1.3 mL/L soap", both, or "no alcohol, no soap". */
export function strengthWords({ alcoholPercent, soapMlPerL }: Strength): Sentence {
  const alcohol = percent(alcoholPercent, 1)
  const soap = perLitre(soapMlPerL)
  if (alcoholPercent > 0 && soapMlPerL > 0) return say`${alcohol} alcohol, ${soap} soap`
  if (alcoholPercent > 0) return say`${alcohol} alcohol`
  return soapMlPerL > 0 ? say`${soap} soap` : say`no alcohol, no soap`
}
