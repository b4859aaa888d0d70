import type { EdgeMargin, EdgeRule, EdgeRules } from '../align/index.ts'
import type { FormDoc } from '../form/index.ts'
import { centroid, distance, dot2, type Vec2 } from '../geometry/index.ts'
import type { FlatPart } from '../lay/index.ts'
import { name, say } from '../say/index.ts'
import type { CheckPoint } from './partPlan.ts'

/** A sensor, a handle, a mirror foot: film is set by it as it is by an edge. */
export interface Opening {
  readonly name: string
  readonly label: string
  /** Its middle in the film plane, mm. */
  readonly at: Vec2
  readonly radiusMm: number
  /** Film that it wants to stop short of it, all round. */
  readonly rule: EdgeRule
  /** Where its gap is read. */
  readonly checks: readonly CheckPoint[]
}

/** Openings that are set together, the pair or the one nearest to the middle of the part first: what lies there moves least. */
export type OpeningChain = readonly (readonly Opening[])[]

/** Two openings are a pair when they are about as large as each other and lie about as far from the middle. */
const pairShare = 0.2

/** Opening by opening outward from the middle of a part; none where there is only one, which film is cut for and not set by. */
export function openingChain(
  form: Pick<FormDoc, 'holes' | 'directions'>,
  part: Pick<FlatPart, 'outline' | 'holes'>,
  margins: readonly EdgeMargin[],
  rules: EdgeRules,
): OpeningChain {
  if (form.holes.length < 2) return []
  const middle = centroid(part.outline.polygon)
  const openings = form.holes.flatMap((hole, i) => {
    const flat = part.holes[i]
    const rule = rules[hole.name]
    if (flat === undefined || rule === undefined) return []
    const at = centroid(flat.polygon)
    const spots = margins.filter((m) => m.hole === i)
    return [{ hole, at, rule, spots, fromMiddleMm: distance(at, middle), radiusMm: reach(at, flat.polygon) }]
  })
  openings.sort((a, b) => a.fromMiddleMm - b.fromMiddleMm)
  const sets: (typeof openings)[] = []
  for (const opening of openings) {
    const last = sets[sets.length - 1]
    const [one] = last ?? []
    const alike =
      one !== undefined &&
      last?.length === 1 &&
      Math.abs(opening.fromMiddleMm - one.fromMiddleMm) < pairShare * opening.fromMiddleMm &&
      Math.abs(opening.radiusMm - one.radiusMm) < pairShare * opening.radiusMm
    if (last !== undefined && alike) last.push(opening)
    else sets.push([opening])
  }
  let letter = 0
  const { left, right, up, down } = form.directions
  return sets.map((set) =>
    set.map(({ hole, at, rule, spots, radiusMm }): Opening => {
      // Of a pair two sides each are enough: together they tell move and turn.
      const sides: [Vec2, string][] = [
        [[-1, 0], left],
        [[0, 1], up],
        ...(set.length > 1
          ? []
          : ([
              [[1, 0], right],
              [[0, -1], down],
            ] as [Vec2, string][])),
      ]
      const checks = sides.flatMap(([way, towards]) => {
        const spot = most(spots, way)
        if (spot === undefined) return []
        return [
          {
            id: String.fromCharCode(97 + letter++),
            at: spot.at,
            normal: spot.inward,
            wantedMm: (rule.minMm + rule.maxMm) / 2,
            edge: hole.name,
            // The way first: that is what tells the readings of one opening apart.
            label: say`towards ${name(towards)}: ${name(hole.label)}`,
            reads: 'gap' as const,
          },
        ]
      })
      return { name: hole.name, label: hole.label, at, radiusMm, rule, checks }
    }),
  )
}

const most = (spots: readonly EdgeMargin[], way: Vec2) =>
  spots.reduce<EdgeMargin | undefined>(
    (best, s) => (best === undefined || dot2(s.at, way) > dot2(best.at, way) ? s : best),
    undefined,
  )

const reach = (at: Vec2, polygon: readonly Vec2[]) => Math.max(...polygon.map((p) => distance(p, at)))
