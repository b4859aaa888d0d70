import { type Day, planDay, playedOut } from '@truelay/core/order'
import { required } from '@truelay/core/result'
import { jigsawDay, shopDay } from '../../packages/core/src/order/testDays.ts'
import { kitDay, type KitDayKind } from '../../packages/core/src/order/testKitDays.ts'
import type { Section } from './section.ts'
import { bestOf, ms } from './timing.ts'

export const daySection: Section = {
  title: 'The order of a day, 2 s of processor time (days as the tests make them)',
  measure(say) {
    say(
      '`pushed`: the plan taken up again after its first task has run over by ten minutes; `played`: 200 days for the chance of a promise; ms.',
    )
    say('')
    say('| day | tasks | minutes | no plan is shorter than | gap | proven | pushed | played |')
    say('|---|--:|--:|--:|--:|---|--:|--:|')
    const spentMs = () => {
      const { user, system } = process.cpuUsage()
      return (user + system) / 1000
    }
    const kits = (kind: Partial<KitDayKind>) => kitDay({ seed: 1, vehicles: 4, parts: 10, people: 2, ...kind })
    const days: Record<string, Day> = {
      'a full day cut into pieces, 2 people, 60 minutes': jigsawDay({ seed: 5, people: 2, minutes: 60, slack: 10 }),
      'the same, 2 people, 240 minutes': jigsawDay({ seed: 1, people: 2, minutes: 240, slack: 20 }),
      'the same, 3 people, 1 130 minutes, loose': jigsawDay({ seed: 1, people: 3, minutes: 1130, slack: 60 }),
      'the same, 4 people, 850 minutes': jigsawDay({ seed: 2, people: 4, minutes: 850, slack: 20 }),
      'the same, 4 people, 850 minutes, tight': jigsawDay({ seed: 3, people: 4, minutes: 850, slack: 3 }),
      'kits with parts of several kinds, 4 vehicles of 10 parts, 2 people': kits({ people: 2 }),
      'the same, 3 people': kits({ people: 3 }),
      'the same, 4 people': kits({ people: 4 }),
      'the same in finer steps, 2 people': kits({ people: 2, fine: true }),
      'the same in finer steps, 3 people': kits({ people: 3, fine: true }),
      'kits, 10 vehicles of 4 parts, 2 people': kits({ vehicles: 10, parts: 4, people: 2 }),
      'kits, 3 vehicles of 4 parts, 3 people, one gun': kits({ vehicles: 3, parts: 4, people: 3, guns: 1 }),
      'parts all laid wet, 10 vehicles of 4 parts, 2 people': shopDay({ seed: 4, vehicles: 10, parts: 4, people: 2 }),
      '10 vehicles of 4 parts, 3 people': shopDay({ seed: 5, vehicles: 10, parts: 4, people: 3 }),
      '4 vehicles of 10 parts, 3 people': shopDay({ seed: 3, vehicles: 4, parts: 10, people: 3 }),
      '4 vehicles of 10 parts, 4 people': shopDay({ seed: 4, vehicles: 4, parts: 10, people: 4 }),
      '3 vehicles of 4 parts, 3 people, one gun': shopDay({ seed: 6, vehicles: 3, parts: 4, people: 3, guns: 1 }),
    }
    for (const [called, day] of Object.entries(days)) {
      const made = required(planDay(day, { seconds: 2, spentMs }))
      const { makespanMinutes, lowerBoundMinutes, proven } = made
      const gap = ((makespanMinutes / lowerBoundMinutes - 1) * 100).toFixed(1)
      const first = made.tasks.find(({ startMinute, people }) => startMinute === 0 && people.length > 0)?.id
      const over = {
        ...day,
        tasks: day.tasks.map((task) => (task.id === first ? { ...task, minutes: task.minutes + 10 } : task)),
      }
      const before = Object.fromEntries(made.tasks.map(({ id, ...task }) => [id, task]))
      const pushed = bestOf(3, () => required(planDay(over, { seconds: 0, spentMs, lateIsAllowed: true, before })))
      const played = bestOf(3, () => playedOut(day, made.tasks, { runs: 200, spread: () => 0.25, oneOf: (id) => id }))
      say(
        `| ${called} | ${day.tasks.length} | ${makespanMinutes} | ${lowerBoundMinutes} | ${gap} % | ${proven ? 'yes' : 'no'} | ${ms(pushed)} | ${ms(played)} |`,
      )
    }
  },
}
