import { findingMeanings } from './findings.ts'
import type { PlanContext, PlanNote } from './planTypes.ts'
import { barsHeat } from './rules/rule.ts'

/** What follows from each kind of finding, once, in words that the customer can be told. */
export function notesOf(c: PlanContext): PlanNote[] {
  const kinds = [...new Set(c.found.map((found) => found.kind))]
  const notes = kinds.map((kind) => ({ because: findingMeanings[kind].says, says: findingMeanings[kind].follows }))
  if (barsHeat(c) && c.pulls.some((pull) => pull.heat === 'warm'))
    notes.push({
      because: 'no heat allowed',
      says: `Cold the film gives about ${Math.round(100 * c.film.handling.coldStretch)} %; some pulls want more, so fingers may stay at ${[...new Set(c.pulls.filter((p) => p.heat === 'warm').map((p) => c.edges.find((e) => e.name === p.edge)?.label ?? p.edge))].join(' and ')}.`,
    })
  return notes
}
