import { say } from '@truelay/core/say'
import { describe, expect, test } from 'vitest'
import { dayChangesOf } from './dayChanges.ts'
import { type DayPlan, dayPlan } from './dayPlan.ts'

const at = (hour: number, minute = 0, day = 1) => new Date(2030, 4, day, hour, minute).toISOString()
const work = (id: string, from: string, to: string, people: string[], partId: string | null = 'bonnet') => ({
  id,
  jobId: 'A',
  partId,
  stepIds: [],
  says: null,
  people,
  startAt: from,
  endAt: to,
  because: say`first thing`,
})
const plan = (leaves: string, works: object[] = [], madeAt = at(8)): DayPlan =>
  dayPlan.parse({
    madeAt,
    works: [...works, work('A leaves', leaves, leaves, [], null)],
    late: [],
    leftOut: [],
    endsAt: leaves,
    noSoonerThan: leaves,
  })

describe('what has become otherwise since the morning', () => {
  test('a vehicle that is ready later or earlier; a few minutes are nothing', () => {
    expect(dayChangesOf(plan(at(15)), plan(at(15, 45))).jobs).toEqual([{ jobId: 'A', laterMinutes: 45 }])
    expect(dayChangesOf(plan(at(15)), plan(at(14))).jobs).toEqual([{ jobId: 'A', laterMinutes: -60 }])
    expect(dayChangesOf(plan(at(15)), plan(at(15, 8))).jobs).toEqual([])
  })
  test('a part is in the hands that do most of it', () => {
    const was = [work('1', at(9), at(10), ['ines']), work('2', at(10), at(10, 10), ['tarek'])]
    const same = [work('2', at(10), at(10, 10), ['tarek']), work('1', at(9, 30), at(10), ['ines'])]
    const other = [work('1', at(9), at(10), ['bo']), work('2', at(10), at(10, 10), ['tarek'])]
    expect(dayChangesOf(plan(at(15), was), plan(at(15), same)).hands).toEqual([])
    expect(dayChangesOf(plan(at(15), was), plan(at(15), other)).hands).toEqual([{ partId: 'bonnet', people: ['bo'] }])
  })
  test('of hands only what is worked today counts', () => {
    const works = (who: string) => [work('1', at(9, 0, 2), at(10, 0, 2), [who])]
    expect(dayChangesOf(plan(at(15), works('ines')), plan(at(15), works('bo'))).hands).toEqual([])
  })
  test('says since when, and nothing of what came since', () => {
    const changes = dayChangesOf(plan(at(15)), plan(at(15), [work('new', at(9), at(10), ['ines'], 'door')], at(11)))
    expect(changes).toEqual({ since: at(8), jobs: [], hands: [] })
  })
})
