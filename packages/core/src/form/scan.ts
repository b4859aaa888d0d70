import {
  alignTurns,
  boundsOf,
  checkSheet,
  signedArea,
  thinOutline,
  type TriangleMesh,
  type Vec2,
} from '../geometry/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import { counted, length, say, type Sentence } from '../say/index.ts'
import type { FormEdge, FormHole, OutlineSegment, Relief } from './formTypes.ts'
import { outlineOfRim } from './outlineOfRim.ts'
import { mostHeights, reliefHeight } from './relief.ts'

/** A place on a scan, mm. */
export type Spot3 = readonly [number, number, number]

/**
 * The scan turned so that it is seen straight on: `origin` becomes 0, `right` lies on the x axis, `up` in the drawing's
 * plane above it, z towards the eye. Can be refused: `SCAN_SPOTS_IN_LINE`.
 */
export function orientScan(mesh: TriangleMesh, origin: Spot3, right: Spot3, up: Spot3): Result<TriangleMesh> {
  const x = unit3(minus(right, origin))
  const towards = minus(up, origin)
  const z = unit3(cross3(x, towards))
  if (x === null || z === null) return refused(failure('SCAN_SPOTS_IN_LINE', {}))
  const y = cross3(z, x)
  const position = new Float64Array(mesh.position.length)
  for (let v = 0; v < position.length; v += 3) {
    const p = minus([mesh.position[v]!, mesh.position[v + 1]!, mesh.position[v + 2]!], origin)
    position[v] = dot3(p, x)
    position[v + 1] = dot3(p, y)
    position[v + 2] = dot3(p, z)
  }
  return done({ position, triangle: mesh.triangle })
}

export interface ScannedForm {
  readonly start: Vec2
  readonly outline: readonly OutlineSegment[]
  readonly edges: readonly FormEdge[]
  readonly relief: Relief
  /** Where the scan is open inside its rim. */
  readonly holes: readonly FormHole[]
  /** What was done to the scan to make it a form. */
  readonly mended: readonly Sentence[]
  /** Largest and typical (root mean square) difference between scan and relief, mm. */
  readonly errorMm: { readonly largest: number; readonly typical: number }
}

/** A form may be no further off than this on the average, mm: more than film forgives. */
const mostTypicalMm = 2
/** Smaller openings are gaps in the scan, mm across. */
const leastHoleMm = 3

/**
 * A scan seen straight on as a form: the outline of its rim, thinned, and its heights on a grid fine enough for
 * `stepMm` or for 20 000 heights; its openings as holes. Where the scan has undercuts, the face nearest to the eye counts.
 * Can be refused: what `checkSheet` finds, `SCAN_TOO_SMALL`, `SCAN_ROUGH`.
 */
export function formFromScan(scan: TriangleMesh, stepMm: number): Result<ScannedForm> {
  const { mesh, turned } = alignTurns(scan)
  const sheet = checkSheet(mesh, { holesExpected: true })
  if (!sheet.ok) return sheet
  const seen = (loop: Int32Array) => [...loop].map((v): Vec2 => [mesh.position[3 * v]!, mesh.position[3 * v + 1]!])
  const [rim, ...inner] = sheet.value.loops.map(seen)
  const plan = rim!
  const { min, max } = boundsOf(plan)
  const [width, height] = [max[0] - min[0], max[1] - min[1]]
  if (Math.min(width, height) < 5) return refused(failure('SCAN_TOO_SMALL', { widthMm: width, heightMm: height }))
  const step = Math.max(stepMm, Math.sqrt((width * height) / mostHeights))
  const grid = reliefOf(mesh, min, max, step)
  const error = reliefError(mesh, grid)
  if (error.typical > mostTypicalMm)
    return refused(failure('SCAN_ROUGH', { stepMm: step, typicalMm: error.typical, mostMm: mostTypicalMm }))
  const relief = { ...grid, errorMm: round(error.largest) }
  const { holes, closed } = holesOf(inner)
  const mended = [
    turned > 0
      ? say`${counted(turned, '# triangle was', '# triangles were')} turned over to face as its neighbours do.`
      : null,
    closed > 0
      ? say`${counted(closed, '# gap', '# gaps')} of the scan, less than ${length(leastHoleMm)} across, closed.`
      : null,
    step > stepMm
      ? say`Heights stand every ${length(step)}: every ${length(stepMm)} would be more than a form can hold.`
      : null,
  ].filter((sentence) => sentence !== null)
  return done({ ...outlineOfRim(plan), relief, holes, mended, errorMm: error })
}

/** Openings inside the rim, clockwise or not, thinned like it. */
function holesOf(loops: readonly (readonly Vec2[])[]): { holes: FormHole[]; closed: number } {
  const open = loops.filter((loop) => {
    const { min, max } = boundsOf(loop)
    return Math.max(max[0] - min[0], max[1] - min[1]) >= leastHoleMm
  })
  const holes = open.map((loop, i): FormHole => {
    const turned = signedArea(loop) >= 0 ? [...loop] : [...loop].reverse()
    const outline = thinOutline(turned, 0.2).map(([x, y]): Vec2 => [round(x), round(y)])
    return { name: `opening ${i + 1}`, label: `opening ${i + 1}`, outline, code: 'stop-short' }
  })
  return { holes, closed: loops.length - open.length }
}

const round = (x: number) => Math.round(x * 100) / 100

/** Heights on a grid: the highest face over each node; nodes beside the scan take their nearest neighbour's. */
function reliefOf({ position, triangle }: TriangleMesh, min: Vec2, max: Vec2, stepMm: number): Omit<Relief, 'errorMm'> {
  const columns = Math.max(2, Math.ceil((max[0] - min[0]) / stepMm) + 1)
  const rows = Math.max(2, Math.ceil((max[1] - min[1]) / stepMm) + 1)
  const heights = new Float64Array(columns * rows).fill(Number.NEGATIVE_INFINITY)
  for (let t = 0; t < triangle.length; t += 3) {
    const [a, b, c] = [3 * triangle[t]!, 3 * triangle[t + 1]!, 3 * triangle[t + 2]!]
    const [ax, ay, bx, by, cx, cy] = [
      position[a]!,
      position[a + 1]!,
      position[b]!,
      position[b + 1]!,
      position[c]!,
      position[c + 1]!,
    ]
    const twice = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)
    if (Math.abs(twice) < 1e-12) continue
    const fromC = Math.max(0, Math.ceil((Math.min(ax, bx, cx) - min[0]) / stepMm))
    const toC = Math.min(columns - 1, Math.floor((Math.max(ax, bx, cx) - min[0]) / stepMm))
    const fromR = Math.max(0, Math.ceil((Math.min(ay, by, cy) - min[1]) / stepMm))
    const toR = Math.min(rows - 1, Math.floor((Math.max(ay, by, cy) - min[1]) / stepMm))
    for (let r = fromR; r <= toR; r++)
      for (let col = fromC; col <= toC; col++) {
        const x = min[0] + col * stepMm
        const y = min[1] + r * stepMm
        const wb = ((x - ax) * (cy - ay) - (y - ay) * (cx - ax)) / twice
        const wc = ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / twice
        if (wb < -1e-9 || wc < -1e-9 || wb + wc > 1 + 1e-9) continue
        const z = (1 - wb - wc) * position[a + 2]! + wb * position[b + 2]! + wc * position[c + 2]!
        const node = r * columns + col
        if (z > heights[node]!) heights[node] = z
      }
  }
  spreadOutward(heights, columns, rows)
  return {
    originMm: [round(min[0]), round(min[1])],
    stepMm,
    columns,
    heightsMm: Array.from(heights, (z) => Math.round(z * 1000) / 1000),
  }
}

/** Fills nodes that have no height, ring by ring: each continues the slope of its two neighbours inward. */
function spreadOutward(heights: Float64Array, columns: number, rows: number) {
  const empty = (c: number, r: number) => {
    const z = heights[r * columns + c]
    return c < 0 || r < 0 || c >= columns || r >= rows || z === undefined || z === Number.NEGATIVE_INFINITY
  }
  for (let left = true; left; ) {
    left = false
    const next: [number, number][] = []
    for (let r = 0; r < rows; r++)
      for (let c = 0; c < columns; c++) {
        if (!empty(c, r)) continue
        let sum = 0
        let count = 0
        for (const [dc, dr] of [
          [1, 0],
          [-1, 0],
          [0, 1],
          [0, -1],
        ] as const) {
          if (empty(c + dc, r + dr)) continue
          const near = heights[(r + dr) * columns + c + dc]!
          const further = empty(c + 2 * dc, r + 2 * dr) ? near : heights[(r + 2 * dr) * columns + c + 2 * dc]!
          sum += 2 * near - further
          count++
        }
        if (count > 0) next.push([r * columns + c, sum / count])
        else left = true
      }
    if (next.length === 0) return
    for (const [node, z] of next) heights[node] = z
  }
}

function reliefError({ position }: TriangleMesh, grid: Omit<Relief, 'errorMm'>) {
  const height = reliefHeight({ ...grid, errorMm: 0 })
  let largest = 0
  let sum = 0
  for (let v = 0; v < position.length; v += 3) {
    const off = Math.abs(position[v + 2]! - height([position[v]!, position[v + 1]!]))
    largest = Math.max(largest, off)
    sum += off * off
  }
  return { largest, typical: Math.sqrt((3 * sum) / Math.max(3, position.length)) }
}

const minus = (a: Spot3, b: Spot3): Spot3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const dot3 = (a: Spot3, b: Spot3) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const cross3 = (a: Spot3 | null, b: Spot3 | null): Spot3 =>
  a === null || b === null
    ? [0, 0, 0]
    : [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]]
function unit3(a: Spot3): Spot3 | null {
  const length = Math.sqrt(dot3(a, a))
  return length < 1e-6 ? null : [a[0] / length, a[1] / length, a[2] / length]
}
