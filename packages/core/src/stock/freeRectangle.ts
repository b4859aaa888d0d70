import { boundsOf, type Polygon } from '../geometry/index.ts'

/** A rectangle on the roll: x along it from the loose end, y across it, mm. */
export interface FreeRectangle {
  readonly xMm: number
  readonly yMm: number
  readonly lengthMm: number
  readonly widthMm: number
}

/** Fineness in which free film is looked for, mm. */
const stepMm = 5

/**
 * The largest rectangle of a cut stretch that no piece touches, sides along and across the roll; null where neither side of any reaches
 * the least. To 5 mm, and never too large: a cell counts as taken as soon as a piece reaches into it. Cut-outs of pieces are not looked into.
 */
export function freeRectangle(
  pieces: readonly Polygon[],
  { lengthMm, widthMm }: { readonly lengthMm: number; readonly widthMm: number },
  leastSideMm: number,
): FreeRectangle | null {
  const [columns, rows] = [Math.floor(lengthMm / stepMm), Math.floor(widthMm / stepMm)]
  const taken = new Uint8Array(columns * rows)
  for (const piece of pieces) mark(piece, taken, columns, rows)
  let best: FreeRectangle | null = null
  const free = new Int32Array(columns)
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++)
      free[column] = taken[row * columns + column] === 1 ? 0 : (free[column] ?? 0) + 1
    for (const { from, to, high } of under(free)) {
      const found = {
        xMm: from * stepMm,
        yMm: (row + 1 - high) * stepMm,
        lengthMm: (to - from) * stepMm,
        widthMm: high * stepMm,
      }
      if (Math.min(found.lengthMm, found.widthMm) < leastSideMm) continue
      if (best === null || found.lengthMm * found.widthMm > best.lengthMm * best.widthMm) best = found
    }
  }
  return best
}

/** Every rectangle below a skyline that cannot grow: the usual stack of rising steps. */
function* under(skyline: Int32Array): Generator<{ from: number; to: number; high: number }> {
  const open: { from: number; high: number }[] = []
  for (let column = 0; column <= skyline.length; column++) {
    const high = skyline[column] ?? 0
    let from = column
    for (let last = open[open.length - 1]; last !== undefined && last.high >= high; last = open[open.length - 1]) {
      open.pop()
      if (last.high > 0) yield { from: last.from, to: column, high: last.high }
      from = last.from
    }
    open.push({ from, high })
  }
}

/** Marks the cells that a piece reaches into: row by row, between the outermost crossings of its inside, its sides included. */
function mark(piece: Polygon, taken: Uint8Array, columns: number, rows: number) {
  const { min, max } = boundsOf(piece)
  const lastRow = Math.min(rows - 1, Math.floor(max[1] / stepMm))
  for (let row = Math.max(0, Math.floor(min[1] / stepMm)); row <= lastRow; row++) {
    const [low, high] = [row * stepMm, (row + 1) * stepMm]
    for (const [from, to] of [...insideAt(piece, (low + high) / 2), ...sidesWithin(piece, low, high)])
      for (let c = Math.max(0, Math.floor(from / stepMm)); c <= Math.min(columns - 1, Math.floor(to / stepMm)); c++)
        taken[row * columns + c] = 1
  }
}

function insideAt(piece: Polygon, y: number): [number, number][] {
  const crossings: number[] = []
  piece.forEach((a, i) => {
    const b = piece[(i + 1) % piece.length] ?? a
    if (a[1] <= y !== b[1] <= y) crossings.push(a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0]))
  })
  crossings.sort((p, q) => p - q)
  return crossings.flatMap((from, i): [number, number][] => (i % 2 === 0 ? [[from, crossings[i + 1] ?? from]] : []))
}

function sidesWithin(piece: Polygon, low: number, high: number): [number, number][] {
  return piece.flatMap((a, i): [number, number][] => {
    const b = piece[(i + 1) % piece.length] ?? a
    if (Math.max(a[1], b[1]) < low || Math.min(a[1], b[1]) > high) return []
    const at = (y: number) => (a[1] === b[1] ? a[0] : a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0]))
    const ends =
      a[1] === b[1] ? [a[0], b[0]] : [at(Math.min(Math.max(a[1], low), high)), at(Math.min(Math.max(b[1], low), high))]
    return [[Math.min(...ends), Math.max(...ends)]]
  })
}
