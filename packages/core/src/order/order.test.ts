import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { seededRandom } from '../numerics/index.ts'
import { required } from '../result/index.ts'
import type { Day, DayTask } from './day.ts'
import { exact } from './exact.ts'
import { type DayPlan, planDay } from './index.ts'
import { longestPaths } from './longestPaths.ts'
import { lowerBound } from './lowerBound.ts'
import { netOf } from './net.ts'
import { search } from './search.ts'
import { broken } from './testBroken.ts'
import { jigsawDay, shopDay, task } from './testDays.ts'
import { kitDay } from './testKitDays.ts'

/** Counted instead of measured, so that the same is tried on every machine. */
const spending = (perAsk: number) => {
  let spent = 0
  return () => {
    spent += perAsk
    return spent
  }
}
const planned = (day: Day, orders = 300) => planDay(day, { seconds: 1, spentMs: spending(1000 / orders) })
const plan = (day: Day, orders?: number): DayPlan => required(planned(day, orders))
const refusal = (day: Day): string => {
  const answer = planned(day, 4000)
  if (answer.ok) throw new Error('it was planned')
  return english(answer.failure.sentence)
}
const after = (name: string, minMinutes = 0, maxMinutes?: number) => ({ task: name, minMinutes, maxMinutes })
const ines = { id: 'Ines', skills: ['lamps'] }
const tarek = { id: 'Tarek' }
const startOf = ({ tasks }: DayPlan, id: string) => tasks.find((one) => one.id === id)?.startMinute
const because = ({ tasks }: DayPlan, id: string) => {
  const told = tasks.find((one) => one.id === id)?.because
  return told === undefined ? undefined : english(told)
}

/** Random small days with everything that there is in the contract. */
function anyDay(seed: number): Day {
  const random = seededRandom(seed)
  const between = (least: number, most: number) => least + Math.floor(random() * (most - least + 1))
  const size = between(6, 24)
  const tasks = Array.from({ length: size }, (_, k): DayTask => {
    const skilled = random() < 0.2
    const before = k === 0 ? [] : Array.from({ length: between(0, 2) }, () => between(0, k - 1))
    return task(`t${k}`, between(0, 14), {
      people: random() < 0.15 ? 2 : random() < 0.1 ? 0 : 1,
      ...(skilled ? { skill: 'lamps', people: 1 } : {}),
      tools: random() < 0.3 ? ['gun'] : random() < 0.1 ? ['bay'] : [],
      after: [...new Set(before)].map((i) =>
        after(`t${i}`, random() < 0.4 ? between(1, 20) : 0, random() < 0.25 ? between(60, 160) : undefined),
      ),
      ...(random() < 0.1 ? { notBefore: between(0, 60) } : {}),
    })
  })
  const last = size - 1
  return {
    people: [ines, tarek, { id: 'Bo', skills: ['lamps', 'roofs'] }].slice(0, between(2, 3)),
    tools: [
      { id: 'gun', count: between(1, 2) },
      { id: 'bay', count: 2 },
    ],
    tasks,
    ...(random() < 0.5 ? { holds: [{ tool: 'bay', from: 't0', to: `t${Math.min(last, 5)}` }] } : {}),
    ...(random() < 0.6
      ? { breaks: [random() < 0.5 ? { from: 40, to: 55 } : { people: ['Ines'], from: 30, to: 50 }] }
      : {}),
  }
}

describe('every plan keeps its day', () => {
  test.each(Array.from({ length: 60 }, (_, k) => k + 1))('of anything, seed %i', (seed) => {
    const day = anyDay(seed)
    const answer = planned(day, 60)
    // A hold whose end comes before its beginning, or a wait that a break is longer than, may leave no order: that is said, not planned.
    if (!answer.ok) expect(['DAY_NOT_FOUND', 'DAY_NONE', 'DAY_NONE_BUT', 'DAY_CIRCLE']).toContain(answer.failure.code)
    else {
      expect(broken(day, answer.value)).toEqual([])
      expect(answer.value.lowerBoundMinutes).toBeLessThanOrEqual(answer.value.makespanMinutes)
    }
  })
  test('nearly all such days are planned', () => {
    const answers = Array.from({ length: 60 }, (_, k) => planned(anyDay(k + 1), 60))
    expect(answers.filter(({ ok }) => ok).length).toBeGreaterThan(54)
  })
  test.each([
    [2, 2],
    [3, 3],
    [4, 1],
  ])('of a shop with %i people and %i guns', (people, guns) => {
    const day = shopDay({ seed: people, vehicles: 3, parts: 3, people, guns })
    const made = plan(day, 40)
    expect(broken(day, made)).toEqual([])
    expect(made.makespanMinutes).toBeLessThan(1.25 * made.lowerBoundMinutes)
  })
  test.each([
    [1, { people: 2 }],
    [2, { people: 3, guns: 1 }],
    [3, { people: 2, fine: true }],
  ])('of kits with parts of several kinds, %i', (seed, more) => {
    const day = kitDay({ seed, vehicles: 3, parts: 4, ...more })
    const made = plan(day, 60)
    expect(broken(day, made)).toEqual([])
    expect(made.makespanMinutes).toBeLessThan(1.12 * made.lowerBoundMinutes)
  })
  test('the same day and seed give the same plan', () => {
    const day = shopDay({ seed: 9, vehicles: 2, parts: 3, people: 2 })
    expect(plan(day, 30)).toEqual(plan(day, 30))
  })
})

describe('the shortest plan', () => {
  test.each([1, 2, 3, 4])('a full day that was cut into pieces is nearly put together again, seed %i', (seed) => {
    const day = jigsawDay({ seed, people: 2, minutes: 240, slack: 20 })
    const made = plan(day, 400)
    expect(broken(day, made)).toEqual([])
    expect(made.lowerBoundMinutes).toBe(240)
    expect(made.makespanMinutes).toBeLessThanOrEqual(250)
  })
  test.each([5, 6, 7])('a small one is put together wholly, and that is proven, seed %i', (seed) => {
    const day = jigsawDay({ seed, people: 2, minutes: 60, slack: 10 })
    expect(plan(day, 3000)).toMatchObject({ makespanMinutes: 60, proven: true })
  })
  test('the bound is below what the exact search finds, for any day that it can take', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const { people, tools, tasks } = anyDay(seed)
      const day = { people, tools, tasks: tasks.map(({ skill: _, ...rest }) => rest) }
      const net = netOf(day)
      if (!longestPaths(net).ok) continue
      let asked = 0
      const { best } = search(net, { bound: 0, left: () => 1 - asked++ / 40 })
      expect(lowerBound(net)).toBeLessThanOrEqual(best?.minutes ?? Number.POSITIVE_INFINITY)
      let nodes = 0
      const { start, proven } = exact(net, best?.minutes ?? net.horizon, () => nodes++ < 60)
      if (proven && start !== null) {
        const end = Math.max(...start.map((s, i) => s + (net.minutes[i] ?? 0)))
        expect(lowerBound(net)).toBeLessThanOrEqual(end)
      }
    }
  })
  test('nor is it above any plan where one place lets vehicles through one after the other, and it is reached by most', () => {
    let reached = 0
    for (let seed = 1; seed <= 60; seed++) {
      const random = seededRandom(seed)
      const between = (least: number, most: number) => least + Math.floor(random() * (most - least + 1))
      const tasks = Array.from({ length: between(2, 4) }, (_, car) => [
        task(`${car} wash`, between(5, 30), { tools: ['wash bay'] }),
        ...Array.from({ length: between(1, 3) }, (__, k) =>
          task(`${car} ${k}`, between(5, 30), { after: [after(`${car} wash`, random() < 0.4 ? between(0, 20) : 0)] }),
        ),
      ]).flat()
      const net = netOf({
        people: [ines, tarek, { id: 'Bo' }].slice(0, between(2, 3)),
        tools: [{ id: 'wash bay', count: 1 }],
        tasks,
      })
      let asked = 0
      const { best } = search(net, { bound: 0, left: () => 1 - asked++ / 300 })
      const bound = lowerBound(net)
      expect(bound, `seed ${seed}`).toBeLessThanOrEqual(best?.minutes ?? Number.POSITIVE_INFINITY)
      if (bound === best?.minutes) reached++
    }
    expect(reached).toBeGreaterThan(30)
  })
  test('more people, more tools or looser waits never raise the bound', () => {
    const day = shopDay({ seed: 3, vehicles: 3, parts: 3, people: 2 })
    const more = { ...day, people: [...day.people, { id: 'one more' }] }
    const tools = { ...day, tools: day.tools.map((tool) => ({ ...tool, count: tool.count + 1 })) }
    const bound = lowerBound(netOf(day))
    expect(lowerBound(netOf(more))).toBeLessThanOrEqual(bound)
    expect(lowerBound(netOf(tools))).toBeLessThanOrEqual(bound)
  })
  test('one thing after the other takes as long as all of it with its waits, however many hands there are', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const random = seededRandom(seed)
      const between = (least: number, most: number) => least + Math.floor(random() * (most - least + 1))
      const lasts = Array.from({ length: between(2, 6) }, () => between(5, 60))
      const waits = lasts.map((_, k) => (k === 0 ? 0 : between(0, 40)))
      const line = lasts.map((minutes, k) =>
        task(`${k}`, minutes, { after: k === 0 ? [] : [after(`${k - 1}`, waits[k] ?? 0)] }),
      )
      // What can be done beside it changes nothing.
      const tasks = [...line, task('sweep', between(1, 5))]
      const day = { people: [ines, tarek, { id: 'Bo' }], tools: [], tasks }
      const all = [...lasts, ...waits].reduce((sum, minutes) => sum + minutes, 0)
      expect(lowerBound(netOf(day)), `seed ${seed}`).toBe(all)
    }
  })
  test('one wash bay starves the others: the bound counts it', () => {
    // Three vehicles of 30 minutes of washing and 60 of work for two: the second pair of hands has nothing to do while the first is washed.
    const tasks = ['A', 'B', 'C'].flatMap((car) => [
      task(`${car} wash`, 30, { tools: ['wash bay'] }),
      ...[1, 2, 3].map((k) => task(`${car} ${k}`, 20, { after: [after(`${car} wash`)] })),
    ])
    const day = { people: [ines, tarek], tools: [{ id: 'wash bay', count: 1 }], tasks }
    // 270 minutes of work for two, and 30 idle at the beginning.
    expect(lowerBound(netOf(day))).toBe(150)
    expect(plan(day, 500)).toMatchObject({ makespanMinutes: 150, proven: true })
  })
})

describe('waits, windows, places and people', () => {
  const dry = {
    people: [ines],
    tools: [],
    tasks: [task('lay', 30), task('trim', 5, { after: [after('lay', 20, 25)] })],
  }
  test('a least wait is kept, and filled', () => {
    const made = plan({ ...dry, tasks: [...dry.tasks, task('clean', 20)] })
    expect(made.makespanMinutes).toBe(55)
    expect(startOf(made, 'clean')).toBe(30)
    expect(because(made, 'trim')).toBe('waits 20 minutes after “lay”')
  })
  test('half minutes: least waits are rounded up, greatest down', () => {
    const tasks = [task('lay', 30), task('trim', 5, { after: [after('lay', 20.4, 21.9)] })]
    expect(startOf(plan({ ...dry, tasks }), 'trim')).toBe(51)
  })
  test('what would be over its greatest wait is held back, and it is said why', () => {
    const tasks = [
      task('wet', 5),
      task('lay', 10, { after: [after('wet', 0, 5)], tools: ['gun'] }),
      task('other', 30, { tools: ['gun'] }),
      task('first', 1, { people: 0, notBefore: 0 }),
    ]
    const made = plan({ people: [ines, tarek], tools: [{ id: 'gun', count: 1 }], tasks }, 800)
    expect(broken({ people: [ines, tarek], tools: [{ id: 'gun', count: 1 }], tasks }, made)).toEqual([])
    expect(made.makespanMinutes).toBe(40)
  })
  test('a place is held from drive-in to drive-out', () => {
    const car = (name: string) => [
      task(`${name} in`, 5),
      task(`${name} work`, 20, { after: [after(`${name} in`, 30)] }),
      task(`${name} out`, 5, { after: [after(`${name} work`)] }),
    ]
    const day = {
      people: [ines, tarek],
      tools: [{ id: 'bay', count: 1 }],
      tasks: [...car('A'), ...car('B')],
      holds: ['A', 'B'].map((name) => ({ tool: 'bay', from: `${name} in`, to: `${name} out` })),
    }
    const made = plan(day)
    expect(broken(day, made)).toEqual([])
    expect(made.makespanMinutes).toBe(120)
    const second = Math.max(startOf(made, 'A in') ?? 0, startOf(made, 'B in') ?? 0)
    expect(second).toBe(60)
    expect(because(made, startOf(made, 'A in') === 60 ? 'A in' : 'B in')).toBe('“bay” was taken')
  })
  test('what waits for a tool says for which, and what is first says so', () => {
    const tools = [
      { id: 'gun', count: 1 },
      { id: 'lift', count: 2 },
    ]
    const heat = (id: string) => task(id, 20, { tools: ['gun'] })
    const tasks = [heat('one'), heat('two'), task('high', 30, { tools: ['lift'] }), task('after', 5)]
    const made = plan({ people: [ines, tarek, { id: 'Bo' }], tools, tasks })
    expect(made.makespanMinutes).toBe(40)
    const later = startOf(made, 'one') === 20 ? 'one' : 'two'
    expect(because(made, later)).toBe('“gun” was in use')
    expect(because(made, later === 'one' ? 'two' : 'one')).toBe('first thing')
    expect(because(made, 'high')).toBe('first thing')
  })
  test('what waits for hands says so, though its tool is free; with hands to spare it is the tool', () => {
    const tools = [{ id: 'gun', count: 1 }]
    const hot = task('hot', 10, { tools: ['gun'] })
    const heavy = task('heavy', 20, { people: 2, notAfter: 20 })
    const busy = plan({ people: [tarek, { id: 'Bo' }], tools, tasks: [heavy, hot] })
    expect([startOf(busy, 'heavy'), startOf(busy, 'hot')]).toEqual([0, 20])
    expect(because(busy, 'hot')).toBe('all hands were busy')
    const first = task('first', 20, { tools: ['gun'], notAfter: 20 })
    const spare = plan({ people: [tarek, { id: 'Bo' }, { id: 'Cleo' }], tools, tasks: [first, hot] })
    expect(because(spare, 'hot')).toBe('“gun” was in use')
  })
  test('a tool that lies idle is not what held it up', () => {
    const tasks = [task('clean', 20, { notAfter: 20 }), task('lamp', 10, { tools: ['gun'], skill: 'lamps' })]
    const made = plan({ people: [ines], tools: [{ id: 'gun', count: 1 }], tasks })
    expect(startOf(made, 'lamp')).toBe(20)
    expect(because(made, 'lamp')).toBe('nobody who can do it was free')
  })
  test('what follows work says after which, and what has to be followed soon is held back for it', () => {
    const tasks = [
      task('busy', 30, { notBefore: 0, notAfter: 30 }),
      task('wet', 5),
      task('lay', 10, { after: [after('wet', 0, 5)], notBefore: 30 }),
    ]
    const made = plan({ people: [ines, tarek], tools: [], tasks })
    expect(startOf(made, 'lay')).toBe(30)
    expect(because(made, 'wet')).toBe('held back so that “lay” follows within 5 minutes')
    const chain = plan({ people: [ines], tools: [], tasks: [task('a', 10), task('b', 5, { after: [after('a')] })] })
    expect(because(chain, 'b')).toBe('“a” has to be done first')
  })
  test('a skill is done by one who has it, and the others do the rest', () => {
    const tasks = [task('lamp', 30, { skill: 'lamps' }), task('door', 30)]
    const made = plan({ people: [ines, tarek], tools: [], tasks })
    expect(made.makespanMinutes).toBe(30)
    expect(made.tasks.map(({ people }) => people)).toEqual([['Ines'], ['Tarek']])
  })
  test('nobody works in a break, and what is begun is done before it', () => {
    const tasks = [task('a', 25), task('b', 25)]
    const made = plan({ people: [ines], tools: [], tasks, breaks: [{ from: 30, to: 60 }] })
    expect([startOf(made, 'a'), startOf(made, 'b')].sort()).toEqual([0, 60])
    expect(because(made, startOf(made, 'a') === 60 ? 'a' : 'b')).toBe('after the break')
  })
  test('one may rest while the other works', () => {
    const tasks = [task('a', 25), task('b', 25)]
    const breaks = [{ people: ['Ines'], from: 0, to: 60 }]
    const made = plan({ people: [ines, tarek], tools: [], tasks, breaks })
    expect(made.makespanMinutes).toBe(50)
    expect(made.tasks.flatMap(({ people }) => people)).toEqual(['Tarek', 'Tarek'])
  })
  test('nothing begins before its window, and that is said', () => {
    const made = plan({ people: [ines], tools: [], tasks: [task('arrives', 5, { notBefore: 40 })] })
    expect(startOf(made, 'arrives')).toBe(40)
    expect(because(made, 'arrives')).toBe('not before minute 40')
  })
  test('a latest end goes before a short day', () => {
    const tasks = [task('long', 40), task('promised', 10, { notAfter: 20 })]
    const made = plan({ people: [ines], tools: [], tasks })
    expect(startOf(made, 'promised')).toBeLessThanOrEqual(10)
  })
  test('a long day that only comes out late is refused with what is the latest in it', () => {
    const tasks = Array.from({ length: 45 }, (_, k) => task(`t${k}`, 10, { notAfter: 400 }))
    const answer = planned(
      { people: [ines, tarek], tools: [], tasks: [...tasks, ...tasks.map((one) => ({ ...one, id: `${one.id}b` }))] },
      20,
    )
    expect(answer).toMatchObject({ ok: false, failure: { code: 'DAY_LATE', facts: { late: 50 } } })
  })
  test('where it is allowed, what cannot be kept is late by as little as it goes, and told', () => {
    const tasks = [task('a', 40, { notAfter: 50 }), task('b', 40, { notAfter: 50 })]
    const made = required(
      planDay({ people: [ines], tools: [], tasks }, { seconds: 1, spentMs: spending(10), lateIsAllowed: true }),
    )
    expect(made.late.map(({ minutes }) => minutes)).toEqual([30])
    expect(made.proven).toBe(false)
  })
})

describe('in the hands that began it', () => {
  const piece = (id: string, of: string, more: Partial<DayTask> = {}) => task(id, 10, { sameHands: of, ...more })
  test('people go over to something else as seldom as it goes, where that counts', () => {
    const tasks = [1, 2, 3, 4].flatMap((k) => ['a', 'b', 'c'].map((of) => piece(`${of}${k}`, of)))
    const changesOf = (changeOverMinutes: number) => {
      const made = plan({ people: [ines], tools: [], tasks, changeOverMinutes })
      const order = [...made.tasks].sort((x, y) => x.startMinute - y.startMinute).map(({ id }) => id[0])
      return order.filter((of, k) => k > 0 && of !== order[k - 1]).length
    }
    expect(changesOf(0)).toBeGreaterThan(5)
    expect(changesOf(1)).toBeLessThan(5)
  })
  test('they are waited for as long as it says, and no longer', () => {
    const tasks = [
      piece('begin', 'door', { notAfter: 10, skill: 'may begin' }),
      task('elsewhere', 40, { after: [after('begin', 0, 0)], skill: 'may begin' }),
      piece('end', 'door', { after: [after('begin')] }),
    ]
    const people = [{ ...ines, skills: ['may begin'] }, tarek]
    const made = (handOverMinutes: number) => plan({ people, tools: [], tasks, handOverMinutes })
    const ends = (of: DayPlan) => of.tasks.find(({ id }) => id === 'end')
    expect(ends(made(60))).toMatchObject({ startMinute: 50, people: ['Ines'] })
    expect(ends(made(20))).toMatchObject({ startMinute: 10, people: ['Tarek'] })
  })
  test('they are not waited for beyond a latest end', () => {
    const tasks = [
      task('elsewhere', 20, { skill: 'only Ines' }),
      piece('peel', 'door', { notAfter: 12, begunBy: ['Ines'] }),
    ]
    const people = [{ ...ines, skills: ['only Ines'] }, tarek]
    const made = plan({ people, tools: [], tasks, handOverMinutes: 60 })
    expect(made.tasks.find(({ id }) => id === 'peel')).toMatchObject({ startMinute: 0, people: ['Tarek'] })
  })
  test('who began it before the plan counts as well', () => {
    const made = plan({
      people: [ines, tarek],
      tools: [],
      tasks: [piece('end', 'door', { begunBy: ['Tarek'] })],
      handOverMinutes: 30,
    })
    expect(made.tasks[0]?.people).toEqual(['Tarek'])
  })
})

describe('planned anew while it goes on', () => {
  const car = (name: string) => [
    task(`${name} lay`, 20, { tools: ['bench'] }),
    task(`${name} trim`, 10, { after: [after(`${name} lay`, 15, 60)] }),
  ]
  const day: Day = { people: [ines, tarek], tools: [{ id: 'bench', count: 1 }], tasks: ['A', 'B', 'C'].flatMap(car) }
  const anew = (of: Day, before: Parameters<typeof planDay>[1]['before']) =>
    required(planDay(of, { seconds: 1, spentMs: spending(2), before, seed: 7 }))
  const asBefore = ({ tasks }: DayPlan) =>
    Object.fromEntries(tasks.map(({ id, startMinute, people }) => [id, { startMinute, people }]))
  test('where nothing has changed, nothing changes: neither times nor hands', () => {
    const made = plan(day)
    expect(anew(day, asBefore(made)).tasks).toEqual(made.tasks)
  })
  test('a plan that is worse by less than five minutes stands', () => {
    const order = ['C lay', 'A lay', 'B lay', 'C trim', 'A trim', 'B trim']
    const before = Object.fromEntries(
      order.map((id, k) => [id, { startMinute: 20 * k, people: [id.endsWith('lay') ? 'Tarek' : 'Ines'] }]),
    )
    const kept = anew(day, before)
    expect(['C lay', 'A lay', 'B lay'].map((id) => startOf(kept, id))).toEqual([0, 20, 40])
    expect(kept.makespanMinutes).toBe(plan(day).makespanMinutes)
  })
  test('for more it is left', () => {
    // All on one after the other although two could work.
    const tasks = ['a', 'b', 'c', 'd'].map((id) => task(id, 30, { tools: id < 'c' ? ['left'] : ['right'] }))
    const wide: Day = {
      people: [ines, tarek],
      tools: [
        { id: 'left', count: 1 },
        { id: 'right', count: 1 },
      ],
      tasks: [...tasks, task('end', 30, { after: [after('d')] })],
    }
    const before = Object.fromEntries(
      ['a', 'b', 'c', 'd', 'end'].map((id, k) => [id, { startMinute: 30 * k, people: [] }]),
    )
    expect(anew(wide, before).makespanMinutes).toBe(90)
  })
  test('a gain that is exactly what was asked for is taken, one minute less is not', () => {
    const tasks = ['a', 'b', 'c'].map((id) => task(id, 10))
    const two: Day = { people: [ines, tarek], tools: [], tasks }
    const before = Object.fromEntries(['a', 'b', 'c'].map((id, k) => [id, { startMinute: 10 * k, people: ['Ines'] }]))
    const lasting = (gain: number) =>
      required(planDay(two, { seconds: 1, spentMs: spending(2), before, gain })).makespanMinutes
    // One after the other takes 30 minutes, side by side 20.
    expect([lasting(10), lasting(11)]).toEqual([20, 30])
  })
  test('what runs over pushes through, the rest keeps its order and hands', () => {
    const made = plan(day)
    const first = made.tasks.find(({ startMinute }) => startMinute === 0)?.id ?? ''
    const longer = {
      ...day,
      tasks: day.tasks.map((one) => (one.id === first ? { ...one, minutes: one.minutes + 4 } : one)),
    }
    const pushed = anew(longer, asBefore(made))
    expect(broken(longer, pushed)).toEqual([])
    const order = (of: DayPlan) =>
      of.tasks
        .filter(({ id }) => id.endsWith('lay'))
        .sort((a, b) => a.startMinute - b.startMinute)
        .map(({ id }) => id)
    expect(order(pushed)).toEqual(order(made))
  })
  describe('pushed through', () => {
    const pushed = (of: Day, made: DayPlan) =>
      required(planDay(of, { seconds: 0, spentMs: () => 0, lateIsAllowed: true, before: asBefore(made) }))
    test('in no time: a random day that runs over keeps every order and every hand, and all its rules', () => {
      const random = seededRandom(9)
      for (let seed = 1; seed <= 6; seed++) {
        const of = shopDay({ seed, vehicles: 2, parts: 3, people: 3 })
        const made = plan(of)
        const began = made.tasks.filter(({ startMinute }) => startMinute < 5).map(({ id }) => id)
        const over: Day = {
          ...of,
          tasks: of.tasks.map((one) => ({
            ...one,
            minutes: one.minutes + (began.includes(one.id) ? Math.floor(12 * random()) : 0),
          })),
        }
        const next = pushed(over, made)
        expect(broken(over, next)).toEqual([])
        for (const person of of.people.map(({ id }) => id)) {
          const turns = (tasks: DayPlan['tasks']) =>
            tasks
              .filter(({ people }) => people.includes(person))
              .sort((a, b) => a.startMinute - b.startMinute)
              .map(({ id }) => id)
          expect(turns(next.tasks)).toEqual(turns(made.tasks))
        }
      }
    })
    test('it says how short a day could be that only waits hold up, and asks no further', () => {
      const made = plan(day)
      expect(pushed(day, made)).toMatchObject({ lowerBoundMinutes: 45, makespanMinutes: made.makespanMinutes })
    })
    test('where somebody is gone, it falls to who can do it and has least to do', () => {
      const of: Day = {
        people: [
          { id: 'Ines', skills: ['stretch'] },
          { id: 'Tarek', skills: [] },
          { id: 'Bo', skills: ['stretch'] },
        ],
        tools: [],
        tasks: [
          task('long', 60, { skill: 'stretch' }),
          task('pull', 20, { skill: 'stretch' }),
          task('trim', 20),
          task('both', 20, { people: 2 }),
        ],
      }
      const before = {
        long: { startMinute: 0, people: ['Ines'] },
        pull: { startMinute: 0, people: ['Vera'] },
        trim: { startMinute: 20, people: ['Vera'] },
        both: { startMinute: 60, people: ['Tarek', 'Vera'] },
      }
      const next = required(planDay(of, { seconds: 0, spentMs: () => 0, lateIsAllowed: true, before }))
      expect(broken(of, next)).toEqual([])
      const hands = (id: string) => next.tasks.find((one) => one.id === id)?.people
      expect(hands('long')).toEqual(['Ines'])
      expect(hands('pull')).toEqual(['Bo'])
      expect(hands('trim')).toEqual(['Tarek'])
      expect(hands('both')).toContain('Tarek')
      expect(hands('both')).toContain('Bo')
    })
    test('over a break: what would run into it waits, and what it must follow closely waits with it', () => {
      const of: Day = {
        people: [ines],
        tools: [],
        tasks: [task('wash', 10), task('soak', 5), task('peel', 10, { after: [after('soak', 0, 2)] })],
        breaks: [{ from: 30, to: 60 }],
      }
      const made = plan(of)
      const longer = { ...of, tasks: of.tasks.map((one) => (one.id === 'wash' ? { ...one, minutes: 20 } : one)) }
      const next = pushed(longer, made)
      expect(broken(longer, next)).toEqual([])
      expect(startOf(next, 'soak')).toBeGreaterThanOrEqual(53)
    })
  })
  test('what is new comes in, and somebody who is gone is given nothing', () => {
    const made = plan(day)
    const more = { ...day, people: [ines], tasks: [...day.tasks, task('new', 10)] }
    const next = anew(more, asBefore(made))
    expect(broken(more, next)).toEqual([])
    expect(next.tasks.map(({ id }) => id)).toContain('new')
  })
})

describe('a day that cannot be', () => {
  const people = [ines, tarek]
  const one = (more: Partial<DayTask>, rest: Partial<Day> = {}): Day => ({
    people,
    tools: [{ id: 'gun', count: 1 }],
    tasks: [task('lay', 10), task('trim', 5, more)],
    ...rest,
  })
  test.each<[string, Day, string]>([
    ['a step for three', one({ people: 3 }), '“trim” needs 3 people at once; there are 2.'],
    ['a skill nobody has', one({ skill: 'roofs' }), '“trim” needs 1 person with the skill “roofs”; there are 0.'],
    ['a tool that is not there', one({ tools: ['ramp'] }), '“trim” names the tool “ramp”, which is not in the list.'],
    ['two of one gun', one({ tools: ['gun', 'gun'] }), '“trim” needs 2 of “gun” at once; there are 1.'],
    ['an unknown task', one({ after: [after('wash')] }), '“trim” names the task “wash”, which is not in the list.'],
    [
      'a wait longer than its greatest',
      one({ after: [after('lay', 20, 10)] }),
      '“trim” has to wait at least 20 minutes after “lay” and at most 10 minutes.',
    ],
    [
      'a window too short',
      one({ notBefore: 10, notAfter: 12 }),
      '“trim” is given from minute 10 to minute 12: no time is left in it.',
    ],
    [
      'two of one name',
      { people, tools: [], tasks: [task('lay', 1), task('lay', 2)] },
      'There are two of the task “lay”.',
    ],
    [
      'a hold of nothing',
      one({}, { holds: [{ tool: 'ramp', from: 'lay', to: 'trim' }] }),
      '“lay” names the tool “ramp”, which is not in the list.',
    ],
    [
      'a break of a stranger',
      one({}, { breaks: [{ people: ['Nobody'], from: 0, to: 5 }] }),
      '“breaks” names the person “Nobody”, which is not in the list.',
    ],
    [
      'a break that ends before it begins',
      one({}, { breaks: [{ from: 9, to: 9 }] }),
      '“breaks” is given from minute 9 to minute 9: no time is left in it.',
    ],
    [
      'a window that waits miss',
      one({ after: [after('lay', 20)], notAfter: 30 }),
      '“trim” cannot end before minute 35 by its waits alone; it has to by minute 30.',
    ],
  ])('%s is said in one sentence', (_, day, says) => {
    expect(refusal(day)).toBe(says)
  })
  test('waits in a circle are named, and only those', () => {
    const tasks = [
      task('wash', 5),
      task('turn', 10, { after: [after('wash')] }),
      task('seal', 10, { after: [after('turn', 20, 60)] }),
      task('look', 5, { after: [after('seal', 30), after('turn', 0, 50)] }),
    ]
    expect(refusal({ people, tools: [], tasks })).toMatch(
      /^The waits of (“turn”|“seal”|“look”)(; (“turn”|“seal”|“look”)){2} go in a circle/,
    )
  })
  test('three heats with one gun: the wishes that contradict each other, none more, and the gun that helps', () => {
    const heats = [1, 2, 3].map((k) => task(`heat ${k}`, 10, { tools: ['gun'], after: [after('dry', 0, 15)] }))
    const free = task('clean', 10, { after: [after('dry', 0, 200)] })
    const says = refusal({
      people: [...people, { id: 'Bo' }],
      tools: [{ id: 'gun', count: 1 }],
      tasks: [task('dry', 0, { people: 0 }), ...heats, free],
    })
    expect(says).toContain('“heat 1” begins at most 15 minutes after “dry”')
    expect(says).not.toContain('clean')
    expect(says).toContain('What would help: one more “gun”.')
  })
  test('an end that cannot be kept: which one could be promised', () => {
    const tasks = [
      task('wash', 20, { people: 2 }),
      task('lay', 40, { people: 2, after: [after('wash')] }),
      task('lamp', 30, { people: 2 }),
      task('give back', 5, { after: [after('lay'), after('lamp')], notAfter: 80 }),
    ]
    const says = refusal({ people, tools: [], tasks })
    expect(says).toContain('“give back” ends by minute 80')
    expect(says).toContain('What would help: “give back” ends by minute 95.')
    const kept = tasks.map((one) => (one.id === 'give back' ? { ...one, notAfter: 95 } : one))
    expect(planned({ people, tools: [], tasks: kept }).ok).toBe(true)
  })
  test('where nothing is found, it does not say that there is none', () => {
    const tasks = [task('a', 40, { notAfter: 50 }), task('b', 40, { notAfter: 50 })]
    const breaks = [{ from: 200, to: 210 }]
    expect(refusal({ people: [ines], tools: [], tasks, breaks })).toContain('That does not say that there is none.')
  })
})
