import type { FormDoc } from '../../form/index.ts'
import type { LayOrder, Rehearsal, RehearsalFigures } from './orderTypes.ts'

/** One difference between two orders, told from the better one's side. */
export interface Difference {
  readonly what: 'stretch' | 'fingers' | 'glue line' | 'bridging' | 'lifts' | 'far end' | 'warp' | 'largest'
  readonly says: string
  /** Whether the second order is the better one in this. */
  readonly better: boolean
  /** How much it weighs, in the points of `troubleWeights`; the list is sorted by it. */
  readonly weight: number
}

const percent = (share: number) => `${(100 * share).toFixed(1)} %`
const mm = (length: number) => `${length.toFixed(1)} mm`

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
  const label = (edge: string) => form.edges.find((e) => e.name === edge)?.label ?? edge
  const found: Difference[] = []
  const add = (what: Difference['what'], weight: number, says: string) => {
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
        `The ${label(before.edge)} then needs ${percent(after.stretch)} instead of ${percent(before.stretch)}.`,
      )
    const fingers = before.fingersMmPer100 - after.fingersMmPer100
    if (Math.abs(fingers) > 0.1)
      add(
        'fingers',
        fingers,
        after.fingersMmPer100 < 0.05
          ? `No film is left at the ${label(before.edge)}, instead of ${mm(before.fingersMmPer100)} per 100 mm.`
          : `${mm(after.fingersMmPer100)} per 100 mm is left at the ${label(before.edge)} instead of ${mm(before.fingersMmPer100)}.`,
      )
  }
  const largest = from.largestStretch - to.largestStretch
  if (Math.abs(largest) > 0.004)
    add(
      'largest',
      20 * largest,
      `The hardest place needs ${percent(to.largestStretch)} (by the ${label(to.largestStretchEdge)}) instead of ${percent(from.largestStretch)} (by the ${label(from.largestStretchEdge)}).`,
    )
  const glue = from.glueLineShare - to.glueLineShare
  if (Math.abs(glue) > 0.01)
    add(
      'glue line',
      12 * glue,
      to.glueLineShare < 0.005
        ? `Nothing is stretched so far that it shows, instead of ${percent(from.glueLineShare)} of the part.`
        : `${percent(to.glueLineShare)} of the part can show a glue line instead of ${percent(from.glueLineShare)}.`,
    )
  for (const before of from.hollows) {
    const after = to.hollows.find((h) => h.name === before.name)
    if (after === undefined || after.risk === before.risk) continue
    const rank = { none: 0, some: 1, high: 3 }
    add(
      'bridging',
      rank[before.risk] - rank[after.risk],
      after.floorFirst && !before.floorFirst
        ? `The bottom of the ${before.name} lies before its rim, so it cannot bridge.`
        : `Risk of bridging the ${before.name}: ${after.risk} instead of ${before.risk}.`,
    )
  }
  if (from.lifts !== to.lifts)
    add(
      'lifts',
      0.1 * (from.lifts - to.lifts),
      `${to.lifts === 0 ? 'No lift' : to.lifts === 1 ? 'One lift' : `${to.lifts} lifts`} instead of ${from.lifts === 0 ? 'none' : from.lifts}.`,
    )
  const far = Math.abs(from.farEnd.shiftMm) - Math.abs(to.farEnd.shiftMm)
  if (Math.abs(far) > 0.5)
    add(
      'far end',
      0.1 * far,
      `At its far end, the ${label(to.farEnd.edge)}, the film comes out ${mm(Math.abs(to.farEnd.shiftMm))} off instead of ${mm(Math.abs(from.farEnd.shiftMm))}.`,
    )
  const warp = from.patternWarp - to.patternWarp
  if (patterned && Math.abs(warp) > 0.01)
    add('warp', 40 * warp, `The pattern warps by ${percent(to.patternWarp)} instead of ${percent(from.patternWarp)}.`)
  return found.sort((a, b) => b.weight - a.weight)
}

/** An order in one sentence: what is fixed first and how the front runs. */
export function orderWords(order: LayOrder): string {
  const taut = order.anchors.filter((a) => a.pullShare > 0.25).length
  const all = taut === order.anchors.length
  const names = order.anchors.map((a) => `the ${a.label}${!all && a.pullShare > 0.25 ? ' (film pulled taut)' : ''}`)
  const tautWords = all && taut > 0 ? ' with the film pulled taut' : ''
  const fix =
    names.length === 0
      ? ''
      : names.length === 1
        ? `Fix ${names[0]}${tautWords}`
        : `Fix ${names.slice(0, -1).join(', ')} and ${names[names.length - 1]}${tautWords}`
  const begin = order.fromLabel === 'there' ? 'from there' : `from ${order.fromLabel}`
  const run = order.spiral
    ? `then round it in widening turns`
    : order.school === 'hinge and release'
      ? `then release about ${Math.round(order.strokeMm / 10) * 10} mm at a time ${begin}`
      : order.flatFirst > 0.25
        ? `then the flats ${begin}, and what turns last`
        : order.fromLabel === 'there'
          ? 'then outward from there'
          : `then sweep ${begin} to the other side`
  return fix === '' ? `${run[0]?.toUpperCase()}${run.slice(1)}.` : `${fix}, ${run}.`
}

/** Why one rehearsal is better than another: its two or three greatest gains; empty where it has none. */
export function explainBetter(form: FormDoc, worse: Rehearsal, better: Rehearsal, patterned = false): string {
  return compareOrders(form, worse.figures, better.figures, patterned)
    .filter((d) => d.better)
    .slice(0, 3)
    .map((d) => d.says)
    .join(' ')
}
