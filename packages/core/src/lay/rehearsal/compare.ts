import type { FormDoc } from '../../form/index.ts'
import {
  atStart,
  count,
  length,
  list,
  name,
  nothing,
  paragraph,
  percent,
  say,
  type Sentence,
  inSpan,
  span,
} from '../../say/index.ts'
import { troubleWeights } from './figures.ts'
import { type LayOrder, type Rehearsal, type RehearsalFigures, schoolWords } from './orderTypes.ts'

/** One difference between two orders, told from the better one's side. */
export interface Difference {
  readonly what: 'stretch' | 'fingers' | 'glue line' | 'bridging' | 'lifts' | 'far end' | 'warp' | 'largest'
  readonly says: Sentence
  /** Whether the second order is the better one in this. */
  readonly better: boolean
  /** How much it weighs, in the points of `troubleWeights`; the list is sorted by it. */
  readonly weight: number
}

const share = (of: number) => percent(100 * of, 1)
const perEdge = (mm: number) => say`${inSpan(mm)} per ${span}`

/**
 * What changes from one order to another, in the trade's words with the figures of both, the greatest change first.
 * Changes that no hand would notice are left out.
 */
export function compareOrders(
  form: FormDoc,
  from: RehearsalFigures,
  to: RehearsalFigures,
  patterned = false,
): Difference[] {
  const label = (edge: string) => name(form.edges.find((e) => e.name === edge)?.label ?? edge)
  const found: Difference[] = []
  const add = (what: Difference['what'], weight: number, says: Sentence) => {
    if (Math.abs(weight) > 1e-9) found.push({ what, says, better: weight > 0, weight: Math.abs(weight) })
  }
  for (const before of from.edges) {
    const after = to.edges.find((e) => e.edge === before.edge)
    if (after === undefined) continue
    const stretch = before.stretch - after.stretch
    if (Math.abs(stretch) > 0.004)
      add(
        'stretch',
        30 * stretch,
        say`The ${label(before.edge)} then needs ${share(after.stretch)} instead of ${share(before.stretch)}.`,
      )
    const fingers = before.fingersMmPer100 - after.fingersMmPer100
    if (Math.abs(fingers) > 0.1)
      add(
        'fingers',
        fingers,
        after.fingersMmPer100 < 0.05
          ? say`No film is left at the ${label(before.edge)}, instead of ${perEdge(before.fingersMmPer100)}.`
          : say`${perEdge(after.fingersMmPer100)} is left at the ${label(before.edge)} instead of ${length(before.fingersMmPer100)}.`,
      )
  }
  const largest = from.largestStretch - to.largestStretch
  if (Math.abs(largest) > 0.004)
    add(
      'largest',
      20 * largest,
      to.largestStretchEdge === from.largestStretchEdge
        ? say`The hardest place, by the ${label(to.largestStretchEdge)}, needs ${share(to.largestStretch)} instead of ${share(from.largestStretch)}.`
        : say`The hardest place needs ${share(to.largestStretch)} (by the ${label(to.largestStretchEdge)}) instead of ${share(from.largestStretch)} (by the ${label(from.largestStretchEdge)}).`,
    )
  const glue = from.glueLineShare - to.glueLineShare
  if (Math.abs(glue) > 0.01)
    add(
      'glue line',
      12 * glue,
      to.glueLineShare < 0.005
        ? say`Nothing is stretched so far that it shows, instead of ${share(from.glueLineShare)} of the part.`
        : say`${share(to.glueLineShare)} of the part can show a glue line instead of ${share(from.glueLineShare)}.`,
    )
  for (const before of from.hollows) {
    const after = to.hollows.find((h) => h.name === before.name)
    if (after === undefined || after.risk === before.risk) continue
    const rank = { none: 0, some: 1, high: 3 }
    add(
      'bridging',
      rank[before.risk] - rank[after.risk],
      after.floorFirst && !before.floorFirst
        ? say`The bottom of the ${name(before.name)} lies before its rim, so it cannot bridge.`
        : say`Risk of bridging the ${name(before.name)}: ${riskWords[after.risk]} instead of ${riskWords[before.risk]}.`,
    )
  }
  // By area, not by number: one lift of a whole stroke is no less work than three of its parts.
  const lifted = from.liftedShare - to.liftedShare
  if (Math.abs(lifted) > 0.02)
    add(
      'lifts',
      100 * troubleWeights.perLiftedPercent * lifted,
      to.liftedShare < hardlyLifted
        ? say`Nothing has to be lifted and laid again, instead of ${percent(100 * from.liftedShare, 0)} of it.`
        : say`${percent(100 * to.liftedShare, 0)} of it has to be lifted and laid again instead of ${from.liftedShare < hardlyLifted ? say`nothing` : percent(100 * from.liftedShare, 0)}.`,
    )
  const far = Math.abs(from.farEnd.shiftMm) - Math.abs(to.farEnd.shiftMm)
  if (Math.abs(far) > 0.5)
    add(
      'far end',
      0.1 * far,
      say`At its far end, the ${label(to.farEnd.edge)}, the film comes out ${length(Math.abs(to.farEnd.shiftMm))} off instead of ${length(Math.abs(from.farEnd.shiftMm))}.`,
    )
  const warp = from.patternWarp - to.patternWarp
  if (patterned && Math.abs(warp) > 0.01)
    add('warp', 40 * warp, say`The pattern warps by ${share(to.patternWarp)} instead of ${share(from.patternWarp)}.`)
  return found.sort((a, b) => b.weight - a.weight)
}

/** Less than this of a part is lifted in passing. */
const hardlyLifted = 0.005

const riskWords: Readonly<Record<RehearsalFigures['hollows'][number]['risk'], Sentence>> = {
  none: say`none`,
  some: say`some`,
  high: say`high`,
}

/** What an order is called: its school, or that a search found it. */
export const orderName = (order: Pick<LayOrder, 'made' | 'school'>): Sentence =>
  order.made === 'by school' ? schoolWords[order.school] : say`better order`

/** So many anchors are told with their numbers. */
const numberedFrom = 3

/** An order in one sentence: what is fixed first and how the front runs. */
export function orderWords(order: LayOrder): Sentence {
  const taut = order.anchors.filter((a) => a.pullShare > 0.25).length
  const all = taut > 0 && taut === order.anchors.length
  const anchors = list(
    order.anchors.map((a, i) => {
      const where = !all && a.pullShare > 0.25 ? say`the ${a.label} (film pulled taut)` : say`the ${a.label}`
      // Many are numbered, as in the picture: their names may have commas and "and" of their own.
      return order.anchors.length < numberedFrom ? where : say`(${count(i + 1)}) ${where}`
    }),
  )
  const run = runWords(order)
  if (order.anchors.length === 0) return paragraph(say`${atStart(run)}.`, strokeWords(order))
  return paragraph(
    all ? say`Fix ${anchors} with the film pulled taut, ${run}.` : say`Fix ${anchors}, ${run}.`,
    strokeWords(order),
  )
}

/** How far each stroke goes, where a search chose it; a school has strokes of its own, and places that turn make them shorter. */
const strokeWords = ({ made, spiral, school, flatFirst, strokeMm }: LayOrder): Sentence | false =>
  made === 'by search' &&
  !spiral &&
  school !== 'hinge and release' &&
  flatFirst <= flatsFrom &&
  say`Each stroke about ${length(Math.max(10, Math.round(strokeMm / 10) * 10))}.`

/** From this on an order lays the flats first. */
const flatsFrom = 0.25

function runWords(order: LayOrder): Sentence {
  const { fromLabel } = order
  if (order.spiral) return say`then round it in widening turns`
  const begin = fromLabel === null ? say`from there` : say`from ${fromLabel}`
  if (order.school === 'hinge and release')
    return say`then release about ${length(Math.round(order.strokeMm / 10) * 10)} at a time ${begin}`
  if (order.flatFirst > flatsFrom) return say`then the flats ${begin}, and what turns last`
  return fromLabel === null ? say`then outward from there` : say`then sweep ${begin} to the other side`
}

/** Why one rehearsal is better than another: its two or three greatest gains, and what it costs most; empty where it has no gain. */
export function explainBetter(form: FormDoc, worse: Rehearsal, better: Rehearsal, patterned = false): Sentence {
  const changes = compareOrders(form, worse.figures, better.figures, patterned)
  const gains = changes.filter((d) => d.better).slice(0, 3)
  const cost = changes.find((d) => !d.better)
  if (gains.length === 0) return nothing
  return paragraph(...gains.map((d) => d.says), cost !== undefined && say`It has a price.`, cost?.says)
}
