import { expect, test } from 'vitest'
import { goBackTo } from './goBackTo.ts'

const part = (partId: string, mustBy?: string, state = 'fitting') => ({ partId, state, mustBy }) as never
const at = (minute: number) => new Date(Date.UTC(2030, 4, 1, 12, minute)).toISOString()

test('what cannot wait any longer, the tightest first; it is near five minutes before', () => {
  const found = goBackTo([part('later', at(50)), part('none'), part('soon', at(20)), part('done', at(5), 'done')])
  expect(found.map((one) => [one.part.partId, one.near.toISOString()])).toEqual([
    ['soon', at(15)],
    ['later', at(45)],
  ])
})
