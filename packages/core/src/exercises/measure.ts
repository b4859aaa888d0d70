import { type BowReading, fitBow, straightedgeLines } from '../form/index.ts'
import { distance, lerp, type Polygon, type Vec2 } from '../geometry/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { required } from '../result/index.ts'
import { count, length, say, type Sentence } from '../say/index.ts'
import { between, type ExerciseLevel, type Verdict } from './exercise.ts'

/** A line on which the straightedge can be laid. */
export interface StraightedgeLine {
  readonly from: Vec2
  readonly to: Vec2
}

/** A part of which somebody has read a line or two, and may read some more. Lines are told by their place in `lines`. */
export interface MeasureTask {
  readonly level: ExerciseLevel
  readonly outline: Polygon
  readonly lines: readonly StraightedgeLine[]
  /** Read already. */
  readonly given: readonly number[]
  /** So many more may be read. */
  readonly picks: number
  /** What it really is: an even bow both ways, a twist, and a swelling somewhere. */
  readonly truth: {
    readonly acrossMm: number
    readonly upMm: number
    readonly twistMm: number
    readonly swellMm: number
    readonly swellAt: Vec2
  }
}

/** Less known than this is not known, mm. */
const unknownMm = 60
const randomTries = 24

export function makeMeasure(seed: number, level: ExerciseLevel): MeasureTask {
  const chance = seededRandom(seed)
  const from = (least: number, most: number) => least + (most - least) * chance()
  const [wide, high] = [from(500, 1400), from(300, 900)]
  const taper = level === 1 ? 0 : from(-0.25, 0.25)
  const slant = level === 3 ? from(-0.2, 0.2) * wide : 0
  const outline: Polygon = [
    [-wide / 2, -high / 2],
    [wide / 2, -high / 2],
    [(wide / 2) * (1 + taper) + slant, high / 2],
    [(-wide / 2) * (1 + taper) + slant, high / 2],
  ]
  const lines = straightedgeLines(outline).map(({ from: a, to: b }) => ({ from: a, to: b }))
  const first = Math.floor(chance() * lines.length)
  return {
    level,
    outline,
    lines,
    given: level === 3 ? [first, (first + 4) % lines.length] : [first],
    picks: level === 1 ? 2 : 3,
    truth: {
      acrossMm: from(8, 40),
      upMm: from(4, 30),
      twistMm: from(-8, 8),
      swellMm: from(2, 10),
      swellAt: [from(-0.3, 0.3) * wide, from(-0.3, 0.3) * high],
    },
  }
}

/** Height of the true surface, mm. */
function heightAt({ outline, truth }: MeasureTask, [x, y]: Vec2): number {
  const [wide, high] = [
    distance(outline[0] as Vec2, outline[1] as Vec2),
    (outline[2] as Vec2)[1] - (outline[1] as Vec2)[1],
  ]
  const [u, v] = [(2 * x) / wide, (2 * y) / high]
  const off = distance([x, y], truth.swellAt) / (0.35 * Math.min(wide, high))
  return -truth.acrossMm * u * u - truth.upMm * v * v + truth.twistMm * u * v + truth.swellMm * Math.exp(-off * off)
}

/** What is read under the straightedge on a line. */
export function readLine(task: MeasureTask, line: number): BowReading {
  const { from, to } = task.lines[line] as StraightedgeLine
  const [a, b] = [heightAt(task, from), heightAt(task, to)]
  // The gap is read square to the straightedge.
  const square = Math.cos(Math.atan2(b - a, distance(from, to)))
  const sagittaMm = (heightAt(task, lerp(from, to, 0.5)) - (a + b) / 2) * square
  return { name: String(line + 1), from, to, sagittaMm: Math.round(10 * sagittaMm) / 10 }
}

/** How unsure the surface still is under each line, mm, once some lines more are read. */
export function unsureAfter(task: MeasureTask, picked: readonly number[]): number[] {
  const readings = [...new Set([...task.given, ...picked])].map((line) => readLine(task, line))
  const fitted = required(fitBow(task.outline, readings, () => 0))
  return task.lines.map(({ from, to }) => Math.min(unknownMm, fitted.unsureOfChord(from, to)))
}

const meanOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
const meanUnsure = (task: MeasureTask, picked: readonly number[]) => meanOf(unsureAfter(task, picked))

/** The line that tells most next. */
export function bestNext(task: MeasureTask, picked: readonly number[]): number {
  const left = Array.from(task.lines.keys()).filter((line) => !task.given.includes(line) && !picked.includes(line))
  let best = { line: 0, unsure: Number.POSITIVE_INFINITY }
  for (const line of left) {
    const unsure = meanUnsure(task, [...picked, line])
    if (unsure < best.unsure) best = { line, unsure }
  }
  return best.line
}

/** Lines chosen one after the other, each the one that tells most then. */
export function bestPicks(task: MeasureTask): number[] {
  const picked: number[] = []
  while (picked.length < task.picks) picked.push(bestNext(task, picked))
  return picked
}

/** What lines chosen at random come to, in the middle of many tries: now and then chance tells nothing at all. */
function atRandom(task: MeasureTask): number {
  const chance = seededRandom(1)
  const left = task.lines.map((_, line) => line).filter((line) => !task.given.includes(line))
  const tries = Array.from({ length: randomTries }, () => {
    const rest = [...left]
    return Array.from({ length: task.picks }, () => rest.splice(Math.floor(chance() * rest.length), 1)[0] as number)
  })
  return tries.map((picked) => meanUnsure(task, picked)).sort((a, b) => a - b)[randomTries / 2] as number
}

/** By how well all lines are known after the chosen readings: nothing for what chance comes to, all for the best ones. */
export function markMeasure(task: MeasureTask, picked: readonly number[]): Verdict {
  const [reached, best, random] = [meanUnsure(task, picked), meanUnsure(task, bestPicks(task)), atRandom(task)]
  const share = between(reached, random, best)
  return {
    share,
    says: [
      say`On the average of all lines the surface is known to ${length(reached, 1)}; ${length(best, 1)} could be reached, lines at random come to ${length(random, 1)}.`,
      ...(share > 0.95 ? [] : wastedPick(task, picked)),
    ],
  }
}

/** The pick that gained least against the one that would have told most then. */
function wastedPick(task: MeasureTask, picked: readonly number[]): Sentence[] {
  const lost = picked.map((line, i) => {
    const before = picked.slice(0, i)
    const better = bestNext(task, before)
    return { line, better, mm: meanUnsure(task, [...before, line]) - meanUnsure(task, [...before, better]) }
  })
  const worst = lost.reduce<(typeof lost)[number] | null>((a, b) => (a === null || b.mm > a.mm ? b : a), null)
  if (worst === null || worst.mm < 0.05) return []
  return [say`Line ${count(worst.line + 1)} told little then; line ${count(worst.better + 1)} would have told most.`]
}
