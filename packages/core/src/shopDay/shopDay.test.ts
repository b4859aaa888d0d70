import { describe, expect, test } from 'vitest'
import { planDay } from '../order/index.ts'
import { broken } from '../order/testBroken.ts'
import { required } from '../result/index.ts'
import { name, say } from '../say/index.ts'
import { dayOfShop, type JobToDo, type PartToDo, partTasks, type ShopToday, type StepOutline } from './index.ts'

const step = (id: string, more: Partial<StepOutline> = {}): StepOutline => ({
  id,
  says: say`${name(id)}`,
  minutes: 5,
  people: 1,
  heats: false,
  ...more,
})
const wet = [
  step('wash', { minutes: 10 }),
  step('wipe'),
  step('lay', { minutes: 20, wait: { leastMinutes: 20 } }),
  step('trim', { within: [{ since: 'lay', mostMinutes: 90 }], wait: { leastMinutes: 15 } }),
  step('turn', { heats: true }),
  step('seal', { heats: true }),
  step('look'),
]
const part = (partId: string, more: Partial<PartToDo> = {}): PartToDo => ({
  partId,
  steps: wet,
  done: 0,
  doneAgo: {},
  readyIn: null,
  inHandOf: null,
  pace: 1,
  ...more,
})
const tasksOf = (more: Partial<PartToDo> = {}) => partTasks(part('p', more), 'comes')

describe('a part as tasks', () => {
  test('joins neighbours of the same hands and tools, up to a wait', () => {
    expect(tasksOf().map(({ stepIds }) => stepIds)).toEqual([
      ['wash', 'wipe', 'lay'],
      ['trim'],
      ['turn', 'seal'],
      ['look'],
    ])
    expect(tasksOf().map(({ task }) => task.minutes)).toEqual([35, 5, 10, 5])
    expect(tasksOf()[2]?.task.tools).toEqual(['heat gun'])
  })
  test('keeps least and greatest waits', () => {
    expect(tasksOf()[1]?.task.after).toEqual([{ task: 'p 0', minMinutes: 20, maxMinutes: 90 }])
    expect(tasksOf()[2]?.task.after).toEqual([{ task: 'p 3', minMinutes: 15 }])
  })
  test('a wait that counts from an earlier step asks nothing of the step before', () => {
    const steps = [
      step('wet'),
      step('set down', { people: 2 }),
      step('press', { wait: { leastMinutes: 30, since: 'wet' } }),
      step('trim'),
    ]
    expect(tasksOf({ steps }).at(-1)?.task.after).toEqual([{ task: 'p 2', minMinutes: 0 }])
  })
  test('film that dries binds what follows', () => {
    const steps = [step('wet', { driesInMinutes: 4 }), step('set down', { people: 2 })]
    expect(tasksOf({ steps })[1]?.task.after).toEqual([{ task: 'p 0', minMinutes: 0, maxMinutes: 4 }])
  })
  test('what is done is left out, a running wait and a greatest one are counted from now', () => {
    const left = tasksOf({ done: 3, doneAgo: { lay: 12 }, readyIn: 8 })
    expect(left.map(({ stepIds }) => stepIds[0])).toEqual(['trim', 'turn', 'look'])
    expect(left[0]?.task).toMatchObject({ notBefore: 8, notAfter: 83, after: [{ task: 'comes', minMinutes: 0 }] })
  })
  test('what is in hand goes on at once, in the same hands', () => {
    expect(tasksOf({ done: 1, inHandOf: 'Ines' })[0]?.task).toMatchObject({ skill: 'at p', notBefore: 0, notAfter: 25 })
  })
  test('minutes go by what earlier fits took', () => {
    expect(tasksOf({ pace: 1.2 }).map(({ task }) => task.minutes)).toEqual([42, 6, 12, 6])
  })
})

describe('the day of a shop', () => {
  const job = (jobId: string, more: Partial<JobToDo> = {}): JobToDo => ({
    jobId,
    place: 'Bay 1',
    comesIn: 0,
    dueIn: 480,
    parts: [part(`${jobId} bonnet`), part(`${jobId} lamp`)],
    ...more,
  })
  const shop = (jobs: readonly JobToDo[], more: Partial<ShopToday> = {}): ShopToday => ({
    people: ['Ines', 'Tarek'].map((id) => ({ id, away: [[540, 1440]] })),
    guns: 1,
    jobs,
    ...more,
  })
  const planned = (asked: ShopToday) => {
    const { day } = dayOfShop(asked)
    let spent = 0
    const plan = required(planDay(day, { seconds: 1, spentMs: () => (spent += 20), lateIsAllowed: true }))
    const at = (id: string) => plan.tasks.find((task) => task.id === id)?.startMinute ?? Number.NaN
    return { day, plan, at }
  }
  test('is a day that can be planned and kept', () => {
    const { day, plan } = planned(shop([job('A'), job('B', { place: 'Bay 2', comesIn: 30 })]))
    expect(broken(day, plan)).toEqual([])
    expect(plan.late).toEqual([])
  })
  test('a vehicle comes into its place when the one before it has left', () => {
    const { at } = planned(shop([job('A'), job('B', { comesIn: 10, dueIn: 2000 })]))
    expect(at('B comes')).toBeGreaterThanOrEqual(at('A leaves'))
  })
  test('two that stand in one place already may both stay', () => {
    const { at } = planned(shop([job('A'), job('B')]))
    expect([at('A comes'), at('B comes')]).toEqual([0, 0])
  })
  test('a part in hand is not taken out of it', () => {
    const held = job('A', { parts: [part('A bonnet', { done: 1, inHandOf: 'Tarek' }), part('A lamp')] })
    const { plan } = planned(shop([held]))
    expect(plan.tasks.find(({ id }) => id === 'A bonnet 1')).toMatchObject({ startMinute: 0, people: ['Tarek'] })
  })
  test('nobody works when the shop is closed; what does not fit goes on in the morning', () => {
    const away = [[40, 940]] as const
    const { day, plan } = planned(shop([job('A')], { people: [{ id: 'Ines', away }] }))
    expect(broken(day, plan).filter((what) => !what.includes('ends too late'))).toEqual([])
    expect(plan.makespanMinutes).toBeGreaterThan(940)
  })
  test('people with hours of their own are told apart', () => {
    const people = [
      { id: 'Ines', away: [] },
      { id: 'Tarek', away: [[0, 600]] as const },
    ]
    const { plan } = planned(shop([job('A', { parts: [part('A bonnet')] })], { people }))
    expect(new Set(plan.tasks.flatMap((task) => task.people))).toEqual(new Set(['Ines']))
  })
  test('a promise that cannot be kept is late, by as little as it goes', () => {
    const { plan } = planned(shop([job('A', { dueIn: 30 })]))
    expect(plan.late[0]?.id).toBe('A leaves')
  })
  test('says of every task what it is work on', () => {
    const { day, works } = dayOfShop(shop([job('A')]))
    expect(works.map(({ taskId }) => taskId)).toEqual(day.tasks.map(({ id }) => id))
    expect(works.find(({ taskId }) => taskId === 'A bonnet 0')).toMatchObject({
      partId: 'A bonnet',
      stepIds: ['wash', 'wipe', 'lay'],
    })
  })
})
