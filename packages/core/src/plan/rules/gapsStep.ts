import { count, distinct, length, list, name, say, type Sentence } from '../../say/index.ts'
import type { PlanContext } from '../planContext.ts'
import { hasBleed, isDome, isWet, partWord, type StepDraft, wholePart } from './rule.ts'

/** How the piece sits, read at a few places: wet film while it floats, dry film with its liner still on. */
export const gapsStep = (c: PlanContext): StepDraft => ({
  id: 'measure-gaps',
  phase: 'place',
  headline: isWet(c) ? say`Measure the gaps` : say`Check how it sits`,
  detail: isWet(c)
    ? say`At ${count(c.checks.length)} places, wanted ${wantedWords(c)}. Shift it until it fits, then measure again.`
    : hasBleed(c)
      ? say`Liner on, hold it over ${partWord(c)} and read how far the film passes the edge at ${count(c.checks.length)} places.`
      : say`Liner on, hold it over ${partWord(c)} and read the gap at ${count(c.checks.length)} places.`,
  why: isDome(c) ? offCentreWords(c) : say`A little off here is a crooked far end there. Now it still costs nothing.`,
  minutes: c.practice.takesGaps,
  tools: ['rule'],
  references: c.checks.map(({ id }) => ({ kind: 'check', id })),
  picture: wholePart(
    'floating',
    c.checks.map(({ id, at, normal }) => ({ kind: 'check', id, at, normal })),
  ),
  records: 'gaps',
  ...(isWet(c) ? { liquids: ['slip'], driesInMinutes: c.wetMinutes } : {}),
})

/** How far off its middle a round piece may be before film passes the crest. */
function offCentreWords(c: PlanContext): Sentence {
  const { left, right, up, down } = c.roomMm
  const to = (mm: number) => length(Math.max(0, mm))
  const { directions } = c.form
  return say`Off its middle by more than ${list([
    say`${to(left)} towards ${name(directions.left)}`,
    say`${to(right)} towards ${name(directions.right)}`,
    say`${to(up)} towards ${name(directions.up)}`,
    say`${to(down)} towards ${name(directions.down)}`,
  ])}, film passes the crest and lifts there.`
}

function wantedWords(c: PlanContext): Sentence {
  const wanted = distinct(c.checks.map((check) => say`${length(check.wantedMm)}`))
  const [check] = c.checks
  if (wanted.length !== 1 || check === undefined) return say`as marked`
  return check.wantedMm < 0
    ? say`${length(-check.wantedMm)} over the edge everywhere`
    : say`${length(check.wantedMm)} everywhere`
}
