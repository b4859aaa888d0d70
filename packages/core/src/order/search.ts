import { seededRandom } from '../numerics/index.ts'
import type { Blocks } from './blockShape.ts'
import { blocksOf } from './blocks.ts'
import { never } from './day.ts'
import { ListDecoder, type Placed } from './listDecoder.ts'
import { longestPaths, tailsOf } from './longestPaths.ts'
import { type Net, reversed } from './net.ts'

export interface Found extends Placed {
  readonly minutes: number
  /** Summed over all tasks that end after their latest end. */
  readonly late: number
  /** When a minute of work is done on the average: gaps near the beginning put off everything. */
  readonly middle: number
}

export interface Search {
  readonly best: Found | null
  /** Orders that were tried. */
  readonly tried: number
}

export interface SearchLimits {
  /** Nothing shorter exists, minutes: the search ends there. */
  readonly bound: number
  /** Whether there is time left. */
  readonly goOn: () => boolean
  readonly seed?: number
  /** A plan to begin with: starts by task. */
  readonly from?: Found | null
}

/** Free minutes in a greatest wait up to which its tasks are placed as one. */
const tightness = [0, 5, 10, 15, 20, 30, 45] as const

interface Way {
  /** Share of its orders that could be placed, lately. */
  luck: number
  readonly blocks: Blocks
  readonly forward: ListDecoder
  readonly backward: ListDecoder
}

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
  private best: Found | null
  private tried = 0

  constructor(
    private readonly net: Net,
    private readonly limits: SearchLimits,
  ) {
    this.back = reversed(net)
    this.random = seededRandom(limits.seed ?? 1)
    this.best = limits.from ?? null
    const seen = new Set<string>()
    this.ways = tightness.flatMap((within) => {
      const forward = blocksOf(net, within)
      if (forward === null) return []
      const same = forward.of.join(' ')
      if (seen.has(same)) return []
      seen.add(same)
      const backward = blocksOf(this.back, within)
      if (backward === null) return []
      return [false, true].map((loose) => ({
        luck: 1,
        blocks: forward,
        forward: new ListDecoder(net, forward, loose),
        backward: new ListDecoder(this.back, backward, loose),
      }))
    })
  }

  run(): Search {
    if (this.ways.length > 0) {
      this.byRules()
      this.shake()
    }
    return { best: this.best, tried: this.tried }
  }

  private get done(): boolean {
    return (this.best !== null && this.best.late === 0 && this.best.minutes <= this.limits.bound) || !this.limits.goOn()
  }

  private byRules(): void {
    const { net } = this
    const paths = longestPaths(net)
    const head = paths.ok ? paths.start : net.early
    const tail = tailsOf(this.back)
    const urgent = latestStarts(net)
    const rules: ((task: number) => number)[] = [
      (i) => (urgent[i] ?? 0) + 0.1 * (head[i] ?? 0),
      (i) => -(tail[i] ?? 0) - (net.minutes[i] ?? 0),
      (i) => (head[i] ?? 0) - (tail[i] ?? 0),
      (i) => head[i] ?? 0,
    ]
    for (const rule of rules)
      for (const way of this.ways) {
        if (this.done) return
        const found = this.keep(way.forward.decode(keysBy(net, rule)))
        if (found === null) continue
        const end = found.minutes
        this.backAndForth(way, (i) => end - (found.start[i] ?? 0) - (net.minutes[i] ?? 0))
      }
  }

  /** From the end, then from the front in the order that this gave. */
  private backAndForth({ forward, backward }: Way, key: (task: number) => number): Found | null {
    const { net } = this
    const from = backward.decode(keysBy(net, key))
    if (from === null) {
      this.tried++
      return null
    }
    return this.keep(forward.decode(keysBy(net, (i) => -(from.start[i] ?? 0) - (net.minutes[i] ?? 0))))
  }

  private shake(): void {
    const { net, random } = this
    let current = this.best
    while (!this.done) {
      const way = this.chosenWay()
      if (current === null) {
        current = this.keep(way.forward.decode(keysBy(net, random)))
        continue
      }
      const base: Found = current
      const keys = shaken(base, way.blocks, random)
      const found =
        random() < 0.5
          ? this.keep(way.forward.decode(keys))
          : this.backAndForth(way, (i) => base.minutes - (keys[i] ?? 0) - (net.minutes[i] ?? 0))
      way.luck = Math.max(0.02, 0.9 * way.luck + (found === null ? 0 : 0.1))
      if (found !== null && promise(found) <= promise(current) + (random() < 0.05 ? 3 : 0)) current = found
      if (random() < 0.002) current = this.best
    }
  }

  /** Ways that find nothing are chosen seldom. */
  private chosenWay(): Way {
    const sum = this.ways.reduce((all, { luck }) => all + luck, 0)
    let at = this.random() * sum
    for (const way of this.ways) {
      at -= way.luck
      if (at < 0) return way
    }
    return this.ways[0] as Way
  }

  private keep(placed: Placed | null): Found | null {
    this.tried++
    if (placed === null) return null
    const found = measured(this.net, placed)
    if (this.best === null || worth(found) < worth(this.best)) this.best = found
    return found
  }
}

/** A minute of lateness is worse than any longer day. */
const worth = ({ minutes, late }: Found): number => late * 1000 + minutes

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
    const own = (net.minutes[i] ?? 0) * (net.needs[i]?.[0]?.of === 0 ? (net.needs[i]?.[0]?.amount ?? 0) : 0)
    work += own
    weighed += own * start
  }
  return { ...placed, minutes, late, middle: work === 0 ? 0 : weighed / work }
}

function keysBy({ size }: Net, key: (task: number) => number): Float64Array {
  const keys = new Float64Array(size)
  for (let i = 0; i < size; i++) keys[i] = key(i)
  return keys
}

/** How a plan is shaken: the blocks of a window, a few blocks anywhere, or all a little. */
function shaken({ start, minutes }: Found, { members, of, offset }: Blocks, random: () => number): Float64Array {
  const moved = new Float64Array(members.length)
  const kind = random()
  if (kind < 0.5) {
    const middle = random() * minutes
    const half = 10 + 110 * random()
    const much = 3 + 40 * random()
    members.forEach((block, b) => {
      const task = block[0] ?? 0
      const at = (start[task] ?? 0) - (offset[task] ?? 0)
      if (Math.abs(at - middle) < half) moved[b] = 2 * much * (random() - 0.5)
    })
  } else if (kind < 0.85) {
    const much = 10 + 150 * random()
    for (let k = 1 + Math.floor(4 * random()); k > 0; k--)
      moved[Math.floor(random() * members.length)] = 2 * much * (random() - 0.5)
  } else for (let b = 0; b < members.length; b++) moved[b] = 6 * (random() - 0.5)
  const keys = new Float64Array(start.length)
  for (let i = 0; i < keys.length; i++) keys[i] = (start[i] as number) + (moved[of[i] as number] as number)
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
