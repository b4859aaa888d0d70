import type { Layer, Wash } from './heatTypes.ts'

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

/** Shares of the second stage's right-hand side: of the middle, and of the beginning (taken away). */
export const fromMiddle = 1 / (gamma * (2 - gamma))
export const fromBefore = fromMiddle - 1

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

/**
 * March of a slab in time. Space: conservative slices; time: TR-BDF2 (Bank et al. 1985), second order and damping, so that a
 * sudden start leaves no ringing. The surface exchanges heat with the air above it, the back is insulated.
 */
export class SlabMarch {
  readonly temperatureC: Float64Array
  /** What came in through the surface so far, J/m². */
  heatInJm2 = 0
  private readonly slab: Slab
  private readonly middle: Float64Array
  private readonly right: Float64Array

  /**
   * @param over a slab, or its eliminations where several marches share them
   * @param startC of every slice, or of each
   */
  constructor(over: Slab | Eliminations, startC: number | Float64Array) {
    this.eliminations = over instanceof Eliminations ? over : new Eliminations(over)
    this.slab = this.eliminations.slab
    const count = this.slab.depthMm.length
    this.temperatureC = typeof startC === 'number' ? new Float64Array(count).fill(startC) : startC.slice()
    this.middle = new Float64Array(count)
    this.right = new Float64Array(count)
  }
  private readonly eliminations: Eliminations

  get surfaceC(): number {
    return this.temperatureC[0]!
  }
  get backC(): number {
    return this.temperatureC[this.temperatureC.length - 1]!
  }
  get underTopC(): number {
    return this.temperatureC[this.slab.underTop]!
  }

  /** One step of `seconds`; the air at its start, at 0.586 of it, and at its end. */
  step(seconds: number, atStart: Wash, between: Wash, atEnd: Wash): void {
    const { temperatureC: before, middle, right } = this
    const { capacityJm2K: capacity, conductanceWm2K: conductance } = this.slab
    const last = before.length - 1
    const quarter = trapezoid * seconds
    const elimination = this.eliminations.of(quarter)
    const { up } = elimination
    // Each right-hand side is worked out from the back upwards, and eliminated in the same walk.
    const inAtStart = atStart.hWm2K * (atStart.gasC - before[0]!)
    let sum = 0
    let fromBelow = 0
    for (let i = last; i > 0; i--) {
      const fromAbove = conductance[i - 1]! * (before[i - 1]! - before[i]!)
      sum = capacity[i]! * before[i]! + quarter * (fromAbove + fromBelow) + up[i]! * sum
      right[i] = sum
      fromBelow = -fromAbove
    }
    this.solve(
      quarter,
      elimination,
      between,
      capacity[0]! * before[0]! + quarter * (inAtStart + fromBelow) + up[0]! * sum,
      middle,
    )
    const inBetween = between.hWm2K * (between.gasC - middle[0]!)
    sum = 0
    for (let i = last; i > 0; i--) {
      sum = capacity[i]! * (fromMiddle * middle[i]! - fromBefore * before[i]!) + up[i]! * sum
      right[i] = sum
    }
    const atSurface = capacity[0]! * (fromMiddle * middle[0]! - fromBefore * before[0]!) + up[0]! * sum
    this.solve(quarter, elimination, atEnd, atSurface, before)
    this.heatInJm2 += cameIn(seconds, inAtStart, inBetween, atEnd.hWm2K * (atEnd.gasC - before[0]!))
  }

  /** Solves (C + weight·K) x = right + weight·h·gas at the surface, all below it eliminated already. */
  private solve(
    weight: number,
    { inverse, surfacePivot, down }: Elimination,
    air: Wash,
    atSurface: number,
    into: Float64Array,
  ): void {
    const { right } = this
    let x = (atSurface + weight * air.hWm2K * air.gasC) / (surfacePivot + weight * air.hWm2K)
    into[0] = x
    for (let i = 1; i < into.length; i++) {
      x = right[i]! * inverse[i]! + down[i]! * x
      into[i] = x
    }
  }

  /** Heat stored above `fromC`, J/m². */
  storedJm2(fromC: number): number {
    return this.temperatureC.reduce((sum, t, i) => sum + this.slab.capacityJm2K[i]! * (t - fromC), 0)
  }
}

/** What came in through a surface in a step, J/m², from what flowed at its start, in between and at its end. */
export const cameIn = (seconds: number, atStart: number, between: number, atEnd: number) =>
  seconds * (ends * (atStart + between) + trapezoid * atEnd)

/** Where the second stage of a step stands, as a share of it. */
export const secondStage = gamma
