import { nothing, say, type Sentence, temperature } from '../../say/index.ts'
import type { PlannedHeat } from '../partPlan.ts'
import type { PlanContext } from '../planContext.ts'
import type { Caution, HeatUse } from '../step.ts'
import { barsHeat, caution, isLens, isWet, type StepDraft } from './rule.ts'

/** How heat of a use is given on this part; undefined where it takes none. */
export const heatOf = (c: PlanContext, use: HeatUse): PlannedHeat | undefined =>
  barsHeat(c) ? undefined : c.heat.find((h) => h.use === use)

/** What to heed wherever a gun is in hand. */
function heatCautions(c: PlanContext): Caution[] {
  const damage = temperature(Math.min(c.film.damageC, c.practice.heatDamage))
  return [
    caution('heat', say`Never hold the gun still; damage begins at about ${damage}.`),
    ...(isWet(c) ? [caution('heat', say`Let alcohol flash off first: vapour and a hot gun catch fire.`)] : []),
    caution(
      'heat',
      isLens(c)
        ? say`No heat on a cracked or crazed lens. Keep it off sensors; follow the vehicle maker’s instructions.`
        : say`Keep heat off sensors and airbags; follow the vehicle maker’s instructions.`,
    ),
  ]
}

type Heated = Required<Pick<StepDraft, 'tools' | 'cautions'>> & Pick<StepDraft, 'heat' | 'because'>

/**
 * What a step with heat carries: the use of heat, the gun and its cautions; on a part that takes no heat that it is done cold, and why. The
 * step adds its own tools and cautions to these.
 */
export function heated(c: PlanContext, use: HeatUse): Heated {
  if (barsHeat(c))
    return {
      tools: [],
      cautions: [caution('no heat', say`Cold: no heat on this lens, it is damaged.`)],
      because: say`Walk-round: damaged lens, so it is done cold.`,
    }
  return { tools: ['heat gun'], cautions: heatCautions(c), ...(heatOf(c, use) === undefined ? {} : { heat: use }) }
}

/** Where most of the time goes: "Most at the left end". */
export function mostWords(c: PlanContext, use: HeatUse): Sentence {
  const zones = heatOf(c, use)?.zones ?? []
  const [first] = zones
  if (first === undefined || zones.length < 2 || first.share < 1.25 / zones.length) return nothing
  if (use === 'seal') return say`Most at the ${first.label}: film piled up there is what lifts.`
  return first.kind === 'edge'
    ? say`Most at the ${first.label}: what was stretched there draws back.`
    : say`Most at the ${first.label}: what was stretched there draws back.`
}
