import { boundsOf, distance, distanceToLine, type Vec2 } from '@truelay/core/geometry'
import type { DrawnLine } from '../drawing/index.ts'

export interface JoinedLine {
  readonly points: readonly Vec2[]
  readonly closed: boolean
  readonly layers: readonly string[]
  /** Widest gap that was closed to make it, mm; 0 = none. */
  readonly gapMm: number
  readonly ofArea: boolean
}

/** What lies nearer than this to a line is drawn over it, mm. */
const overMm = 0.05
/** More open lines than this are not held against each other for being drawn over; the same line twice is found in any case. */
const mostCompared = 1500
/** So often points of one line are held against sides of another one before it is left. */
const mostLooks = 1e7

/**
 * Open lines whose ends meet within `gapMm` are joined end to end, the nearest ends first, whatever layer they lie on and in whatever order they
 * were drawn; a line whose own ends meet is closed. What is drawn twice, whole or in part, is used once; what hangs on a corner of two others is
 * left by itself.
 */
export function joinLines(lines: readonly DrawnLine[], gapMm: number): { joined: JoinedLine[]; drawnOver: number } {
  const closed = lines.filter((line) => line.closed)
  const { kept, drawnOver } = once(lines.filter((line) => !line.closed))
  const open = withoutSpurs(kept, gapMm)
  return {
    joined: [
      ...closed.map((line) => ({ ...base(line), points: withoutDoubles(line.points), closed: true, gapMm: 0 })),
      ...chains(open.lines, gapMm),
      ...open.spurs.map((line) => ({ ...base(line), points: line.points, closed: false, gapMm: 0 })),
    ],
    drawnOver,
  }
}

const base = ({ layers, ofArea = false }: DrawnLine) => ({ layers, ofArea })
const first = ({ points }: DrawnLine) => points[0] as Vec2
const last = ({ points }: DrawnLine) => points.at(-1) as Vec2

interface Bounded {
  readonly line: DrawnLine
  readonly bounds: Bounds
  readonly place: number
}

/** Open lines without those that another one covers; where only an end is covered, that end is cut off. */
function once(lines: readonly DrawnLine[]): { kept: DrawnLine[]; drawnOver: number } {
  const byLength = lines
    .map((line, place): Bounded => ({ line, bounds: boundsOf(line.points), place }))
    .sort((a, b) => lengthOf(b.line.points) - lengthOf(a.line.points) || a.place - b.place)
  const kept: Bounded[] = []
  const names = new Set<string>()
  let drawnOver = 0
  let patience = mostLooks
  for (const { line, bounds, place } of byLength) {
    const name = endsName(line)
    let rest: DrawnLine | null = line
    if (names.has(name) || byLength.length <= mostCompared)
      for (const other of kept) {
        if (rest === null || patience < 0 || !near(other.bounds, bounds)) continue
        patience -= rest.points.length * other.line.points.length
        const beyond: DrawnLine | null = uncovered(rest, other.line.points)
        if (beyond !== rest) drawnOver++
        rest = beyond
      }
    names.add(name)
    if (rest !== null) kept.push({ line: rest, bounds: rest === line ? bounds : boundsOf(rest.points), place })
  }
  return { kept: kept.sort((a, b) => a.place - b.place).map(({ line }) => line), drawnOver }
}

const lengthOf = (points: readonly Vec2[]) =>
  points.reduce((sum, p, i) => sum + (i === 0 ? 0 : distance(points[i - 1] as Vec2, p)), 0)

/** A line drawn the other way round has the same name. */
function endsName(line: DrawnLine): string {
  const name = ([x, y]: Vec2) => `${Math.round(x / overMm / 4)},${Math.round(y / overMm / 4)}`
  return [name(first(line)), name(last(line)), String(Math.round(lengthOf(line.points) / overMm / 4))].sort().join(' ')
}

type Bounds = ReturnType<typeof boundsOf>
const near = (a: Bounds, b: Bounds) =>
  a.min[0] - overMm <= b.max[0] &&
  b.min[0] - overMm <= a.max[0] &&
  a.min[1] - overMm <= b.max[1] &&
  b.min[1] - overMm <= a.max[1]

/** What of a line lies beside another one; null where nothing does, the line itself where all does. */
function uncovered(line: DrawnLine, other: readonly Vec2[]): DrawnLine | null {
  const over = (p: Vec2) => distanceToLine(other, p) < overMm
  const ends = [line.points[0] as Vec2, line.points.at(-1) as Vec2]
  if (!ends.some(over)) return line
  const points = finely(line.points)
  let from = 0
  while (from < points.length && over(points[from] as Vec2)) from++
  if (from === points.length) return null
  let to = points.length - 1
  while (over(points[to] as Vec2)) to--
  // A corner that only touches is not drawn over.
  const [head, tail] = [lengthOf(points.slice(0, from)), lengthOf(points.slice(to + 1))]
  if (head < 4 * overMm && tail < 4 * overMm) return line
  const stops: readonly Vec2[] = [other[0] as Vec2, other.at(-1) as Vec2]
  const nearest = (p: Vec2) => [...stops].sort((a, b) => distance(a, p) - distance(b, p))[0] as Vec2
  const kept: Vec2[] = points.slice(head < 4 * overMm ? 0 : from, tail < 4 * overMm ? points.length : to + 1)
  if (head >= 4 * overMm) kept.unshift(nearest(kept[0] as Vec2))
  if (tail >= 4 * overMm) kept.push(nearest(kept.at(-1) as Vec2))
  return { ...line, points: kept }
}

/** Long sides in pieces, so that a part of one can be found to lie over another line. */
function finely(points: readonly Vec2[]): Vec2[] {
  const longest = Math.max(lengthOf(points) / 64, 1e-9)
  return points.flatMap((p, i) => {
    const before = points[i - 1]
    if (before === undefined) return [p]
    const pieces = Math.ceil(distance(before, p) / longest)
    return Array.from({ length: pieces }, (_, k): Vec2 => {
      const t = (k + 1) / pieces
      return t === 1 ? p : [before[0] + (p[0] - before[0]) * t, before[1] + (p[1] - before[1]) * t]
    })
  })
}

/** One end of a line. */
interface End {
  readonly line: number
  readonly tail: boolean
  readonly at: Vec2
}

const endsOf = (lines: readonly DrawnLine[]): End[] =>
  lines.flatMap((line, i) => [
    { line: i, tail: false, at: first(line) },
    { line: i, tail: true, at: last(line) },
  ])

/** Pairs of ends within a gap, by a grid of that size. */
function meetings(ends: readonly End[], gapMm: number): { a: number; b: number; gap: number }[] {
  const cell = Math.max(gapMm, 1e-6)
  const key = (x: number, y: number) => `${x},${y}`
  const cells = new Map<string, number[]>()
  ends.forEach(({ at: [x, y] }, e) => {
    const own = key(Math.floor(x / cell), Math.floor(y / cell))
    cells.set(own, [...(cells.get(own) ?? []), e])
  })
  const pairs: { a: number; b: number; gap: number }[] = []
  ends.forEach(({ at: [x, y] }, a) => {
    for (let dx = -1; dx <= 1; dx++)
      for (let dy = -1; dy <= 1; dy++)
        for (const b of cells.get(key(Math.floor(x / cell) + dx, Math.floor(y / cell) + dy)) ?? []) {
          if (b <= a) continue
          const gap = distance((ends[a] as End).at, (ends[b] as End).at)
          if (gap <= gapMm) pairs.push({ a, b, gap })
        }
  })
  return pairs
}

/** Without lines of which one end meets nothing and the other a corner of two others: they hang on an outline and are no side of it. */
function withoutSpurs(lines: readonly DrawnLine[], gapMm: number): { lines: DrawnLine[]; spurs: DrawnLine[] } {
  const ends = endsOf(lines)
  const met = new Int32Array(ends.length)
  for (const { a, b } of meetings(ends, gapMm)) {
    if ((ends[a] as End).line === (ends[b] as End).line) continue
    met[a] = (met[a] as number) + 1
    met[b] = (met[b] as number) + 1
  }
  const hangs = (i: number) => {
    const [head, tail] = [met[2 * i] as number, met[2 * i + 1] as number]
    return (head === 0 && tail > 1) || (tail === 0 && head > 1)
  }
  return { lines: lines.filter((_, i) => !hangs(i)), spurs: lines.filter((_, i) => hangs(i)) }
}

function chains(lines: readonly DrawnLine[], gapMm: number): JoinedLine[] {
  const ends = endsOf(lines)
  // Ends that touch first, then the nearest; an end meets one other at the most.
  const partner = new Map<number, { end: number; gap: number }>()
  for (const { a, b, gap } of meetings(ends, gapMm).sort((x, y) => x.gap - y.gap || x.a - y.a || x.b - y.b)) {
    if (partner.has(a) || partner.has(b)) continue
    const [one, other] = [ends[a] as End, ends[b] as End]
    if (one.line === other.line && (lines[one.line] as DrawnLine).points.length < 3) continue
    partner.set(a, { end: b, gap })
    partner.set(b, { end: a, gap })
  }
  const used = new Set<number>()
  const joined: JoinedLine[] = []
  const walk = (from: number, entry: boolean): void => {
    const points: Vec2[] = []
    let widest = 0
    let line = from
    let tailFirst = entry
    for (;;) {
      used.add(line)
      const own = [...(lines[line] as DrawnLine).points]
      if (tailFirst) own.reverse()
      const end = points.at(-1)
      points.push(...(end !== undefined && distance(end, own[0] as Vec2) < 1e-9 ? own.slice(1) : own))
      const next = partner.get(2 * line + (tailFirst ? 0 : 1))
      if (next === undefined) break
      widest = Math.max(widest, next.gap)
      const to = ends[next.end] as End
      if (used.has(to.line)) {
        // Back at its beginning: all round.
        joined.push({ ...base(lines[from] as DrawnLine), points: withoutDoubles(points), closed: true, gapMm: widest })
        return
      }
      line = to.line
      tailFirst = to.tail
    }
    joined.push({ ...base(lines[from] as DrawnLine), points, closed: false, gapMm: widest })
  }
  // Chains with a loose end from there; what is left goes round.
  for (const i of lines.keys())
    for (const tail of [false, true]) if (!used.has(i) && !partner.has(2 * i + (tail ? 1 : 0))) walk(i, tail)
  for (const i of lines.keys()) if (!used.has(i)) walk(i, false)
  return joined
}

const doubledMm = 1e-3

/** A closed line without points on top of each other, the end on top of the start included. */
function withoutDoubles(points: readonly Vec2[]): readonly Vec2[] {
  const kept = points.filter((p, i) => i === 0 || distance(p, points[i - 1]!) > doubledMm)
  while (kept.length > 3 && distance(kept[0]!, kept[kept.length - 1]!) <= doubledMm) kept.pop()
  return kept
}
