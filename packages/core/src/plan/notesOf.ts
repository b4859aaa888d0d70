import { findingMeanings } from './findings.ts'
import { filmDoubt } from './lying.ts'
import { boundsOf } from '../geometry/index.ts'
import { area, length, list, percent, say } from '../say/index.ts'
import type { PlanNote } from './partPlan.ts'
import type { PlanContext } from './planContext.ts'
import { barsHeat, edgeName } from './rules/rule.ts'
import { warpWords } from './warpWords.ts'

/** What is only ordinary in a plan of a part that nobody has measured. */
function ordinaryWords(c: PlanContext) {
  const { min, max } = boundsOf(c.outlineOnForm)
  return say`Nobody has measured this part: ${length(max[0] - min[0], 0)} by ${length(max[1] - min[1], 0)} is what such a part has as a rule, its edges end as they mostly do, and its bulge is not known. Measure it, and its lay, its pulls and its heat are worked out.`
}

/** What follows from each kind of finding, once, in words that the customer can be told. */
export function notesOf(c: PlanContext): PlanNote[] {
  const kinds = [...new Set(c.found.map((found) => found.kind))]
  const notes = kinds.map((kind) => ({ because: findingMeanings[kind].says, says: findingMeanings[kind].follows }))
  if (!c.measured) notes.push({ because: say`ordinary figures`, says: ordinaryWords(c) })
  const warmPulls = c.pulls.filter((pull) => pull.heat === 'warm')
  if (c.liquidRefused !== null) notes.push({ because: say`other liquids than chosen`, says: c.liquidRefused })
  if (c.warps !== null) notes.push({ because: say`pattern`, says: warpWords(c, c.warps) })
  for (const spot of c.hardSpots)
    notes.push({
      because: say`hard spot`,
      says: say`By the ${edgeName(c, spot.edge)} ${area(spot.areaMm2)} do not lie with the rest: film would have to give or take ${percent(spot.misfitPercent)} there. The piece is laid without them; warm that spot by itself, or relieve it with a cut.`,
    })
  const doubt = filmDoubt(c.form, c.film)
  if (doubt !== null) notes.push({ because: say`film for something else`, says: doubt })
  if (barsHeat(c) && warmPulls.length > 0)
    notes.push({
      because: say`no heat allowed`,
      says: say`Cold the film gives about ${percent(100 * c.film.handling.coldStretch)}; some pulls want more, so fingers may stay at ${list(warmPulls.map((p) => say`${edgeName(c, p.edge)}`))}.`,
    })
  return notes
}
