import type { Blocks } from './blockShape.ts'
import type { Onto, Placed } from './listDecoder.ts'
import type { Net } from './net.ts'

/** A plan that is shaken, and how long it is. */
interface Whole extends Placed {
  readonly minutes: number
}

/** A list near a plan, and between which minutes it is another one. */
export interface NearList {
  readonly keys: Float64Array
  readonly from: number
  readonly to: number
}

/** So far about an idle minute a plan is shaken, most of it before. */
const aroundIdle = 120
/** In so many of all cases it is shaken anywhere instead. */
const anywhereShare = 0.4
/** Shares of the ways to shake: the blocks of a window, a few blocks anywhere; the rest: all a little. */
const windowShare = 0.5
const fewShare = 0.35
/** So long after what was moved a plan has to be ahead of the one it was made from, minutes. */
const untilMet = 30

/** Lists that are near a plan: its blocks in its order, some of them moved. */
export class Shaking {
  /** When people are idle in the plan that was shaken last. */
  private idleOf: { readonly whole: Whole; readonly minutes: readonly number[] } | null = null

  constructor(
    private readonly net: Net,
    private readonly random: () => number,
  ) {}

  of(whole: Whole, { members, of, offset }: Blocks): NearList {
    const { random } = this
    const { start, minutes } = whole
    const moved = new Float64Array(members.length)
    const at = (b: number) => (start[members[b]?.[0] ?? 0] ?? 0) - (offset[members[b]?.[0] ?? 0] ?? 0)
    let from = minutes
    let to = 0
    const move = (b: number, by: number) => {
      moved[b] = by
      from = Math.min(from, at(b), at(b) + by)
      to = Math.max(to, at(b), at(b) + by)
    }
    const either = (much: number) => 2 * much * (random() - 0.5)
    const kind = random()
    if (kind < windowShare) {
      const middle = this.middleOf(whole)
      const half = 10 + 110 * random()
      const much = 3 + 40 * random()
      for (let b = 0; b < members.length; b++) if (Math.abs(at(b) - middle) < half) move(b, either(much))
    } else if (kind < windowShare + fewShare) {
      const much = 10 + 150 * random()
      for (let k = 1 + Math.floor(4 * random()); k > 0; k--) move(Math.floor(random() * members.length), either(much))
    } else for (let b = 0; b < members.length; b++) move(b, either(3))
    const keys = new Float64Array(start.length)
    for (let i = 0; i < keys.length; i++) keys[i] = (start[i] as number) + (moved[of[i] as number] as number)
    return { keys, from, to }
  }

  /** Where to shake: anywhere, or about where somebody stands idle: what should be done there has to come earlier. */
  private middleOf(whole: Whole): number {
    const { random } = this
    if (random() < anywhereShare) return random() * whole.minutes
    if (this.idleOf?.whole !== whole) this.idleOf = { whole, minutes: idleMinutes(this.net, whole) }
    const { minutes } = this.idleOf
    const idle = minutes[Math.floor(random() * minutes.length)] ?? random() * whole.minutes
    return idle + aroundIdle * (random() - 0.7)
  }
}

/** What stands before the first that a list moves; with `meets` it is given up where it falls behind the plan it was made from. */
export const ontoFromFront = ({ start, who }: Placed, { from, to }: NearList, meets: boolean): Onto => ({
  start,
  who,
  until: from,
  metBy: meets ? to + untilMet : Number.POSITIVE_INFINITY,
})

/** The same for the plan turned round: what stands after the last that a list moves. */
export function ontoFromEnd(
  { minutes: lasts, size }: Net,
  { start, who, minutes }: Whole,
  { from, to }: NearList,
  meets: boolean,
): Onto {
  const turned = new Int32Array(size)
  let longest = 0
  for (let i = 0; i < size; i++) {
    turned[i] = minutes - (start[i] as number) - (lasts[i] as number)
    longest = Math.max(longest, lasts[i] as number)
  }
  // A block that is moved begins by `to`: its first task does not start before this when turned round.
  return {
    start: turned,
    who,
    until: minutes - to - longest,
    metBy: meets ? minutes - from + untilMet : Number.POSITIVE_INFINITY,
  }
}

/** Minutes in which fewer work than could, once for each who does not. */
function idleMinutes({ minutes, needs, capacity, size }: Net, { start, minutes: lasts }: Whole): number[] {
  const free = new Int16Array(lasts + 1).fill(capacity[0] ?? 0)
  for (let i = 0; i < size; i++) {
    const need = needs[i]?.[0]
    if (need?.of !== 0) continue
    const at = start[i] as number
    for (let t = at; t < at + (minutes[i] as number); t++) free[t] = (free[t] as number) - need.amount
  }
  const idle: number[] = []
  for (let t = 0; t < lasts; t++) for (let k = free[t] as number; k > 0; k--) idle.push(t)
  return idle
}
