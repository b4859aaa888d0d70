import { boundsOf, cross2, distance, type Polygon, subtract, type Vec2 } from '../geometry/index.ts'
import { featureHeight } from './featureHeight.ts'
import { fitBow } from './fitBow.ts'
import type { FormDoc } from './formTypes.ts'
import { traceOutline } from './traceOutline.ts'

/** Where to lay the straightedge next. */
export interface SuggestedReading {
  readonly name: string
  readonly from: Vec2
  readonly to: Vec2
  /** What the surface there could still be off, mm (one standard deviation); null while nothing is measured that way. */
  readonly unsureMm: number | null
}

const unknownMm = 60
const places = [0.5, 0.25, 0.75, 0.1, 0.9]
const placeWords: Readonly<Record<number, string>> = {
  0.5: 'middle',
  0.25: 'lower',
  0.75: 'upper',
  0.1: 'lowest',
  0.9: 'highest',
}
const sideWords: Readonly<Record<number, string>> = {
  0.5: 'middle',
  0.25: 'left',
  0.75: 'right',
  0.1: 'far left',
  0.9: 'far right',
}
const insetShare = 0.02

/**
 * The straightedge that would tell most: of lines across and up the part, the one under which the surface is least
 * sure. Null once every one of them is known to `enoughMm`, or while the outline is not whole.
 */
export function suggestReading(
  form: Pick<
    FormDoc,
    'name' | 'start' | 'outline' | 'bow' | 'spots' | 'bodyLines' | 'recesses' | 'raised' | 'channels'
  >,
  enoughMm: number,
): SuggestedReading | null {
  const traced = traceOutline(form.name, form.start, form.outline)
  if (!traced.ok) return null
  const candidates = straightedgeLines(traced.value.polygon)
  const { spots = [] } = form
  if (form.bow.length + spots.length === 0)
    return candidates[0] === undefined ? null : { ...candidates[0], unsureMm: null }
  const fitted = fitBow(traced.value.polygon, form.bow, featureHeight(form), undefined, spots)
  if (!fitted.ok) return null
  let best: SuggestedReading | null = null
  let most = 0
  for (const chord of candidates) {
    const unsureMm = fitted.value.unsureOfChord(chord.from, chord.to)
    // Nothing known at all is nothing known, be it 100 or 400 mm: then the middle comes first.
    const counts = Math.min(unsureMm, unknownMm)
    if (unsureMm > enoughMm && counts > most) {
      best = { ...chord, unsureMm: unsureMm > unknownMm ? null : unsureMm }
      most = counts
    }
  }
  return best
}

/** Where a straightedge can be laid across and up a part, the middle ones first. */
export function straightedgeLines(polygon: Polygon): { name: string; from: Vec2; to: Vec2 }[] {
  const { min, max } = boundsOf(polygon)
  const chords: { name: string; from: Vec2; to: Vec2 }[] = []
  for (const share of places) {
    const across = longestInside(polygon, [min[0] - 1, min[1] + share * (max[1] - min[1])], [1, 0])
    if (across) chords.push({ name: `across, ${placeWords[share]}`, ...across })
    const up = longestInside(polygon, [min[0] + share * (max[0] - min[0]), min[1] - 1], [0, 1])
    if (up) chords.push({ name: `up, ${sideWords[share]}`, ...up })
  }
  return chords
}

/** The longest stretch of a line inside an outline, drawn in a little at both ends. */
function longestInside(polygon: Polygon, from: Vec2, way: Vec2): { from: Vec2; to: Vec2 } | null {
  const crossings: number[] = []
  polygon.forEach((a, i) => {
    const b = polygon[(i + 1) % polygon.length]!
    const side = subtract(b, a)
    const across = cross2(way, side)
    if (Math.abs(across) < 1e-12) return
    const along = cross2(subtract(a, from), side) / across
    const on = cross2(subtract(a, from), way) / across
    if (on >= 0 && on < 1) crossings.push(along)
  })
  crossings.sort((a, b) => a - b)
  let best: [number, number] | null = null
  for (let i = 0; i + 1 < crossings.length; i += 2) {
    const [a, b] = [crossings[i]!, crossings[i + 1]!]
    if (best === null || b - a > best[1] - best[0]) best = [a, b]
  }
  if (best === null || best[1] - best[0] < 20) return null
  const inset = insetShare * (best[1] - best[0])
  const at = (s: number): Vec2 => [Math.round(from[0] + s * way[0]), Math.round(from[1] + s * way[1])]
  const chord = { from: at(best[0] + inset), to: at(best[1] - inset) }
  return distance(chord.from, chord.to) < 20 ? null : chord
}
