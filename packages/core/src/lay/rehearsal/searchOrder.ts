import type { FormDoc, PartSurface } from '../../form/index.ts'
import { seededRandom } from '../../numerics/index.ts'
import type { Sentence } from '../../say/index.ts'
import { candidatePlaces, changedOrder } from './changeOrder.ts'
import { compareOrders, orderWords } from './compare.ts'
import { orderMatters } from './orderMatters.ts'
import { type LayOrder, type Rehearsal, schoolNames } from './orderTypes.ts'
import { orderDefaults } from './schools.ts'
import { rehearseTrial, type SearchStages, type Trial, type TrialPractice } from './trials.ts'

/** The part whose order is looked for. */
export interface SearchedPart {
  readonly form: FormDoc
  readonly surface: PartSurface
  /** Film with a printed pattern; see `compareOrders`. */
  readonly patterned?: boolean | undefined
  /** How many meshes judge what is found. */
  readonly judges: number
}

export interface SearchOptions extends TrialPractice {
  /** Rehearsals on the coarse form. */
  readonly tries: number
  /** Changes of the best order that are tried on the fine form. */
  readonly fineTries: number
  /** How many changes are tried before the best are looked at again: as many can be made side by side. */
  readonly atOnce: number
  readonly seed: number
}

export const searchDefaults: SearchOptions = {
  tries: 40,
  fineTries: 16,
  atOnce: 4,
  seed: 1,
  practice: orderDefaults,
  rehearsal: {},
}

/** What a search wants next, and how it stands before that. */
export interface SearchRound {
  /** None of them waits for another. */
  readonly trials: readonly Trial[]
  readonly tried: number
  /** How many it tries at most. */
  readonly planned: number
  /** The best order so far. */
  readonly best: LayOrder | null
  /** Its trouble; on the coarse form, until the fine one has been rehearsed. */
  readonly trouble: number
}

export interface SearchProgress {
  readonly share: number
  readonly tried: number
  /** The best order so far, in words, and its trouble; null until all schools have been tried. */
  readonly best: Sentence | null
  readonly trouble: number
}

export interface SearchResult {
  /** The best order found, rehearsed on the fine form; the best school itself where nothing beats it. */
  readonly best: Rehearsal
  /** Every school, rehearsed on the fine form, least trouble first. */
  readonly schools: readonly Rehearsal[]
  /** Rehearsals that were made. */
  readonly tried: number
  /** Whether the choice of an order changes much on this part; see `orderMatters`. */
  readonly matters: boolean
}

/** A search that asks for trials, a round at a time, and goes on with what came of them, in the same order. */
export type OrderSearch = Asking<SearchResult>
type Asking<Answer> = Generator<SearchRound, Answer, readonly Rehearsal[]>

/** How many orders are kept to be changed further, and how many are rehearsed on the fine form. */
const kept = 4
const finalists = 3
/** How many of the found ones may fail before the judges until the best school stays. */
const heard = 3

/**
 * Looks for a better order, better anchors and better pulls: all schools first, then small changes of the best ones (an
 * anchor more or less, drawn or not, another start, flats first, longer or shorter strokes), on a coarse form; the best few
 * and all schools are rehearsed on the fine form, and the best is changed further there. What is found counts as better
 * only when a hand would notice it, it beats the best school on every mesh, and it saves a share of the trouble that is
 * worth it. Never worse than the best school.
 *
 * It makes no rehearsal itself: whoever runs it makes the trials that it asks for, in as many hands as there are, shows
 * progress, and may stop. The same seed gives the same result, however many hands there are.
 */
export function* orderSearch(part: SearchedPart, options: Partial<SearchOptions> = {}): OrderSearch {
  const use = { ...searchDefaults, ...options }
  const standing: Standing = {
    tried: 0,
    planned: use.tries + schoolNames.length + finalists + use.fineTries + part.judges * (1 + heard),
    best: null,
    trouble: Number.POSITIVE_INFINITY,
  }
  const changes = changesOf(part, use)
  const coarse = yield* triesOnCoarse(use, changes, standing)
  const fine = yield* triesOnFine(use, coarse, changes, standing)
  const best = yield* beforeJudges(part, use, fine, standing)
  const matters = orderMatters(part.surface, fine.schools, use.practice)
  return { best, schools: fine.schools, tried: standing.tried, matters }
}

/** The same search in one pair of hands, which makes one trial after the other. */
export function* searchOrder(
  { coarse, fine, judges }: SearchStages,
  options: Partial<SearchOptions> = {},
): Generator<SearchProgress, SearchResult> {
  const use = { ...searchDefaults, ...options }
  const search = orderSearch({ ...fine, judges: judges.length }, use)
  let round = search.next()
  while (round.done !== true) {
    const rehearsals: Rehearsal[] = []
    for (const trial of round.value.trials) {
      const stage = trial.on === 'coarse' ? coarse : trial.on === 'fine' ? fine : judges[trial.on]!
      rehearsals.push(rehearseTrial(stage, trial, use))
      yield progressIn(round.value, rehearsals.length)
    }
    round = search.next(rehearsals)
  }
  return round.value
}

/** How a search stands when so many trials of a round are made. */
export function progressIn({ tried, planned, best, trouble }: SearchRound, made: number): SearchProgress {
  return {
    share: (tried + made) / planned,
    tried: tried + made,
    best: best === null ? null : orderWords(best),
    trouble,
  }
}

type Standing = { -readonly [K in Exclude<keyof SearchRound, 'trials'>]: SearchRound[K] }

/** Has trials made, and counts them. */
function* made(standing: Standing, trials: readonly Trial[]): Asking<readonly Rehearsal[]> {
  if (trials.length === 0) return []
  const rehearsals = yield { ...standing, trials }
  standing.tried += trials.length
  return rehearsals
}

/** Small changes, as chance has them. */
interface Changes {
  of(order: LayOrder): LayOrder
  /** One of a list, an early one rather than a late one. */
  pick<T>(list: readonly T[]): T
}

function changesOf({ form, surface }: SearchedPart, { seed, practice }: SearchOptions): Changes {
  const random = seededRandom(seed)
  const places = candidatePlaces(form, surface)
  return {
    of: (order) => changedOrder(order, places, surface.figures.areaMm2, random, practice.releaseMm),
    pick: (list) => list[Math.floor(list.length * random() ** 2)]!,
  }
}

/** Lets every order through once. */
function once() {
  const seen = new Set<string>()
  return (order: LayOrder): boolean => {
    const before = seen.size
    return seen.add(JSON.stringify(order)).size > before
  }
}

/** All schools, then changes of the best ones; the best few of all. */
function* triesOnCoarse(
  { tries, atOnce }: SearchOptions,
  changes: Changes,
  standing: Standing,
): Asking<readonly LayOrder[]> {
  const pool: { readonly order: LayOrder; readonly trouble: number }[] = []
  const keep = (order: LayOrder, { flipped, figures }: Rehearsal) =>
    pool.push({ order, trouble: flipped > 0 ? Number.POSITIVE_INFINITY : figures.trouble })
  const rank = () => {
    pool.sort((a, b) => a.trouble - b.trouble)
    pool.length = Math.min(pool.length, kept)
    standing.best = pool[0]?.order ?? null
    standing.trouble = pool[0]?.trouble ?? Number.POSITIVE_INFINITY
  }
  for (const school of yield* made(
    standing,
    schoolNames.map((order) => ({ on: 'coarse', order })),
  ))
    keep(school.order, school)
  rank()
  const isNew = once()
  for (let left = tries - schoolNames.length; left > 0; left -= atOnce) {
    const orders = Array.from({ length: Math.min(left, atOnce) }, () => changes.of(changes.pick(pool).order)).filter(
      isNew,
    )
    const rehearsals = yield* made(
      standing,
      orders.map((order) => ({ on: 'coarse', order })),
    )
    for (const [i, order] of orders.entries()) keep(order, rehearsals[i]!)
    rank()
  }
  return pool.map(({ order }) => order)
}

interface FineTries {
  /** Least trouble first. */
  readonly schools: readonly Rehearsal[]
  /** The best school that turns no film over. */
  readonly school: Rehearsal
  /** What has less trouble than it, least first. */
  readonly found: readonly Rehearsal[]
}

/** What helps on the coarse form need not on the fine one: the best few are tried there again, and changed further. */
function* triesOnFine(
  { fineTries, atOnce }: SearchOptions,
  coarse: readonly LayOrder[],
  changes: Changes,
  standing: Standing,
): Asking<FineTries> {
  const isNew = once()
  const onFine = (orders: readonly Trial['order'][]) => orders.map((order) => ({ on: 'fine', order }) as const)
  const first = coarse.slice(0, finalists).filter((order) => order.made === 'by search' && isNew(order))
  const rehearsals = yield* made(standing, onFine([...schoolNames, ...first]))
  const schools = rehearsals.slice(0, schoolNames.length).sort((a, b) => a.figures.trouble - b.figures.trouble)
  const school = schools.find(({ flipped }) => flipped === 0) ?? schools[0]!
  const found: Rehearsal[] = []
  const keep = (tried: readonly Rehearsal[]) => {
    found.push(...tried.filter((r) => r.flipped === 0 && r.figures.trouble < school.figures.trouble))
    found.sort((a, b) => a.figures.trouble - b.figures.trouble)
    const best = found[0] ?? school
    standing.best = best.order
    standing.trouble = best.figures.trouble
  }
  keep(rehearsals.slice(schoolNames.length))
  for (let left = fineTries; left > 0; left -= atOnce) {
    const best = found[0] ?? school
    const orders = Array.from({ length: Math.min(left, atOnce) }, () => changes.of(best.order)).filter(isNew)
    keep(yield* made(standing, onFine(orders)))
  }
  return { schools, school, found }
}

/** The first of those found that a hand would notice and that is better than the best school on every mesh; else that school. */
function* beforeJudges(
  { form, patterned, judges }: SearchedPart,
  { practice }: SearchOptions,
  { school, found }: FineTries,
  standing: Standing,
): Asking<Rehearsal> {
  const noticed = found.filter(({ figures }) =>
    compareOrders(form, school.figures, figures, patterned).some((difference) => difference.better),
  )
  let schoolOn: readonly Rehearsal[] = []
  for (const [i, candidate] of noticed.slice(0, heard).entries()) {
    const orders = i === 0 ? [school.order.school, candidate.order] : [candidate.order]
    // What one mesh judges stands together, so that hands need not share it.
    const trials = Array.from({ length: judges }, (_, on) => orders.map((order) => ({ on, order }))).flat()
    const rehearsals = yield* made(standing, trials)
    if (i === 0) schoolOn = rehearsals.filter((_, k) => k % 2 === 0)
    const candidateOn = i === 0 ? rehearsals.filter((_, k) => k % 2 === 1) : rehearsals
    const saved = [savedShare(school, candidate), ...candidateOn.map((other, k) => savedShare(schoolOn[k]!, other))]
    if (Math.min(...saved) > 0 && mean(saved) >= practice.worthShare) return candidate
  }
  return school
}

/** Share of the trouble of one that another saves, both on one mesh; nothing where film turns over in the other. */
const savedShare = (of: Rehearsal, other: Rehearsal) =>
  other.flipped > 0 ? 0 : (of.figures.trouble - other.figures.trouble) / Math.max(of.figures.trouble, 1e-9)

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
