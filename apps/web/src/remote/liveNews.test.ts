import type { PartId } from '@truelay/contract'
import { expect, test } from 'vitest'
import { oldAfter } from './liveNews.ts'

const bonnet = 'bonnet' as PartId
const isOwn = (id: string) => id === 'mine'

test('a fit that went on elsewhere makes its log old, and all that follows fits', () => {
  const tags = oldAfter(
    [
      { by: 'other', fitOf: bonnet },
      { by: 'other', fitOf: bonnet },
    ],
    isOwn,
  )
  expect(tags.filter((tag) => typeof tag !== 'string')).toEqual([{ type: 'Fit', id: bonnet }])
  expect(tags).toEqual(expect.arrayContaining(['Bay', 'Liquids', 'Learned']))
  expect(tags).not.toContain('Shop')
})
test('any other write makes what can be set up old, but no fit', () => {
  const tags = oldAfter([{ by: null, fitOf: null }], isOwn)
  expect(tags).toEqual(expect.arrayContaining(['Shop', 'Job', 'Bay']))
  expect(tags.every((tag) => typeof tag === 'string')).toBe(true)
})
test('of what this tablet did itself the answer is here already', () => {
  expect(
    oldAfter(
      [
        { by: 'mine', fitOf: bonnet },
        { by: 'mine', fitOf: null },
      ],
      isOwn,
    ),
  ).toEqual([])
})
