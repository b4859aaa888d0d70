import { expect, test } from 'vitest'
import { Unchanging } from './unchanging.ts'

/** What was asked for, one after the other, and for which of it something had to be made. */
async function madeFor(most: number, asked: readonly string[]): Promise<string[]> {
  const kept = new Unchanging(most)
  const made: string[] = []
  for (const key of asked)
    expect(
      await kept.get(key, async () => {
        made.push(key)
        return `of ${key}`
      }),
    ).toBe(`of ${key}`)
  return made
}

test('what was made once is not made again as long as there is room for it', async () => {
  expect(await madeFor(2, ['a', 'b', 'a', 'b', 'b', 'a'])).toEqual(['a', 'b'])
})

test('where there is none any more, what was not asked for longest goes', async () => {
  expect(await madeFor(2, ['a', 'b', 'a', 'c', 'a', 'b'])).toEqual(['a', 'b', 'c', 'b'])
})

test('nothing is kept of what could not be made, and nothing is something too', async () => {
  const kept = new Unchanging(2)
  const refused = () => Promise.reject(new Error('not now'))
  await expect(kept.get('a', refused)).rejects.toThrow('not now')
  expect(await kept.get('a', () => undefined)).toBeUndefined()
  expect(await kept.get('a', refused)).toBeUndefined()
})
