/**
 * Cuts the patterns of the demo kit from the demo forms, as a kit maker would: the worked lay of the form, drawn in or
 * out by what each edge wants, with the small errors of a real kit, in a coordinate system of its own.
 * Run: `npx tsx demo/tools/cutPatterns.ts`; writes demo/pieces/*.json.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { filmDoc, formDoc, type Piece } from '@truelay/contract'
import { buildSurface } from '@truelay/core/form'
import { nearestOnOutline, rotate, signedArea, type Vec2 } from '@truelay/core/geometry'
import { flatPart, workedLay } from '@truelay/core/lay'
import { EndType, inflatePathsD, JoinType } from 'clipper2-ts'

interface Cut {
  readonly form: string
  readonly piece: Omit<Piece, 'pattern' | 'id' | 'filmId'> & { readonly id: string; readonly filmId: string }
  /** How far the piece is drawn in from the part's edge, mm; negative = bleed. */
  readonly drawnInMm: number
  readonly cutOutWiderMm: number
  /** The kit was cut for a slightly different body: size in x, size in y, bow of the outline, mm. */
  readonly error: { readonly x: number; readonly y: number; readonly bowMm: number }
  readonly turnDeg: number
}

const cuts: readonly Cut[] = [
  {
    form: 'pipit-bonnet',
    piece: {
      id: 'pipit-bonnet-piece',
      kit: 'Pipit front kit',
      name: 'Bonnet',
      side: 'middle',
      count: 1,
      spares: 0,
      filmId: 'clearcoat-hull-180',
      lot: 'H180-2611-04',
    },
    drawnInMm: 2.5,
    cutOutWiderMm: 2,
    error: { x: 1.0003, y: 0.9998, bowMm: 0.25 },
    turnDeg: 4,
  },
  {
    form: 'pipit-headlamp-right',
    piece: {
      id: 'pipit-headlamp-right-piece',
      kit: 'Pipit lamp kit',
      name: 'Headlamp, driver’s side',
      side: 'right',
      count: 1,
      spares: 1,
      filmId: 'dusk-glass-dry',
      lot: 'DG-2610-17',
    },
    drawnInMm: -26,
    cutOutWiderMm: 0,
    error: { x: 1.002, y: 1.001, bowMm: 0 },
    turnDeg: -12,
  },
]

for (const cut of cuts) {
  const form = formDoc.parse(JSON.parse(readFileSync(`demo/forms/${cut.form}.json`, 'utf8')))
  const surface = buildSurface(form, { triangles: 6000 })
  if (!surface.ok) throw new Error(surface.failure.sentence)
  const film = filmDoc.parse(JSON.parse(readFileSync(`demo/films/${cut.piece.filmId}.json`, 'utf8')))
  const lay = workedLay(surface.value.mesh, { take: film.handling.take })
  if (!lay.ok) throw new Error(lay.failure.sentence)
  const part = flatPart(surface.value, lay.value)
  const grown = (polygon: readonly Vec2[], byMm: number): Vec2[] => {
    const [path] = inflatePathsD(
      [polygon.map(([x, y]) => ({ x, y, z: 0 }))],
      byMm,
      JoinType.Round,
      EndType.Polygon,
      2,
      3,
      0.02,
    )
    if (path === undefined) throw new Error(`nothing is left of ${cut.form}`)
    const points = path.map(({ x, y }): Vec2 => [x, y])
    return thin(signedArea(points) > 0 ? points : points.reverse())
  }
  const size = Math.max(...part.outline.polygon.map(([x]) => Math.abs(x)))
  const asCut = ([x, y]: Vec2): Vec2 => {
    const bow = cut.error.bowMm * (1 - (x / size) ** 2)
    const [u, v] = rotate([x * cut.error.x, y * cut.error.y + bow], (cut.turnDeg * Math.PI) / 180)
    return [round(u + 800), round(v + 600)]
  }
  const pattern = {
    name: cut.piece.name,
    outline: grown(part.outline.polygon, -cut.drawnInMm).map(asCut),
    cutOuts: part.holes.map((hole) => grown(hole.polygon, cut.cutOutWiderMm).map(asCut)),
    marks: form.marks.map((mark) => ({ name: mark.name, at: asCut(part.toFlat(mark.at)) })),
  }
  const nearest = nearestOnOutline(pattern.outline, pattern.marks[0]?.at ?? [0, 0]).distanceMm
  writeFileSync(`demo/pieces/${cut.piece.id}.json`, `${JSON.stringify({ ...cut.piece, pattern })}\n`)
  process.stdout.write(
    `${cut.piece.id}: ${pattern.outline.length} points, first mark ${nearest.toFixed(1)} mm from the edge\n`,
  )
}

/** Leaves out points that change the outline by less than 0.02 mm. */
function thin(points: readonly Vec2[]): Vec2[] {
  const kept: Vec2[] = []
  points.forEach((at, i) => {
    const before = kept[kept.length - 1]
    const after = points[(i + 1) % points.length] ?? at
    if (before !== undefined) {
      const dx = after[0] - before[0]
      const dy = after[1] - before[1]
      const off = Math.abs(dx * (at[1] - before[1]) - dy * (at[0] - before[0])) / (Math.hypot(dx, dy) || 1)
      if (off < 0.02 && Math.hypot(at[0] - before[0], at[1] - before[1]) < 40) return
    }
    kept.push(at)
  })
  return kept
}

function round(value: number) {
  return Math.round(value * 100) / 100
}
