import type { DayPlan, DayWork } from '@truelay/contract'
import { describe, expect, test } from 'vitest'
import { meanwhileOf } from './meanwhileOf.ts'

const at = (minute: number) => new Date(Date.UTC(2030, 4, 1, 10, minute)).toISOString()
const work = (id: string, partId: string | null, from: number, to: number, ...people: string[]) =>
  ({ id, partId, startAt: at(from), endAt: at(to), people }) as unknown as DayWork
const asked = (...works: DayWork[]) =>
  meanwhileOf({ works } as unknown as DayPlan, {
    partId: 'bonnet',
    person: 'ines',
    now: new Date(at(0)),
    until: new Date(at(20)),
  })

describe('what the plan of the day has for a wait', () => {
  test('the first work of these hands at another part, before the wait is over', () => {
    const { work: found } = asked(
      work('later', 'lamp', 12, 15, 'ines'),
      work('first', 'pillar', 1, 12, 'ines'),
      work('of another', 'roof', 0, 9, 'tarek'),
      work('here', 'bonnet', 20, 25, 'ines'),
    )
    expect(found?.id).toBe('first')
  })
  test('work that is under way counts, what is over does not', () => {
    expect(asked(work('over', 'lamp', -20, -5, 'ines'), work('on', 'pillar', -5, 5, 'ines')).work?.id).toBe('on')
  })
  test('nothing where it would begin after the wait, or is the coming of a vehicle', () => {
    expect(asked(work('after', 'lamp', 21, 30, 'ines'), work('comes', null, 5, 5)).work).toBeNull()
  })
  test('who comes to the next step here, where it needs two', () => {
    expect(asked(work('here', 'bonnet', 20, 25, 'ines', 'bo'), work('then', 'bonnet', 25, 30, 'ines')).helpers).toEqual(
      ['bo'],
    )
    expect(asked(work('here', 'bonnet', 20, 25, 'ines')).helpers).toEqual([])
    expect(asked().helpers).toEqual([])
  })
})
