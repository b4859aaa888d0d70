import { type Overlaps, overlaps } from '../kernel/index.ts'
import { sidesCross } from './overlap.ts'
import type { NestRequest } from './request.ts'
import type { Shape, Shapes } from './shape.ts'

/** Where every copy lies; what a search keeps of a layout. */
export interface Places {
  readonly lengthMm: number
  readonly x: Float64Array
  readonly y: Float64Array
  readonly turn: Uint16Array
}

/** Copies of pieces on a length of roll, with how much each pair overlaps and how much that counts; lives in the kernel's scope in which it was made. */
export class Layout {
  readonly size: number
  readonly x: Float64Array
  readonly y: Float64Array
  readonly turn: Uint16Array
  /** How much each pair's overlap counts: grows the longer they stay in each other. */
  readonly weight: Float64Array
  lengthMm = 0
  readonly borderMm: number
  readonly leastY: number
  readonly mostY: number
  /** Overlap of each pair, 0 where they lie apart. */
  private readonly loss: Float64Array
  private readonly spoilt: readonly (readonly [number, number])[]
  private readonly overlaps: Overlaps
  /** By copy: where the shapes of its piece begin among all shapes. */
  private readonly firstShape: readonly number[]

  constructor(
    /** Of which piece each copy is. */
    readonly copies: readonly Shapes[],
    { rollWidthMm, borderMm = 0, spoilt = [] }: Pick<NestRequest, 'rollWidthMm' | 'borderMm' | 'spoilt'>,
    /** Pairs of circles and sides that were held against each other: the measure of effort. */
    readonly effort: { spent: number },
  ) {
    const size = copies.length
    this.size = size
    const pieces = [...new Set(copies)]
    const first = new Map<Shapes, number>()
    const shapes = pieces.flatMap((piece, k) => {
      first.set(piece, k === 0 ? 0 : first.get(pieces[k - 1]!)! + pieces[k - 1]!.turns.length)
      return piece.turns.map((shape) => ({ ...shape, acrossMm: piece.acrossMm, rootMm: piece.rootMm }))
    })
    this.firstShape = copies.map((piece) => first.get(piece)!)
    this.overlaps = overlaps(shapes, size)
    this.x = this.overlaps.x
    this.y = this.overlaps.y
    this.weight = this.overlaps.weight
    this.turn = new Uint16Array(size)
    this.loss = new Float64Array(size * size)
    for (let i = 0; i < size; i++) this.lie(i)
    this.borderMm = borderMm
    this.leastY = borderMm
    this.mostY = rollWidthMm - borderMm
    this.spoilt = [...spoilt].sort((a, b) => a[0] - b[0])
  }

  shape(i: number): Shape {
    return this.copies[i]!.turns[this.turn[i]!]!
  }

  put(i: number, x: number, y: number, turn: number): void {
    this.x[i] = x
    this.y[i] = y
    this.turn[i] = turn
    this.lie(i)
  }

  private lie(i: number): void {
    this.overlaps.lie(i, this.firstShape[i]! + this.turn[i]!)
  }

  /** Where the shape may lie along the roll, nearest to `x`; NaN where it has no room. */
  nearestX({ piece: { minX, maxX } }: Shape, x: number): number {
    const from = this.borderMm - minX
    const to = this.lengthMm - this.borderMm - maxX
    if (to < from - 1e-9) return Number.NaN
    const wished = x < from ? from : x > to ? Math.max(from, to) : x
    if (this.spoilt.length === 0) return wished
    let best = Number.NaN
    // Before, between and after the spoilt stretches.
    let free = from
    for (let k = 0; k <= this.spoilt.length; k++) {
      const end = k < this.spoilt.length ? Math.min(to, this.spoilt[k]![0] - maxX) : to
      if (end >= free) {
        const here = Math.min(end, Math.max(free, wished))
        if (Number.isNaN(best) || Math.abs(here - wished) < Math.abs(best - wished)) best = here
      }
      if (k < this.spoilt.length) free = Math.max(free, this.spoilt[k]![1] - minX)
    }
    return best
  }

  /** Where it may lie across the roll, nearest to `y`. */
  nearestY({ piece: { minY, maxY } }: Shape, y: number): number {
    const from = this.leastY - minY
    const to = this.mostY - maxY
    return y < from ? from : y > to ? Math.max(from, to) : y
  }

  /** Whether the roll is wide enough for it. */
  fits({ piece: { minY, maxY } }: Shape): boolean {
    return maxY - minY <= this.mostY - this.leastY + 1e-9
  }

  /** Overlap of two copies as they lie. */
  overlap(i: number, j: number): number {
    const dx = this.x[j]! - this.x[i]!
    const dy = this.y[j]! - this.y[i]!
    const loss = this.overlaps.pairLoss(
      this.firstShape[i]! + this.turn[i]!,
      this.firstShape[j]! + this.turn[j]!,
      dx,
      dy,
    )
    if (loss >= 0) return loss
    return sidesCross(this.shape(i), this.shape(j), dx, dy) ? -loss : 0
  }

  /** What the copy's overlaps would count at a place; at least `enough` where it is not less than that. */
  lossAt(i: number, turn: number, x: number, y: number, enough: number): number {
    const { size, copies, effort, firstShape } = this
    const { told, unsure, unsureLoss } = this.overlaps
    let sum = this.overlaps.lossAt(i, firstShape[i]! + turn, x, y, enough)
    effort.spent += placeEffort.itself + placeEffort.each * size + placeEffort.group * told[1]!
    if (sum >= enough) return sum
    // Where boxes meet and no circles, it is for the sides to say.
    const shape = copies[i]!.turns[turn]!
    for (let k = 0; k < told[0]!; k++) {
      const j = unsure[k]!
      const other = this.shape(j)
      effort.spent += sideEffort.itself + sideEffort.each * (shape.sides.length + other.sides.length)
      if (!sidesCross(shape, other, this.x[j]! - x, this.y[j]! - y)) continue
      sum += unsureLoss[k]!
      if (sum >= enough) return sum
    }
    return sum
  }

  /** Reckons the overlaps of one copy with all others anew. */
  reckon(i: number): void {
    for (let j = 0; j < this.size; j++) this.setLoss(i, j, j === i ? 0 : this.overlap(i, j))
  }

  reckonAll(): void {
    for (let i = 0; i < this.size; i++) for (let j = 0; j < i; j++) this.setLoss(i, j, this.overlap(i, j))
  }

  /** Sum of a copy's overlaps, each as much as it counts. */
  weightedLossOf(i: number): number {
    let sum = 0
    for (let k = i * this.size, end = k + this.size; k < end; k++) sum += this.loss[k]! * this.weight[k]!
    return sum
  }

  total(): number {
    let sum = 0
    for (let i = 0; i < this.size; i++) for (let j = 0; j < i; j++) sum += this.loss[i * this.size + j]!
    return sum
  }

  /** Pairs that overlap count more from now on, the deepest the most; the others less and less. */
  weigh(): void {
    const { loss, weight } = this
    let most = 0
    for (let k = 0; k < loss.length; k++) if (loss[k]! > most) most = loss[k]!
    for (let k = 0; k < loss.length; k++) {
      const l = loss[k]!
      if (l > 0) weight[k]! *= heavier.least + (heavier.most - heavier.least) * (l / most)
      else if (weight[k]! > 1) weight[k] = Math.max(1, weight[k]! * lighter)
    }
  }

  keep(): Places {
    return { lengthMm: this.lengthMm, x: this.x.slice(), y: this.y.slice(), turn: this.turn.slice() }
  }

  restore({ lengthMm, x, y, turn }: Places): void {
    this.lengthMm = lengthMm
    this.x.set(x)
    this.y.set(y)
    this.turn.set(turn)
    for (let i = 0; i < this.size; i++) this.lie(i)
    this.reckonAll()
  }

  /** End of the piece that reaches furthest, with the border. */
  usedMm(): number {
    let most = 0
    for (let i = 0; i < this.size; i++) most = Math.max(most, this.x[i]! + this.shape(i).piece.maxX)
    return most + this.borderMm
  }

  private setLoss(i: number, j: number, loss: number): void {
    this.loss[i * this.size + j] = loss
    this.loss[j * this.size + i] = loss
  }
}

/** Factors on the weights of pairs, from round to round (guided local search). */
const heavier = { least: 1.2, most: 2 } as const
const lighter = 0.95
/** What takes effort: a place that is tried, each other copy that may be in its way, four circles held against one, and sides. */
const placeEffort = { itself: 600, each: 12, group: 4 } as const
const sideEffort = { itself: 400, each: 3 } as const
