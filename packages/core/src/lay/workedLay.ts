import { checkSheet, type TriangleMesh } from '../geometry/index.ts'
import { singularValues2x2 } from '../numerics/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import { badTrianglesOf, heapsOf } from './internal/badSpot.ts'
import { finishLay } from './internal/finishLay.ts'
import { type LayOperator, layOperator } from './internal/layOperator.ts'
import { intoBox, letOff, outsideBox } from './internal/localSteps.ts'
import { startingLay } from './internal/startingLay.ts'
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
  const operator = layOperator(mesh)
  const natural = settle(operator, startingLay(mesh, operator), naturalDefaults)
  if (!natural.settled) return refused(failure('LAY_NOT_SETTLED', { movingMm: natural.movingMm, steps: natural.steps }))
  onProgress(0.15)

  const off = badTrianglesOf(operator, natural.uv)
  const search = boxSearch(operator, natural.uv, mostStepsEach, off)
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
  const box: Box = { least: 1 / largest, most: 1 / (1 - compression) }
  const quiet = leastTotal(operator, uv, box, off, 2 * mostStepsEach, (share) => onProgress(0.7 + 0.3 * share))
  const chosen = closerToBox(operator, quiet, uv, box, off)
  scaleInto(operator, chosen, box.most, off)
  compression = Math.max(compression, withinLimit(operator, chosen, limit, off))
  const lay = finishLay('worked', mesh, operator, {
    uv: chosen,
    movingMm: natural.movingMm,
    steps: natural.steps + steps,
  })
  return done({
    ...lay,
    neededStretch,
    leftCompression: compression,
    badSpots: spotsOf(operator, lay, heapsOf(mesh, off)),
  })
}

/** Allowed singular values of surface -> flat. */
interface Box {
  readonly least: number
  readonly most: number
}

function boxSearch(operator: LayOperator, start: Float64Array, mostSteps: number, off: readonly number[]) {
  const offBox = new Set(off)
  const matrices = new Float64Array(4 * operator.triangles)
  operator.matricesOf(start, matrices)
  let steps = 0

  const tryBox = (from: Float64Array, box: Box, tolerance: number): Float64Array | null => {
    const found = fitIntoBox(operator, from, box, off, tolerance, mostSteps)
    steps += found.steps
    return found.uv
  }

  return {
    leastStretch(most: number, fineness: number, onProgress: (share: number) => void): [number, Float64Array, number] {
      operator.matricesOf(start, matrices)
      const range = rangeOf(matrices, offBox)
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
      operator.matricesOf(start, matrices)
      const range = rangeOf(matrices, offBox)
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

/** Smallest and largest singular value of all that are held. */
function rangeOf(matrices: Float64Array, off: ReadonlySet<number>): Box {
  let least = Number.POSITIVE_INFINITY
  let most = 0
  for (let i = 0; i < matrices.length; i += 4) {
    if (off.has(i >> 2)) continue
    const [larger, smaller] = singularValues2x2(matrices[i]!, matrices[i + 1]!, matrices[i + 2]!, matrices[i + 3]!)
    if (smaller < least) least = smaller
    if (larger > most) most = larger
  }
  return { least, most }
}

/** Film coordinates on their way into a box: one step carries them towards it and pulls their stretches towards 1. */
function boxStepper(operator: LayOperator, from: Float64Array, box: Box, off: readonly number[], pull: number) {
  const offBox = new Set(off)
  const size = 4 * operator.triangles
  const matrices = new Float64Array(size)
  const carried = new Float64Array(size)
  const shifted = new Float64Array(size)
  const wanted = new Float64Array(size)
  const uv = from.slice()
  operator.matricesOf(uv, matrices)
  return {
    uv,
    /** How far outside the box the worst stretch is now. */
    outside: () => outsideBox(matrices, box.least, box.most, offBox),
    step() {
      for (let i = 0; i < size; i++) shifted[i] = matrices[i]! + carried[i]!
      intoBox(shifted, box.least, box.most, pull, wanted)
      letOff(shifted, off, pull, wanted)
      for (let i = 0; i < size; i++) {
        const gap = shifted[i]! - wanted[i]!
        carried[i] = gap
        wanted[i]! -= gap
      }
      operator.nearestTo(wanted, uv)
      operator.matricesOf(uv, matrices)
    },
  }
}

/** How often the search looks whether the worst stretch still falls fast enough to get inside in time. */
const lookEvery = 16
/** How far above the tolerance the expected end may lie before the search gives up early. */
const hopeless = 1.5

/** Douglas-Rachford steps towards film coordinates whose stretches all lie in the box; null when it seems empty. */
function fitIntoBox(
  operator: LayOperator,
  from: Float64Array,
  box: Box,
  off: readonly number[],
  tolerance: number,
  mostSteps: number,
): { uv: Float64Array | null; steps: number } {
  const film = boxStepper(operator, from, box, off, 0)
  let before = Number.POSITIVE_INFINITY
  for (let step = 1; step <= mostSteps; step++) {
    const outside = film.outside()
    if (outside < tolerance) return { uv: film.uv, steps: step }
    if (step % lookEvery === 0) {
      const rest = (mostSteps - step) / lookEvery
      if (outside * Math.min(1, outside / before) ** rest > hopeless * tolerance) return { uv: null, steps: step }
      before = outside
    }
    film.step()
  }
  return { uv: null, steps: mostSteps }
}

const penalty = 4

/** The least total stretch inside the box, from a lay that is (nearly) inside it. */
function leastTotal(
  operator: LayOperator,
  from: Float64Array,
  box: Box,
  off: readonly number[],
  steps: number,
  onProgress: (share: number) => void,
): Float64Array {
  const film = boxStepper(operator, from, box, off, 1 / (1 + penalty))
  for (let step = 0; step < steps; step++) {
    film.step()
    if (step % 20 === 0) onProgress(step / steps)
  }
  return film.uv
}

function closerToBox(
  operator: LayOperator,
  quiet: Float64Array,
  safe: Float64Array,
  box: Box,
  off: readonly number[],
): Float64Array {
  const matrices = new Float64Array(4 * operator.triangles)
  operator.matricesOf(quiet, matrices)
  const tolerance = Math.max(0.02 * (1 - box.least), 2e-4)
  return outsideBox(matrices, box.least, box.most, new Set(off)) <= tolerance ? quiet : safe
}

/** Shrinks the flat film until no triangle that is held is compressed beyond the box. */
function scaleInto(operator: LayOperator, uv: Float64Array, most: number, off: readonly number[]): void {
  const matrices = new Float64Array(4 * operator.triangles)
  operator.matricesOf(uv, matrices)
  const over = outsideBox(matrices, Number.NEGATIVE_INFINITY, most, new Set(off))
  if (over > 0) scale(uv, most / (most + over))
}

/**
 * Where that stretches it further than the film goes: lets the flat film out again until its limit holds exactly, and gives
 * what stays compressed by that; 0 where nothing had to be let out.
 */
function withinLimit(operator: LayOperator, uv: Float64Array, limit: number, off: readonly number[]): number {
  const matrices = new Float64Array(4 * operator.triangles)
  operator.matricesOf(uv, matrices)
  const { least, most } = rangeOf(matrices, new Set(off))
  if (least * limit >= 1) return 0
  const out = 1 / (least * limit)
  scale(uv, out)
  return 1 - 1 / (most * out)
}

function scale(uv: Float64Array, by: number): void {
  for (let i = 0; i < uv.length; i++) uv[i]! *= by
}

function spotsOf({ area }: LayOperator, { stretch }: Lay, heaps: readonly (readonly number[])[]): BadSpot[] {
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
