import { coverage, type CoveredPart, type PiecePattern, type PlacedPiece } from '@truelay/core/align'
import { cutsOf, layNaturally, layWorked, orderOnPart } from '@truelay/core/lay'
import type { CutsAdvice, LaidPart, LayInput, NaturalPart, OrderOnPart } from '@truelay/core/lay'
import { heatCoursesOf, holdUp, orderPractice, placeOn, planWork } from '@truelay/core/plan'
import type { HeatCourseOfUse, SweptUse, HeldUp, PartPlan, PlacedPart, PlaceInput, Today } from '@truelay/core/plan'
import type { WorkInput } from '@truelay/core/plan'
import { done, type Result } from '@truelay/core/result'
import { enlargePattern, type GrowthByEdge } from '@truelay/core/stock'
import { expose } from 'comlink'
import { firstAnswer, shownPlacement, workedAnswer } from './layWork.ts'
import type { FirstAnswer, ShownPlacement, WorkedAnswer } from './layWork.ts'

let natural: { readonly input: LayInput; readonly part: NaturalPart } | null = null
let laid: LaidPart | null = null
let placed: { readonly key: string; readonly part: PlacedPart } | null = null

const needed = <T>(storey: T | null): T => {
  if (storey === null) throw new RangeError('a storey was asked before the one below it')
  return storey
}

/** The placing of the laid part; asked again with the same input it is known. */
function placedFor(input: PlaceInput): Result<PlacedPart> {
  const key = JSON.stringify(input)
  if (placed?.key === key) return done(placed.part)
  const result = placeOn(needed(laid), input)
  if (result.ok) placed = { key, part: result.value }
  return result
}
const then = <A, B>(result: Result<A>, next: (value: A) => Result<B>): Result<B> =>
  result.ok ? next(result.value) : result

/** Carries messages; the work is done by the core, one storey of a part after the other. */
const layWorker = {
  begin: (input: LayInput): Result<FirstAnswer> =>
    then(layNaturally(input.form), (part) => {
      natural = { input, part }
      return done(firstAnswer(part, input.film))
    }),
  finish: (onProgress: (share: number) => void): Result<WorkedAnswer> =>
    then(layWorked(needed(natural).part, needed(natural).input, onProgress), (part) => {
      laid = part
      return done(workedAnswer(part))
    }),
  place: (place: PlaceInput): Result<ShownPlacement> => then(placedFor(place), (p) => done(shownPlacement(p))),
  plan: (place: PlaceInput, work: WorkInput, today: Today): Result<PartPlan> =>
    then(placedFor(place), (part) => planWork(part, { ...work, ...today })),
  enlarge: (place: PlaceInput, growth: GrowthByEdge): Result<PiecePattern> =>
    then(placedFor(place), ({ pattern, part, registered }) => done(enlargePattern(pattern, part, registered, growth))),
  holdUp: (place: PlaceInput, work: WorkInput): Result<HeldUp> =>
    then(placedFor(place), (part) => holdUp(part, place, work.film, work.practice)),
  inOrder: (input: LayInput, work: WorkInput): Result<OrderOnPart> =>
    orderOnPart(input, work.schools.begin, orderPractice(work.practice)),
  covered: (part: CoveredPart, piece: PlacedPiece): number => coverage(part, piece).covered,
  cuts: (input: LayInput, limit: number, onProgress: (share: number) => void): Result<CutsAdvice> =>
    cutsOf(input, limit, onProgress),
  heatCourses: (uses: readonly SweptUse[], work: WorkInput, today: Today): Result<HeatCourseOfUse[]> =>
    heatCoursesOf(needed(laid), uses, work, today),
}

export type LayWorker = typeof layWorker
expose(layWorker)
