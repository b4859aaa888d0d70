import type { Wash } from './heatTypes.ts'
import { Eliminations, type Slab, SlabMarch } from './slab.ts'

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

/** What each strip hands on to the next at one depth and length of step: eliminated from the outermost inward. */
interface Sideways {
  readonly stored: Float64Array
  readonly inward: Float64Array
  readonly inverse: Float64Array
  readonly outward: Float64Array
}

/** March of a lane in time: each strip by itself, then heat sideways (implicit, node by node through the depth). */
export class LaneMarch {
  readonly strips: readonly SlabMarch[]
  private readonly betweenMm: readonly number[]
  private readonly right: Float64Array
  /** Nodes that conduct enough to be worth it. */
  private readonly nodes: readonly number[]
  private readonly sidewaysBySeconds = new Map<number, readonly Sideways[]>()

  constructor(
    private readonly lane: Lane,
    startC: number | readonly Float64Array[],
  ) {
    const { strips, slab } = lane
    const eliminations = new Eliminations(slab)
    this.strips = strips.map((_, i) => new SlabMarch(eliminations, typeof startC === 'number' ? startC : startC[i]!))
    let begin = 0
    const middles = strips.map(({ widthMm }) => {
      begin += widthMm
      return begin - widthMm / 2
    })
    this.betweenMm = middles.slice(1).map((m, i) => m - middles[i]!)
    this.right = new Float64Array(strips.length)
    const several = strips.length > 1
    this.nodes = Array.from(slab.sidewaysWK.keys()).filter((i) => several && slab.sidewaysWK[i]! > worthSidewaysWK)
  }

  /** The strip under the gun's way. */
  get middle(): SlabMarch {
    return this.strips[0]!
  }

  /** One step; the air over each strip at its start, in between (see `SlabMarch.step`) and at its end. */
  step(seconds: number, washes: readonly StepWashes[]): void {
    for (let s = 0; s < this.strips.length; s++) this.strips[s]!.step(seconds, ...washes[s]!)
    if (this.nodes.length === 0) return
    const sideways = this.sidewaysIn(seconds)
    for (let n = 0; n < this.nodes.length; n++) this.handOn(this.nodes[n]!, sideways[n]!)
  }

  /** The temperatures through each strip, to go on from. */
  slices(): Float64Array[] {
    return this.strips.map((strip) => strip.temperatureC.slice())
  }

  /** (C w + dt K) x = C w before, over all strips at one depth. */
  private handOn(node: number, { stored, inward, inverse, outward }: Sideways): void {
    const { right, strips } = this
    const last = strips.length - 1
    right[last] = stored[last]! * strips[last]!.temperatureC[node]!
    for (let i = last - 1; i >= 0; i--)
      right[i] = stored[i]! * strips[i]!.temperatureC[node]! + inward[i]! * right[i + 1]!
    let x = right[0]! * inverse[0]!
    strips[0]!.temperatureC[node] = x
    for (let i = 1; i <= last; i++) {
      x = right[i]! * inverse[i]! + outward[i]! * x
      strips[i]!.temperatureC[node] = x
    }
  }

  private sidewaysIn(seconds: number): readonly Sideways[] {
    const known = this.sidewaysBySeconds.get(seconds)
    if (known !== undefined) return known
    // Steps of a cooling lane grow every time: none of theirs is asked for again.
    if (this.sidewaysBySeconds.size >= 4) this.sidewaysBySeconds.clear()
    const made = this.nodes.map((node) => this.eliminate(node, seconds))
    this.sidewaysBySeconds.set(seconds, made)
    return made
  }

  private eliminate(node: number, seconds: number): Sideways {
    const { slab, strips } = this.lane
    const last = strips.length - 1
    const flow = (i: number) => (seconds * slab.sidewaysWK[node]!) / (this.betweenMm[i]! / 1000)
    const rows = {
      stored: Float64Array.from(strips, ({ widthMm }) => slab.capacityJm2K[node]! * (widthMm / 1000)),
      inward: new Float64Array(last + 1),
      inverse: new Float64Array(last + 1),
      outward: new Float64Array(last + 1),
    }
    let pivot = 0
    for (let i = last; i >= 0; i--) {
      const out = i === last ? 0 : flow(i)
      if (i < last) rows.inward[i] = out / pivot
      pivot = rows.stored[i]! + (i === 0 ? 0 : flow(i - 1)) + out - rows.inward[i]! * out
      rows.inverse[i] = 1 / pivot
      if (i > 0) rows.outward[i] = flow(i - 1) / pivot
    }
    return rows
  }
}

/** Less than this goes less far sideways in a minute than a strip is wide, W/K: a millimetre of plastic has a fiftieth of it. */
export const worthSidewaysWK = 0.002
