import { boundsOf } from '../../geometry/index.ts'
import type { PartSurface } from '../../form/index.ts'
import { seededRandom } from '../../numerics/index.ts'
import { nothing, type Sentence } from '../../say/index.ts'
import { candidatePlaces, changedOrder } from './changeOrder.ts'
import { compareOrders, orderWords } from './compare.ts'
import { type LayOrder, type Rehearsal, schoolNames } from './orderTypes.ts'
import { rehearse } from './rehearse.ts'
import type { RehearsalOptions } from './rehearsalOptions.ts'
import { type OrderPractice, orderBySchool, orderDefaults } from './schools.ts'
import type { PreparedStage } from './stage.ts'

/** One part on several meshes. */
export interface SearchStages {
  /** On which orders are tried out. */
  readonly coarse: PreparedStage
  /** On which schools are compared and what is found is shown. */
  readonly fine: PreparedStage
  /** Others, on which what is found has to be better as well. */
  readonly judges: readonly PreparedStage[]
}

export interface SearchOptions {
  /** Rehearsals on the coarse form. */
  readonly tries: number
  /** Changes of the best order that are tried on the fine form. */
  readonly fineTries: number
  readonly seed: number
  readonly practice: OrderPractice
  readonly rehearsal: Partial<RehearsalOptions>
}

export const searchDefaults: SearchOptions = {
  tries: 40,
  fineTries: 16,
  seed: 1,
  practice: orderDefaults,
  rehearsal: {},
}

export interface SearchProgress {
  readonly share: number
  readonly tried: number
  /** The best order so far, in words, and its trouble on the coarse form. */
  readonly best: Sentence
  readonly trouble: number
}

export interface SearchResult {
  /** The best order found, rehearsed on the fine form; the best school itself where nothing beats it. */
  readonly best: Rehearsal
  /** Every school, rehearsed on the fine form, least trouble first. */
  readonly schools: readonly Rehearsal[]
  readonly tried: number
  /** Whether the choice of an order changes much on this part; see `orderMatters`. */
  readonly matters: boolean
}

/** How many orders are kept to be changed further, and how many are rehearsed on the fine form. */
const kept = 4
const finalists = 3
/** How many of the found ones may fail before the judges until the best school stays. */
const heard = 3

/**
 * Looks for a better order, better anchors and better pulls: all schools first, then small changes of the best ones (an
 * anchor more or less, drawn or not, another start, flats first, longer or shorter strokes), on a coarse form; the best few
 * and all schools are rehearsed on the fine form, and the best is changed further there. What is found counts as better only
 * when a hand would notice it, it beats the best school on every mesh, and it saves a share of the trouble that is worth it. Never worse than the best school. A generator, so that whoever runs it can
 * show progress and stop; the same seed gives the same result.
 */
export function* searchOrder(
  { coarse, fine, judges }: SearchStages,
  options: Partial<SearchOptions> = {},
): Generator<SearchProgress, SearchResult> {
  const use = { ...searchDefaults, ...options }
  const random = seededRandom(use.seed)
  const places = candidatePlaces(coarse.form, coarse.surface)
  const work = use.tries + schoolNames.length + finalists + use.fineTries + judges.length
  let done = 0
  let best: Rehearsal | null = null
  const pool: { order: LayOrder; trouble: number }[] = []
  const seen = new Set<string>()
  const tryOut = (order: LayOrder) => {
    seen.add(JSON.stringify(order))
    const { flipped, figures } = rehearse(coarse, order, use.rehearsal)
    pool.push({ order, trouble: flipped > 0 ? Number.POSITIVE_INFINITY : figures.trouble })
    pool.sort((a, b) => a.trouble - b.trouble)
    pool.length = Math.min(pool.length, kept)
    done++
  }
  const progress = (): SearchProgress => ({
    share: done / work,
    tried: done,
    best: best === null ? (pool[0] === undefined ? nothing : orderWords(pool[0].order)) : orderWords(best.order),
    trouble: best?.figures.trouble ?? pool[0]?.trouble ?? Number.POSITIVE_INFINITY,
  })
  for (const school of schoolNames) {
    tryOut(orderBySchool(school, coarse.form, coarse.surface, use.practice))
    yield progress()
  }
  while (done < use.tries) {
    const parent = pool[Math.floor(pool.length * random() ** 2)]
    if (parent === undefined) break
    const child = changedOrder(parent.order, places, coarse.surface.figures.areaMm2, random, use.practice.releaseMm)
    if (seen.has(JSON.stringify(child))) {
      done++
      continue
    }
    tryOut(child)
    yield progress()
  }

  const schools: Rehearsal[] = []
  for (const school of schoolNames) {
    schools.push(rehearse(fine, orderBySchool(school, fine.form, fine.surface, use.practice), use.rehearsal))
    done++
    yield progress()
  }
  schools.sort((a, b) => a.figures.trouble - b.figures.trouble)
  const school = schools.find((s) => s.flipped === 0) ?? schools[0]!
  best = school
  const found: Rehearsal[] = []
  const seenFine = new Set<string>()
  const tryFine = (order: LayOrder) => {
    done++
    if (order.made === 'by school' || seenFine.has(JSON.stringify(order))) return false
    seenFine.add(JSON.stringify(order))
    const rehearsal = rehearse(fine, order, use.rehearsal)
    if (rehearsal.flipped > 0 || rehearsal.figures.trouble >= school.figures.trouble) return true
    found.push(rehearsal)
    if (rehearsal.figures.trouble < best!.figures.trouble) best = rehearsal
    return true
  }
  for (const { order } of pool.slice(0, finalists)) if (tryFine(order)) yield progress()
  // What helps on the coarse form need not on the fine one: the last changes are judged there.
  for (let i = 0; i < use.fineTries; i++) {
    const order = changedOrder(best.order, places, fine.surface.figures.areaMm2, random, use.practice.releaseMm)
    if (tryFine(order)) yield progress()
  }
  found.sort((a, b) => a.figures.trouble - b.figures.trouble)
  best = school
  const schoolOn = judges.map((judge) => rehearse(judge, orderAgain(school.order, judge, use.practice), use.rehearsal))
  const noticed = found.filter(({ figures }) =>
    compareOrders(fine.form, school.figures, figures, fine.patterned).some((difference) => difference.better),
  )
  for (const candidate of noticed.slice(0, heard)) {
    const savedOn = [savedShare(school, candidate)]
    for (const [i, judge] of judges.entries()) {
      savedOn.push(savedShare(schoolOn[i]!, rehearse(judge, candidate.order, use.rehearsal)))
      if (savedOn[savedOn.length - 1]! <= 0) break
    }
    yield progress()
    if (Math.min(...savedOn) <= 0 || mean(savedOn) < use.practice.worthShare) continue
    best = candidate
    break
  }
  return { best, schools, tried: done, matters: orderMatters(fine.surface, schools, use.practice) }
}

/** Share of the trouble of one that another saves, both on one mesh; nothing where film turns over in the other. */
const savedShare = (of: Rehearsal, other: Rehearsal) =>
  other.flipped > 0 ? 0 : (of.figures.trouble - other.figures.trouble) / Math.max(of.figures.trouble, 1e-9)

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

/** A school's order as its rule makes it on another mesh. */
const orderAgain = (order: LayOrder, stage: PreparedStage, practice: OrderPractice) =>
  orderBySchool(order.school, stage.form, stage.surface, practice)

/** Schools that differ by less than this share lie close together. */
const closeTogether = 0.35

/** Whether a part is shorter than a length, by the longer side of its box. */
export function isSmallPart({ outline }: Pick<PartSurface, 'outline'>, smallMm: number): boolean {
  const { min, max } = boundsOf(outline.polygon)
  return Math.max(max[0] - min[0], max[1] - min[1]) < smallMm
}

/**
 * Whether it changes much in which order a part is laid: on a large part always, on a small one where the best school is
 * clearly better than one in the middle.
 *
 * @param schools least trouble first
 */
export function orderMatters(
  surface: Pick<PartSurface, 'outline'>,
  schools: readonly Rehearsal[],
  { smallMm }: Pick<OrderPractice, 'smallMm'> = orderDefaults,
): boolean {
  if (!isSmallPart(surface, smallMm)) return true
  const [best, middle] = [schools[0], schools[Math.floor(schools.length / 2)]]
  if (best === undefined || middle === undefined) return true
  return middle.figures.trouble - best.figures.trouble > closeTogether * middle.figures.trouble
}
