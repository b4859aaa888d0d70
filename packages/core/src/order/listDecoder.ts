import FlatQueue from 'flatqueue'
import { type Blocks, shapeOf } from './blockShape.ts'
import { never } from './day.ts'
import type { Net } from './net.ts'
import { Taken } from './taken.ts'

export interface Placed {
  readonly start: Int32Array
  /** Who does it, by bits; only where people differ. */
  readonly who: Int32Array
}

/** What a list is placed onto: a plan that stands as it is until a minute, and has to be met by another. */
export interface Onto extends Placed {
  readonly until: number
  /** Where the list is like that plan again, minutes; there it is given up if less has been done, or later. */
  readonly metBy: number
}

/**
 * Places blocks one after the other, the one with the least key first of those that may begin, each as early as it goes. What cannot be placed
 * because something stands too early for a greatest wait lets that go, which comes later with what hangs on it. Latest ends are not kept here:
 * the search weighs lateness. One decoder serves many orders.
 */
export class ListDecoder {
  private readonly taken: Taken
  private start: Int32Array
  /** Not before, by block; raised when a block is let go. */
  private readonly release: Int32Array
  /** How many blocks that have to begin first are not placed; and how many there are of them. */
  private readonly waiting: Int32Array
  private readonly before: Int32Array
  private readonly follow: readonly (readonly number[])[]
  /** Null: its tasks have to be tried one by one. */
  private readonly shapes: readonly (Int32Array | null)[]
  private readonly placed: Uint8Array
  private readonly key: Float64Array
  /** When a block begins in the plan that is placed onto. */
  private readonly first: Int32Array
  private readonly queue = new FlatQueue<number>()
  /** What waits for a hold to end. */
  private parked: number[] = []
  /** Members of a block by their offset, and from when on each may start: of a block that is placed loosely. */
  private readonly ordered: readonly (readonly number[])[]
  private readonly least: Int32Array
  private left = 0
  private patience = 0
  /** Whether the last list was given up because it fell behind the plan that it was placed onto. */
  fellBehind = false

  constructor(
    private readonly net: Net,
    private readonly blocks: Blocks,
    /** Whether the tasks of a block keep their distances, or only their waits. */
    private readonly loose = false,
  ) {
    const { length } = blocks.members
    this.taken = new Taken(net)
    this.start = new Int32Array(net.size)
    this.release = new Int32Array(length)
    this.waiting = new Int32Array(length)
    this.before = new Int32Array(length)
    this.placed = new Uint8Array(length)
    this.key = new Float64Array(length)
    this.first = new Int32Array(length)
    this.follow = followers(net, blocks)
    const apart = new Set(net.holds.map(({ from }) => from))
    this.shapes = blocks.members.map((block) =>
      net.crew !== null || block.some((task) => apart.has(task)) ? null : shapeOf(net, block, blocks.offset),
    )
    this.ordered = blocks.members.map((block) =>
      [...block].sort((a, c) => (blocks.offset[a] ?? 0) - (blocks.offset[c] ?? 0)),
    )
    this.least = new Int32Array(net.size)
    for (const list of this.follow) for (const b of list) this.before[b] = (this.before[b] ?? 0) + 1
  }

  /** Null: not found within its patience, which says nothing of whether there is a way; or no better than what it is placed onto. */
  decode(keys: ArrayLike<number>, onto: Onto | null = null): Placed | null {
    const { members, of, offset } = this.blocks
    this.fellBehind = false
    this.taken.clear()
    this.start = new Int32Array(this.net.size).fill(-1)
    this.release.fill(0)
    this.waiting.set(this.before)
    this.placed.fill(0)
    this.key.fill(Number.POSITIVE_INFINITY)
    for (let i = 0; i < this.net.size; i++) {
      const b = of[i] as number
      const key = (keys[i] as number) - (offset[i] as number)
      if (key < (this.key[b] as number)) this.key[b] = key
    }
    this.queue.clear()
    this.parked = []
    this.left = members.length
    this.patience = 2 * members.length + 60
    if (onto !== null) this.stand(onto)
    for (let b = 0; b < members.length; b++) if (this.placed[b] === 0 && this.waiting[b] === 0) this.push(b)
    return this.run(onto)
  }

  /** What begins before the plan is left stands as it did, where all that comes before it does. */
  private stand({ start, who, until }: Onto): void {
    const { members } = this.blocks
    const before: number[] = []
    const { first } = this
    for (let b = 0; b < members.length; b++) {
      let from = never
      let last = 0
      for (const task of members[b] as readonly number[]) {
        const at = start[task] as number
        if (at < from) from = at
        if (at > last) last = at
      }
      if (last >= until) continue
      first[b] = from
      before.push(b)
    }
    before.sort((a, b) => (first[a] as number) - (first[b] as number))
    for (const b of before) {
      if (this.waiting[b] !== 0) continue
      for (const task of members[b] as readonly number[]) {
        this.start[task] = start[task] as number
        this.taken.put(task, start[task] as number, who[task])
      }
      this.settle(b)
    }
  }

  private settle(b: number): void {
    this.placed[b] = 1
    this.left--
    for (const f of this.follow[b] as readonly number[]) this.waiting[f] = (this.waiting[f] as number) - 1
  }

  /** Work that is done before a minute, each minute of it by how long before: a plan that is ahead has more. */
  private ahead(start: Int32Array, by: number): number {
    const { work } = this.net
    let sum = 0
    for (let i = 0; i < start.length; i++) {
      const at = start[i] as number
      if (at >= 0 && at < by) sum += (work[i] as number) * (by - at)
    }
    return sum
  }

  private run(onto: Onto | null): Placed | null {
    let toMeet = onto !== null
    while (this.left > 0) {
      const b = this.queue.pop()
      if (b === undefined) return null
      if (toMeet && onto !== null && (this.key[b] as number) > onto.metBy) {
        toMeet = false
        if (this.ahead(this.start, onto.metBy) < this.ahead(onto.start, onto.metBy)) {
          this.fellBehind = true
          return null
        }
      }
      if (this.placed[b] === 1 || (this.waiting[b] ?? 0) > 0) continue
      if (this.patience-- < 0) return null
      if (!this.place(b)) {
        if (this.taken.open === 0) return null
        this.parked.push(b)
        continue
      }
      const early = this.tooEarly(b)
      if (early.length > 0) {
        this.letGo(b, early)
        continue
      }
      this.settle(b)
      for (const f of this.follow[b] as readonly number[]) if (this.waiting[f] === 0) this.push(f)
      if (this.parked.length > 0) this.unpark()
    }
    return { start: this.start, who: this.taken.who.slice() }
  }

  private push(b: number): void {
    this.queue.push(b, this.key[b] ?? 0)
  }

  private unpark(): void {
    for (const b of this.parked) this.push(b)
    this.parked = []
  }

  /** From when a task of a block may start, by what is placed of other blocks. */
  private earliestOf(task: number, b: number): number {
    const { early, intoRows } = this.net
    const { of, offset } = this.blocks
    let from = Math.max(early[task] as number, (this.release[b] as number) + (offset[task] as number))
    for (let a = intoRows.first[task] as number; a < (intoRows.first[task + 1] as number); a++) {
      const other = intoRows.to[a] as number
      const start = this.start[other] as number
      if (start < 0 || of[other] === b) continue
      const at = start + (intoRows.lag[a] as number)
      if (at > from) from = at
    }
    return from
  }

  /** Until when a task may start by its latest end and the greatest waits after what is placed; only where people are told apart. */
  private latestOf(task: number): number {
    const { outRows, crew, late } = this.net
    if (crew === null) return never
    let latest = late[task] as number
    for (let a = outRows.first[task] as number; a < (outRows.first[task + 1] as number); a++) {
      const start = this.start[outRows.to[a] as number] as number
      const at = start - (outRows.lag[a] as number)
      if (start >= 0 && at < latest) latest = at
    }
    return latest
  }

  /** Puts a block at its first free start, its tasks at fixed distances or as near as they go; false where there is none, and nothing is put. */
  private place(b: number): boolean {
    const block = this.blocks.members[b] as readonly number[]
    return this.loose && block.length > 1 ? this.placeLoose(b, block) : this.placeRigid(b, block)
  }

  private placeRigid(b: number, block: readonly number[]): boolean {
    const { offset } = this.blocks
    let at = 0
    for (let k = 0; k < block.length; k++) {
      const task = block[k] as number
      at = Math.max(at, this.earliestOf(task, b) - (offset[task] as number))
    }
    const shape = this.shapes[b]
    if (shape != null) {
      const fit = this.taken.fitsShape(shape, at)
      if (fit >= never) return false
      for (let k = 0; k < block.length; k++) this.put(block[k] as number, fit + (offset[block[k] as number] as number))
      return true
    }
    for (let k = 0; k < block.length; k++) {
      const task = block[k] as number
      const wanted = at + (offset[task] as number)
      const fit = this.taken.fits(task, wanted, this.latestOf(task))
      if (fit === wanted) {
        this.put(task, wanted)
        continue
      }
      for (let j = k - 1; j >= 0; j--) this.undo(block[j] as number)
      if (fit >= never) return false
      at = fit - (offset[task] as number)
      k = -1
    }
    return true
  }

  /** One after the other as the greatest waits inside the block let them; what stands too early is raised, and all begins anew. */
  private placeLoose(b: number, block: readonly number[]): boolean {
    const { of, offset } = this.blocks
    const { intoRows, outRows } = this.net
    const inOrder = this.ordered[b] as readonly number[]
    const least = this.least
    for (let k = 0; k < inOrder.length; k++) least[inOrder[k] as number] = this.earliestOf(inOrder[k] as number, b)
    let rounds = 40 + 4 * block.length
    for (let k = 0; k < inOrder.length; k++) {
      const task = inOrder[k] as number
      let from = least[task] as number
      for (let a = intoRows.first[task] as number; a < (intoRows.first[task + 1] as number); a++) {
        const other = intoRows.to[a] as number
        if (of[other] === b && (this.start[other] as number) >= 0)
          from = Math.max(from, (this.start[other] as number) + (intoRows.lag[a] as number))
      }
      const fit = this.taken.fits(task, from, this.latestOf(task))
      let again = false
      if (fit < never)
        for (let a = outRows.first[task] as number; a < (outRows.first[task + 1] as number); a++) {
          const other = outRows.to[a] as number
          const at = fit + (outRows.lag[a] as number)
          if (of[other] !== b || (this.start[other] as number) < 0 || (this.start[other] as number) >= at) continue
          least[other] = Math.max(least[other] as number, at)
          again = true
        }
      if (fit < never && !again) {
        this.put(task, fit)
        continue
      }
      for (let j = k - 1; j >= 0; j--) this.undo(inOrder[j] as number)
      if (fit >= never) return false
      if (rounds-- < 0) {
        // Too many tugs: at fixed distances then.
        this.release[b] = Math.max(this.release[b] as number, (least[task] as number) - (offset[task] as number))
        return this.placeRigid(b, block)
      }
      k = -1
    }
    return true
  }

  private put(task: number, start: number): void {
    this.start[task] = start
    this.taken.put(task, start)
  }

  private undo(task: number): void {
    this.taken.takeBack(task)
    this.start[task] = -1
  }

  /** Tasks of other blocks that stand too early for this one. */
  private tooEarly(b: number): number[] {
    const { outRows } = this.net
    const { of, offset, members } = this.blocks
    const blocks: number[] = []
    for (const task of members[b] ?? [])
      for (let a = outRows.first[task] as number; a < (outRows.first[task + 1] as number); a++) {
        const other = outRows.to[a] as number
        const start = this.start[other] as number
        const needed = (this.start[task] as number) + (outRows.lag[a] as number)
        const whose = of[other] as number
        if (whose === b || start < 0 || start >= needed) continue
        this.release[whose] = Math.max(this.release[whose] as number, needed - (offset[other] as number))
        if (!blocks.includes(whose)) blocks.push(whose)
      }
    return blocks
  }

  /** Takes a block back, and with it what stands too early for it and what follows that: they come later. */
  private letGo(b: number, early: readonly number[]): void {
    const { members } = this.blocks
    for (const task of members[b] ?? []) this.undo(task)
    const gone = new Set(early)
    for (const g of gone) for (const f of this.follow[g] ?? []) if (this.placed[f] === 1) gone.add(f)
    for (const g of gone) {
      if (this.placed[g] === 0) continue
      this.placed[g] = 0
      this.left++
      for (const task of members[g] ?? []) this.undo(task)
      for (const f of this.follow[g] ?? []) this.waiting[f] = (this.waiting[f] ?? 0) + 1
    }
    for (const g of [...gone, b]) if (this.waiting[g] === 0) this.push(g)
    this.unpark()
  }
}

function followers(net: Net, { members, of }: Blocks): number[][] {
  const follow = members.map(() => new Set<number>())
  net.out.forEach((arcs, a) => {
    for (const { to, lag } of arcs) if (lag > 0 && of[a] !== of[to]) follow[of[a] ?? 0]?.add(of[to] ?? 0)
  })
  return follow.map((set) => [...set])
}
