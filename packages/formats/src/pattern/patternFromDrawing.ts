import type { PiecePattern } from '@truelay/core/align'
import {
  boundsOf,
  distance,
  nearestOnOutline,
  perimeter,
  selfCrossing,
  signedArea,
  thinOutline,
  type Vec2,
} from '@truelay/core/geometry'
import { count, counted, length, say, type Sentence } from '@truelay/core/say'
import type { Drawing, DrawnLine } from '../drawing/index.ts'
import type { FileFailure } from '../result/index.ts'
import { withoutStrokes } from './drawnStrokes.ts'
import { type JoinedLine, joinLines } from './joinLines.ts'
import { liesIn, type Loop, nested } from './loops.ts'
import { marksOf } from './marksOf.ts'
import { withoutFrames } from './pageFrames.ts'
import { type Role, roleByName } from './roleByName.ts'

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

/** A layer of the drawing, and what its shapes were taken for. */
export interface PatternLayer {
  readonly layer: string
  readonly role: Role
  readonly shapes: number
}

/** A pattern as it was understood from a drawing, and what was done to get it. */
export interface PatternReading {
  readonly pattern: PiecePattern
  readonly widthMm: number
  readonly heightMm: number
  /** Of the outline less its cut-outs, before they were thinned. */
  readonly areaMm2: number
  readonly mmPerUnit: number
  /** Whether the file itself says its unit. */
  readonly unitStated: boolean
  /** What was understood, in sentences. */
  readonly understood: readonly Sentence[]
  /** What was left out or mended, in sentences. */
  readonly mended: readonly Sentence[]
  readonly layers: readonly PatternLayer[]
}

/** A refusal names the layers all the same: what they are may be what has to be put right. */
export type PatternResult =
  | { readonly ok: true; readonly value: PatternReading }
  | { readonly ok: false; readonly failure: FileFailure; readonly layers: readonly PatternLayer[] }

/** Smallest and largest piece of film that makes sense, mm. */
const leastMm = 8
const mostMm = 6000
const doubledMm = 0.05
const longestSideMm = 400
const mostPoints = 8000
const mostLoops = 2000
/** A mark is no larger than this, whatever its layer is called, mm. */
const largestMarkMm = 60
/** A closed line that is no wider than this on the average is a drawn stroke and no shape, mm. */
const strokeMm = 2.5

const layerOf = (layers: readonly string[]) => layers[layers.length - 1] ?? ''

/**
 * The pattern that a drawing means. Lines are joined over all layers, what is drawn twice is used once, a traced stroke becomes its middle; the
 * largest loop is the outline, loops inside it are cut-outs, points and small crosses are marks, unless a layer is told to be something else.
 * Refused: no closed outline, an outline that crosses itself, a size that no piece of film has.
 */
export function patternFromDrawing(drawing: Drawing, options: PatternOptions): PatternResult {
  return new Understanding(drawing, options).result()
}

class Understanding {
  private readonly mmPerUnit: number
  private readonly mended: Sentence[] = []
  /** What loops were taken for, by layer; what names say and what was chosen counts before. */
  private readonly takenFor = new Map<string, Role>()

  constructor(
    private readonly drawing: Drawing,
    private readonly options: PatternOptions,
  ) {
    this.mmPerUnit = options.mmPerUnit ?? drawing.mmPerUnit ?? drawing.likelyMmPerUnit ?? 1
  }

  result(): PatternResult {
    const { drawing, options, mended } = this
    mended.push(...drawing.leftOut)
    const lines = drawing.lines
      .filter(({ layers }) => this.roleOf(layers) !== 'leave out')
      .map((line): DrawnLine => ({ ...line, points: line.points.map(this.toMm) }))
    if (lines.length === 0)
      return this.refuse(
        'PATTERN_EMPTY',
        say`There is no line in this drawing.`,
        say`Export the outline of the piece as lines or curves.`,
      )
    const { joined, drawnOver } = joinLines(lines, options.gapMm)
    const many = joined.filter((line) => line.closed).length
    if (many > mostLoops)
      return this.refuse(
        'PATTERN_MANY',
        say`There are ${count(many)} closed shapes in this drawing, far more than a piece of film has.`,
        say`Export the outline and its cut-outs only, or leave out layers.`,
      )
    // Of a line and the edge of an area that it is filled to, the line is what was drawn.
    const { once, doubled } = withoutDoubles([...joined].sort((a, b) => Number(a.ofArea) - Number(b.ofArea)))
    const twice = doubled + drawnOver
    if (twice > 0) mended.push(say`${counted(twice, '# doubled shape was', '# doubled shapes were')} used once.`)
    const open = once.filter(({ closed }) => !closed)
    const closed = once.filter((line) => line.closed && spread(line.points) > 1)
    const {
      lines: unframed,
      framesMm,
      unsure,
    } = withoutFrames(closed, drawing.page, this.mmPerUnit, ({ layers }) => this.roleOf(layers) !== 'outline')
    for (const [w, h] of framesMm) mended.push(say`A frame of the page, ${length(w)} x ${length(h)}, left out.`)
    if (unsure)
      mended.push(
        say`The outermost shape is as large as the page and was taken as the piece: if it is only a frame, leave it out.`,
      )
    const { lines: single, widthsMm } = withoutStrokes(unframed)
    if (widthsMm.length > 0)
      mended.push(
        say`${counted(widthsMm.length, '# line is drawn as a stroke', '# lines are drawn as strokes')}, up to ${length(Math.max(...widthsMm), 2)} wide: its middle is taken.`,
      )
    const drawn = single.filter(({ ofArea }) => !ofArea)
    const loops = nested(drawn.length > 0 ? drawn : single).map((loop) => ({ ...loop, points: this.thin(loop.points) }))
    if (drawn.length > 0 && drawn.length < single.length)
      mended.push(say`${counted(single.length - drawn.length, '# filled area', '# filled areas')} left out.`)
    return this.fromLoops(loops, open, single)
  }

  private fromLoops(loops: readonly Loop[], open: readonly JoinedLine[], drawn: readonly JoinedLine[]): PatternResult {
    const { drawing, options, mended } = this
    const marked = loops.filter((loop) => this.isMark(loop))
    const rest = loops.filter((loop) => !marked.includes(loop))
    const outer = this.outerOf(rest)
    if (outer === null) {
      const nearest = closestEnds(open)
      return this.refuse(
        'PATTERN_OPEN',
        nearest === null
          ? say`No outline is closed.`
          : say`No outline is closed: its ends are ${length(nearest)} apart, and gaps of up to ${length(options.gapMm, 3)} are closed.`,
        say`Close the outline in the drawing, or allow a wider gap.`,
      )
    }
    this.takenFor.set(layerOf(outer.layers), 'outline')
    const { min, max } = boundsOf(outer.points)
    const [widthMm, heightMm] = [max[0] - min[0], max[1] - min[1]]
    const wrong = this.wrongWith(outer, widthMm, heightMm)
    if (wrong !== null) return wrong
    const { holes, islands } = this.holesOf(rest, outer)
    const elsewhere = rest.length - 1 - holes.length - islands
    if (islands > 0)
      mended.push(say`${counted(islands, '# shape', '# shapes')} inside a cut-out left out: a piece of its own.`)
    if (elsewhere > 0) mended.push(say`${counted(elsewhere, '# outline', '# outlines')} beside the piece left out.`)
    const crossed = holes.filter((hole) => selfCrossing(hole.points) !== null)
    if (crossed.length > 0)
      return this.refuse(
        'PATTERN_CROSSES',
        say`${counted(crossed.length, 'A cut-out crosses', '# cut-outs cross')} itself.`,
        say`Remove the loop in the drawing and export it again.`,
      )
    const widest = Math.max(0, ...[outer, ...holes].map(({ gapMm }) => gapMm))
    if (widest > 1e-3) mended.push(say`Gaps of up to ${length(widest)} in an outline were closed.`)
    const before = drawn.find((line) => line.layers === outer.layers && line.points.length >= outer.points.length)
    if (before !== undefined && outer.points.length < before.points.length * 0.9)
      mended.push(
        say`The outline was thinned from ${count(before.points.length)} to ${count(outer.points.length)} points, nowhere further off than ${length(options.thinMm, 3)}.`,
      )
    const { marks, unused } = marksOf(drawing, this.toMm, marked, open, outer.points)
    if (unused > 0) mended.push(say`${counted(unused, '# open line', '# open lines')} left out.`)
    return {
      ok: true,
      value: {
        pattern: {
          name: options.name,
          outline: [...outer.points],
          cutOuts: holes.map((hole) => [...hole.points]),
          marks,
        },
        widthMm,
        heightMm,
        areaMm2: holes.reduce((sum, hole) => sum - hole.areaMm2, outer.areaMm2),
        mmPerUnit: this.mmPerUnit,
        unitStated: drawing.mmPerUnit !== null,
        understood: [
          say`Outline ${length(widthMm)} x ${length(heightMm)}, ${count(outer.points.length)} points.`,
          say`${counted(holes.length, '# cut-out', '# cut-outs')}, ${counted(marks.length, '# reference mark', '# reference marks')}.`,
          this.unitWords(),
        ],
        mended,
        layers: this.layers(),
      },
    }
  }

  private unitWords(): Sentence {
    const { mmPerUnit, likelyMmPerUnit } = this.drawing
    if (mmPerUnit !== null) return say`The file says its unit.`
    return this.options.mmPerUnit === undefined && likelyMmPerUnit !== undefined
      ? say`The file does not say its unit: 96 pixels to the inch are taken, as drawing programs write them.`
      : say`The file does not say its unit.`
  }

  private readonly toMm = ([x, y]: Vec2): Vec2 => [x * this.mmPerUnit, y * this.mmPerUnit]

  private thin(points: readonly Vec2[]): Vec2[] {
    const turned = signedArea(points) >= 0 ? [...points] : [...points].reverse()
    return thinOutline(turned, this.options.thinMm, longestSideMm)
  }

  /** What was chosen for a layer, or else what its name says. */
  private roleOf(layers: readonly string[]): Role | null {
    return this.options.roles?.[layerOf(layers)] ?? roleByName(layers)
  }

  private chosen(layers: readonly string[], role: Role): boolean {
    return this.options.roles?.[layerOf(layers)] === role
  }

  private isMark({ layers, points }: Loop): boolean {
    if (this.roleOf(layers) !== 'mark') return false
    const { min, max } = boundsOf(points)
    return this.chosen(layers, 'mark') || distance(min, max) <= largestMarkMm
  }

  /** What is called an outline; else the largest loop, whatever it is called, that is not told to be a cut-out: a cut-out lies in something. */
  private outerOf(loops: readonly Loop[]): Loop | null {
    const named = loops.filter(({ layers }) => this.roleOf(layers) === 'outline')
    const [outer] = named.length > 0 ? named : loops.filter(({ layers }) => !this.chosen(layers, 'cut-out'))
    return outer ?? null
  }

  /** Loops straight inside the outline, or told to be cut-outs; what lies inside those is a piece of its own. */
  private holesOf(loops: readonly Loop[], outer: Loop): { holes: Loop[]; islands: number } {
    const within = loops.filter((loop) => loop !== outer && liesIn(outer.points, loop.points))
    const holes: Loop[] = []
    for (const loop of within) {
      const inHole = holes.some((hole) => liesIn(hole.points, loop.points))
      if (!inHole || this.chosen(loop.layers, 'cut-out')) holes.push(loop)
    }
    for (const { layers } of holes)
      if (layerOf(layers) !== layerOf(outer.layers)) this.takenFor.set(layerOf(layers), 'cut-out')
    return { holes, islands: within.length - holes.length }
  }

  private wrongWith(outer: Loop, widthMm: number, heightMm: number): PatternResult | null {
    if (Math.max(widthMm, heightMm) < leastMm || Math.max(widthMm, heightMm) > mostMm)
      return this.refuse(
        'PATTERN_SCALE',
        say`In this unit the piece is ${length(widthMm)} x ${length(heightMm)}, which no piece of film is.`,
        say`Choose another unit: millimetres, inches or pixels.`,
      )
    if (outer.points.length > mostPoints)
      return this.refuse(
        'PATTERN_TOO_FINE',
        say`The outline still has ${count(outer.points.length)} points after thinning to ${length(this.options.thinMm, 3)}; ${count(mostPoints)} are supported.`,
        say`Thin it more, or export smoother curves.`,
      )
    const crossing = selfCrossing(outer.points)
    if (crossing === null) return this.strokeIn(outer, Math.max(widthMm, heightMm))
    const { min } = boundsOf(outer.points)
    return this.refuse(
      'PATTERN_CROSSES',
      say`The outline crosses itself near x ${length(crossing[0] - min[0])}, y ${length(crossing[1] - min[1])} from its lower left.`,
      say`Remove the loop in the drawing and export it again.`,
    )
  }

  private strokeIn(outer: Loop, longestMm: number): PatternResult | null {
    const meanWidth = (2 * outer.areaMm2) / perimeter(outer.points)
    if (meanWidth < strokeMm && longestMm > 40 * meanWidth)
      return this.refuse(
        'PATTERN_STROKE',
        say`The largest shape is only ${length(meanWidth, 2)} wide: it is the edge of a drawn stroke, not of a piece.`,
        say`Export the line itself, not its traced stroke.`,
      )
    return null
  }

  private refuse(code: string, sentence: Sentence, fix: Sentence): PatternResult {
    return { ok: false, failure: { code, sentence, fix }, layers: this.layers() }
  }

  private layers(): PatternLayer[] {
    const layers = new Map<string, { role: Role; shapes: number }>()
    for (const { layers: names } of [...this.drawing.lines, ...this.drawing.points]) {
      const layer = layerOf(names)
      const role = this.options.roles?.[layer] ?? this.takenFor.get(layer) ?? roleByName(names) ?? 'outline'
      layers.set(layer, { role, shapes: (layers.get(layer)?.shapes ?? 0) + 1 })
    }
    return [...layers].map(([layer, { role, shapes }]) => ({ layer, role, shapes }))
  }
}

const spread = (points: readonly Vec2[]) => {
  const { min, max } = boundsOf(points)
  return Math.min(max[0] - min[0], max[1] - min[1])
}

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
