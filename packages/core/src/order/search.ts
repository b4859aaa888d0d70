import { seededRandom } from '../numerics/index.ts'
import type { Blocks } from './blockShape.ts'
import { blocksByTightness, turnedRound } from './blocks.ts'
import { never } from './day.ts'
import { ListDecoder, type Onto, type Placed } from './listDecoder.ts'
import { longestPaths, tailsOf } from './longestPaths.ts'
import { type Net, reversed } from './net.ts'
import { ontoFromEnd, ontoFromFront, Shaking } from './shaking.ts'

export interface Found extends Placed {
  readonly minutes: number
  /** Summed over all tasks that end after their latest end. */
  readonly late: number
  /** When a minute of work is done on the average: gaps near the beginning put off everything. */
  readonly middle: number
  /** What counts beside length and lateness where people go over to something else, minutes; 0 where that does not count. */
  readonly beside: number
}

export interface Search {
  readonly best: Found | null
  /** Orders that were tried. */
  readonly tried: number
}

export interface SearchLimits {
  /** Nothing shorter exists, minutes: the search ends there. */
  readonly bound: number
  /** What is left of the time, a share of all of it; there is none at 0. */
  readonly left: () => number
  readonly seed?: number
  /** A plan to begin with: starts by task. */
  readonly from?: Found | null
}

/** Free minutes in a greatest wait up to which its tasks are placed as one. */
const tightness = [0, 5, 10, 15, 20, 30, 45] as const

/** Something that is done again the oftener the more comes of it. */
interface Habit {
  /** How much longer its plans have been lately than those beside it, a share. */
  behind: number
}

/** How far vehicles are kept one after the other in a plan to begin with, minutes for each of them. */
interface Apart extends Habit {
  readonly apart: number
}

/** One way to place a list: from the front or from the end, in blocks of some tightness. */
interface Way extends Habit {
  readonly blocks: Blocks
  readonly decoder: ListDecoder
  readonly fromEnd: boolean
}

/** A way whose plans are by so much longer is taken a third as often. */
const behindScale = 0.008
/** Plans to begin with, how many of them are shaken, and how often before the lesser half is left. */
const beginnings = 60
const starters = 8
const lap = 60
/** In so many of the tries from the front what stands before the first that was moved is kept; in the others all is placed anew. */
const keptShare = 0.9
/** So many of all tries are made from the end; in so many of these what stands after the last that was moved is kept. */
const fromEndShare = 0.4
const keptAtEndShare = 0.5
/** By how much a plan that is gone on from may be worse on the average, minutes: at the beginning of the time, and at its end. */
const warmth = 6
const leastWarmth = 0.2
/** What a list counts that could not be placed. */
const notPlaced = 0.1

/**
 * Orders by priority rules, each pulled through backward and forward once (justification, Valls et al. 2005), then the best plan shaken over and
 * over: in a window of time, task by task, or a little everywhere; placed as blocks of varied tightness, from the front or from the end.
 */
export function search(net: Net, limits: SearchLimits): Search {
  return new Searching(net, limits).run()
}

class Searching {
  private readonly back: Net
  private readonly ways: readonly Way[]
  private readonly random: () => number
  /** Whether a plan made from the end is a plan when it is turned round: windows and breaks stand at their minutes, and people that differ have names. */
  private readonly turns: boolean
  /** Whether only when work is done counts, so that a plan that falls behind can be given up. */
  private readonly meets: boolean
  private readonly habits: readonly Apart[] = [0, 10, 40, 160, 640].map((apart) => ({ apart, behind: 0 }))
  private readonly head: Int32Array
  private readonly tail: Int32Array
  private best: Found | null
  private tried = 0
  /** Share of the time that was left when it was looked at last. */
  private left = 1
  constructor(
    private readonly net: Net,
    private readonly limits: SearchLimits,
  ) {
    this.back = reversed(net)
    this.random = seededRandom(limits.seed ?? 1)
    this.best = limits.from ?? null
    this.turns =
      net.crew === null &&
      net.pauses.length === 0 &&
      net.early.every((at) => at === 0) &&
      net.late.every((at) => at >= never)
    const paths = longestPaths(net)
    this.meets = (net.crew?.changeOver ?? 0) === 0
    this.head = paths.ok ? paths.start : net.early
    this.tail = tailsOf(this.back)
    const blocks = blocksByTightness(net, tightness)
    const turned = blocks.map((own) => turnedRound(net, own))
    this.ways = [...waysOf(net, blocks, false), ...waysOf(this.back, turned, true)]
  }

  run(): Search {
    if (this.ways.some(({ fromEnd }) => !fromEnd)) {
      this.byRules()
      this.race()
    }
    return { best: this.best, tried: this.tried }
  }

  private get done(): boolean {
    const { best } = this
    this.left = this.limits.left()
    return (
      (best !== null && best.late === 0 && best.beside === 0 && best.minutes <= this.limits.bound) || this.left <= 0
    )
  }

  private byRules(): void {
    const { net, head, tail } = this
    const urgent = latestStarts(net)
    const rules: ((task: number) => number)[] = [
      (i) => (urgent[i] ?? 0) + 0.1 * (head[i] ?? 0),
      (i) => -(tail[i] ?? 0) - (net.minutes[i] ?? 0),
      (i) => (head[i] ?? 0) - (tail[i] ?? 0),
      (i) => head[i] ?? 0,
    ]
    const forward = this.ways.filter(({ fromEnd }) => !fromEnd)
    const backward = this.ways.filter(({ fromEnd }) => fromEnd)
    for (const rule of rules)
      forward.forEach((way, k) => {
        if (this.done) return
        const found = this.keep(way.decoder.decode(keysBy(net, rule)))
        const other = backward[k % Math.max(1, backward.length)]
        if (found !== null && other !== undefined) this.fromEnd(other, (i) => endOf(net, found, i))
      })
  }

  /** A plan made from the end, by when each task ended in another one; turned round, or placed once more from the front in that order. */
  private fromEnd(way: Way, ends: (task: number) => number, onto: Onto | null = null): Found | null {
    const { net } = this
    const back = way.decoder.decode(
      keysBy(net, (i) => -ends(i)),
      onto,
    )
    if (back === null) {
      this.tried++
      return null
    }
    let last = 0
    for (let i = 0; i < net.size; i++) last = Math.max(last, (back.start[i] ?? 0) + (net.minutes[i] ?? 0))
    const start = new Int32Array(net.size)
    for (let i = 0; i < net.size; i++) start[i] = last - (back.start[i] as number) - (net.minutes[i] as number)
    const turned = this.turns ? this.keep({ start, who: back.who }) : null
    if (turned !== null && turned.minutes > (this.best?.minutes ?? 0) * (1 + 2 * behindScale)) return turned
    // Everything stands as late as it goes: once more from the front closes what is open there.
    const front = this.chosenWay(({ fromEnd }) => !fromEnd)
    return this.keep(front.decoder.decode(keysBy(net, (i) => start[i] ?? 0))) ?? turned
  }

  /** Many beginnings, of which the better half is shaken on, until one is left. */
  private race(): void {
    const groups = groupsOf(this.net)
    let field = this.best === null ? [] : [this.best]
    for (let k = 0; k < beginnings && !this.done; k++) {
      const found = this.beginning(groups)
      if (found !== null) field.push(found)
    }
    field = field.sort((a, b) => promise(a) - promise(b)).slice(0, starters)
    while (!this.done) {
      field = field.map((found) => this.shake(found, field.length === 1 ? Number.POSITIVE_INFINITY : lap))
      field.sort((a, b) => promise(a) - promise(b))
      if (field.length > 1) field.length = Math.ceil(field.length / 2)
      if (field.length === 0) field = [this.beginning(groups)].filter((found) => found !== null)
    }
  }

  /** A plan by chance: how far vehicles are kept one after the other, and whether heads or tails count; then from the end and from the front. */
  private beginning({ of, size }: Groups): Found | null {
    const { net, random, head, tail } = this
    const habit = chosen(this.habits, random)
    const turn = Float64Array.from({ length: size }, () => habit.apart * size * random())
    const byTail = random()
    const spread = 20 * random()
    const keys = keysBy(
      net,
      (i) => (1 - byTail) * (head[i] ?? 0) - byTail * (tail[i] ?? 0) + (turn[of[i] ?? 0] ?? 0) + spread * random(),
    )
    const first = this.keep(this.chosenWay(({ fromEnd }) => !fromEnd).decoder.decode(keys))
    if (first === null) return null
    return (
      this.fromEnd(
        this.chosenWay(({ fromEnd }) => fromEnd),
        (i) => endOf(net, first, i),
      ) ?? first
    )
  }

  private shake(from: Found, most: number): Found {
    const { net, random } = this
    const shaking = new Shaking(net, random)
    let current = from
    let best = from
    for (let tries = 0; tries < most && !this.done; tries++) {
      const base = current
      const end = random() < fromEndShare
      const way = this.chosenWay(({ fromEnd }) => fromEnd === end)
      const list = shaking.of(base, way.blocks)
      // Where something is late, a plan that does less early may be the better one.
      const meets = this.meets && base.late === 0
      const found = way.fromEnd
        ? this.fromEnd(
            way,
            (i) => (list.keys[i] ?? 0) + (net.minutes[i] ?? 0),
            this.turns && random() < keptAtEndShare ? ontoFromEnd(net, base, list, meets) : null,
          )
        : this.keep(way.decoder.decode(list.keys, random() < keptShare ? ontoFromFront(base, list, meets) : null))
      if (found !== null || !way.decoder.fellBehind)
        learn(way, found === null ? notPlaced : found.minutes / base.minutes - 1)
      if (found === null) continue
      if (promise(found) < promise(best)) best = found
      const warm = leastWarmth + warmth * this.left
      if (promise(found) <= promise(base) - warm * Math.log(random())) current = found
      if (random() < 0.002) current = best
    }
    return best
  }

  /** Ways of which little comes are chosen seldom. */
  private chosenWay(may: (way: Way) => boolean): Way {
    return chosen(this.ways.filter(may), this.random)
  }

  private keep(placed: Placed | null): Found | null {
    this.tried++
    if (placed === null) return null
    const found = measured(this.net, placed)
    if (this.best === null || worth(found) < worth(this.best)) this.best = found
    return found
  }
}

function chosen<H extends Habit>(habits: readonly H[], random: () => number): H {
  const share = habits.map(({ behind }) => 0.02 + Math.exp(-behind / behindScale))
  let at = random() * share.reduce((sum, own) => sum + own, 0)
  for (let k = 0; k < habits.length; k++) {
    at -= share[k] ?? 0
    if (at < 0) return habits[k] as H
  }
  return habits[0] as H
}

function learn(habit: Habit, behind: number): void {
  habit.behind = 0.9 * habit.behind + 0.1 * Math.max(0, Math.min(notPlaced, behind))
}

function waysOf(net: Net, all: readonly Blocks[], fromEnd: boolean): Way[] {
  return all.flatMap((blocks) => {
    const tied = blocks.members.some(({ length }) => length > 1)
    return (tied ? [false, true] : [false]).map((loose) => ({
      blocks,
      decoder: new ListDecoder(net, blocks, loose),
      fromEnd,
      behind: 0,
    }))
  })
}

/** Tasks that hang together by waits: a vehicle. What takes no time ties nothing together. */
interface Groups {
  readonly of: Int32Array
  readonly size: number
}

function groupsOf(net: Net): Groups {
  const of = new Int32Array(net.size).fill(-1)
  let size = 0
  for (let i = 0; i < net.size; i++) {
    if ((of[i] ?? 0) >= 0) continue
    const queue = [i]
    of[i] = size
    for (let q = 0; q < queue.length; q++) {
      const at = queue[q] ?? 0
      if (net.minutes[at] === 0) continue
      for (const rows of [net.outRows, net.intoRows])
        for (let a = rows.first[at] ?? 0; a < (rows.first[at + 1] ?? 0); a++) {
          const other = rows.to[a] ?? 0
          if ((of[other] ?? 0) >= 0 || net.minutes[other] === 0) continue
          of[other] = size
          queue.push(other)
        }
    }
    size++
  }
  return { of, size }
}

const endOf = (net: Net, { start }: Placed, task: number): number => (start[task] ?? 0) + (net.minutes[task] ?? 0)

/** A minute of lateness is worse than any longer day. */
export const worth = ({ minutes, late, beside }: Found): number => late * 1000 + minutes + beside

/** What is worth going on from: short, and with little put off. */
const promise = (found: Found): number => worth(found) + found.middle

export function measured(net: Net, placed: Placed): Found {
  let minutes = 0
  let late = 0
  let work = 0
  let weighed = 0
  for (let i = 0; i < net.size; i++) {
    const start = placed.start[i] ?? 0
    minutes = Math.max(minutes, start + (net.minutes[i] ?? 0))
    late += Math.max(0, start - (net.late[i] ?? never))
    work += net.work[i] ?? 0
    weighed += (net.work[i] ?? 0) * start
  }
  const middle = work === 0 ? 0 : weighed / work
  const { crew } = net
  // Where changes count, it counts as well that work is done early: the end of the last vehicle says nothing of the others.
  const beside = crew === null || crew.changeOver === 0 ? 0 : middle + crew.changeOver * changeOvers(net, placed)
  return { ...placed, minutes, late, middle, beside }
}

/** How often people go over from one thing to another. */
function changeOvers({ crew, size, minutes }: Net, { start, who }: Placed): number {
  const inOrder = Array.from({ length: size }, (_, i) => i).sort((a, b) => (start[a] as number) - (start[b] as number))
  const last = new Map<number, number>()
  let changes = 0
  for (const i of inOrder) {
    const thing = crew?.together[i]?.[0]
    if (thing === undefined || minutes[i] === 0) continue
    for (let p = 0, bits = who[i] as number; bits !== 0; p++, bits >>= 1) {
      if ((bits & 1) === 0) continue
      const before = last.get(p)
      if (before !== undefined && before !== thing) changes++
      last.set(p, thing)
    }
  }
  return changes
}

function keysBy({ size }: Net, key: (task: number) => number): Float64Array {
  const keys = new Float64Array(size)
  for (let i = 0; i < size; i++) keys[i] = key(i)
  return keys
}

/** Latest starts by latest ends, through the arcs backward; far away where nothing is due. */
function latestStarts(net: Net): Int32Array {
  const latest = Int32Array.from(net.late, (late) => Math.min(late, net.horizon))
  for (let changed = true, round = 0; changed && round < net.size; round++) {
    changed = false
    net.out.forEach((arcs, i) => {
      for (const { to, lag } of arcs) {
        const at = (latest[to] ?? 0) - lag
        if (at >= (latest[i] ?? 0)) continue
        latest[i] = at
        changed = true
      }
    })
  }
  return latest
}
