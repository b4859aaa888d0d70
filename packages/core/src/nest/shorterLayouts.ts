import { inKernel } from '../kernel/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { firstFill, largestFirst } from './firstFill.ts'
import { jigsawFill } from './jigsawFill.ts'
import { Layout, type Places } from './layout.ts'
import type { Nested, NestRequest } from './request.ts'
import { Separation } from './separation.ts'
import { type Shapes, shapesOf } from './shape.ts'

export interface SearchLimits {
  readonly seed: number
  /** Pairs of circles and sides that may be held against each other: the same effort gives the same layout. */
  readonly effort: number
  /** Whether to go on at all. */
  readonly goOn: () => boolean
  /** Called with every layout that is better than the one before. */
  readonly onBetter?: ((nested: Nested) => void) | undefined
}

/** How much shorter each layout shall be than the last while others are sought, and how patiently each is tried. */
const shorterBy = 0.01
const seeking = { rounds: 50, strikes: 2 } as const
/** The rest of the effort goes into pressing the best one together, by less and less. */
const seekingShare = 0.75
const pressedBy = { first: 0.0025, least: 0.0001, less: 0.8 } as const
const pressing = { rounds: 40, strikes: 1 } as const
/** How far sides may give way so that fewer are left, while layouts are sought and while one is pressed together; mm. */
const giveMm = { seeking: 0.6, pressing: 0.05 } as const
/** Pieces that fit each other: the share of the effort until which they are fitted, and how many of all must fit. */
const fitting = { share: 0.3, leastShare: 0.5 } as const
/** A layout that may become shorter by no more than this is not worth more effort, mm. */
const worthMm = 0.5
/** Which share of the failed layouts is gone on with, the best ones: the spread of a normal draw. */
const failedSpread = 0.25
/** The larger half of the pieces may change places. */
const largeShare = 0.5

/**
 * Layouts on a roll, each shorter than the one before: the pieces are put on a length too short for them and taken apart again. Where that fails,
 * two large pieces of a failed layout change places (as Gardeyn and Wauters 2025 do it).
 */
export function shorterLayouts(request: NestRequest, limits: SearchLimits): Nested {
  return inKernel(() => new Shortening(request, limits).run())
}

class Shortening {
  private readonly random: () => number
  private readonly effort = { spent: 0 }
  private readonly boundMm: number
  private readonly areaMm2: number
  private layout: Layout
  private separation: Separation
  private best: Places
  /** Share of the effort after which what is under way ends. */
  private until: number = seekingShare

  constructor(
    private readonly request: NestRequest,
    private readonly limits: SearchLimits,
  ) {
    this.random = seededRandom(limits.seed)
    this.layout = this.layoutOf(giveMm.seeking)
    this.separation = this.separationOf()
    const { copies, leastY, mostY, borderMm } = this.layout
    this.areaMm2 = copies.reduce((sum, { areaMm2 }) => sum + areaMm2, 0)
    const shortest = copies.map(({ turns }) =>
      Math.min(...turns.flatMap((shape) => (this.layout.fits(shape) ? [shape.piece.maxX - shape.piece.minX] : []))),
    )
    this.boundMm = 2 * borderMm + Math.max(this.areaMm2 / (mostY - leastY), ...shortest)
    firstFill(this.layout, request.gapMm, this.random)
    this.best = this.layout.keep()
    this.tell()
  }

  run(): Nested {
    this.until = fitting.share
    this.fit()
    this.until = seekingShare
    this.seek()
    this.until = 1
    this.layout = this.layoutOf(giveMm.pressing)
    this.separation = this.separationOf()
    this.press()
    return this.told()
  }

  /** Pieces of which many fit each other without a rest, as those of a sheet that was cut up; the others behind them. */
  private fit(): void {
    const { request, random, layout } = this
    if ((request.spoilt ?? []).length > 0) return
    const fitted = jigsawFill(request, this.effort, () => this.goOn())
    if (fitted.length < fitting.leastShare * layout.size) return
    const lying: number[] = []
    for (const { piece, turn, x, y } of fitted) {
      const i = layout.copies.findIndex(({ id }, k) => id === request.pieces[piece]!.id && !lying.includes(k))
      layout.put(i, x, y, turn)
      lying.push(i)
    }
    firstFill(layout, request.gapMm, random, lying)
    if (layout.lengthMm < this.best.lengthMm) this.keep()
  }

  private seek(): void {
    const failed: { places: Places; loss: number }[] = []
    this.shorten(shorterBy)
    while (this.goOn()) {
      const { apart, loss } = this.separation.run(seeking)
      if (apart) {
        this.keep()
        failed.length = 0
        this.shorten(shorterBy)
        continue
      }
      failed.push({ places: this.layout.keep(), loss })
      failed.sort((a, b) => a.loss - b.loss)
      this.layout.restore(this.oneOfTheBest(failed).places)
      this.swapTwoLarge()
    }
  }

  private press(): void {
    for (let by: number = pressedBy.first; by > pressedBy.least && this.goOn(); ) {
      this.shorten(by)
      if (this.separation.run(pressing).apart) this.keep()
      else by *= pressedBy.less
    }
  }

  private goOn(): boolean {
    const { effort, goOn } = this.limits
    return this.effort.spent < this.until * effort && this.best.lengthMm > this.boundMm + worthMm && goOn()
  }

  private oneOfTheBest<T>(failed: readonly T[]): T {
    const [u, v] = [this.random(), this.random()]
    const normal = Math.sqrt(-2 * Math.log(1 - u)) * Math.cos(2 * Math.PI * v)
    return failed[Math.min(failed.length - 1, Math.floor(Math.abs(normal) * failedSpread * failed.length))]!
  }

  private swapTwoLarge(): void {
    const { layout, random } = this
    const order = largestFirst(layout)
    const large = order.slice(0, Math.ceil(largeShare * order.length))
    const a = large[Math.floor(random() * large.length)]!
    const others = large.filter((i) => layout.copies[i] !== layout.copies[a])
    if (others.length === 0) return
    const b = others[Math.floor(random() * others.length)]!
    const [atA, atB] = [this.middleOf(a), this.middleOf(b)]
    this.bringTo(a, atB)
    this.bringTo(b, atA)
  }

  private middleOf(i: number): readonly [number, number] {
    const { minX, maxX, minY, maxY } = this.layout.shape(i)
    return [this.layout.x[i]! + (minX + maxX) / 2, this.layout.y[i]! + (minY + maxY) / 2]
  }

  private bringTo(i: number, [x, y]: readonly [number, number]): void {
    const { layout } = this
    const shape = layout.shape(i)
    const place = layout.nearestX(shape, x - (shape.minX + shape.maxX) / 2)
    if (Number.isNaN(place)) return
    layout.put(i, place, layout.nearestY(shape, y - (shape.minY + shape.maxY) / 2), layout.turn[i]!)
  }

  /** The best layout on a shorter roll: what lies beyond a line across it moves back by the difference. */
  private shorten(by: number): void {
    const { layout, best } = this
    layout.restore(best)
    const toMm = Math.max(this.boundMm, best.lengthMm * (1 - by))
    const byMm = best.lengthMm - toMm
    const lineMm = this.random() * toMm
    layout.lengthMm = toMm
    for (let i = 0; i < layout.size; i++) {
      const [x] = this.middleOf(i)
      this.moveTo(i, layout.x[i]! - (x > lineMm ? byMm : 0))
    }
  }

  /** A piece that has no room in its turn any more takes another one. */
  private moveTo(i: number, wished: number): void {
    const { layout } = this
    const { turns } = layout.copies[i]!
    const order = [layout.turn[i]!, ...turns.keys()]
    for (const turn of order) {
      const shape = turns[turn]!
      const x = layout.nearestX(shape, wished)
      if (Number.isNaN(x) || !layout.fits(shape)) continue
      layout.put(i, x, layout.nearestY(shape, layout.y[i]!), turn)
      return
    }
  }

  private keep(): void {
    this.best = { ...this.layout.keep(), lengthMm: this.layout.usedMm() }
    this.tell()
  }

  private tell(): void {
    this.limits.onBetter?.(this.told())
  }

  private layoutOf(byMm: number): Layout {
    const { pieces, gapMm } = this.request
    const copies = pieces.flatMap((piece) => new Array<Shapes>(piece.count).fill(shapesOf(piece, gapMm, byMm)))
    return new Layout(copies, this.request, this.effort)
  }

  private separationOf(): Separation {
    return new Separation(this.layout, this.random, () => this.goOn())
  }

  private told(): Nested {
    const { x, y, turn, lengthMm } = this.best
    const copies = this.request.pieces.flatMap(({ id, count }) =>
      Array.from({ length: count }, (_, copy) => ({ id, copy })),
    )
    return {
      usedLengthMm: lengthMm,
      utilisation: this.areaMm2 / (lengthMm * this.request.rollWidthMm),
      placements: copies.map((copy, i) => ({
        ...copy,
        xMm: x[i]!,
        yMm: y[i]!,
        turnDeg: this.layout.copies[i]!.turns[turn[i]!]!.turnDeg,
      })),
    }
  }
}
