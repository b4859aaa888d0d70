import type { Wash } from './heatTypes.ts'
import { type Elimination, Eliminations, ends, fromMiddle, type Slab, trapezoid } from './slab.ts'

/**
 * March of a slab in time, written down plainly: what the stacks of the kernel are held against. Space: conservative slices; time: TR-BDF2 (Bank et al. 1985), second order and damping, so that a
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
      sum = capacity[i]! * (fromMiddle * middle[i]! - (fromMiddle - 1) * before[i]!) + up[i]! * sum
      right[i] = sum
    }
    const atSurface = capacity[0]! * (fromMiddle * middle[0]! - (fromMiddle - 1) * before[0]!) + up[0]! * sum
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
const cameIn = (seconds: number, atStart: number, between: number, atEnd: number) =>
  seconds * (ends * (atStart + between) + trapezoid * atEnd)
