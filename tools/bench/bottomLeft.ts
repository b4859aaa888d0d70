import { minkowskiSumD } from 'clipper2-ts'
import type { NestPlacement, NestRequest } from '../../packages/core/src/nest/index.ts'
import { shapesOf, type Shapes } from '../../packages/core/src/nest/shape.ts'
import { seededRandom } from '../../packages/core/src/numerics/index.ts'

/**
 * The plain way to lay pieces out, as a yardstick: one after the other, each as near to the beginning of the roll as it goes beside those that lie, by exact
 * no-fit polygons; the order is searched by exchanges. Cut-outs stay empty. Lines along the roll on which a place is looked for: where a piece touches one that
 * lies from below or above, at the rims and every 20 mm; along each line the place is exact.
 */
export function bottomLeft(
  request: NestRequest,
  seconds: number,
): { utilisation: number; orders: number; placements: NestPlacement[] } {
  const pieces = request.pieces.flatMap((piece) =>
    new Array<Shapes>(piece.count).fill(shapesOf({ ...piece, cutOuts: [] }, request.gapMm, 0.3)),
  )
  const noFit = new NoFit(pieces)
  const random = seededRandom(1)
  const began = Date.now()
  const goOn = () => Date.now() - began - noFit.spentMs < 1000 * seconds
  const area = (i: number) => pieces[i]!.areaMm2
  let order = pieces.map((_, i) => i).sort((a, b) => area(b) - area(a))
  let best = filled(order, pieces, noFit, request)!
  let orders = 1
  for (; goOn(); orders++) {
    const next = [...order]
    for (let k = random() < 0.3 ? 2 : 1; k > 0; k--) {
      const [i, j] = [Math.floor(random() * next.length), Math.floor(random() * next.length)]
      if (random() < 0.5) [next[i], next[j]] = [next[j]!, next[i]!]
      else next.splice(j, 0, ...next.splice(i, 1))
    }
    const found = filled(next, pieces, noFit, request, best.lengthMm)
    if (found === null) continue
    best = found
    order = next
  }
  const areaMm2 = request.pieces.reduce((sum, piece) => sum + piece.count * shapesOf(piece, 0, 0).areaMm2, 0)
  const placements = best.placed.map(({ i, turn, x, y }) => {
    const { id, turns } = pieces[i]!
    return { id, copy: 0, xMm: x, yMm: y, turnDeg: turns[turn]!.turnDeg }
  })
  return { utilisation: areaMm2 / (best.lengthMm * request.rollWidthMm), orders, placements }
}

interface Outline {
  readonly x: Float64Array
  readonly y: Float64Array
  readonly minY: number
  readonly maxY: number
  readonly maxX: number
}

/** Where the second of two pieces may not lie, relative to the first, in each pair of turns; reckoned when it is asked for. */
class NoFit {
  private readonly known = new Map<number, Outline[]>()

  /** What reckoning them took, which does not count: a native library takes a fraction of it. */
  spentMs = 0

  constructor(private readonly pieces: readonly Shapes[]) {}

  of(i: number, turnI: number, j: number, turnJ: number): readonly Outline[] {
    const key = ((i * 4 + turnI) * this.pieces.length + j) * 4 + turnJ
    let found = this.known.get(key)
    if (found === undefined) {
      const began = performance.now()
      found = this.reckoned(i, turnI, j, turnJ)
      this.spentMs += performance.now() - began
      this.known.set(key, found)
    }
    return found
  }

  private reckoned(i: number, turnI: number, j: number, turnJ: number): Outline[] {
    const [a, b] = [outline(this.pieces[i]!, turnI), outline(this.pieces[j]!, turnJ)]
    // B swept round by A turned about; its inside filled.
    return minkowskiSumD(turnedAbout(a), b, true)
      .filter((path) => path.reduce((sum, p, k) => sum + cross(p, path[(k + 1) % path.length]!), 0) > 0)
      .map((path) => outlineOf(turnedAbout(path)))
  }
}

type Point = { readonly x: number; readonly y: number }
const turnedAbout = (path: readonly Point[]) => path.map(({ x, y }) => ({ x: -x, y: -y }))
const cross = (p: Point, q: Point) => p.x * q.y - p.y * q.x

const outline = (piece: Shapes, turn: number) => {
  const { sides, loops } = piece.turns[turn]!
  const end = loops.length > 1 ? 4 * loops[1]! : sides.length
  return Array.from({ length: end / 4 }, (_, k) => ({ x: sides[4 * k]!, y: sides[4 * k + 1]! }))
}

function outlineOf(path: readonly Point[]): Outline {
  const [xs, ys] = [path.map(({ x }) => x), path.map(({ y }) => y)]
  return {
    x: Float64Array.from(xs),
    y: Float64Array.from(ys),
    minY: Math.min(...ys),
    maxY: Math.max(...ys),
    maxX: Math.max(...xs),
  }
}

interface Placed {
  readonly i: number
  readonly turn: number
  readonly x: number
  readonly y: number
}

/** The pieces in that order; null where it takes more than is enough. */
function filled(
  order: readonly number[],
  pieces: readonly Shapes[],
  noFit: NoFit,
  { rollWidthMm, borderMm = 0 }: NestRequest,
  enough = Infinity,
) {
  const placed: Placed[] = []
  let length = 0
  for (const i of order) {
    let best: (Placed & { end: number }) | null = null
    pieces[i]!.turns.forEach(({ piece }, turn) => {
      const [low, high] = [borderMm - piece.minY, rollWidthMm - borderMm - piece.maxY]
      if (high < low) return
      const blocks = placed.flatMap((other) =>
        noFit.of(other.i, other.turn, i, turn).map((shape) => ({ shape, dx: other.x, dy: other.y })),
      )
      const lines = [low, high]
      for (let y = low + 20; y < high; y += 20) lines.push(y)
      for (const { shape, dy } of blocks)
        for (const y of [shape.minY + dy, shape.maxY + dy]) if (y > low && y < high) lines.push(y)
      for (const y of lines) {
        const limit = best === null ? Infinity : best.end - piece.maxX
        const x = firstFree(blocks, y, borderMm - piece.minX, limit)
        const end = x + piece.maxX
        if (best === null || end < best.end - 1e-6 || (end < best.end + 1e-6 && y < best.y))
          best = { i, turn, x, y, end }
      }
    })
    if (best === null) throw new RangeError('a piece that is wider than the roll')
    const { end } = best as { end: number }
    length = Math.max(length, end + borderMm)
    if (length > enough) return null
    placed.push(best)
  }
  return { lengthMm: length, placed }
}

interface Block {
  readonly shape: Outline
  readonly dx: number
  readonly dy: number
}

/** The first place along a line that lies in none of the blocks; anything beyond `limit` is not looked for. */
function firstFree(blocks: readonly Block[], lineY: number, from: number, limit: number): number {
  const spans: [number, number][] = []
  for (const { shape, dx, dy } of blocks) {
    const y = lineY - dy
    if (y <= shape.minY + 1e-6 || y >= shape.maxY - 1e-6 || shape.maxX + dx <= from) continue
    const crossings: number[] = []
    const { x: xs, y: ys } = shape
    for (let k = 0, last = xs.length - 1; k < xs.length; last = k++) {
      const [y0, y1] = [ys[last]!, ys[k]!]
      if (y0 > y !== y1 > y) crossings.push(dx + xs[last]! + ((y - y0) / (y1 - y0)) * (xs[k]! - xs[last]!))
    }
    crossings.sort((a, b) => a - b)
    for (let k = 0; k + 1 < crossings.length; k += 2) spans.push([crossings[k]!, crossings[k + 1]!])
  }
  spans.sort((a, b) => a[0] - b[0])
  let x = from
  for (const [begin, end] of spans) {
    if (begin > x + 1e-6) break
    if (end > x) x = end
    if (x > limit) return x
  }
  return x
}
