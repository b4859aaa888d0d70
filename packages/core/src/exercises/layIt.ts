import { type FormDoc, formSize, type PartSurface } from '../form/index.ts'
import { boundsOf, distance, type Vec2 } from '../geometry/index.ts'
import {
  candidatePlaces,
  compareOrders,
  edgeLine,
  type LayOrder,
  type NamedSpot,
  orderDefaults,
  orderWords,
  type PullsAllowed,
  pullsAllowed,
  type Rehearsal,
  type RehearsalFigures,
} from '../lay/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { name, paragraph, say } from '../say/index.ts'
import { between, type ExerciseLevel, type Verdict } from './exercise.ts'
import { makePart } from './makePart.ts'

/** On smaller parts the order seldom changes much, mm. */
const worthLaying = orderDefaults.smallMm
/** One in so many is a part that the shop has measured, from the second level on. */
const oneInOwn = 3

/** A part never seen. */
export interface LayTask {
  readonly level: ExerciseLevel
  readonly seed: number
  readonly form: FormDoc
}

/** A part made from the seed, or one of those that the shop has measured: the same seed in the same shop is the same part. */
export function makeLay(seed: number, level: ExerciseLevel, ofShop: readonly FormDoc[] = []): LayTask {
  const chance = seededRandom(seed)
  const made = makePart(chance, level)
  const own = ofShop
    .filter((form) => {
      const { widthMm, heightMm } = formSize(form)
      return Math.max(widthMm, heightMm) >= worthLaying
    })
    .sort((a, b) => a.id.localeCompare(b.id))
  const takes = level > 1 && chance() < 1 / oneInOwn
  const form = takes ? own[Math.floor(chance() * own.length)] : undefined
  return { level, seed, form: form ?? made }
}

/** How the front runs from where it begins. */
export const runs = ['outward', 'flats first', 'round and round'] as const
export type Run = (typeof runs)[number]
/** How far one stroke goes. */
export const strokes = ['short', 'middle', 'long'] as const
export type Stroke = (typeof strokes)[number]
/** How far film is drawn before a spot is fixed. */
export const draws = ['floats', 'half', 'taut'] as const
export type Draw = (typeof draws)[number]

/** A spot that a hand fixes, of the places that the part has. */
export interface HandAnchor {
  readonly place: number
  readonly draw: Draw
}

/** An order of laying as a learner says it. */
export interface HandOrder {
  /** In the order in which they are fixed; at least one. */
  readonly anchors: readonly HandAnchor[]
  /** An edge from which the front starts; null: from the first spot. */
  readonly edge: string | null
  readonly run: Run
  readonly stroke: Stroke
  /** What is done where a stroke leaves too much film. */
  readonly pulls: PullsAllowed
}

/** More spots than that no two hands fix before anything is swept. */
export const mostAnchors = 6

/** Shares of the part's longer side that a stroke lays. */
const strokeShare: Readonly<Record<Stroke, number>> = { short: 1 / 16, middle: 1 / 10, long: 1 / 5 }
const pullShare: Readonly<Record<Draw, number>> = { floats: 0, half: 0.5, taut: 1 }

/** Spots at which a hand could fix film, numbered from the upper left, row by row. */
export function placesToFix({ form }: Pick<LayTask, 'form'>, surface: PartSurface): NamedSpot[] {
  const { min, max } = boundsOf(surface.outline.polygon)
  const row = ([, y]: Vec2) => Math.round((4 * (max[1] - y)) / (max[1] - min[1]))
  return [...candidatePlaces(form, surface).spots].sort((a, b) => row(a.at) - row(b.at) || a.at[0] - b.at[0])
}

/** The nearest place to where somebody points. */
export const placeNear = (places: readonly NamedSpot[], at: Vec2): number =>
  places.reduce((best, one, i) => (distance(one.at, at) < distance(places[best]?.at ?? at, at) ? i : best), 0)

/** What is said, as an order that can be rehearsed. */
export function orderOfHand({ form }: Pick<LayTask, 'form'>, surface: PartSurface, hand: HandOrder): LayOrder {
  const places = placesToFix({ form }, surface)
  const anchors = hand.anchors.slice(0, mostAnchors).flatMap(({ place, draw }) => {
    const spot = places[place]
    return spot === undefined ? [] : [{ label: spot.label, at: spot.at, pullShare: pullShare[draw] }]
  })
  const { min, max } = boundsOf(surface.outline.polygon)
  const label = form.edges.find((edge) => edge.name === hand.edge)?.label
  const fromEdge = hand.edge !== null && label !== undefined && hand.run !== 'round and round'
  return {
    school: 'centre out',
    made: 'by search',
    anchors,
    from: fromEdge ? edgeLine(surface, hand.edge) : anchors.slice(0, 1).map((one) => one.at),
    fromLabel: fromEdge ? say`the ${name(label)}` : null,
    flatFirst: hand.run === 'flats first' ? 1 : 0,
    spiral: hand.run === 'round and round',
    strokeMm: strokeShare[hand.stroke] * Math.max(max[0] - min[0], max[1] - min[1]),
  }
}

/** An order that somebody says who knows nothing of it. */
export function anyHandOrder({ form }: Pick<LayTask, 'form'>, places: number, chance: () => number): HandOrder {
  const pick = <T>(list: readonly T[], fallback: T): T => list[Math.floor(chance() * list.length)] ?? fallback
  const left = Array.from({ length: places }, (_, i) => i)
  const anchors = Array.from({ length: Math.min(places, 1 + Math.floor(3 * chance())) }, () => ({
    place: left.splice(Math.floor(chance() * left.length), 1)[0] ?? 0,
    draw: pick(draws, 'floats'),
  }))
  const edges = [null, ...form.edges.map((edge) => edge.name)]
  return {
    anchors,
    edge: pick(edges, null),
    run: pick(runs, 'outward'),
    stroke: pick(strokes, 'middle'),
    pulls: pick(pullsAllowed, 'cold'),
  }
}

/** Against what an order is marked, all on one mesh. */
export interface LayReference {
  /** The best of the schools and of what a search found. */
  readonly best: Pick<Rehearsal, 'order' | 'figures'>
  /** Trouble of orders that were said at random, pulled as well as film can be: what counts is the order. */
  readonly randomTrouble: readonly number[]
}

/** How many orders at random tell what knowing nothing comes to. */
export const randomOrders = 9

/** An order that comes so near to the best makes no difference to a hand. */
const asGood = 1.06

/** How much of the way from what chance does to the best that was found. */
export function markLay(
  { form }: Pick<LayTask, 'form'>,
  mine: { readonly figures: RehearsalFigures; readonly flipped: number },
  { best, randomTrouble }: LayReference,
): Verdict {
  if (mine.flipped > 0)
    return { share: 0, says: [say`Film laid so folds over itself: that is no lay.`, bestWas(best.order)] }
  const sorted = [...randomTrouble].sort((a, b) => a - b)
  // Hardly one in five that know nothing does better than this.
  const chance = Math.max(asGood * best.figures.trouble + 1e-6, sorted[Math.floor(sorted.length / 5)] ?? 0)
  const share = between(mine.figures.trouble, chance, asGood * best.figures.trouble)
  if (share === 1) return { share, says: [say`No order that was found lays it better.`] }
  const gains = compareOrders(form, mine.figures, best.figures)
    .filter((one) => one.better)
    .slice(0, 3)
  const own = compareOrders(form, best.figures, mine.figures).find((one) => one.better)
  return {
    share,
    says: [
      gains.length === 0
        ? say`A better order was found; by a little of everything.`
        : say`By the best order that was found: ${paragraph(...gains.map((one) => one.says))}`,
      bestWas(best.order),
      ...(own === undefined ? [] : [say`In this yours is better: ${own.says}`]),
    ],
  }
}

const bestWas = (order: LayOrder) => say`Best found: ${orderWords(order)}`
