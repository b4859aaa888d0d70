import { checkSheet, type TriangleMesh } from '../geometry/index.ts'
import { type FilmSystem, inKernel, type StretchRange } from '../kernel/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import { badTrianglesOf, heapsOf } from './internal/badSpot.ts'
import { finishLay } from './internal/finishLay.ts'
import { startingLay } from './internal/startingLay.ts'
import { freely, wholeFilm } from './internal/wholeFilm.ts'
import type { Lay } from './layTypes.ts'
import { naturalDefaults, settle } from './naturalLay.ts'
import { type FilmHandling, usualHandling } from './handling/filmHandling.ts'

export interface WorkedOptions {
  /** Compression the film takes up without a finger, ratio; 0.006 = 0.6 %. */
  readonly take: number
  /** Most that the film can be stretched, ratio above 1; beyond it some compression above `take` is left over. */
  readonly limit: number
  /** How much of the largest stretch (its part above 1) may be given away to keep the rest of the film quiet. */
  readonly slackShare: number
  /** How finely the least largest stretch is sought, as a share of its part above 1. */
  readonly fineness: number
  readonly mostStepsEach: number
}

export const workedDefaults: WorkedOptions = {
  take: usualHandling.take,
  limit: Number.POSITIVE_INFINITY,
  slackShare: 0.03,
  fineness: 0.01,
  mostStepsEach: 160,
}

/** What a film lets a worked lay do: its own compression without a finger, and its most stretch, warm. */
export const workedOptions = ({ take, warmStretch }: FilmHandling): Pick<WorkedOptions, 'take' | 'limit'> => ({
  take,
  limit: 1 + warmStretch,
})

/** A small spot that a piece is laid without, since nothing that the rest could give would help it. */
export interface BadSpot {
  /** Its worst triangle. */
  readonly triangle: number
  /** Largest stretch and largest compression there, ratios. */
  readonly stretch: number
  readonly compression: number
  readonly areaMm2: number
}

export interface WorkedLay extends Lay {
  /** The least largest stretch that leaves no triangle compressed below `take`, but for bad spots, ratio. */
  readonly neededStretch: number
  /** The hardest first. */
  readonly badSpots: readonly BadSpot[]
  /** Compression that is left because the film cannot be stretched enough; `take` when it can. */
  readonly leftCompression: number
}

/**
 * What hands and heat can do: no triangle compressed by more than `take`; among those lays the least largest
 * stretch (sought by halving an interval; each question "can it be laid within this box?" is answered by
 * Douglas-Rachford steps on the factored Laplacian); and among lays within `slackShare` of that, the least stretch in
 * total (ADMM; Boyd et al., "Distributed optimization and statistical learning via the alternating direction method
 * of multipliers", 2011). The result is scaled by the last remaining fraction so that `take` holds exactly, or where the film
 * is at its limit, so that this does. Small spots that fit far worse than all else are let off: they are told, and do not
 * stretch the whole piece.
 *
 * The problem is not convex: that no better lay exists is not proven, except where a closed form is known.
 * Can be refused: what `checkSheet` finds, `LAY_TAKE_OUT_OF_RANGE`, `LAY_NOT_SETTLED`.
 */
export function workedLay(
  mesh: TriangleMesh,
  options: Partial<WorkedOptions> = {},
  onProgress: (share: number) => void = () => {},
): Result<WorkedLay> {
  const { take, limit, slackShare, fineness, mostStepsEach } = { ...workedDefaults, ...options }
  if (!(take >= 0 && take <= 0.2)) return refused(failure('LAY_TAKE_OUT_OF_RANGE', { take }))
  const sheet = checkSheet(mesh, { holesExpected: true })
  if (!sheet.ok) return sheet
  return inKernel(() => {
    const film = wholeFilm(mesh)
    const natural = settle(film, startingLay(mesh, film), naturalDefaults)
    if (!natural.settled)
      return refused(failure('LAY_NOT_SETTLED', { movingMm: natural.movingMm, steps: natural.steps }))
    onProgress(0.15)

    const off = badTrianglesOf(film, natural.uv)
    film.letOff(off)
    const search = boxSearch(film, natural.uv, mostStepsEach)
    const most = 1 / (1 - take)
    let compression = take
    let [needed, uv, steps] = search.leastStretch(most, fineness, (share) => onProgress(0.15 + 0.55 * share))
    const neededStretch = needed
    if (needed > limit) {
      ;[compression, uv, steps] = search.leastCompression(limit, take, fineness)
      needed = limit
    }
    // Slack is given away only where the film itself has some left.
    const largest = Math.min(1 + (needed - 1) * (1 + slackShare), Math.max(needed, limit))
    const box: StretchRange = { least: 1 / largest, most: 1 / (1 - compression) }
    const quiet = leastTotal(film, uv, box, 2 * mostStepsEach, (share) => onProgress(0.7 + 0.3 * share))
    const mended = isNear(film, quiet, box) ? { uv: quiet, steps: 0 } : backInto(film, quiet, box, mostStepsEach)
    const chosen = mended.uv ?? uv
    steps += mended.steps
    scaleInto(film, chosen, box.most)
    compression = Math.max(compression, withinLimit(film, chosen, limit))
    const lay = finishLay('worked', film, {
      uv: chosen,
      movingMm: natural.movingMm,
      steps: natural.steps + steps,
    })
    return done({
      ...lay,
      neededStretch,
      leftCompression: compression,
      badSpots: spotsOf(film, lay, heapsOf(mesh, off)),
    })
  })
}

function boxSearch(film: FilmSystem, start: Float64Array, mostSteps: number) {
  let steps = 0
  const tryBox = (from: Float64Array, box: StretchRange, tolerance: number): Float64Array | null => {
    const found = fitIntoBox(film, from, box, tolerance, mostSteps)
    steps += found.steps
    return found.uv
  }

  return {
    leastStretch(most: number, fineness: number, onProgress: (share: number) => void): [number, Float64Array, number] {
      const range = rangeOf(film, start)
      const shrink = Math.min(1, most / range.most)
      let best: Float64Array = start.map((x) => x * shrink)
      let high = Math.max(1, 1 / (range.least * shrink))
      let low = 1
      const goal = () => Math.max(fineness * (high - 1), 1e-4)
      const width = high - low
      while (high - low > goal()) {
        const middle = (low + high) / 2
        const found = tryBox(best, { least: 1 / middle, most }, 0.25 * goal())
        if (found) {
          best = found
          high = middle
        } else low = middle
        onProgress(1 - (high - low) / Math.max(width, 1e-9))
      }
      return [high, best, steps]
    },
    leastCompression(limit: number, take: number, fineness: number): [number, Float64Array, number] {
      const range = rangeOf(film, start)
      const grow = Math.max(1, 1 / limit / range.least)
      let best: Float64Array = start.map((x) => x * grow)
      let high = 1 - 1 / (range.most * grow)
      let low = take
      while (high - low > Math.max(fineness * high, 1e-4)) {
        const middle = (low + high) / 2
        const found = tryBox(best, { least: 1 / limit, most: 1 / (1 - middle) }, 0.25 * Math.max(fineness * high, 1e-4))
        if (found) {
          best = found
          high = middle
        } else low = middle
      }
      return [high, best, steps]
    },
  }
}

/** Smallest and largest singular value of all that are held, where the film lies so. */
function rangeOf(film: FilmSystem, uv: Float64Array): StretchRange {
  film.put(uv)
  film.measure()
  return film.range()
}

/** How far outside the box the worst stretch is. */
const outsideOf = (range: StretchRange, box: StretchRange) =>
  Math.max(0, range.most - box.most, box.least - range.least)

/** One step towards a box; what misses it is carried on in full. */
function step(film: FilmSystem, box: StretchRange, softness: number): void {
  const off = { ...freely, softness: Math.max(softness, freely.softness) }
  film.wantBox({ box, softness, off, mostCarried: Number.POSITIVE_INFINITY })
  film.solve()
  film.move()
  film.measure()
}

function begin(film: FilmSystem, from: Float64Array): void {
  film.put(from)
  film.carryNothing()
  film.measure()
}

function taken(film: FilmSystem): Float64Array {
  const uv = new Float64Array(2 * film.vertices)
  film.take(uv)
  return uv
}

/** How often the search looks whether the worst stretch still falls fast enough to get inside in time. */
const lookEvery = 16
/** How far above the tolerance the expected end may lie before the search gives up early. */
const hopeless = 1.5

/** Douglas-Rachford steps towards film coordinates whose stretches all lie in the box; null when it seems empty. */
function fitIntoBox(
  film: FilmSystem,
  from: Float64Array,
  box: StretchRange,
  tolerance: number,
  mostSteps: number,
): { uv: Float64Array | null; steps: number } {
  begin(film, from)
  let before = Number.POSITIVE_INFINITY
  for (let count = 1; count <= mostSteps; count++) {
    const outside = outsideOf(film.range(), box)
    if (outside < tolerance) return { uv: taken(film), steps: count }
    if (count % lookEvery === 0) {
      const rest = (mostSteps - count) / lookEvery
      if (outside * Math.min(1, outside / before) ** rest > hopeless * tolerance) return { uv: null, steps: count }
      before = outside
    }
    step(film, box, 0)
  }
  return { uv: null, steps: mostSteps }
}

const penalty = 4

/** How often the steps to the least total are looked at, and how little the film has moved since then when they have come to rest. */
const restEvery = 20
const restMm = 0.01

/** The least total stretch inside the box, from a lay that is (nearly) inside it; no more than so many steps. */
function leastTotal(
  film: FilmSystem,
  from: Float64Array,
  box: StretchRange,
  steps: number,
  onProgress: (share: number) => void,
): Float64Array {
  begin(film, from)
  let before = from
  for (let count = 1; count <= steps; count++) {
    step(film, box, 1 / (1 + penalty))
    if (count % restEvery !== 0) continue
    onProgress(count / steps)
    const now = taken(film)
    const inside = outsideOf(film.range(), box) < mendable(box) / 4
    if (inside && now.every((mm, i) => Math.abs(mm - before[i]!) < restMm)) return now
    before = now
  }
  return taken(film)
}

/** How far outside a box a lay may be that a last scaling mends. */
const mendable = (box: StretchRange) => Math.max(0.02 * (1 - box.least), 2e-4)

/** Whether the lay is inside the box, but for what a last scaling mends. */
const isNear = (film: FilmSystem, uv: Float64Array, box: StretchRange) =>
  outsideOf(rangeOf(film, uv), box) <= mendable(box)

/**
 * A lay of little stretch that has not quite come into its box, brought there from where it is: a few steps. The lay that the search
 * ended with is in it too, but stretched all over.
 */
const backInto = (film: FilmSystem, uv: Float64Array, box: StretchRange, steps: number) =>
  fitIntoBox(film, uv, box, mendable(box), steps)

/** Shrinks the flat film until no triangle that is held is compressed beyond the box. */
function scaleInto(film: FilmSystem, uv: Float64Array, most: number): void {
  const range = rangeOf(film, uv)
  if (range.most > most) scale(uv, most / range.most)
}

/**
 * Where that stretches it further than the film goes: lets the flat film out again until its limit holds exactly, and gives
 * what stays compressed by that; 0 where nothing had to be let out.
 */
function withinLimit(film: FilmSystem, uv: Float64Array, limit: number): number {
  const { least, most } = rangeOf(film, uv)
  if (least * limit >= 1) return 0
  const out = 1 / (least * limit)
  scale(uv, out)
  return 1 - 1 / (most * out)
}

function scale(uv: Float64Array, by: number): void {
  for (let i = 0; i < uv.length; i++) uv[i]! *= by
}

function spotsOf({ area }: FilmSystem, { stretch }: Lay, heaps: readonly (readonly number[])[]): BadSpot[] {
  const misfit = (t: number) => Math.max(stretch[2 * t]! - 1, 1 - stretch[2 * t + 1]!)
  return heaps
    .map((heap) => ({
      triangle: heap.reduce((worst, t) => (misfit(t) > misfit(worst) ? t : worst)),
      stretch: Math.max(...heap.map((t) => stretch[2 * t]!)),
      compression: Math.max(0, ...heap.map((t) => 1 - stretch[2 * t + 1]!)),
      areaMm2: heap.reduce((sum, t) => sum + area[t]!, 0),
    }))
    .sort((a, b) => misfit(b.triangle) - misfit(a.triangle))
}
