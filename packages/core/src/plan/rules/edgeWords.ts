import type { EdgeCode } from '../../form/index.ts'
import { angle, count, distinct, length, nothing, paragraph, say, type Sentence } from '../../say/index.ts'
import type { PlanContext } from '../planContext.ts'
import type { Caution } from '../step.ts'
import { caution } from './rule.ts'

const worksWith = (c: PlanContext, code: EdgeCode) => c.edgePlan.edges.filter((work) => work.code === code)

/** Overhang and notches of turned-under edges, with their sizes. */
export function notchWords(c: PlanContext): Sentence {
  const works = worksWith(c, 'wrap')
  const [first] = works
  if (first === undefined) return nothing
  const overhang = say`Leave ${length(-first.rule.maxMm)} to ${length(-first.rule.minMm)} over.`
  const notches = works.flatMap((work) => work.notches)
  const [notch] = notches
  if (notch === undefined) return overhang
  const cut =
    notch.kind === 'slit'
      ? say`one slit of ${length(notch.cutMm)}`
      : say`two cuts of ${length(notch.cutMm)} at ${angle(notch.cutDeg)}`
  const clear = length(notch.clearMm)
  return paragraph(
    overhang,
    notches.length === 1
      ? say`Notch the corner: ${cut}, ending ${clear} before it.`
      : say`Notch each of ${count(notches.length)} corners: ${cut}, ending ${clear} before it.`,
  )
}

/** What speaks against the way in which these edges are to end. */
export const doubtsOn = (c: PlanContext, code: EdgeCode): Caution[] =>
  distinct(worksWith(c, code).flatMap((work) => work.doubts)).map((says) => caution('edge', says))

/** Cut with a blade along edges of a code, mm. */
export const cutLengthMm = (c: PlanContext, code: EdgeCode): number =>
  worksWith(c, code).reduce((sum, work) => sum + work.cutMm, 0)

/** "A fresh segment now, and again every 3000 mm." */
export const segmentWords = (c: PlanContext): Sentence =>
  c.edgePlan.segments > 1 ? say`A fresh segment now, and again every ${length(c.practice.bladeAlong)}.` : nothing
