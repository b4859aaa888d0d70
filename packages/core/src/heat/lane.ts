import {
  type AcrossStep,
  type LaidAcross,
  type LaidAir,
  type LaidStep,
  layAcross,
  layAir,
  layStep,
  type Stacks,
  stacks,
} from '../kernel/index.ts'
import type { Wash } from './heatTypes.ts'
import { Eliminations, ends, fromMiddle, type Slab, trapezoid } from './slab.ts'

/** Ends of the strips across half a lane, in widths of the warmed spot; heat that goes farther is back before it matters. */
const endsInSpots = [0.12, 0.36, 0.75, 1.4, 2.6]

/**
 * Half a lane that a gun goes along, cut into strips beside its way; the other half is its mirror image. Each strip is a
 * stack seen in one dimension; metal hands heat on from strip to strip, films and plastics do so too little to matter, but
 * are not treated otherwise.
 */
export interface Lane {
  readonly strips: readonly { readonly middleMm: number; readonly widthMm: number }[]
  readonly slab: Slab
}

/** What one gun goes over: a single lane, or a band of many beside each other, in which no heat goes sideways. */
export type Swept = 'lane' | 'band'

/** The air over a strip at the start of a step, in between and at its end. */
export type StepWashes = readonly [Wash, Wash, Wash]

/** A stack by itself, nothing beside it. */
export const alone = (slab: Slab): Lane => ({ slab, strips: [{ middleMm: 0, widthMm: 1 }] })

export function laneOf(slab: Slab, spotMm: number, swept: Swept): Lane {
  const conducts = slab.sidewaysWK.some((wk) => wk > worthSidewaysWK)
  if (swept === 'band' || !conducts) return { slab, strips: [{ middleMm: 0, widthMm: spotMm }] }
  const ends = endsInSpots.map((e) => e * spotMm)
  return {
    slab,
    strips: ends.map((end, i) => {
      const begin = i === 0 ? 0 : ends[i - 1]!
      // The first strip is seen at the gun's way itself, where it is warmest.
      return { middleMm: i === 0 ? 0 : (begin + end) / 2, widthMm: end - begin }
    }),
  }
}

/** What is laid out in the kernel for steps of one length. */
interface LaidLength {
  readonly step: LaidStep
  /** Left out where no heat goes sideways. */
  readonly across: LaidAcross | undefined
}

/**
 * March of a lane in time. Each strip by itself: TR-BDF2 (Bank et al. 1985), second order and damping, so that a sudden start leaves
 * no ringing; the surface exchanges heat with the air above it, the back is insulated. Then heat sideways, implicit, node by node
 * through the depth. Lives in the kernel's scope in which it was made.
 */
export class LaneMarch {
  private readonly stacks: Stacks
  /** Stacks in the kernel: one a strip, and the outermost twice where they are odd. */
  private readonly across: number
  private readonly eliminations: Eliminations
  private readonly laidBySeconds = new Map<number, LaidLength>()

  /** @param startC of the whole lane, or all of it as `temperatureC` gave it */
  constructor(
    private readonly lane: Lane,
    startC: number | Float64Array,
  ) {
    const { slab, strips } = lane
    this.across = 2 * Math.ceil(strips.length / 2)
    this.eliminations = new Eliminations(slab)
    this.stacks = stacks(1, this.across, slab.depthMm.length)
    const { values } = this.stacks.temperature
    if (typeof startC === 'number') values.fill(startC)
    else values.set(startC)
  }

  /** Of the strip under the gun's way. */
  get surfaceC(): number {
    return this.at(0)
  }
  get underTopC(): number {
    return this.at(this.lane.slab.underTop)
  }
  get backC(): number {
    return this.at(this.lane.slab.depthMm.length - 1)
  }
  private at(slice: number): number {
    return this.stacks.temperature.values[slice * this.across]!
  }

  /** Lays out the air of a step: over each strip at its start, at 0.586 of it, and at its end. */
  air(washes: readonly StepWashes[]): LaidAir {
    const hWm2K = new Float64Array(3 * this.across)
    const gasC = new Float64Array(3 * this.across)
    for (let when = 0; when < 3; when++)
      for (let stack = 0; stack < this.across; stack++) {
        const wash = washes[Math.min(stack, washes.length - 1)]![when]!
        hWm2K[when * this.across + stack] = wash.hWm2K
        gasC[when * this.across + stack] = wash.gasC
      }
    return layAir({ hWm2K, gasC })
  }

  /** One step. */
  step(seconds: number, air: LaidAir): void {
    const { step, across } = this.laidFor(seconds)
    this.stacks.step(step, air)
    if (across !== undefined) this.stacks.handOn(across)
  }

  /** Of every slice, depth by depth, in each strip after strip (the outermost twice where they are odd), to go on from. */
  get temperatureC(): Float64Array {
    return this.stacks.temperature.values
  }

  private laidFor(seconds: number): LaidLength {
    const known = this.laidBySeconds.get(seconds)
    if (known !== undefined) return known
    const weight = trapezoid * seconds
    const across = acrossIn(this.lane, seconds)
    const made = {
      step: layStep({
        ...this.eliminations.of(weight),
        weight,
        shareOfEnds: ends * seconds,
        fromMiddle,
        capacity: this.lane.slab.capacityJm2K,
        conductance: this.lane.slab.conductanceWm2K,
      }),
      across: across.depths > 0 ? layAcross(across) : undefined,
    }
    this.laidBySeconds.set(seconds, made)
    return made
  }
}

/** What each strip hands on to the next in a step, at the nodes that conduct enough to be worth it: eliminated from the outermost inwards. */
function acrossIn({ slab, strips }: Lane, seconds: number): AcrossStep {
  const count = strips.length
  const nodes = Array.from(slab.sidewaysWK.keys()).filter((i) => count > 1 && slab.sidewaysWK[i]! > worthSidewaysWK)
  // From middle to middle two strips are as far apart as they are wide on the average.
  const perWK = strips.map(({ widthMm }, i) =>
    i === count - 1 ? 0 : (2 * 1000 * seconds) / (widthMm + strips[i + 1]!.widthMm),
  )
  const sideways = new Float64Array(nodes.length * (1 + 4 * count))
  nodes.forEach((node, d) => {
    const number = d * (1 + 4 * count)
    const [stored, inward, inverse, outward] = [0, 1, 2, 3].map((n) => number + 1 + n * count) as Four
    sideways[number] = node
    let pivot = 1
    for (let i = count - 1; i >= 0; i--) {
      const out = perWK[i]! * slab.sidewaysWK[node]!
      const back = i === 0 ? 0 : perWK[i - 1]! * slab.sidewaysWK[node]!
      sideways[stored + i] = slab.capacityJm2K[node]! * (strips[i]!.widthMm / 1000)
      sideways[inward + i] = out / pivot
      pivot = sideways[stored + i]! + back + out - (out / pivot) * out
      sideways[inverse + i] = 1 / pivot
      sideways[outward + i] = back / pivot
    }
  })
  return { strips: count, depths: nodes.length, sideways }
}
type Four = [number, number, number, number]

/** Less than this goes less far sideways in a minute than a strip is wide, W/K: a millimetre of plastic has a fiftieth of it. */
export const worthSidewaysWK = 0.002
