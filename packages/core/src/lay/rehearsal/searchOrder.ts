import { centroid, distance } from '../../geometry/index.ts'
import type { FormDoc, PartSurface } from '../../form/index.ts'
import { seededRandom } from '../../numerics/index.ts'
import { orderWords } from './compare.ts'
import { type LayOrder, type OrderAnchor, type Rehearsal, schoolNames } from './orderTypes.ts'
import { centreOf, cornersOf, deepestOf, edgeLine, flattestOf, highestOf, type NamedSpot } from './places.ts'
import { rehearse, type RehearsalOptions } from './rehearse.ts'
import type { PreparedStage } from './stage.ts'
import { type OrderPractice, orderBySchool, orderDefaults } from './schools.ts'
import { name, nothing, say, type Sentence, verbatim } from '../../say/index.ts'

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
}

/** How many orders are kept to be changed further, and how many are rehearsed on the fine form. */
const kept = 4
const finalists = 3

/**
 * Looks for a better order, better anchors and better pulls: all schools first, then small changes of the best ones (an
 * anchor more or less, drawn or not, another start, flats first, longer or shorter strokes), on a coarse form; the best few
 * and all schools are rehearsed on the fine form, and the best is changed once more there. Never worse than the best school. A generator, so that whoever runs it can
 * show progress and stop; the same seed gives the same result.
 */
export function* searchOrder(
  coarse: PreparedStage,
  fine: PreparedStage,
  options: Partial<SearchOptions> = {},
): Generator<SearchProgress, SearchResult> {
  const use = { ...searchDefaults, ...options }
  const random = seededRandom(use.seed)
  const places = candidatePlaces(coarse.form, coarse.surface)
  const work = use.tries + schoolNames.length + finalists + use.fineTries
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
    const child = changed(parent.order, places, coarse, random, use.practice.releaseMm)
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
  best = schools.find((s) => s.flipped === 0) ?? schools[0]!
  const seenFine = new Set<string>()
  for (const { order } of pool.slice(0, finalists)) {
    done++
    if (order.made === 'by school') continue
    seenFine.add(JSON.stringify(order))
    const rehearsal = rehearse(fine, order, use.rehearsal)
    if (rehearsal.flipped === 0 && rehearsal.figures.trouble < best.figures.trouble) best = rehearsal
    yield progress()
  }
  // What helps on the coarse form need not on the fine one: the last changes are judged there.
  for (let i = 0; i < use.fineTries; i++) {
    const order = changed(best.order, places, fine, random, use.practice.releaseMm)
    done++
    if (seenFine.has(JSON.stringify(order))) continue
    seenFine.add(JSON.stringify(order))
    const rehearsal = rehearse(fine, order, use.rehearsal)
    if (rehearsal.flipped === 0 && rehearsal.figures.trouble < best.figures.trouble) best = rehearsal
    yield progress()
  }
  return { best, schools, tried: done }
}

interface Places {
  readonly spots: readonly NamedSpot[]
  /** The marks that matter most, where there are several: they are fixed together. */
  readonly pair: readonly NamedSpot[]
  readonly edges: readonly { readonly label: Sentence; readonly line: LayOrder['from'] }[]
}

/** Spots at which a hand could fix film or begin: marks, corners, the flattest, deepest and highest place, the middle. */
function candidatePlaces(form: FormDoc, surface: PartSurface): Places {
  const apart = Math.sqrt(surface.figures.areaMm2) / 12
  const spots: NamedSpot[] = []
  const all = [
    ...form.marks.map(({ label, at }) => ({ label: verbatim(label), at })),
    flattestOf(form, surface),
    deepestOf(form, surface),
    ...highestOf(form, surface),
    centreOf(form, surface),
    ...cornersOf(form, surface),
    ...form.edges.map((edge) => {
      const line = edgeLine(surface, edge.name)
      const middle = line[Math.floor(line.length / 2)] ?? [0, 0]
      return { label: say`middle of the ${name(edge.label)}`, at: inward(surface, middle) }
    }),
  ]
  for (const spot of all)
    if (spots.every((s) => distance(s.at, spot.at) > apart)) spots.push({ label: spot.label, at: spot.at })
  const heaviest = Math.max(0, ...form.marks.map((m) => m.weight))
  const heavy = form.marks.filter((m) => m.weight === heaviest)
  const pair =
    heavy.length >= 2 && heavy.length <= 4 ? heavy.map(({ label, at }) => ({ label: verbatim(label), at })) : []
  return {
    spots,
    pair,
    edges: form.edges.map((e) => ({ label: say`the ${name(e.label)}`, line: edgeLine(surface, e.name) })),
  }
}

const inward = (surface: PartSurface, p: NamedSpot['at']): NamedSpot['at'] => {
  const middle = centroid(surface.outline.polygon)
  return [p[0] + 0.06 * (middle[0] - p[0]), p[1] + 0.06 * (middle[1] - p[1])]
}

/** One small change of an order; no stroke gets longer than two hands keep level. */
function changed(
  order: LayOrder,
  places: Places,
  stage: PreparedStage,
  random: () => number,
  mostMm: number,
): LayOrder {
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)]
  const asAnchor = (spot: NamedSpot, pullShare: number): OrderAnchor => ({ label: spot.label, at: spot.at, pullShare })
  const next: LayOrder = { ...order, made: 'by search' }
  const { anchors } = order
  switch (Math.floor(random() * 7)) {
    case 0: {
      // Draw the film before it is fixed, or float it on.
      const i = Math.floor(random() * anchors.length)
      const share = pick([0, 0.5, 1]) ?? 0
      return { ...next, anchors: anchors.map((a, k) => (k === i ? { ...a, pullShare: share } : a)) }
    }
    case 1:
      return { ...next, anchors: anchors.map((a) => ({ ...a, pullShare: anchors[0]?.pullShare === 1 ? 0 : 1 })) }
    case 2: {
      const spot = pick(places.spots.filter((s) => anchors.every((a) => distance(a.at, s.at) > 1)))
      if (spot === undefined || anchors.length >= 6) return next
      const share = pick([0, 1]) ?? 0
      const pair = random() < 0.3 ? places.pair.filter((s) => anchors.every((a) => distance(a.at, s.at) > 1)) : []
      if (pair.length > 0) return { ...next, anchors: [...pair.map((s) => asAnchor(s, share)), ...anchors].slice(0, 6) }
      const added = asAnchor(spot, share)
      return { ...next, anchors: random() < 0.5 ? [added, ...anchors] : [...anchors, added] }
    }
    case 3: {
      if (anchors.length < 2) return { ...next, flatFirst: order.flatFirst > 0 ? 0 : 1 }
      const i = Math.floor(random() * anchors.length)
      return { ...next, anchors: anchors.filter((_, k) => k !== i) }
    }
    case 4: {
      // Begin elsewhere: at a spot, or along an edge.
      const edge = random() < 0.4 ? pick(places.edges) : undefined
      const spot = pick(places.spots)
      if (edge !== undefined) return { ...next, from: edge.line, fromLabel: edge.label, spiral: false }
      if (spot === undefined) return next
      const rest = anchors.slice(1).filter((a) => distance(a.at, spot.at) > 1)
      return { ...next, anchors: [asAnchor(spot, 0), ...rest], from: [spot.at], fromLabel: null, spiral: false }
    }
    case 5: {
      const strokeMm = order.strokeMm * (pick([0.6, 0.8, 1.3, 1.7, 2.2]) ?? 1)
      const long = Math.sqrt(stage.surface.figures.areaMm2)
      return { ...next, strokeMm: Math.min(long, mostMm, Math.max(long / 20, strokeMm)) }
    }
    default:
      return { ...next, flatFirst: pick([0, 0.5, 1]) ?? 0 }
  }
}
