import type { PlanContext } from '../planTypes.ts'
import { isLens, isWet } from './rule.ts'

/** What to heed wherever a gun is in hand. */
export function heatCautions(c: PlanContext): string[] {
  const cautions = [
    `Never hold the gun still; damage begins at about ${c.temperature(Math.min(c.film.damageC, c.practice.heatDamage))}.`,
  ]
  if (isWet(c)) cautions.push('Let alcohol flash off first: vapour and a hot gun catch fire.')
  cautions.push(
    isLens(c)
      ? 'No heat on a cracked or crazed lens. Keep it off sensors; follow the vehicle maker’s instructions.'
      : 'Keep heat off sensors and airbags; follow the vehicle maker’s instructions.',
  )
  return cautions
}
