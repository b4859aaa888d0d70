import { boundaryFlags, centroid, distance, type Vec2, vertexDistance } from '../../geometry/index.ts'
import type { FormDoc, PartSurface } from '../../form/index.ts'
import { edgeAt, rimExcess } from '../fingerForecast.ts'
import type { FilmMesh } from '../internal/filmMesh.ts'
import { naturalLay } from '../naturalLay.ts'
import type { PreparedStage } from '../rehearsal/stage.ts'
import { workedLay } from '../workedLay.ts'
import { type CutMesh, cutMesh } from './cutMesh.ts'
import { name, say, type Sentence } from '../../say/index.ts'
import { waysAlongSides } from './waysAlongSides.ts'

/** One cut that lets film part instead of stretch or bunch. */
export interface ReliefCut {
  readonly label: Sentence
  readonly edge: string
  /** From the rim inward, on the drawing. */
  readonly along: readonly Vec2[]
  readonly lengthMm: number
  /**
   * What happens at its mouth: positive = so much film is left over there and overlaps or is taken out as a wedge;
   * negative = so wide a gap opens on the part, mm.
   */
  readonly openingMm: number
  /** Largest stretch that the worked lay needs with this cut alone, ratio above 1 as a share. */
  readonly neededStretch: number
  /** Film left over at the worst edge if nobody pulls, with this cut alone, mm per 100 mm. */
  readonly fingersMmPer100: number
}

export interface ReliefAdvice {
  /** Without any cut. */
  readonly neededStretch: number
  readonly fingersMmPer100: number
  /** The stretch that film must not exceed here. */
  readonly limit: number
  readonly candidates: readonly ReliefCut[]
  /** The fewest cuts that keep to the limit; empty where none is needed. */
  readonly chosen: readonly ReliefCut[]
  /** With all chosen cuts together. */
  readonly withChosen: { readonly neededStretch: number; readonly fingersMmPer100: number }
  /** Whether the chosen cuts are enough; if not, the part wants more than one piece. */
  readonly enough: boolean
}

/** Cuts of more than this share of the part's size would be a split. */
const longestShare = 0.42
/** A cut with nothing to end at, as a share of the part's size. */
const straightShare = 0.28
const mostCuts = 4
const mostCandidates = 10

/**
 * Candidate cuts at the worst places of each edge, to what stands in the way (hole, badge, pillar, hollow) or straight
 * inward; the gain of each by laying the slit film again; and the least set that keeps the worked lay within `limit`,
 * found by adding the best cut until it is, then leaving out every cut that is not needed.
 *
 * The slit runs along sides of the mesh; it is told as the straight line between its ends. A cut film is still a membrane: how well its
 * lips lie is not part of this.
 */
export function reliefCuts(
  stage: PreparedStage,
  limit: number,
  onProgress: (share: number) => void = () => {},
): ReliefAdvice {
  const { surface } = stage
  const bare = judge(stage, surface.mesh, [])
  if (bare.neededStretch <= limit) return { ...bare, limit, candidates: [], chosen: [], withChosen: bare, enough: true }
  const paths = candidatePaths(stage)
  const candidates = paths
    .flatMap((path, i): (ReliefCut & { path: number[] })[] => {
      const cut = cutMesh(surface.mesh, path.vertices)
      onProgress((0.6 * (i + 1)) / paths.length)
      return [{ ...describe(stage, path, cut), path: path.vertices }]
    })
    .sort((a, b) => a.neededStretch - b.neededStretch)

  let chosen: (ReliefCut & { path: number[] })[] = []
  let now = bare
  while (now.neededStretch > limit && chosen.length < mostCuts) {
    let best: { cuts: typeof chosen; figures: typeof bare } | null = null
    for (const candidate of candidates.slice(0, 6)) {
      if (chosen.some((c) => touches(c.path, candidate.path))) continue
      const cuts = [...chosen, candidate]
      const figures = chosen.length === 0 ? candidate : judgeCuts(stage, cuts)
      if (best === null || figures.neededStretch < best.figures.neededStretch) best = { cuts, figures }
    }
    if (best === null || best.figures.neededStretch > now.neededStretch - 0.002) break
    chosen = best.cuts
    now = { neededStretch: best.figures.neededStretch, fingersMmPer100: best.figures.fingersMmPer100 }
    onProgress(Math.min(0.95, 0.6 + 0.1 * chosen.length))
  }
  for (const cut of [...chosen]) {
    const without = chosen.filter((c) => c !== cut)
    if (without.length === 0 || now.neededStretch > limit) continue
    const figures = judgeCuts(stage, without)
    if (figures.neededStretch > limit) continue
    chosen = without
    now = figures
  }
  const bareCut = ({ path: _, ...cut }: ReliefCut & { path: number[] }): ReliefCut => cut
  return {
    ...bare,
    limit,
    candidates: candidates.map(bareCut),
    chosen: chosen.map(bareCut),
    withChosen: now,
    enough: now.neededStretch <= limit,
  }
}

interface Judged {
  readonly neededStretch: number
  readonly fingersMmPer100: number
}

/** Needed stretch and fingers of a mesh that may have been slit at some vertices of its rim. */
function judge({ surface, handling }: PreparedStage, mesh: PartSurface['mesh'], slit: readonly number[]): Judged {
  const worked = workedLay(mesh, { take: handling.take })
  const natural = naturalLay(mesh)
  if (!worked.ok || !natural.ok)
    return { neededStretch: Number.POSITIVE_INFINITY, fingersMmPer100: Number.POSITIVE_INFINITY }
  const sides = rimExcess(surface, natural.value, handling.take, new Set(slit))
  return {
    neededStretch: worked.value.neededStretch - 1,
    fingersMmPer100: Math.max(0, ...sides.map((s) => s.excessMmPer100)),
  }
}

function judgeCuts(stage: PreparedStage, cuts: readonly { path: readonly number[] }[]): Judged {
  let mesh = stage.surface.mesh
  for (const { path } of cuts) mesh = cutMesh(mesh, path).mesh
  return judge(
    stage,
    mesh,
    cuts.flatMap(({ path }) => path.slice(0, 1)),
  )
}

interface Path {
  readonly label: Sentence
  readonly edge: string
  readonly vertices: number[]
}

function describe(stage: PreparedStage, path: Path, cut: CutMesh): ReliefCut {
  const { surface } = stage
  const { plan } = surface
  const judged = judge(stage, cut.mesh, path.vertices.slice(0, 1))
  const natural = naturalLay(cut.mesh)
  const [a, b] = cut.lips
  let openingMm = 0
  if (natural.ok) {
    const { flat } = natural.value
    const gap: Vec2 = [flat[2 * b]! - flat[2 * a]!, flat[2 * b + 1]! - flat[2 * a + 1]!]
    const inner = path.vertices[path.vertices.length - 1]!
    const inward: Vec2 = [flat[2 * inner]! - flat[2 * a]!, flat[2 * inner + 1]! - flat[2 * a + 1]!]
    // The copy lies on the left of the way inward: apart on that side means that film between the lips is left over.
    openingMm = Math.sign(inward[0] * gap[1] - inward[1] * gap[0]) * Math.hypot(...gap)
  }
  let lengthMm = 0
  for (let i = 1; i < path.vertices.length; i++)
    lengthMm += vertexDistance(surface.mesh, path.vertices[i - 1]!, path.vertices[i]!)
  return {
    label: path.label,
    edge: path.edge,
    along: [path.vertices[0]!, path.vertices[path.vertices.length - 1]!].map(
      (v): Vec2 => [plan[2 * v]!, plan[2 * v + 1]!],
    ),
    lengthMm,
    openingMm,
    ...judged,
  }
}

const touches = (a: readonly number[], b: readonly number[]) => {
  const set = new Set(a)
  return b.some((v) => set.has(v))
}

/** From the worst places of the rim to what stands in the way, or straight inward. */
function candidatePaths({ form, surface, film, handling, natural }: PreparedStage): Path[] {
  const { plan } = surface
  const size = Math.sqrt(surface.figures.areaMm2)
  const onRim = boundaryFlags(surface.mesh, surface.loops)
  const targets = obstacles(form)
  const middle = centroid(surface.outline.polygon)
  const starts = worstPlaces(surface, natural.flat, handling.take, size / 7)
  const label = (edge: string) => name(form.edges.find((e) => e.name === edge)?.label ?? edge)
  const inside = (v: number) => onRim[v] === 0
  return starts
    .flatMap(({ vertex, at, edge }): Path[] => {
      // Only through the inside: a slit must not run along the rim.
      const away = waysAlongSides(film, vertex, inside)
      const near = targets
        .filter((t) => distance(t.at, at) < longestShare * size)
        .sort((a, b) => distance(a.at, at) - distance(b.at, at))[0]
      const way = Math.hypot(middle[0] - at[0], middle[1] - at[1]) || 1
      const straight: Vec2 = [
        at[0] + ((middle[0] - at[0]) * straightShare * size) / way,
        at[1] + ((middle[1] - at[1]) * straightShare * size) / way,
      ]
      const goals = [
        { label: say`from the ${label(edge)} inward`, at: straight },
        ...(near === undefined ? [] : [{ label: say`from the ${label(edge)} to the ${name(near.name)}`, at: near.at }]),
      ]
      return goals.flatMap((goal): Path[] => {
        const end = nearestInside(plan, onRim, goal.at)
        if (end < 0 || !Number.isFinite(away[end]!)) return []
        const vertices = wayBack(film, away, end, vertex)
        return vertices.length < 3 ? [] : [{ label: goal.label, edge, vertices }]
      })
    })
    .slice(0, mostCandidates)
}

function nearestInside(plan: Float64Array, onRim: Uint8Array, [x, y]: Vec2): number {
  let best = -1
  let least = Number.POSITIVE_INFINITY
  for (let v = 0; v < onRim.length; v++) {
    if (onRim[v]) continue
    const d = (plan[2 * v]! - x) ** 2 + (plan[2 * v + 1]! - y) ** 2
    if (d < least) {
      least = d
      best = v
    }
  }
  return best
}

/** The shortest way from `start` to `end`, found backwards. */
function wayBack(film: FilmMesh, away: Float64Array, end: number, start: number): number[] {
  const path = [end]
  let at = end
  while (at !== start) {
    let best = -1
    for (let p = film.graph.start[at]!; p < film.graph.start[at + 1]!; p++) {
      const w = film.graph.column[p]!
      if (w !== at && away[w]! < away[at]! && (best < 0 || away[w]! < away[best]!)) best = w
    }
    if (best < 0) return []
    at = best
    path.push(at)
  }
  return path.reverse()
}

const obstacles = (form: FormDoc) => [
  ...form.holes.map((h) => ({ name: h.label, at: centroid(h.outline) })),
  ...(form.raised ?? []).map((r) => ({ name: r.name, at: centroid(r.outline) })),
  ...form.recesses.map((r) => ({ name: r.name, at: centroid(r.outline) })),
]

/** Rim vertices with most film too much or too little around them, well apart; then the corners. */
function worstPlaces(surface: PartSurface, flat: Float64Array, take: number, apartMm: number) {
  const sides = rimExcess(surface, { flat }, take)
  const off = sides
    .map((side) => ({ ...side, amount: Math.abs(side.inFilmMm / side.onPartMm - 1) }))
    .sort((a, b) => b.amount - a.amount)
  const corners = surface.outline.corners.flatMap((i) => {
    const p = surface.outline.polygon[i]
    const side = p === undefined ? undefined : [...sides].sort((a, b) => distance(a.at, p) - distance(b.at, p))[0]
    return side === undefined ? [] : [side]
  })
  const kept: { vertex: number; at: Vec2; edge: string }[] = []
  for (const side of [...off, ...corners]) {
    const at: Vec2 = [surface.plan[2 * side.v]!, surface.plan[2 * side.v + 1]!]
    if (kept.some((k) => distance(k.at, at) < apartMm)) continue
    kept.push({ vertex: side.v, at, edge: edgeAt(surface, side.at) })
    if (kept.length >= mostCandidates) break
  }
  return kept
}
