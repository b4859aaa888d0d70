import { findingMeanings } from './findings.ts'
import { filmDoubt } from './lying.ts'
import { list, percent, say } from '../say/index.ts'
import type { PlanNote } from './partPlan.ts'
import type { PlanContext } from './planContext.ts'
import { barsHeat, edgeName } from './rules/rule.ts'
import { warpWords } from './warpWords.ts'

/** What follows from each kind of finding, once, in words that the customer can be told. */
export function notesOf(c: PlanContext): PlanNote[] {
  const kinds = [...new Set(c.found.map((found) => found.kind))]
  const notes = kinds.map((kind) => ({ because: findingMeanings[kind].says, says: findingMeanings[kind].follows }))
  const warmPulls = c.pulls.filter((pull) => pull.heat === 'warm')
  if (c.liquidRefused !== null) notes.push({ because: say`other liquids than chosen`, says: c.liquidRefused })
  if (c.warps !== null) notes.push({ because: say`pattern`, says: warpWords(c, c.warps) })
  const doubt = filmDoubt(c.form, c.film)
  if (doubt !== null) notes.push({ because: say`film for something else`, says: doubt })
  if (barsHeat(c) && warmPulls.length > 0)
    notes.push({
      because: say`no heat allowed`,
      says: say`Cold the film gives about ${percent(100 * c.film.handling.coldStretch)}; some pulls want more, so fingers may stay at ${list(warmPulls.map((p) => say`${edgeName(c, p.edge)}`))}.`,
    })
  return notes
}
