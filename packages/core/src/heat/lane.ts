import type { Wash } from './heatTypes.ts'
import { type Slab, SlabMarch } from './slab.ts'

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

/** March of a lane in time: each strip by itself, then heat sideways (implicit, node by node through the depth). */
export class LaneMarch {
  readonly strips: readonly SlabMarch[]
  private readonly betweenMm: readonly number[]
  private readonly pivot: Float64Array
  private readonly right: Float64Array
  /** Nodes that conduct enough to be worth it. */
  private readonly nodes: readonly number[]

  constructor(
    private readonly lane: Lane,
    startC: number | readonly Float64Array[],
  ) {
    const { strips, slab } = lane
    this.strips = strips.map((_, i) => new SlabMarch(slab, typeof startC === 'number' ? startC : startC[i]!))
    let begin = 0
    const middles = strips.map(({ widthMm }) => {
      begin += widthMm
      return begin - widthMm / 2
    })
    this.betweenMm = middles.slice(1).map((m, i) => m - middles[i]!)
    this.pivot = new Float64Array(strips.length)
    this.right = new Float64Array(strips.length)
    const several = strips.length > 1
    this.nodes = Array.from(slab.sidewaysWK.keys()).filter((i) => several && slab.sidewaysWK[i]! > worthSidewaysWK)
  }

  /** The strip under the gun's way. */
  get middle(): SlabMarch {
    return this.strips[0]!
  }

  /** One step; the air over a strip at its start, in between (see `SlabMarch.step`) and at its end. */
  step(seconds: number, washAt: (middleMm: number, when: 0 | 1 | 2) => Wash): void {
    this.strips.forEach((strip, s) => {
      const { middleMm } = this.lane.strips[s]!
      strip.step(seconds, washAt(middleMm, 0), washAt(middleMm, 1), washAt(middleMm, 2))
    })
    for (const node of this.nodes) this.sideways(node, seconds)
  }

  /** The temperatures through each strip, to go on from. */
  slices(): Float64Array[] {
    return this.strips.map((strip) => strip.temperatureC.slice())
  }

  /** (C w + dt K) x = C w before, over all strips at one depth. */
  private sideways(node: number, seconds: number): void {
    const { pivot, right, strips, betweenMm } = this
    const { slab } = this.lane
    const capacity = slab.capacityJm2K[node]!
    const last = strips.length - 1
    const flow = (i: number) => (seconds * slab.sidewaysWK[node]!) / (betweenMm[i]! / 1000)
    for (let i = last; i >= 0; i--) {
      const stored = capacity * (this.lane.strips[i]!.widthMm / 1000)
      right[i] = stored * strips[i]!.temperatureC[node]!
      pivot[i] = stored + (i === 0 ? 0 : flow(i - 1))
      if (i === last) continue
      const out = flow(i)
      pivot[i]! += out - (out * out) / pivot[i + 1]!
      right[i]! += (out / pivot[i + 1]!) * right[i + 1]!
    }
    let x = right[0]! / pivot[0]!
    strips[0]!.temperatureC[node] = x
    for (let i = 1; i <= last; i++) {
      x = (right[i]! + flow(i - 1) * x) / pivot[i]!
      strips[i]!.temperatureC[node] = x
    }
  }
}

/** Less than this goes less far sideways in a minute than a strip is wide, W/K: a millimetre of plastic has a fiftieth of it. */
const worthSidewaysWK = 0.002
