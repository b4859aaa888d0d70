import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { planDay } from '../order/index.ts'
import { broken } from '../order/testBroken.ts'
import { required } from '../result/index.ts'
import { name, say } from '../say/index.ts'
import { practiceWith } from '../practice/index.ts'
import {
  dayOfShop,
  type JobToDo,
  type PartAround,
  type PartToDo,
  partTasks,
  type ShopToday,
  type StepOutline,
  whatHelps,
} from './index.ts'

const step = (id: string, more: Partial<StepOutline> = {}): StepOutline => ({
  id,
  says: say`${name(id)}`,
  minutes: 5,
  phase: 'prepare',
  people: 1,
  heats: false,
  stretches: false,
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
  begunBy: null,
  pinned: null,
  bottle: null,
  pace: 1,
  ...more,
})
const practice = practiceWith({ dayPairSlack: 0, dayPauseSlack: 0, dayPromiseSlack: 0 })
const tasksOf = (more: Partial<PartToDo> = {}, around: Partial<PartAround> = {}) =>
  partTasks(part('p', more), { comes: 'comes', bottle: 'mixed here', practice, ...around })

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
    orders: [],
    sets: [],
    looks: [],
    indoorsMinutes: 0,
    indoorsLeft: 0,
    ...more,
  })
  const shop = (jobs: readonly JobToDo[], more: Partial<ShopToday> = {}): ShopToday => ({
    people: ['Ines', 'Tarek'].map((id) => ({ id, away: [[540, 1440]], stretches: true })),
    guns: 1,
    practice,
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
    const { day, plan } = planned(shop([job('A')], { people: [{ id: 'Ines', away, stretches: true }] }))
    expect(broken(day, plan).filter((what) => !what.includes('ends too late'))).toEqual([])
    expect(plan.makespanMinutes).toBeGreaterThan(940)
  })
  test('people with hours of their own are told apart', () => {
    const people = [
      { id: 'Ines', away: [], stretches: true },
      { id: 'Tarek', away: [[0, 600]] as const, stretches: true },
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

  describe('what belongs together', () => {
    const three = ['bonnet', 'door', 'wing'].map((id) => part(`A ${id}`))
    const handsOf = (plan: { tasks: readonly { id: string; people: readonly string[] }[] }, id: string) =>
      new Set(plan.tasks.filter((task) => task.id.startsWith(`${id} `)).flatMap(({ people }) => people))
    test('a part stays in the hands that began it', () => {
      const { day, plan } = planned(shop([job('A', { parts: three, dueIn: 900 })]))
      expect(broken(day, plan)).toEqual([])
      for (const { partId } of three) expect(handsOf(plan, partId).size).toBe(1)
    })
    test('others take over where the hands that began it would be later by more than is worth it', () => {
      const begun = part('A bonnet', { done: 3, doneAgo: { lay: 30 }, begunBy: 'Tarek' })
      const people = [
        { id: 'Ines', away: [], stretches: true },
        { id: 'Tarek', away: [[0, 300]] as const, stretches: true },
      ]
      const { plan } = planned(shop([job('A', { parts: [begun] })], { people }))
      expect(handsOf(plan, 'A bonnet')).toEqual(new Set(['Ines']))
    })
    test('a set is fitted by one person, each part in its turn', () => {
      const laid = (id: string) =>
        part(id, { steps: [step('wash'), step('lay', { phase: 'lay', minutes: 20 }), step('look')] })
      const parts = [laid('A inner'), laid('A outer')]
      const orders = [{ first: 'A inner', next: 'A outer', kind: 'piece after piece' }] as const
      const { plan, at } = planned(shop([job('A', { parts, orders, sets: [['A inner', 'A outer']] })]))
      expect(at('A outer 0')).toBeGreaterThanOrEqual(plan.tasks.find(({ id }) => id === 'A inner 0')?.endMinute ?? 0)
      expect(handsOf(plan, 'A outer')).toEqual(handsOf(plan, 'A inner'))
    })
    test('a line is carried on: the next piece is laid when the first lies, and may be washed before', () => {
      const laid = (id: string) =>
        part(id, {
          steps: [
            step('wash', { people: 2 }),
            step('lay', { phase: 'lay', minutes: 30 }),
            step('heat', { heats: true }),
          ],
        })
      const orders = [{ first: 'A first', next: 'A next', kind: 'line' }] as const
      const { plan, at } = planned(shop([job('A', { parts: [laid('A next'), laid('A first')], orders })]))
      expect(at('A next 1')).toBeGreaterThanOrEqual(plan.tasks.find(({ id }) => id === 'A first 1')?.endMinute ?? 0)
      expect(at('A next 0')).toBeLessThan(at('A next 1'))
    })
    test('where the first lies already nothing is waited for', () => {
      const parts = [part('A first', { steps: [step('lay', { phase: 'lay' }), step('look')], done: 1 }), part('A next')]
      const { day } = dayOfShop(
        shop([job('A', { parts, orders: [{ first: 'A first', next: 'A next', kind: 'line' }] })]),
      )
      expect(day.tasks.find(({ id }) => id === 'A next 0')?.after).toEqual([{ task: 'A comes', minMinutes: 0 }])
    })
    test('a next piece that is finished already waits for nothing, whichever way', () => {
      for (const kind of ['line', 'to and fro', 'piece after piece'] as const) {
        const parts = [part('A first'), part('A next', { done: wet.length })]
        const { plan, at } = planned(shop([job('A', { parts, orders: [{ first: 'A first', next: 'A next', kind }] })]))
        expect(at('A first 0')).toBe(0)
        expect(plan.tasks.some(({ id }) => id.startsWith('A next'))).toBe(false)
      }
    })
    test('a next piece that is in hand already goes on, though the first does not lie', () => {
      const parts = [part('A first'), part('A next', { done: 1, inHandOf: 'Ines' })]
      const orders = [{ first: 'A first', next: 'A next', kind: 'piece after piece' }] as const
      const { day } = dayOfShop(shop([job('A', { parts, orders })]))
      const next = day.tasks.find(({ id }) => id.startsWith('A next'))
      expect(next?.notAfter).toBeDefined()
      expect(next?.after?.filter(({ task }) => task.startsWith('A first')) ?? []).toEqual([])
    })
    test('bottles are mixed once for parts that take the same; others fetch them', () => {
      const mixed = (id: string, more: Partial<PartToDo> = {}) =>
        part(id, {
          bottle: 'clear',
          steps: [step('wash'), step('mix', { phase: 'mix', minutes: 8 }), step('lay')],
          ...more,
        })
      const tasks = (parts: readonly PartToDo[]) => dayOfShop(shop([job('A', { parts })])).day.tasks
      const [one, other] = [tasks([mixed('A 1'), mixed('A 2')]), tasks([mixed('A 1', { done: 2 }), mixed('A 2')])]
      expect(one.find(({ id }) => id === 'A 1 0')?.minutes).toBe(13)
      expect(one.find(({ id }) => id === 'A 2 0')).toMatchObject({
        minutes: 11,
        after: [
          { task: 'A comes', minMinutes: 0 },
          { task: 'A 1 0', minMinutes: 0 },
        ],
      })
      // It stands there already.
      expect(other.find(({ id }) => id === 'A 2 0')).toMatchObject({
        minutes: 11,
        after: [{ task: 'A comes', minMinutes: 0 }],
      })
    })
    test('who goes on first mixes, wherever it stands in the list', () => {
      const mixed = (id: string) =>
        part(id, { bottle: 'clear', steps: [step('wash'), step('mix', { phase: 'mix', minutes: 8 }), step('lay')] })
      const parts = [mixed('A next'), mixed('A other'), mixed('A first')]
      const orders = ['A next', 'A other'].map((next) => ({
        first: 'A first',
        next,
        kind: 'piece after piece' as const,
      }))
      const { tasks } = dayOfShop(shop([job('A', { parts, orders })])).day
      const minutes = (id: string) => tasks.find((task) => task.id === id)?.minutes
      expect([minutes('A first 0'), minutes('A next 0'), minutes('A other 0')]).toEqual([13, 11, 11])
    })
    test('a new hand does not stretch film while others are here', () => {
      const parts = [part('A bonnet', { steps: [step('wash'), step('pull', { stretches: true, minutes: 30 })] })]
      const people = (stretches: boolean) => [
        { id: 'Ines', away: [], stretches },
        { id: 'Tarek', away: [], stretches: false },
      ]
      expect(handsOf(planned(shop([job('A', { parts })], { people: people(true) })).plan, 'A bonnet')).toEqual(
        new Set(['Ines']),
      )
      const alone = planned(shop([job('A', { parts })], { people: people(false) })).plan
      expect(handsOf(alone, 'A bonnet').size).toBe(1)
    })
    test('what is in hand and goes on with two is taken up by those hands and another', () => {
      const steps = [step('soak'), step('peel', { people: 2 }), step('look')]
      const held = part('A bonnet', { steps, done: 1, inHandOf: 'Ines', begunBy: 'Ines' })
      const { plan, at } = planned(shop([job('A', { parts: [held] })]))
      expect(at('A bonnet 1')).toBe(0)
      expect(handsOf(plan, 'A bonnet')).toEqual(new Set(['Ines', 'Tarek']))
    })
    test('who is alone does steps for two alone', () => {
      const steps = [step('soak'), step('peel', { people: 2 }), step('look')]
      const people = [{ id: 'Ines', away: [], stretches: true }]
      const { plan } = planned(shop([job('A', { parts: [part('A bonnet', { steps })] })], { people }))
      expect(handsOf(plan, 'A bonnet')).toEqual(new Set(['Ines']))
    })
    test('film that two stretch is no hindrance where only one may alone', () => {
      const steps = [step('pull', { people: 2, stretches: true })]
      const people = [
        { id: 'Ines', away: [], stretches: true },
        { id: 'Bo', away: [], stretches: false },
      ]
      const { plan } = planned(shop([job('A', { parts: [part('A bonnet', { steps })] })], { people }))
      expect(handsOf(plan, 'A bonnet').size).toBe(2)
    })
    test('who does not work here any more holds nothing, whatever was said or begun', () => {
      const gone = part('A bonnet', {
        done: 1,
        inHandOf: 'Gone',
        begunBy: 'Gone',
        pinned: { person: 'Gone', notBeforeIn: null },
      })
      const { plan } = planned(shop([job('A', { parts: [gone] })]))
      expect(handsOf(plan, 'A bonnet').size).toBe(1)
    })
    test('what somebody is to do, and what is put off, is kept to', () => {
      const parts = [part('A bonnet', { pinned: { person: 'Tarek', notBeforeIn: 90 } }), part('A lamp')]
      const { plan, at } = planned(shop([job('A', { parts })]))
      expect(handsOf(plan, 'A bonnet')).toEqual(new Set(['Tarek']))
      expect(at('A bonnet 0')).toBeGreaterThanOrEqual(90)
    })
  })

  test('a greatest wait that is over comes first, and is said', () => {
    const over = part('A bonnet', { done: 3, doneAgo: { lay: 120 } })
    const { overdue } = dayOfShop(shop([job('A', { parts: [part('A lamp'), over] })]))
    expect(overdue).toEqual([{ jobId: 'A', partId: 'A bonnet', byMinutes: 30 }])
    const one = shop([job('A', { parts: [part('A lamp'), over] })], {
      people: [{ id: 'Ines', away: [], stretches: true }],
    })
    expect(planned(one).at('A bonnet 3')).toBe(0)
  })
  test('edges are looked at when it is time, before the vehicle leaves', () => {
    const looks = [{ id: 'look 1', partId: 'A door', readyIn: 45, minutes: 10 }]
    const { plan, at } = planned(shop([job('A', { parts: [], looks })]))
    expect(at('look 1')).toBe(45)
    expect(at('A leaves')).toBeGreaterThanOrEqual(plan.tasks.find(({ id }) => id === 'look 1')?.endMinute ?? 0)
  })
  test('a vehicle leaves when its film may go outside', () => {
    const { plan, at } = planned(shop([job('A', { parts: [part('A bonnet')], indoorsMinutes: 120, dueIn: 900 })]))
    const last = Math.max(...plan.tasks.filter(({ id }) => id.startsWith('A bonnet')).map(({ endMinute }) => endMinute))
    expect(at('A leaves')).toBe(last + 120)
    expect(planned(shop([job('A', { parts: [], indoorsLeft: 50 })])).at('A leaves')).toBe(50)
  })
  test('minutes are kept free before a promise, a break, and a step for two where nothing dries', () => {
    const slack = practiceWith({ dayPairSlack: 4, dayPauseSlack: 6, dayPromiseSlack: 20 })
    const steps = [step('wash'), step('carry', { people: 2 }), step('look')]
    const { day } = dayOfShop(shop([job('A', { parts: [part('A bonnet', { steps })] })], { practice: slack }))
    expect(day.breaks).toEqual([{ from: 534, to: 1440 }])
    expect(day.tasks.at(-1)?.after).toEqual([{ task: 'A bonnet 2', minMinutes: 20 }])
    expect(day.tasks.find(({ id }) => id === 'A bonnet 1')?.after).toEqual([{ task: 'A bonnet 0', minMinutes: 4 }])
    const wet = partTasks(part('p', { steps: [step('soak', { driesInMinutes: 5 }), step('carry', { people: 2 })] }), {
      comes: 'comes',
      bottle: 'mixed here',
      practice: slack,
    })
    expect(wet[1]?.task.after).toEqual([{ task: 'p 0', minMinutes: 0, maxMinutes: 5 }])
  })

  describe('what would help most', () => {
    const helped = (asked: ShopToday) => {
      let spent = 0
      const options = { secondsEach: 0.5, spentMs: () => (spent += 10) }
      const stands = required(
        planDay(dayOfShop(asked).day, { seconds: 1, spentMs: options.spentMs, lateIsAllowed: true }),
      )
      const help = whatHelps(asked, stands, options)
      return help === null ? null : { says: english(help.says), minutes: help.minutes }
    }
    const hot = (id: string) => part(id, { steps: [step('seal', { heats: true, minutes: 40 }), step('look')] })
    const busy = ['Ines', 'Tarek', 'Bo'].map((id) => ({ id, away: [], stretches: true }))
    test('a gun, where people wait for it', () => {
      const parts = ['1', '2', '3'].map((k) => hot(`A ${k}`))
      expect(helped(shop([job('A', { parts, dueIn: 60 })], { people: busy }))).toEqual({
        says: 'one more heat gun',
        minutes: 40,
      })
    })
    test('a new hand on what only one may do', () => {
      const parts = ['1', '2'].map((k) => part(`A ${k}`, { steps: [step('pull', { stretches: true, minutes: 60 })] }))
      const people = [
        { id: 'Ines', away: [], stretches: true },
        { id: 'Bo', away: [], stretches: false },
      ]
      // One more person would help as much, and is not so soon to be had.
      expect(helped(shop([job('A', { parts, dueIn: 70 })], { people }))).toEqual({
        says: 'Bo on parts where film is stretched',
        minutes: 55,
      })
    })
    test('one more person, who has to be one that may stretch film', () => {
      const parts = ['1', '2'].map((k) => part(`A ${k}`, { steps: [step('pull', { stretches: true, minutes: 60 })] }))
      const people = [{ id: 'Ines', away: [], stretches: true }]
      expect(helped(shop([job('A', { parts, dueIn: 70 })], { people }))?.says).toBe('one more person')
    })
    test('an hour longer, where the night is between', () => {
      const parts = [part('A 1', { steps: [step('wash', { minutes: 60 }), step('lay', { minutes: 50, people: 2 })] })]
      const people = ['Ines', 'Tarek'].map((id) => ({ id, away: [[100, 1000]] as const, stretches: true }))
      expect(helped(shop([job('A', { parts, dueIn: 130 })], { people }))?.says).toBe('everybody an hour longer tonight')
      // A break before that is no evening: it stays where it is.
      const pausing = people.map((one) => ({
        ...one,
        away: [
          [60, 90],
          [130, 1030],
        ] as const,
      }))
      expect(helped(shop([job('A', { parts, dueIn: 160 })], { people: pausing }))).toMatchObject({
        says: 'everybody an hour longer tonight',
      })
    })
    test('nothing where nothing is late, or where no change makes it in time', () => {
      expect(helped(shop([job('A')]))).toBeNull()
      const alone = [part('A 1', { steps: [step('lay', { minutes: 100 })] })]
      expect(helped(shop([job('A', { parts: alone, dueIn: 30 })]))).toBeNull()
    })
  })
})
