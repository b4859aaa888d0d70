import type { Layout } from './layout.ts'

export interface Patience {
  /** Rounds without a better layout after which a try ends. */
  readonly rounds: number
  /** Tries that gain little, one after the other, after which it is given up. */
  readonly strikes: number
}

/** How many places are tried for a copy: all over the roll, near where it lies, and how many of the best are moved on. */
const tries = { everywhere: 40, near: 20, movedOn: 2 } as const
/** Steps downhill as shares of the piece: how they begin and end, first for each of the best places, then for the best. */
const steps = { first: [0.15, 0.005], last: [0.005, 0.0005] } as const
/** What counts as a gain of a try. */
const gain = 0.98

/** A place for a copy, and what its overlaps would count there. */
interface Spot {
  x: number
  y: number
  readonly turn: number
  loss: number
}

/**
 * Takes overlapping copies apart: each in turn goes where its overlaps count least, found by trying places and moving the best of them downhill;
 * overlaps that stay count more from round to round (guided local search: Voudouris and Tsang 1999; for nesting Egeblad et al. 2007, Gardeyn and
 * Wauters 2025).
 */
export class Separation {
  constructor(
    private readonly layout: Layout,
    private readonly random: () => number,
    private readonly goOn: () => boolean,
  ) {}

  /** Whether all lie apart now. If not, the layout is the best that was found, and `loss` says how far it is off. */
  run({ rounds, strikes }: Patience): { apart: boolean; loss: number } {
    const { layout } = this
    layout.weight.fill(1)
    layout.reckonAll()
    let least = layout.total()
    let best = layout.keep()
    for (let lost = 0; least > 0 && lost < strikes && this.goOn(); ) {
      const before = least
      for (let idle = 0; idle < rounds && this.goOn(); idle++) {
        this.moveAll()
        const loss = layout.total()
        if (loss === 0) return { apart: true, loss }
        if (loss < least) {
          if (loss < gain * least) idle = -1
          least = loss
          best = layout.keep()
        }
        layout.weigh()
      }
      lost = least > gain * before ? lost + 1 : 0
      layout.restore(best)
    }
    return { apart: least === 0, loss: least }
  }

  /** Every copy that overlaps goes to a better place, in an order by chance. */
  private moveAll(): void {
    const { layout, random } = this
    const open: number[] = []
    for (let i = 0; i < layout.size; i++)
      if (layout.weightedLossOf(i) > 0) open.splice(Math.floor(random() * (open.length + 1)), 0, i)
    for (const i of open) {
      const now = layout.weightedLossOf(i)
      const spot = now > 0 ? this.betterSpot(i, now) : null
      if (spot === null) continue
      layout.put(i, spot.x, spot.y, spot.turn)
      layout.reckon(i)
    }
  }

  /** A place where the copy's overlaps count less than now; null where none was found. */
  private betterSpot(i: number, now: number): Spot | null {
    const { layout } = this
    const best: Spot[] = []
    this.consider(i, layout.turn[i]!, layout.x[i]!, layout.y[i]!, best)
    this.tryNear(i, best)
    this.tryEverywhere(i, best)
    let found: Spot | null = null
    for (const spot of best) {
      this.moveDown(i, spot, steps.first)
      if (found === null || spot.loss < found.loss) found = spot
      if (found.loss === 0) break
    }
    if (found === null) return null
    if (found.loss > 0) this.moveDown(i, found, steps.last)
    return found.loss < now ? found : null
  }

  private tryNear(i: number, best: Spot[]): void {
    const { layout, random } = this
    const { turns } = layout.copies[i]!
    const { minX, minY, maxX, maxY } = layout.shape(i)
    const middleX = layout.x[i]! + (minX + maxX) / 2
    const middleY = layout.y[i]! + (minY + maxY) / 2
    for (let k = 0; k < tries.near; k++) {
      const turn = Math.floor(random() * turns.length)
      const shape = turns[turn]!
      const x = middleX + (random() - 0.5) * (maxX - minX) - (shape.minX + shape.maxX) / 2
      const y = middleY + (random() - 0.5) * (maxY - minY) - (shape.minY + shape.maxY) / 2
      this.consider(i, turn, x, y, best)
    }
  }

  private tryEverywhere(i: number, best: Spot[]): void {
    const { layout, random } = this
    const { turns } = layout.copies[i]!
    for (let k = 0; k < tries.everywhere; k++) {
      const turn = Math.floor(random() * turns.length)
      const { minX, maxX, minY, maxY } = turns[turn]!.piece
      const roomX = layout.lengthMm - 2 * layout.borderMm - (maxX - minX)
      const roomY = layout.mostY - layout.leastY - (maxY - minY)
      const x = layout.borderMm - minX + random() * Math.max(0, roomX)
      const y = layout.leastY - minY + random() * Math.max(0, roomY)
      this.consider(i, turn, x, y, best)
    }
  }

  /** Keeps the place among the best few if it is one of them. */
  private consider(i: number, turn: number, wishedX: number, wishedY: number, best: Spot[]): void {
    const { layout } = this
    const shape = layout.copies[i]!.turns[turn]!
    const x = layout.nearestX(shape, wishedX)
    if (Number.isNaN(x) || !layout.fits(shape)) return
    const y = layout.nearestY(shape, wishedY)
    const worst = best.length < tries.movedOn ? Infinity : best[best.length - 1]!.loss
    const loss = layout.lossAt(i, turn, x, y, worst)
    if (loss >= worst) return
    let at = best.length
    while (at > 0 && best[at - 1]!.loss > loss) at--
    best.splice(at, 0, { x, y, turn, loss })
    if (best.length > tries.movedOn) best.pop()
  }

  /** Steps along the roll, across it or both; longer after a gain, shorter after none. */
  private moveDown(i: number, spot: Spot, [from, to]: readonly [number, number]): void {
    const { layout, random } = this
    const shape = layout.copies[i]!.turns[spot.turn]!
    const size = Math.min(shape.maxX - shape.minX, shape.maxY - shape.minY)
    const least = to * size
    let stepX = from * size
    let stepY = from * size
    while ((stepX > least || stepY > least) && spot.loss > 0) {
      const way = Math.floor(random() * 4)
      const dx = way === 1 ? 0 : stepX
      const dy = way === 0 ? 0 : way === 3 ? -stepY : stepY
      const better = this.step(i, spot, dx, dy) || this.step(i, spot, -dx, -dy)
      const by = better ? 1.1 : way > 1 ? Math.SQRT1_2 : 0.5
      if (dx !== 0) stepX *= by
      if (dy !== 0) stepY *= by
    }
  }

  private step(i: number, spot: Spot, dx: number, dy: number): boolean {
    const { layout } = this
    const shape = layout.copies[i]!.turns[spot.turn]!
    const x = layout.nearestX(shape, spot.x + dx)
    const y = layout.nearestY(shape, spot.y + dy)
    if (x === spot.x && y === spot.y) return false
    const loss = layout.lossAt(i, spot.turn, x, y, spot.loss)
    if (loss >= spot.loss) return false
    spot.x = x
    spot.y = y
    spot.loss = loss
    return true
  }
}
