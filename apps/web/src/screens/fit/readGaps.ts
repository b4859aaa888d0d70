import type { GapReading } from '@truelay/contract'
import type { CheckPoint, PartPlan } from '@truelay/core/plan'
import { readNumber, type UnitChoice } from '@truelay/core/units'
import { typedIn } from '../../ui/typedIn.ts'
import { length, name, say, type Sentence } from '@truelay/core/say'

/** Typed gaps by check point, as they stand in the fields. */
export type GapDrafts = Readonly<Record<string, string>>

const leastReadings = 2
const mostMm = 100

/** A gap without its sign, as it is typed: film past the edge is read as a positive number too. */
export function gapFigure(gapMm: number, units: UnitChoice): string {
  const { shown, digits } = typedIn(units, 'mm', 1)
  return shown(Math.abs(gapMm)).toFixed(digits)
}

/** A typed figure in mm, or null where it is none. */
export function draftMm(text: string, units: UnitChoice): number | null {
  const { unit, toMetric } = typedIn(units, 'mm', 1)
  const value = readNumber(text, { unit })
  return value === null ? null : toMetric(value)
}

export type GapRound =
  | { readonly ok: true; readonly readings: GapReading[] }
  | { readonly ok: false; readonly problem: Sentence }

/** The typed gaps as readings with their signs, or what is wrong with them. */
export function readGaps(plan: PartPlan, drafts: GapDrafts, units: UnitChoice): GapRound {
  const round = readSomeGaps(plan.checks, drafts, units)
  return round.ok && round.readings.length < leastReadings
    ? { ok: false, problem: say`Measure at least two places, best far apart.` }
    : round
}

/** The same of some check points, however few were typed. */
export function readSomeGaps(checks: readonly CheckPoint[], drafts: GapDrafts, units: UnitChoice): GapRound {
  const readings: GapReading[] = []
  for (const check of checks) {
    const text = drafts[check.id] ?? ''
    if (text.trim() === '') continue
    const mm = draftMm(text, units)
    if (mm === null)
      return {
        ok: false,
        problem: say`${name(check.id)}: "${name(text)}" is no gap. Give it like this: ${length(Math.abs(check.wantedMm))}.`,
      }
    if (Math.abs(mm) > mostMm)
      return {
        ok: false,
        problem: say`${name(check.id)}: ${length(mm)} is too much, ${length(mostMm)} at most. Was a point left out?`,
      }
    readings.push({ checkId: check.id, measuredMm: signOf(check) * mm })
  }
  return { ok: true, readings }
}

const signOf = (check: CheckPoint) => (check.reads === 'gap' ? 1 : -1)
