import { expect, test } from 'vitest'
import { handPool } from './handPool.ts'

/** Work that ends when it is told to. */
function slow() {
  let end = () => {}
  const ended = new Promise<void>((resolve) => {
    end = resolve
  })
  return { ended, end: () => end() }
}
const soon = () => new Promise((resolve) => setTimeout(resolve))

test('each hand does one thing at a time, and whichever is free takes the next', async () => {
  const inFreeHand = handPool(['left', 'right'])
  const took: string[] = []
  const pieces = ['a', 'b', 'c', 'd'].map((name) => ({ name, ...slow() }))
  const answers = pieces.map(({ name, ended }) =>
    inFreeHand(async (hand) => {
      took.push(`${hand} ${name}`)
      await ended
      return name.toUpperCase()
    }),
  )
  await soon()
  expect(took).toEqual(['left a', 'right b'])
  pieces[1]?.end()
  await soon()
  expect(took).toEqual(['left a', 'right b', 'right c'])
  for (const { end } of pieces) end()
  expect(await Promise.all(answers)).toEqual(['A', 'B', 'C', 'D'])
  expect(took).toHaveLength(4)
})

test('a piece that goes wrong tells whoever asked for it, and its hand is free again', async () => {
  const inFreeHand = handPool(['only'])
  const wrong = inFreeHand(async () => {
    throw new Error('dropped')
  })
  const next = inFreeHand(async (hand) => hand)
  await expect(wrong).rejects.toThrow('dropped')
  expect(await next).toBe('only')
})
