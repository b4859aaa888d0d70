import { type DayPlan, planDay } from '../order/index.ts'
import { name, say, type Sentence } from '../say/index.ts'
import { dayOfShop, type ShopToday } from './dayOfShop.ts'

export interface Help {
  readonly says: Sentence
  /** By how much less all vehicles together are late, minutes. */
  readonly minutes: number
}

export interface HelpOptions {
  /** Processor time for each change that is tried. */
  readonly secondsEach: number
  /** Processor time spent until now, ms. */
  readonly spentMs: () => number
}

/** Less does not turn a day. */
const worthSaying = 15
const longerMinutes = 60

/**
 * The one change that makes the vehicles of a day least late: a tool or a person more, somebody who may do more, an hour longer tonight. Each is
 * tried from the plan that stands, and held against the same time spent on no change. Null where nothing is late, or nothing helps.
 */
export function whatHelps(shop: ShopToday, stands: DayPlan, options: HelpOptions): Help | null {
  if (lateOf(stands) === 0) return null
  const before = Object.fromEntries(stands.tasks.map(({ id, ...task }) => [id, task]))
  const lateWith = (changed: ShopToday) => {
    const plan = planDay(dayOfShop(changed).day, {
      seconds: options.secondsEach,
      spentMs: options.spentMs,
      lateIsAllowed: true,
      gain: 0,
      before,
    })
    return plan.ok ? lateOf(plan.value) : Number.POSITIVE_INFINITY
  }
  const without = lateWith(shop)
  const best = changesOf(shop)
    .map(({ says, changed }) => ({ says, minutes: Math.round(without - lateWith(changed)) }))
    .sort((a, b) => b.minutes - a.minutes)[0]
  return best === undefined || best.minutes < worthSaying ? null : best
}

const lateOf = ({ late }: DayPlan): number => late.reduce((sum, { minutes }) => sum + minutes, 0)

/** What asks least of a shop first: of changes that help alike the first is told. */
function changesOf(shop: ShopToday): { readonly says: Sentence; readonly changed: ShopToday }[] {
  const { people, guns } = shop
  const [first] = people
  const learning = people.some(({ stretches }) => stretches) ? people.filter(({ stretches }) => !stretches) : []
  return [
    ...learning.map(({ id }) => ({
      says: say`${name(id)} on parts where film is stretched`,
      changed: { ...shop, people: people.map((one) => (one.id === id ? { ...one, stretches: true } : one)) },
    })),
    { says: say`one more heat gun`, changed: { ...shop, guns: guns + 1 } },
    {
      says: say`everybody an hour longer tonight`,
      changed: { ...shop, people: people.map((one) => ({ ...one, away: longer(one.away) })) },
    },
    ...(first === undefined
      ? []
      : [
          {
            says: say`one more person`,
            changed: { ...shop, people: [...people, { id: 'one more', away: first.away, stretches: true }] },
          },
        ]),
  ]
}

/** The next evening begins later. A break is no evening: it is shorter than what is worked longer. */
function longer(away: ShopToday['people'][number]['away']): ShopToday['people'][number]['away'] {
  const evening = away.findIndex(([from, to]) => from > 0 && to - from > 2 * longerMinutes)
  return away.map(([from, to], k) => (k === evening ? [from + longerMinutes, to] : [from, to]))
}
