import { name, percent, say } from '../say/index.ts'
import type { PlanContext } from './planContext.ts'
import { edgeName } from './rules/rule.ts'

/** The verdict on a pattern that would have to be drawn too far. */
export const warpWords = (c: PlanContext, { edge, percent: needed, mostPercent }: NonNullable<PlanContext['warps']>) =>
  say`${name(c.film.name)} does not go on this part without warping: at the ${edgeName(c, edge)} it would have to give ${percent(needed, 1)}, and its pattern bears ${percent(mostPercent, 1)}. Take a plain film, or show the customer how it will look.`
