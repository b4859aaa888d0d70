import type { Layer } from './heatTypes.ts'

/**
 * A stack of layers cut into thin slices, seen in one dimension: nodes at the surface, at every joint and between; each
 * carries half of the slices beside it. Slices grow with depth, since heat spreads as it goes down.
 */
export interface Slab {
  /** Depth of each node, mm; the first is the surface, the last the back. */
  readonly depthMm: Float64Array
  /** Heat that one kelvin stores at each node, J/(m²·K). */
  readonly capacityJm2K: Float64Array
  /** Between a node and the next, W/(m²·K). */
  readonly conductanceWm2K: Float64Array
  /** Number of the node at the bottom of the top layer. */
  readonly underTop: number
  /** Conductivity times thickness of what each node stands for: what it hands on sideways, W/K. */
  readonly sidewaysWK: Float64Array
}

export interface Slices {
  readonly firstSliceMm: number
  /** Of a slice, with each millimetre of depth. */
  readonly growth: number
  /** Of each layer. */
  readonly fewestSlices: number
  /** A layer that conducts better than this is as warm at its top as at its bottom, and one slice, W/(m·K). */
  readonly wholeFromWmK: number
}
const planSlices: Slices = {
  firstSliceMm: 0.025,
  growth: 0.12,
  fewestSlices: 4,
  wholeFromWmK: Number.POSITIVE_INFINITY,
}

/** Cuts layers into slices, top layer first. `finer` divides every slice, to see what the slicing costs. */
export function slabOf(layers: readonly Layer[], finer = 1, slices = planSlices): Slab {
  const depthMm = [0]
  const capacity = [0]
  const conductance: number[] = []
  const sideways = [0]
  let top = 0
  let underTop = 0
  layers.forEach((layer, number) => {
    const whole = layer.conductivityWmK > slices.wholeFromWmK
    for (const thicknessMm of whole ? [layer.thicknessMm] : slicesOf(top, layer.thicknessMm, finer, slices)) {
      const last = capacity.length - 1
      const half = ((thicknessMm / 1000) * layer.densityKgm3 * layer.specificHeatJkgK) / 2
      capacity[last] = (capacity[last] ?? 0) + half
      capacity.push(half)
      const along = ((thicknessMm / 1000) * layer.conductivityWmK) / 2
      sideways[last] = (sideways[last] ?? 0) + along
      sideways.push(along)
      conductance.push(layer.conductivityWmK / (thicknessMm / 1000))
      depthMm.push((depthMm[last] ?? 0) + thicknessMm)
    }
    top += layer.thicknessMm
    if (number === 0) underTop = capacity.length - 1
  })
  return {
    depthMm: Float64Array.from(depthMm),
    capacityJm2K: Float64Array.from(capacity),
    conductanceWm2K: Float64Array.from(conductance),
    underTop,
    sidewaysWK: Float64Array.from(sideways),
  }
}

function slicesOf(
  topMm: number,
  thicknessMm: number,
  finer: number,
  { firstSliceMm, growth, fewestSlices }: Slices,
): number[] {
  const wished: number[] = []
  let sum = 0
  while (sum < thicknessMm) {
    const slice = Math.min(firstSliceMm + growth * (topMm + sum), thicknessMm / fewestSlices)
    wished.push(slice)
    sum += slice
  }
  return wished.flatMap((slice) => new Array<number>(finer).fill((slice * thicknessMm) / sum / finer))
}

/** TR-BDF2: the second stage ends at the share of the step at which both stages weigh alike. */
const gamma = 2 - Math.SQRT2
export const trapezoid = gamma / 2
/** Share of what flows at the start and in between. */
export const ends = Math.SQRT2 / 4

/** Share of the middle in the second stage's right-hand side; of the beginning one less is taken away. */
export const fromMiddle = 1 / (gamma * (2 - gamma))

/** Elimination of (C + weight·K) from the back upwards: all of it that does not hang on the air at the surface. */
export interface Elimination {
  /** What of a node's right-hand side goes to the one above it. */
  readonly up: Float64Array
  /** One over the pivot of each node; of the surface, without what the air takes. */
  readonly inverse: Float64Array
  readonly surfacePivot: number
  /** What of a node's answer goes to the one below it, its pivot counted in. */
  readonly down: Float64Array
}

/** So many lengths of step are remembered; a sweep has two. */
const remembered = 4

/** Eliminations of one slab by length of step, for all marches over it. */
export class Eliminations {
  private readonly known = new Map<number, Elimination>()

  constructor(readonly slab: Slab) {}

  of(weight: number): Elimination {
    const known = this.known.get(weight)
    if (known !== undefined) return known
    if (this.known.size >= remembered) this.known.clear()
    const made = this.eliminate(weight)
    this.known.set(weight, made)
    return made
  }

  private eliminate(weight: number): Elimination {
    const { capacityJm2K: capacity, conductanceWm2K: conductance } = this.slab
    const last = capacity.length - 1
    const up = new Float64Array(last + 1)
    const inverse = new Float64Array(last + 1)
    const down = new Float64Array(last + 1)
    let pivot = capacity[last]! + weight * conductance[last - 1]!
    for (let i = last - 1; i >= 0; i--) {
      inverse[i + 1] = 1 / pivot
      const below = weight * conductance[i]!
      down[i + 1] = below / pivot
      up[i] = below / pivot
      pivot = capacity[i]! + below + (i === 0 ? 0 : weight * conductance[i - 1]!) - up[i]! * below
    }
    inverse[0] = 1 / pivot
    return { up, inverse, surfacePivot: pivot, down }
  }
}

/** Where the second stage of a step stands, as a share of it. */
export const secondStage = gamma
