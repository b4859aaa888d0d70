import { expect, test } from 'vitest'
import type { Day, DayTask } from './day.ts'
import { netOf } from './net.ts'
import { pushThrough } from './pushThrough.ts'
import { task as lasting } from './testDays.ts'

const task = (id: string, more: Partial<DayTask> = {}) => lasting(id, 20, more)
const people = ['Ines', 'Tarek', 'Bo'].map((id) => ({ id }))
const was = (startMinute: number, ...names: string[]) => ({ startMinute, people: names })
/** Starts and hands, by task; null where it cannot be pushed through. */
function pushed(day: Day, before: Parameters<typeof pushThrough>[2]) {
  const placed = pushThrough(netOf(day), day, before)
  if (placed === null) return null
  return Object.fromEntries(
    day.tasks.map(({ id }, i) => [
      id,
      [
        placed.start[i],
        ...day.people.filter((_, p) => ((placed.who[i] ?? 0) & (1 << p)) !== 0).map(({ id: name }) => name),
      ],
    ]),
  )
}

test('everybody keeps their tasks in their order, each as early as it goes', () => {
  const day: Day = { people, tools: [], tasks: ['a', 'b', 'c', 'd'].map((id) => task(id)) }
  const before = { a: was(0, 'Tarek'), b: was(25, 'Tarek'), c: was(30, 'Bo'), d: was(60, 'Ines') }
  expect(pushed(day, before)).toEqual({ a: [0, 'Tarek'], b: [20, 'Tarek'], c: [0, 'Bo'], d: [0, 'Ines'] })
})

test('the third of three is nobody else, and two that did it together still do', () => {
  const day: Day = { people, tools: [], tasks: [task('a'), task('both', { people: 2 })] }
  expect(pushed(day, { a: was(0, 'Bo'), both: was(20, 'Ines', 'Bo') })).toEqual({
    a: [0, 'Bo'],
    both: [20, 'Ines', 'Bo'],
  })
})

test('whoever is gone is stood in for by who has least to do so far, never twice by the same', () => {
  const day: Day = {
    people,
    tools: [],
    tasks: [task('long', { minutes: 60 }), task('both', { people: 2 }), task('one')],
  }
  const before = { long: was(0, 'Ines'), both: was(60, 'Ines', 'Vera'), one: was(80, 'Vera') }
  expect(pushed(day, before)).toEqual({ long: [0, 'Ines'], both: [60, 'Ines', 'Tarek'], one: [0, 'Bo'] })
})

test('whoever can do it no more gives it up; where nobody can, it is not pushed through', () => {
  const skilled = (skills: readonly string[]): Day => ({
    people: people.map(({ id }) => ({ id, skills: id === 'Tarek' ? [...skills] : [] })),
    tools: [],
    tasks: [task('pull', { skill: 'stretch' }), task('trim')],
  })
  const before = { pull: was(0, 'Ines'), trim: was(20, 'Ines') }
  expect(pushed(skilled(['stretch']), before)).toEqual({ pull: [0, 'Tarek'], trim: [0, 'Ines'] })
  expect(pushed(skilled([]), before)).toBeNull()
})

test('a task that was in no plan cannot be pushed through', () => {
  const day: Day = { people, tools: [], tasks: [task('a'), task('new')] }
  expect(pushed(day, { a: was(0, 'Ines') })).toBeNull()
})

test('what would run into a break of those who do it waits until it is over; what ends before it, or is done by others, does not', () => {
  const day: Day = {
    people,
    tools: [],
    tasks: [task('short', { minutes: 10 }), task('long'), task('last'), task('other', { minutes: 40 })],
    breaks: [{ people: ['Ines'], from: 15, to: 30 }],
  }
  const before = { short: was(0, 'Ines'), long: was(50, 'Ines'), last: was(80, 'Ines'), other: was(10, 'Bo') }
  expect(pushed(day, before)).toEqual({ short: [0, 'Ines'], long: [30, 'Ines'], last: [50, 'Ines'], other: [0, 'Bo'] })
  const all = { ...day, breaks: [{ from: 15, to: 30 }] }
  expect(pushed(all, before)).toMatchObject({ short: [0, 'Ines'], long: [30, 'Ines'], other: [30, 'Bo'] })
  // What ends as the break begins, and what begins as it ends, lies beside it.
  const beside = { ...day, breaks: [{ from: 10, to: 30 }] }
  expect(pushed(beside, before)).toMatchObject({ short: [0, 'Ines'], long: [30, 'Ines'] })
})

test('a tool goes round in the order in which it did, and a place is left before the next comes', () => {
  const day: Day = {
    people,
    tools: [
      { id: 'gun', count: 1 },
      { id: 'bay', count: 1 },
    ],
    tasks: [
      task('a', { tools: ['gun'] }),
      task('b', { tools: ['gun'], minutes: 30 }),
      task('in 1', { minutes: 0, people: 0 }),
      task('out 1', { minutes: 0, people: 0, after: [{ task: 'b', minMinutes: 0 }] }),
      task('in 2', { minutes: 0, people: 0 }),
      task('out 2', { minutes: 0, people: 0, after: [{ task: 'in 2', minMinutes: 5 }] }),
    ],
    holds: [
      { tool: 'bay', from: 'in 1', to: 'out 1' },
      { tool: 'bay', from: 'in 2', to: 'out 2' },
    ],
  }
  const placed = pushed(day, {
    a: was(40, 'Bo'),
    b: was(10, 'Ines'),
    'in 1': was(5),
    'out 1': was(45),
    'in 2': was(50),
    'out 2': was(60),
  })
  expect(placed).toEqual({
    a: [30, 'Bo'],
    b: [0, 'Ines'],
    'in 1': [0],
    'out 1': [30],
    'in 2': [30],
    'out 2': [35],
  })
})
