import type { EdgeCode } from '../../form/index.ts'
import type { PlanContext } from '../planTypes.ts'

const worksWith = (c: PlanContext, code: EdgeCode) => c.edgePlan.edges.filter((work) => work.code === code)

/** Overhang and notches of turned-under edges, with their sizes. */
export function notchWords(c: PlanContext): string {
  const works = worksWith(c, 'wrap')
  const [first] = works
  if (first === undefined) return ''
  const overhang = `Leave ${c.length(-first.rule.maxMm)} to ${c.length(-first.rule.minMm)} over. `
  const notches = works.flatMap((work) => work.notches)
  const [notch] = notches
  if (notch === undefined) return overhang
  const cut =
    notch.kind === 'slit'
      ? `one slit of ${c.length(notch.cutMm)}`
      : `two cuts of ${c.length(notch.cutMm)} at ${Math.round(notch.cutDeg)}°`
  return `${overhang}Notch ${notches.length === 1 ? 'the corner' : `each of ${notches.length} corners`}: ${cut}, ending ${c.length(notch.clearMm)} before it. `
}

/** What speaks against the way in which these edges are to end. */
export const doubtsOn = (c: PlanContext, code: EdgeCode): string[] => [
  ...new Set(worksWith(c, code).flatMap((work) => work.doubts)),
]

/** Cut with a blade along edges of a code, mm. */
export const cutLengthMm = (c: PlanContext, code: EdgeCode): number =>
  worksWith(c, code).reduce((sum, work) => sum + work.cutMm, 0)

/** " A fresh segment, and one more after 3000 mm." */
export const segmentWords = (c: PlanContext): string =>
  c.edgePlan.segments > 1 ? ` A fresh segment now, and again every ${c.length(c.practice.bladeAlong)}.` : ''
