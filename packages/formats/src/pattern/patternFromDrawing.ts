import { count, counted, length, say, type Sentence } from '@truelay/core/say'
import type { PieceMark, PiecePattern } from '@truelay/core/align'
import {
  boundsOf,
  centroid,
  contains,
  distance,
  nearestOnOutline,
  type Polygon,
  selfCrossing,
  signedArea,
  thinOutline,
  type Vec2,
} from '@truelay/core/geometry'
import type { Drawing } from '../drawing/index.ts'
import { type FileResult, read, unreadable } from '../result/index.ts'
import { type JoinedLine, joinLines } from './joinLines.ts'

export type Role = 'outline' | 'cut-out' | 'mark' | 'leave out'

export interface PatternOptions {
  readonly name: string
  /** Millimetres in one unit of the drawing; left out = what the file says. */
  readonly mmPerUnit?: number | undefined
  /** Ends that are no further apart are joined, mm. */
  readonly gapMm: number
  /** Outlines are thinned to this, mm. */
  readonly thinMm: number
  /** What the shapes of a layer are; left out = judged by its name and by what lies inside what. */
  readonly roles?: Readonly<Record<string, Role>> | undefined
}

/** A pattern as it was understood from a drawing, and what was done to get it. */
export interface PatternReading {
  readonly pattern: PiecePattern
  readonly widthMm: number
  readonly heightMm: number
  readonly mmPerUnit: number
  /** Whether the file itself says its unit. */
  readonly unitStated: boolean
  /** What was understood, in sentences. */
  readonly understood: readonly Sentence[]
  /** What was left out or mended, in sentences. */
  readonly mended: readonly Sentence[]
  readonly layers: readonly { readonly layer: string; readonly role: Role; readonly shapes: number }[]
}

/** Smallest and largest piece of film that makes sense, mm. */
const leastMm = 8
const mostMm = 6000
const doubledMm = 0.05
const longestSideMm = 400
const mostPoints = 8000

const refuse = (code: string, sentence: Sentence, fix: Sentence) => unreadable(code, sentence, fix)
const layerOf = (layers: readonly string[]) => layers[layers.length - 1] ?? ''

function roleByName(layers: readonly string[]): Role | null {
  const words = layers.join(' ').toLowerCase()
  if (/mark|reference|register|notch/.test(words)) return 'mark'
  if (/cut.?out|hole|sensor|opening|inner/.test(words)) return 'cut-out'
  if (/outline|contour|outer|piece|border/.test(words)) return 'outline'
  return null
}

/**
 * The pattern that a drawing means. Open outlines are closed where their ends nearly meet, doubled shapes are used
 * once, the largest loop is the outline and loops inside it are cut-outs, points and small crosses are marks.
 * Refused: no closed outline, an outline that crosses itself, a size that no piece of film has.
 */
export function patternFromDrawing(drawing: Drawing, options: PatternOptions): FileResult<PatternReading> {
  const mmPerUnit = options.mmPerUnit ?? drawing.mmPerUnit ?? 1
  const toMm = ([x, y]: Vec2): Vec2 => [x * mmPerUnit, y * mmPerUnit]
  const lines = drawing.lines.map((line) => ({ ...line, points: line.points.map(toMm) }))
  const mended: Sentence[] = drawing.leftOut.map(({ what, count: times }) => say`${count(times)} ${what} left out.`)
  if (lines.length === 0)
    return refuse(
      'PATTERN_EMPTY',
      say`There is no line in this drawing.`,
      say`Export the outline of the piece as lines or curves.`,
    )

  const roleOf = (layers: readonly string[]): Role | null => options.roles?.[layerOf(layers)] ?? roleByName(layers)
  const wanted = lines.filter((line) => roleOf(line.layers) !== 'leave out')
  const joined = joinLines(wanted, options.gapMm)
  const widest = Math.max(0, ...joined.map((line) => line.gapMm))
  if (widest > 1e-3) mended.push(say`Gaps of up to ${length(widest)} in an outline were closed.`)
  const { once, doubled } = withoutDoubles(joined)
  if (doubled > 0) mended.push(say`${counted(doubled, '# doubled shape was', '# doubled shapes were')} used once.`)

  const thin = (polygon: readonly Vec2[]) => {
    const turned = signedArea(polygon) >= 0 ? [...polygon] : [...polygon].reverse()
    return thinOutline(turned, options.thinMm, longestSideMm)
  }
  const loops = once
    .filter((line) => line.closed && spread(line.points) > 1)
    .map((line) => ({ ...line, points: thin(line.points), drawn: line.points.length }))
  const open = once.filter((line) => !line.closed)
  const marked = loops.filter((loop) => roleOf(loop.layers) === 'mark')
  const rest = loops.filter((loop) => roleOf(loop.layers) !== 'mark')
  const outlines = rest.filter((loop) => roleOf(loop.layers) === 'outline')
  const outer = largest(outlines.length > 0 ? outlines : rest.filter((loop) => roleOf(loop.layers) !== 'cut-out'))
  if (outer === null) {
    const nearest = closestEnds(open)
    return refuse(
      'PATTERN_OPEN',
      nearest === null
        ? say`No outline is closed.`
        : say`No outline is closed: its ends are ${length(nearest)} apart, and gaps of up to ${length(options.gapMm, 3)} are closed.`,
      say`Close the outline in the drawing, or allow a wider gap.`,
    )
  }
  const { min, max } = boundsOf(outer.points)
  const [widthMm, heightMm] = [max[0] - min[0], max[1] - min[1]]
  if (Math.max(widthMm, heightMm) < leastMm || Math.max(widthMm, heightMm) > mostMm)
    return refuse(
      'PATTERN_SCALE',
      say`In this unit the piece is ${length(widthMm)} x ${length(heightMm)}, which no piece of film is.`,
      say`Choose another unit: millimetres, inches or pixels.`,
    )
  if (outer.points.length > mostPoints)
    return refuse(
      'PATTERN_TOO_FINE',
      say`The outline still has ${count(outer.points.length)} points after thinning to ${length(options.thinMm, 3)}; ${count(mostPoints)} are supported.`,
      say`Thin it more, or export smoother curves.`,
    )
  const crossing = selfCrossing(outer.points)
  if (crossing !== null)
    return refuse(
      'PATTERN_CROSSES',
      say`The outline crosses itself near x ${length(crossing[0] - min[0])}, y ${length(crossing[1] - min[1])} from its lower left.`,
      say`Remove the loop in the drawing and export it again.`,
    )
  const holes = rest.filter((loop) => loop !== outer && loop.points.every((p) => inside(outer.points, p)))
  const elsewhere = rest.length - 1 - holes.length
  if (elsewhere > 0) mended.push(say`${counted(elsewhere, '# outline', '# outlines')} beside the piece left out.`)
  const crossed = holes.filter((hole) => selfCrossing(hole.points) !== null)
  if (crossed.length > 0)
    return refuse(
      'PATTERN_CROSSES',
      say`${counted(crossed.length, 'A cut-out crosses', '# cut-outs cross')} itself.`,
      say`Remove the loop in the drawing and export it again.`,
    )

  const outline = outer.points
  if (outline.length < outer.drawn * 0.9)
    mended.push(
      say`The outline was thinned from ${count(outer.drawn)} to ${count(outline.length)} points, nowhere further off than ${length(options.thinMm, 3)}.`,
    )
  const { marks, unused } = marksOf(drawing, toMm, marked, open, outer.points)
  if (unused > 0) mended.push(say`${counted(unused, '# open line', '# open lines')} left out.`)

  const layers = new Map<string, { role: Role; shapes: number }>()
  for (const { layers: names } of [...drawing.lines, ...drawing.points]) {
    const layer = layerOf(names)
    const role: Role =
      roleOf(names) ??
      (holes.some((h) => layerOf(h.layers) === layer) && layerOf(outer.layers) !== layer ? 'cut-out' : 'outline')
    layers.set(layer, { role, shapes: (layers.get(layer)?.shapes ?? 0) + 1 })
  }
  const pattern = { name: options.name, outline: [...outline], cutOuts: holes.map((hole) => hole.points), marks }
  return read({
    pattern,
    widthMm,
    heightMm,
    mmPerUnit,
    unitStated: drawing.mmPerUnit !== null,
    understood: [
      say`Outline ${length(widthMm)} x ${length(heightMm)}, ${count(outline.length)} points.`,
      say`${counted(holes.length, '# cut-out', '# cut-outs')}, ${counted(marks.length, '# reference mark', '# reference marks')}.`,
      drawing.mmPerUnit === null ? say`The file does not say its unit.` : say`The file says its unit.`,
    ],
    mended,
    layers: [...layers].map(([layer, { role, shapes }]) => ({ layer, role, shapes })),
  })
}

const spread = (points: readonly Vec2[]) => {
  const { min, max } = boundsOf(points)
  return Math.min(max[0] - min[0], max[1] - min[1])
}

const _round = (x: number) => Number(x.toFixed(Math.abs(x) < 10 ? 2 : 1))

function largest<L extends JoinedLine>(loops: readonly L[]): L | null {
  let best: L | null = null
  for (const loop of loops) if (best === null || boxArea(loop.points) > boxArea(best.points)) best = loop
  return best
}

function boxArea(points: readonly Vec2[]): number {
  const { min, max } = boundsOf(points)
  return (max[0] - min[0]) * (max[1] - min[1])
}

const inside = (outline: Polygon, p: Vec2) => contains(outline, p) || nearestOnOutline(outline, p).distanceMm < 0.01

function withoutDoubles(lines: readonly JoinedLine[]): { once: JoinedLine[]; doubled: number } {
  const once: JoinedLine[] = []
  for (const line of lines) {
    const same = once.some((other) => {
      if (other.closed !== line.closed) return false
      const [a, b] = [boundsOf(other.points), boundsOf(line.points)]
      if (distance(a.min, b.min) > doubledMm || distance(a.max, b.max) > doubledMm) return false
      const stride = Math.max(1, Math.floor(line.points.length / 60))
      return line.points.every(
        (p, i) =>
          i % stride !== 0 ||
          (other.closed
            ? nearestOnOutline(other.points, p).distanceMm < doubledMm
            : other.points.some((q) => distance(p, q) < doubledMm)),
      )
    })
    if (!same) once.push(line)
  }
  return { once, doubled: lines.length - once.length }
}

function closestEnds(open: readonly JoinedLine[]): number | null {
  const gaps = open
    .filter((line) => line.points.length > 3)
    .map((line) => distance(line.points[0]!, line.points[line.points.length - 1]!))
  return gaps.length === 0 ? null : Math.min(...gaps)
}

const crossMm = 15

/** Points, marked loops and small crosses of two short lines. */
function marksOf(
  drawing: Drawing,
  toMm: (p: Vec2) => Vec2,
  marked: readonly JoinedLine[],
  open: readonly JoinedLine[],
  outline: Polygon,
): { marks: PieceMark[]; unused: number } {
  const found: { name: string | null; at: Vec2 }[] = [
    ...drawing.points.map(({ at, name }) => ({ name, at: toMm(at) })),
    ...marked.map((loop) => ({ name: null, at: centroid(loop.points) })),
  ]
  const short = open.filter((line) => {
    const { min, max } = boundsOf(line.points)
    return line.points.length === 2 && distance(min, max) < crossMm
  })
  const used = new Set<JoinedLine>()
  for (const [i, a] of short.entries())
    for (const b of short.slice(i + 1)) {
      if (used.has(a) || used.has(b)) continue
      const [ma, mb] = [middleOf(a), middleOf(b)]
      if (distance(ma, mb) > 0.5) continue
      used.add(a)
      used.add(b)
      found.push({ name: null, at: ma })
    }
  const near = found.filter(({ at }) => contains(outline, at) || nearestOnOutline(outline, at).distanceMm < 200)
  const taken = new Set<string>()
  const marks = near.map(({ name, at }, i) => {
    let plain = (name ?? '').trim().slice(0, 60) || `mark ${i + 1}`
    while (taken.has(plain)) plain = `${plain} again`
    taken.add(plain)
    return { name: plain, at }
  })
  return { marks: marks.slice(0, 40), unused: open.length - used.size }
}

const middleOf = ({ points }: JoinedLine): Vec2 => [
  (points[0]![0] + points[1]![0]) / 2,
  (points[0]![1] + points[1]![1]) / 2,
]
