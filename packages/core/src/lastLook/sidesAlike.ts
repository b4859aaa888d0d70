import type { Practice } from '../practice/index.ts'
import type { MeasuredGap } from '../plan/index.ts'
import { length, paragraph, say, type Sentence, verbatim } from '../say/index.ts'

/** How one edge ends on both sides of a vehicle. */
export interface EdgeOfSides {
  readonly edge: string
  readonly label: string
  /** Mean of its gaps, mm. */
  readonly hereMm: number
  readonly thereMm: number
  readonly differenceMm: number
  /** The eye finds them apart from where people stand. */
  readonly seen: boolean
}

/**
 * The least difference between two gaps that are not side by side which is seen from a distance, mm: the angle that an eye tells apart, over
 * that distance. `eyeMinutes` is in minutes of arc; a sharp eye resolves one.
 */
export const seenFromMm = ({ lookFrom, eyeMinutes }: Pick<Practice, 'lookFrom' | 'eyeMinutes'>): number =>
  lookFrom * Math.tan((eyeMinutes / 60) * (Math.PI / 180))

interface SidesAsked {
  readonly here: readonly MeasuredGap[]
  readonly there: readonly MeasuredGap[]
  readonly labelOf: (edge: string) => string
  readonly practice: Practice
}

/** Edge by edge that was read on both sides, the most different first. */
export function sidesAlike({ here, there, labelOf, practice }: SidesAsked): EdgeOfSides[] {
  const seenMm = seenFromMm(practice)
  return [...new Set(here.map(({ check }) => check.edge))]
    .flatMap((edge): EdgeOfSides[] => {
      const [hereMm, thereMm] = [meanGap(here, edge), meanGap(there, edge)]
      if (hereMm === null || thereMm === null) return []
      const differenceMm = hereMm - thereMm
      return [{ edge, label: labelOf(edge), hereMm, thereMm, differenceMm, seen: Math.abs(differenceMm) > seenMm }]
    })
    .sort((a, b) => Math.abs(b.differenceMm) - Math.abs(a.differenceMm))
}

const meanGap = (gaps: readonly MeasuredGap[], edge: string): number | null => {
  const own = gaps.filter(({ check }) => check.edge === edge && check.reads === 'gap')
  return own.length === 0 ? null : own.reduce((sum, { measuredMm }) => sum + measuredMm, 0) / own.length
}

/** What both sides make of each other, in words. */
export function sidesWords(sides: readonly EdgeOfSides[], practice: Practice): Sentence {
  const from = length(practice.lookFrom)
  const [worst] = sides
  if (worst === undefined) return say`No gap was read on both sides: compare them by eye.`
  const apart = length(Math.abs(worst.differenceMm))
  return worst.seen
    ? paragraph(
        say`${verbatim(worst.label)}: ${length(worst.hereMm)} here, ${length(worst.thereMm)} there, ${apart} apart.`,
        say`From ${from} the eye finds ${length(seenFromMm(practice))}.`,
      )
    : say`At most ${apart} apart: from ${from} nobody sees it.`
}
