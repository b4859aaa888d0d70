import { type DayFailure, failure } from './dayFailures.ts'
import { clauses, count, minutes, name, say, type Sentence } from '../say/index.ts'
import { type Day, never } from './day.ts'
import { canBeExact, exact } from './exact.ts'
import { longestPaths } from './longestPaths.ts'
import { netOf } from './net.ts'
import { type Found, search } from './search.ts'

/** What may be given up: a greatest wait, or a latest end. */
interface Wish {
  readonly task: string
  /** After which task; null: its latest end. */
  readonly after: string | null
  readonly minutes: number
}

/**
 * Proof that no order exists, with a smallest set of wishes that contradict each other (each is left out in turn; what is not needed for the
 * contradiction stays out) and one more tool or person that would help. Null: it could not be proven in the time given.
 */
export function whyNoOrder(day: Day, goOn: () => boolean): DayFailure | null {
  if (impossible(day, goOn) !== true) return null
  let needed = wishesOf(day)
  for (const wish of needed) {
    const fewer = needed.filter((other) => other !== wish)
    if (impossible(keeping(day, fewer), goOn) === true) needed = fewer
  }
  const wishes = clauses(needed.map(wishWords))
  const helps = whatHelps(keeping(day, needed), goOn)
  return helps === null ? failure('DAY_NONE', { wishes }) : failure('DAY_NONE_BUT', { wishes, helps })
}

/** Whether no order exists; null where neither that nor the contrary was found in time. */
function impossible(day: Day, goOn: () => boolean): boolean | null {
  const net = netOf(day)
  if (!longestPaths(net).ok) return true
  if (!canBeExact(net)) return null
  const { start, proven } = exact(net, net.horizon, firstOf(goOn))
  return start !== null ? false : proven ? true : null
}

/** Time is up at the latest after so many nodes' worth of asking. */
const patience = 4000
function firstOf(goOn: () => boolean): () => boolean {
  let asked = 0
  return () => asked++ < patience && goOn()
}

const wishesOf = (day: Day): Wish[] =>
  day.tasks.flatMap(({ id, after, notAfter }) => [
    ...after.flatMap(({ task, maxMinutes }) =>
      maxMinutes === undefined ? [] : [{ task: id, after: task, minutes: Math.floor(maxMinutes) }],
    ),
    ...(notAfter === undefined ? [] : [{ task: id, after: null, minutes: notAfter }]),
  ])

const keeping = (day: Day, wishes: readonly Wish[]): Day => ({
  ...day,
  tasks: day.tasks.map((task) => ({
    ...task,
    notAfter: wishes.some((wish) => wish.task === task.id && wish.after === null) ? task.notAfter : undefined,
    after: task.after.map((wait) => ({
      ...wait,
      maxMinutes: wishes.some((wish) => wish.task === task.id && wish.after === wait.task)
        ? wait.maxMinutes
        : undefined,
    })),
  })),
})

const wishWords = ({ task, after, minutes: most }: Wish): Sentence =>
  after === null
    ? say`“${name(task)}” ends by minute ${count(most)}`
    : say`“${name(task)}” begins at most ${minutes(most)} after “${name(after)}”`

/** One more of a tool, or of the people, with which there is an order; and latest ends that could be promised in place of those that cannot. */
function whatHelps(day: Day, goOn: () => boolean): Sentence | null {
  const more = oneMore(day, goOn)
  const later = laterEnds(day, goOn)
  return more !== null && later !== null ? say`${more}; or ${later}` : (more ?? later)
}

function oneMore(day: Day, goOn: () => boolean): Sentence | null {
  const { tools, people } = day
  for (const tool of tools) {
    const more = tools.map((one) => (one === tool ? { ...one, count: one.count + 1 } : one))
    if (goesWith({ ...day, tools: more }, goOn)) return say`one more “${name(tool.id)}”`
  }
  return goesWith(
    { ...day, people: [...people, { id: 'one more person', skills: people.flatMap((p) => p.skills ?? []) }] },
    goOn,
  )
    ? say`one more person`
    : null
}

/** The order that is found with the least lateness keeps these ends. */
function laterEnds(day: Day, goOn: () => boolean): Sentence | null {
  const best = found(day, goOn)
  if (best === null) return null
  const late = day.tasks.flatMap(({ id, minutes: lasts, notAfter = never }, i) => {
    const end = (best.start[i] ?? 0) + lasts
    return end > Math.floor(notAfter) ? [say`“${name(id)}” ends by minute ${count(end)}`] : []
  })
  return late.length === 0 ? null : clauses(late)
}

function goesWith(day: Day, goOn: () => boolean): boolean {
  return found(day, goOn)?.late === 0
}

function found(day: Day, goOn: () => boolean): Found | null {
  let orders = 0
  return search(netOf(day), { bound: 0, left: () => (goOn() ? 1 - orders++ / 300 : 0) }).best
}
