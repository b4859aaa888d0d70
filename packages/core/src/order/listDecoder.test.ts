import { describe, expect, test } from 'vitest'
import { seededRandom } from '../numerics/index.ts'
import { blocksByTightness, blocksOf, turnedRound } from './blocks.ts'
import type { Day } from './day.ts'
import { ListDecoder, type Placed } from './listDecoder.ts'
import { longestPaths } from './longestPaths.ts'
import { type Net, netOf, reversed } from './net.ts'
import { broken } from './testBroken.ts'
import { jigsawDay, shopDay, task } from './testDays.ts'
import { kitDay } from './testKitDays.ts'
import { whoDoes } from './who.ts'

const skilled = (day: Day): Day => ({
  ...day,
  people: day.people.map((person, p) => ({ ...person, skills: p === 0 ? ['stretch film'] : [] })),
  tasks: day.tasks.map((task) => (task.id.endsWith('anchor') ? { ...task, skill: 'stretch film' } : task)),
})
const days: readonly (readonly [string, Day])[] = [
  ['vehicles through a wash bay', shopDay({ seed: 4, vehicles: 3, parts: 3, people: 2 })],
  ['the same, where not everybody may do all', skilled(shopDay({ seed: 4, vehicles: 3, parts: 3, people: 2 }))],
  ['kits with parts of several kinds', kitDay({ seed: 3, vehicles: 2, parts: 4, people: 3 })],
  ['a full day cut into pieces', jigsawDay({ seed: 3, people: 2, minutes: 200, slack: 20 })],
]
const free = [0, 5, 10, 20, 45] as const

/** Earliest starts by waits alone, each put off by up to so many minutes. */
function keysOf(net: Net, seed: number, much: number): Float64Array {
  const paths = longestPaths(net)
  const random = seededRandom(seed)
  return Float64Array.from(paths.ok ? paths.start : [], (start) => start + much * random())
}
function faultsOf(day: Day, net: Net, placed: Placed): string[] {
  const who = whoDoes(day, net, placed)
  const tasks = day.tasks.map(({ id, minutes }, i) => ({
    id,
    startMinute: placed.start[i] ?? 0,
    endMinute: (placed.start[i] ?? 0) + minutes,
    people: (who[i] ?? []).map((p) => day.people[p]?.id ?? ''),
    because: null as never,
  }))
  return broken(day, { tasks, makespanMinutes: Math.max(...tasks.map(({ endMinute }) => endMinute)) })
}
const listed = (net: Net, seed: number) =>
  blocksByTightness(net, free).flatMap((blocks) =>
    [false, true].flatMap((loose) => {
      const decoder = new ListDecoder(net, blocks, loose)
      const keys = keysOf(net, seed, 30)
      const placed = decoder.decode(keys)
      return placed === null ? [] : [{ decoder, keys, placed }]
    }),
  )

describe.each(days)('%s', (_, day) => {
  const net = netOf(day)

  test('blocks by tightness are those of each tightness, what comes out alike once', () => {
    const all = blocksByTightness(net, free)
    const members = all.map((blocks) => JSON.stringify(blocks.members))
    expect(new Set(members).size).toBe(members.length)
    for (const within of free) {
      const blocks = blocksOf(net, within)
      expect(members).toContain(JSON.stringify(blocks?.members))
      expect(all[members.indexOf(JSON.stringify(blocks?.members))]?.offset).toEqual(blocks?.offset)
    }
  })

  test('inside a block all waits are kept, from the front and turned round', () => {
    const back = reversed(net)
    for (const blocks of blocksByTightness(net, free))
      for (const [seen, { of, offset }] of [
        [net, blocks],
        [back, turnedRound(net, blocks)],
      ] as const)
        seen.out.forEach((arcs, i) => {
          for (const { to, lag } of arcs)
            if (of[to] === of[i]) expect((offset[to] ?? 0) - (offset[i] ?? 0)).toBeGreaterThanOrEqual(lag)
        })
  })

  test('placed onto a plan, what began before the minute stands as it did, and the whole keeps the day', () => {
    const all = listed(net, 7)
    expect(all.length).toBeGreaterThan(2)
    for (const { decoder, keys, placed } of all) {
      const until = 60
      const anew = Float64Array.from(keys, (key, i) =>
        (placed.start[i] ?? 0) < until ? key : (placed.start[i] ?? 0) + ((7 * i) % 11),
      )
      const onto = decoder.decode(anew, { ...placed, until, metBy: Number.POSITIVE_INFINITY })
      if (onto === null) continue
      expect(faultsOf(day, net, onto)).toEqual([])
      // A greatest wait may let go of one that stood; nearly all stand.
      const early = [...placed.start.keys()].filter((i) => (placed.start[i] ?? 0) < until)
      const stood = early.filter((i) => onto.start[i] === placed.start[i] && onto.who[i] === placed.who[i])
      expect(stood.length).toBeGreaterThan(0.8 * early.length)
    }
  })

  test('the list of a plan itself does not fall behind it; one that leaves everybody idle does', () => {
    for (const { decoder, placed } of listed(net, 9)) {
      const same = decoder.decode(Float64Array.from(placed.start), { ...placed, until: 60, metBy: 110 })
      expect(decoder.fellBehind).toBe(false)
      expect(same).not.toBeNull()
    }
    const [{ decoder, placed }] = listed(net, 9) as [ReturnType<typeof listed>[number]]
    const ahead = { ...placed, start: placed.start.map((at) => Math.max(0, at - 40)) }
    expect(decoder.decode(Float64Array.from(placed.start), { ...ahead, until: 0, metBy: 100 })).toBeNull()
    expect(decoder.fellBehind).toBe(true)
  })
})

describe('a small day, by hand', () => {
  const people = [{ id: 'Ines', skills: ['stretch film'] }, { id: 'Tarek' }]
  const decoderOf = (day: Day) => {
    const net = netOf(day)
    const blocks = blocksOf(net, 0)
    if (blocks === null) throw new Error('there are blocks')
    return { net, decoder: new ListDecoder(net, blocks, false) }
  }

  test('what follows another stands as well, in whatever order they are named', () => {
    const tasks = [
      task('trim', 10, { after: [{ task: 'lay', minMinutes: 20 }] }),
      task('lay', 10, { skill: 'stretch film' }),
      task('wash', 10),
    ]
    const { decoder } = decoderOf({ people, tools: [], tasks })
    const stood = {
      start: Int32Array.of(45, 5, 20),
      who: Int32Array.of(2, 1, 2),
      until: 60,
      metBy: Number.POSITIVE_INFINITY,
    }
    const placed = decoder.decode(Float64Array.of(0, 1, 2), stood)
    expect([...(placed?.start ?? [])]).toEqual([45, 5, 20])
    expect([...(placed?.who ?? [])]).toEqual([2, 1, 2])
  })
})
