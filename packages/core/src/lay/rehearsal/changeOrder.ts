import { centroid, distance } from '../../geometry/index.ts'
import type { FormDoc, PartSurface } from '../../form/index.ts'
import { name, say, type Sentence, verbatim } from '../../say/index.ts'
import type { LayOrder, OrderAnchor } from './orderTypes.ts'
import { centreOf, cornersOf, deepestOf, edgeLine, flattestOf, highestOf, type NamedSpot } from './places.ts'

/** Where a hand could fix film or begin on a part. */
export interface CandidatePlaces {
  readonly spots: readonly NamedSpot[]
  /** The marks that matter most, where there are several: they are fixed together. */
  readonly pair: readonly NamedSpot[]
  readonly edges: readonly { readonly label: Sentence; readonly line: LayOrder['from'] }[]
}

/** Spots at which a hand could fix film or begin: marks, corners, the flattest, deepest and highest place, the middle. */
export function candidatePlaces(form: FormDoc, surface: PartSurface): CandidatePlaces {
  const apart = Math.sqrt(surface.figures.areaMm2) / 12
  const spots: NamedSpot[] = []
  const all = [
    ...form.marks.map(({ label, at }) => ({ label: verbatim(label), at })),
    flattestOf(form, surface),
    deepestOf(form, surface),
    ...highestOf(form, surface),
    centreOf(form, surface),
    ...cornersOf(form, surface),
    ...form.edges.map((edge) => {
      const line = edgeLine(surface, edge.name)
      const middle = line[Math.floor(line.length / 2)] ?? [0, 0]
      return { label: say`middle of the ${name(edge.label)}`, at: inward(surface, middle) }
    }),
  ]
  for (const spot of all)
    if (spots.every((s) => distance(s.at, spot.at) > apart)) spots.push({ label: spot.label, at: spot.at })
  const heaviest = Math.max(0, ...form.marks.map((m) => m.weight))
  const heavy = form.marks.filter((m) => m.weight === heaviest)
  const pair =
    heavy.length >= 2 && heavy.length <= 4 ? heavy.map(({ label, at }) => ({ label: verbatim(label), at })) : []
  return {
    spots,
    pair,
    edges: form.edges.map((e) => ({ label: say`the ${name(e.label)}`, line: edgeLine(surface, e.name) })),
  }
}

const inward = (surface: PartSurface, p: NamedSpot['at']): NamedSpot['at'] => {
  const middle = centroid(surface.outline.polygon)
  return [p[0] + 0.06 * (middle[0] - p[0]), p[1] + 0.06 * (middle[1] - p[1])]
}

/** One small change of an order; no stroke gets longer than two hands keep level. */
export function changedOrder(
  order: LayOrder,
  places: CandidatePlaces,
  areaMm2: number,
  random: () => number,
  mostMm: number,
): LayOrder {
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)]
  const asAnchor = (spot: NamedSpot, pullShare: number): OrderAnchor => ({ label: spot.label, at: spot.at, pullShare })
  const next: LayOrder = { ...order, made: 'by search' }
  const { anchors } = order
  switch (Math.floor(random() * 7)) {
    case 0: {
      // Draw the film before it is fixed, or float it on.
      const i = Math.floor(random() * anchors.length)
      const share = pick([0, 0.5, 1]) ?? 0
      return { ...next, anchors: anchors.map((a, k) => (k === i ? { ...a, pullShare: share } : a)) }
    }
    case 1:
      return { ...next, anchors: anchors.map((a) => ({ ...a, pullShare: anchors[0]?.pullShare === 1 ? 0 : 1 })) }
    case 2: {
      const spot = pick(places.spots.filter((s) => anchors.every((a) => distance(a.at, s.at) > 1)))
      if (spot === undefined || anchors.length >= 6) return next
      const share = pick([0, 1]) ?? 0
      const pair = random() < 0.3 ? places.pair.filter((s) => anchors.every((a) => distance(a.at, s.at) > 1)) : []
      if (pair.length > 0) return { ...next, anchors: [...pair.map((s) => asAnchor(s, share)), ...anchors].slice(0, 6) }
      const added = asAnchor(spot, share)
      return { ...next, anchors: random() < 0.5 ? [added, ...anchors] : [...anchors, added] }
    }
    case 3: {
      if (anchors.length < 2) return { ...next, flatFirst: order.flatFirst > 0 ? 0 : 1 }
      const i = Math.floor(random() * anchors.length)
      return { ...next, anchors: anchors.filter((_, k) => k !== i) }
    }
    case 4: {
      // Begin elsewhere: at a spot, or along an edge.
      const edge = random() < 0.4 ? pick(places.edges) : undefined
      const spot = pick(places.spots)
      if (edge !== undefined) return { ...next, from: edge.line, fromLabel: edge.label, spiral: false }
      if (spot === undefined) return next
      const rest = anchors.slice(1).filter((a) => distance(a.at, spot.at) > 1)
      return { ...next, anchors: [asAnchor(spot, 0), ...rest], from: [spot.at], fromLabel: null, spiral: false }
    }
    case 5: {
      const strokeMm = order.strokeMm * (pick([0.6, 0.8, 1.3, 1.7, 2.2]) ?? 1)
      const long = Math.sqrt(areaMm2)
      return { ...next, strokeMm: Math.min(long, mostMm, Math.max(long / 20, strokeMm)) }
    }
    default:
      return { ...next, flatFirst: pick([0, 0.5, 1]) ?? 0 }
  }
}
