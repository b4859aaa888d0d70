import {
  boundaryFlags,
  boundsOf,
  checkSheet,
  contains,
  distance,
  insideOf,
  surfaceArea,
  type TriangleMesh,
  triangleCount,
  type Vec2,
} from '../geometry/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import { featureHeight, wallRunMm } from './featureHeight.ts'
import { type BowOptions, bowDefaults, fitBow, type FittedBow } from './fitBow.ts'
import type { BowFit, BowReading, FormDoc, FormFigures, PartSurface, TracedOutline } from './formTypes.ts'
import { relaxMesh, sideKey } from './internal/relaxMesh.ts'
import { triangulatePlan } from './internal/triangulatePlan.ts'
import { missOfLeftOut } from './leftOutSpots.ts'
import { inMirror, isMeshedByItsTwin, likenessOf, type Meshed, type PartToMesh } from './internal/meshedByItsTwin.ts'
import { hexagonInside, sampleOutline, sampleStretch } from './internal/samplePlan.ts'
import { wallRings } from './internal/wallRings.ts'
import { curvatureAt } from './curvature.ts'
import { reliefHeight } from './relief.ts'
import { traceOutline, tracePolygon } from './traceOutline.ts'

export interface BuildOptions {
  /** About how many triangles; 50 to 100 000. */
  readonly triangles: number
  readonly bow: BowOptions
  /** Shows walls that are steeper than the mesh is fine by rows of points of their own, so that what is seen of them does not hang on it. */
  readonly wallRows: boolean
}

export const buildDefaults: BuildOptions = { triangles: 3000, bow: bowDefaults, wallRows: false }

const leastTriangles = 50
const mostTriangles = 100_000

/**
 * The surface of a part: a near-uniform mesh over its outline, bowed as the readings say, with its body lines,
 * recesses and holes. Pure; the same form gives the same bits.
 *
 * Not promised: undercuts. The surface is a height over the drawing, so a wall steeper than about 75 degrees needs a
 * scan instead.
 * Can be refused: everything of `traceOutline` and `fitBow`, and `CHANNEL_TOO_NARROW`, `FORM_TOO_COARSE`, `FORM_TOO_FINE`.
 */
export function buildSurface(form: FormDoc, options: Partial<BuildOptions> = {}): Result<PartSurface> {
  const { triangles, bow, wallRows } = { ...buildDefaults, ...options }
  if (triangles < leastTriangles) return refused(failure('FORM_TOO_COARSE', { triangles, least: leastTriangles }))
  if (triangles > mostTriangles) return refused(failure('FORM_TOO_FINE', { triangles, most: mostTriangles }))
  const traced = traceOutline(`"${form.name}"`, form.start, form.outline)
  if (!traced.ok) return traced
  const outline = traced.value
  const holes: TracedOutline[] = []
  for (const hole of form.holes) {
    const tracedHole = tracePolygon(`the hole "${hole.name}"`, hole.outline, hole.name)
    if (!tracedHole.ok) return tracedHole
    holes.push(tracedHole.value)
  }
  for (const channel of form.channels ?? []) {
    const leastMm = 2 * wallRunMm(channel)
    if (channel.widthMm < leastMm)
      return refused(failure('CHANNEL_TOO_NARROW', { channel: channel.name, widthMm: channel.widthMm, leastMm }))
  }
  const feature = featureHeight(form)
  const [bows, spots] = form.relief === undefined ? [form.bow, form.spots ?? []] : [[], []]
  const fitted = fitBow(outline.polygon, bows, feature, bow, spots)
  if (!fitted.ok) return fitted
  const scanned = form.relief === undefined ? null : reliefHeight(form.relief)
  const height = scanned ?? ((p: Vec2) => fitted.value.heightAt(p) + feature(p))

  const part: PartToMesh = { form, outline, holes, height }
  const meshed = isMeshedByItsTwin(outline.polygon)
    ? inMirror(meshOver(likenessOf(part), triangles, wallRows))
    : meshOver(part, triangles, wallRows)
  const sheet = checkSheet(meshed.mesh, { holesExpected: true })
  if (!sheet.ok) return refused(failure('FORM_TOO_COARSE', { triangles, least: triangles * 2 }))
  const figures = measureSurface(form, meshed.mesh, meshed.plan, sheet.value.loops, height)
  const bowFit = judgeFit(form, height, fitted.value, outline)
  return done({ ...meshed, loops: sheet.value.loops, outline, holes, figures, bowFit })
}

function meshOver({ form, outline, holes, height }: PartToMesh, triangles: number, wallRows: boolean): Meshed {
  const area = areasOf(outline, holes, height)
  const spacingMm = Math.sqrt((area.onSurface / triangles) * (4 / Math.sqrt(3)))
  const planSpacingMm = spacingMm * Math.sqrt(area.onPlan / area.onSurface)
  const cutMm = Math.min(0.5, spacingMm / 20)

  const points: Vec2[] = []
  const sides: [number, number][] = []
  const addLoop = (loop: Vec2[]) => {
    const first = points.length
    points.push(...loop)
    loop.forEach((_, i) => {
      sides.push([first + i, first + ((i + 1) % loop.length)])
    })
    return loop
  }
  const rim = addLoop(sampleOutline(outline, spacingMm, height, cutMm))
  const holeRims = holes.map((hole) => addLoop(sampleOutline(hole, spacingMm, height, cutMm)))
  const lines = [...form.bodyLines, ...(form.channels ?? [])].map((line) =>
    sampleStretch(line.along, spacingMm, height, cutMm).filter(
      (p) => clearOf(outline, p, 0.5 * planSpacingMm) && holes.every((h) => clearOf(h, p, 0.5 * planSpacingMm, true)),
    ),
  )
  for (const line of lines) {
    const first = points.length
    points.push(...line)
    for (let i = 0; i + 1 < line.length; i++) sides.push([first + i, first + i + 1])
  }
  const walls = apart(
    (wallRows ? wallRings(form, planSpacingMm, triangles / 4) : []).filter(
      (p) => clearOf(outline, p, 0.2 * planSpacingMm) && holes.every((h) => clearOf(h, p, 0.2 * planSpacingMm, true)),
    ),
    [...rim, ...holeRims.flat(), ...lines.flat()],
    planSpacingMm / 8,
  )
  points.push(...walls)
  const firstFree = points.length
  const taken = [...lines, ...walls.map((p) => [p])]
  points.push(...hexagonInside(rim, holeRims, taken, planSpacingMm, 0.62 * planSpacingMm))

  const plan = new Float64Array(points.length * 2)
  points.forEach(([x, y], i) => {
    plan[2 * i] = x
    plan[2 * i + 1] = y
  })
  const triangle = triangulatePlan(points, sides, rim, holeRims)
  const fixed = new Set(sides.map(([a, b]) => sideKey(a, b, points.length)))
  relaxMesh(plan, triangle, firstFree, fixed, height, 14)

  const position = new Float64Array(points.length * 3)
  for (let v = 0; v < points.length; v++) {
    const p: Vec2 = [plan[2 * v]!, plan[2 * v + 1]!]
    position.set([p[0], p[1], height(p)], 3 * v)
  }
  return { mesh: { position, triangle }, plan }
}

/** Points that come no nearer to each other or to others than a distance, the first ones first. */
function apart(points: readonly Vec2[], others: readonly Vec2[], leastMm: number): Vec2[] {
  const cells = new Map<string, Vec2[]>()
  const cell = ([x, y]: Vec2, dx: number, dy: number) =>
    `${Math.floor(x / leastMm) + dx},${Math.floor(y / leastMm) + dy}`
  const put = (p: Vec2) => {
    const key = cell(p, 0, 0)
    const list = cells.get(key)
    if (list) list.push(p)
    else cells.set(key, [p])
  }
  for (const p of others) put(p)
  return points.filter((p) => {
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1])
        for (const q of cells.get(cell(p, dx, dy)) ?? []) if (distance(p, q) < leastMm) return false
    put(p)
    return true
  })
}

function clearOf(outline: TracedOutline, p: Vec2, clearanceMm: number, outside = false): boolean {
  if (contains(outline.polygon, p) === outside) return false
  return outline.polygon.every((q, i) => {
    const r = outline.polygon[(i + 1) % outline.polygon.length] ?? q
    const dx = r[0] - q[0]
    const dy = r[1] - q[1]
    const t = Math.min(1, Math.max(0, ((p[0] - q[0]) * dx + (p[1] - q[1]) * dy) / (dx * dx + dy * dy || 1)))
    return Math.hypot(p[0] - q[0] - t * dx, p[1] - q[1] - t * dy) >= clearanceMm
  })
}

const quadratureSteps = 60

/**
 * Area of the surface and of the drawing under it, mm²: by the slopes over the cells of a grid. Cells side by side share
 * the height between them.
 */
function areasOf(outline: TracedOutline, holes: readonly TracedOutline[], height: (p: Vec2) => number) {
  const { min, max } = boundsOf(outline.polygon)
  const cellMm = Math.max(max[0] - min[0], max[1] - min[1]) / quadratureSteps
  const onPart = insideOf(outline.polygon)
  const inHoles = holes.map((hole) => insideOf(hole.polygon))
  // In steps of half a cell: the middles of cells are odd, the lines between them even.
  const at = (i: number, j: number): Vec2 => [min[0] + (i * cellMm) / 2, min[1] + (j * cellMm) / 2]
  const row = 2 * quadratureSteps + 1
  const known = new Float64Array(row * row).fill(Number.NaN)
  const heightAt = (i: number, j: number) => {
    const k = i * row + j
    if (Number.isNaN(known[k]!)) known[k] = height(at(i, j))
    return known[k]!
  }
  let onSurface = 0
  let onPlan = 0
  for (let i = 1; i < row; i += 2) {
    for (let j = 1; j < row; j += 2) {
      const p = at(i, j)
      if (!onPart(p) || inHoles.some((inHole) => inHole(p))) continue
      const sx = (heightAt(i + 1, j) - heightAt(i - 1, j)) / cellMm
      const sy = (heightAt(i, j + 1) - heightAt(i, j - 1)) / cellMm
      onSurface += cellMm * cellMm * Math.sqrt(1 + sx * sx + sy * sy)
      onPlan += cellMm * cellMm
    }
  }
  return { onSurface, onPlan }
}

function measureSurface(
  form: FormDoc,
  mesh: TriangleMesh,
  plan: Float64Array,
  loops: readonly Int32Array[],
  height: (p: Vec2) => number,
): FormFigures {
  const { position } = mesh
  let outlineMm = 0
  const rim = loops[0] ?? new Int32Array()
  for (let i = 0; i < rim.length; i++) {
    const a = 3 * rim[i]!
    const b = 3 * rim[(i + 1) % rim.length]!
    outlineMm += Math.hypot(
      position[a]! - position[b]!,
      position[a + 1]! - position[b + 1]!,
      position[a + 2]! - position[b + 2]!,
    )
  }
  const onRim = boundaryFlags(mesh, loops)
  const defect = new Float64Array(position.length / 3).fill(2 * Math.PI)
  for (let t = 0; t < triangleCount(mesh); t++) {
    for (let c = 0; c < 3; c++) {
      const v = mesh.triangle[3 * t + c]!
      defect[v]! -= cornerAngle(
        position,
        v,
        mesh.triangle[3 * t + ((c + 1) % 3)]!,
        mesh.triangle[3 * t + ((c + 2) % 3)]!,
      )
    }
  }
  let gauss = 0
  let gaussAbsolute = 0
  let sharpest = 0
  for (let v = 0; v < defect.length; v++) {
    const curvature = curvatureAt(height, [plan[2 * v]!, plan[2 * v + 1]!])
    sharpest = Math.max(sharpest, Math.abs(curvature.most), Math.abs(curvature.least))
    if (onRim[v]) continue
    gauss += defect[v]!
    gaussAbsolute += Math.abs(defect[v]!)
  }
  return {
    areaMm2: surfaceArea(mesh),
    outlineMm,
    triangles: triangleCount(mesh),
    minRadiusMm: sharpest > 1e-9 ? 1 / sharpest : Number.POSITIVE_INFINITY,
    gaussIntegralSr: gauss,
    gaussAbsoluteSr: gaussAbsolute,
    deepestRecessMm: Math.max(0, ...[...form.recesses, ...(form.channels ?? [])].map((r) => r.depthMm)),
  }
}

function cornerAngle(p: Float64Array, at: number, b: number, c: number): number {
  const ux = p[3 * b]! - p[3 * at]!
  const uy = p[3 * b + 1]! - p[3 * at + 1]!
  const uz = p[3 * b + 2]! - p[3 * at + 2]!
  const vx = p[3 * c]! - p[3 * at]!
  const vy = p[3 * c + 1]! - p[3 * at + 1]!
  const vz = p[3 * c + 2]! - p[3 * at + 2]!
  const cx = uy * vz - uz * vy
  const cy = uz * vx - ux * vz
  const cz = ux * vy - uy * vx
  return Math.atan2(Math.hypot(cx, cy, cz), ux * vx + uy * vy + uz * vz)
}

/** The sagitta that a straightedge would show on the surface, square to its chord, mm. */
export function sagittaOn(height: (p: Vec2) => number, reading: BowReading): number {
  const t = reading.atFraction ?? 0.5
  const [ax, ay] = reading.from
  const [bx, by] = reading.to
  const za = height(reading.from)
  const zb = height(reading.to)
  const z = height([ax + (bx - ax) * t, ay + (by - ay) * t])
  const plan = Math.hypot(bx - ax, by - ay)
  return ((z - (1 - t) * za - t * zb) * plan) / Math.hypot(plan, zb - za)
}

function judgeFit(
  { bow: readings, spots = [] }: Pick<FormDoc, 'bow' | 'spots'>,
  height: (p: Vec2) => number,
  { unsureOfChord, spotMissMm }: FittedBow,
  outline: TracedOutline,
): BowFit {
  const worstMissMm = Math.max(0, ...readings.map((r) => Math.abs(sagittaOn(height, r) - r.sagittaMm)))
  const xs = outline.polygon.map((p) => p[0])
  const ys = outline.polygon.map((p) => p[1])
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  let unsureMm = 0
  for (let i = 1; i < 6; i++) {
    const x = minX + ((maxX - minX) * i) / 6
    const y = minY + ((maxY - minY) * i) / 6
    unsureMm = Math.max(unsureMm, unsureOfChord([minX, y], [maxX, y]), unsureOfChord([x, minY], [x, maxY]))
  }
  return {
    worstMissMm,
    unsureMm,
    readings: readings.length,
    spots: spots.length,
    spotMiss: missOfLeftOut(spots, spotMissMm),
  }
}
