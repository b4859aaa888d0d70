import { describe, expect, test } from 'vitest'
import { required } from '../result/index.ts'
import type { DayTask } from './day.ts'
import { chanceBy, type Day, planDay, playedOut, readyBy } from './index.ts'
import { task as lasting } from './testDays.ts'

const task = (id: string, more: Partial<DayTask> = {}) => lasting(id, 30, more)
const after = (id: string, minMinutes = 0) => [{ task: id, minMinutes }]
const people = (...ids: string[]) => ids.map((id) => ({ id }))
const none = { spread: () => 0, oneOf: (id: string) => id, runs: 20 }

function playedDay(day: Day, options: Partial<typeof none> & { seed?: number } = {}) {
  let spent = 0
  const plan = required(planDay(day, { seconds: 1, spentMs: () => (spent += 5) }))
  return { plan, ends: playedOut(day, plan.tasks, { ...none, ...options }) }
}
const line: Day = {
  people: people('Ines'),
  tools: [],
  tasks: [task('a'), task('b', { after: after('a', 20) }), task('c', { after: after('b') })],
}

describe('a plan played out', () => {
  test('without any spread goes exactly as planned: waits, hands, tools, places and breaks', () => {
    const day: Day = {
      people: people('Ines', 'Tarek'),
      tools: [
        { id: 'gun', count: 1 },
        { id: 'bay', count: 1 },
      ],
      tasks: ['A', 'B'].flatMap((car) => [
        task(`${car} in`, { minutes: 0, people: 0 }),
        task(`${car} lay`, { after: after(`${car} in`), people: 2 }),
        task(`${car} seal`, { after: after(`${car} lay`, 15), tools: ['gun'] }),
        task(`${car} out`, { minutes: 0, people: 0, after: after(`${car} seal`) }),
      ]),
      holds: ['A', 'B'].map((car) => ({ tool: 'bay', from: `${car} in`, to: `${car} out` })),
      breaks: [{ from: 50, to: 70 }],
    }
    const { plan, ends } = playedDay(day)
    for (const { id, endMinute } of plan.tasks)
      expect([id, ends.get(id)?.[0], ends.get(id)?.at(-1)]).toEqual([id, endMinute, endMinute])
  })
  test('of a single step the middle is the plan, and nine of ten are done where the lognormal law says', () => {
    const day: Day = { people: people('Ines'), tools: [], tasks: [task('a', { minutes: 400 })] }
    const { ends } = playedDay(day, { spread: () => 0.3, runs: 4000 })
    const own = ends.get('a') ?? []
    expect(readyBy(own, 0.5) / 400).toBeCloseTo(1, 1)
    expect(readyBy(own, 0.9) / 400).toBeCloseTo(Math.exp(0.3 * 1.2816), 1)
    expect(chanceBy(own, 400)).toBeCloseTo(0.5, 1)
  })
  test('steps that go badly as one spread the end further than steps by themselves', () => {
    const tasks = Array.from({ length: 12 }, (_, i) => task(`t${i}`, { after: i === 0 ? [] : after(`t${i - 1}`) }))
    const day: Day = { people: people('Ines'), tools: [], tasks }
    const widthOf = (oneOf: (id: string) => string) => {
      const own = playedDay(day, { spread: () => 0.3, oneOf, runs: 800 }).ends.get('t11') ?? []
      return readyBy(own, 0.9) - readyBy(own, 0.1)
    }
    expect(widthOf(() => 'one part')).toBeGreaterThan(1.5 * widthOf((id) => id))
  })
  test('what runs over pushes through everything behind it', () => {
    const { ends } = playedDay(line, { spread: (id: string) => (id === 'a' ? 0.5 : 0) } as never)
    const [a, c] = [ends.get('a') ?? [], ends.get('c') ?? []]
    a.forEach((end, run) => {
      expect(c[run]).toBe(end + 20 + 60)
    })
  })
  test('work that has begun is ended in the break; nothing is begun that would run into it', () => {
    const day: Day = {
      people: people('Ines'),
      tools: [],
      tasks: [task('a'), task('b', { after: after('a') })],
      breaks: [{ from: 61, to: 100 }],
    }
    const { ends } = playedDay(day, { spread: () => 0.4, runs: 300 } as never)
    const b = ends.get('b') ?? []
    expect(b.some((end) => end > 61 && end < 100)).toBe(true)
    expect(b.some((end) => end > 115)).toBe(true)
  })
  test('is the same again from the same seed', () => {
    const run = (seed: number) => playedDay(line, { spread: () => 0.3, seed } as never).ends.get('c')
    expect(run(4)).toEqual(run(4))
    expect(run(4)).not.toEqual(run(5))
  })
})
