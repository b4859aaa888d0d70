import { PassThrough, Readable, Writable } from 'node:stream'
import { expect, test } from 'vitest'
import { answerReckoning } from './reckonByChild.ts'
import type { DayReckoned } from './reckonDay.ts'

const reckoned = { plan: { tasks: [] } } as unknown as DayReckoned

test('a day comes in, in pieces, and its plan goes out', async () => {
  const output = new PassThrough()
  const asked: unknown[] = []
  const code = await answerReckoning(
    (day) => {
      asked.push(day)
      return reckoned
    },
    { input: Readable.from([Buffer.from('{"now":'), Buffer.from('17}')]), output },
  )
  expect({ code, asked }).toEqual({ code: 0, asked: [{ now: 17 }] })
  expect(JSON.parse(String(output.read()))).toEqual(reckoned)
})

test('half a day is not reckoned: the server ended while it asked', async () => {
  const output = new PassThrough()
  const reckon = () => {
    throw new Error('reckoned')
  }
  expect(await answerReckoning(reckon, { input: Readable.from([Buffer.from('{"now":')]), output })).toBe(1)
  expect(output.read()).toBeNull()
})

test('a plan that nobody takes any more ends the search without a word', async () => {
  const gone = new Writable({
    write(_piece, _encoding, done) {
      done(Object.assign(new Error('write EPIPE'), { code: 'EPIPE' }))
    },
  })
  expect(await answerReckoning(() => reckoned, { input: Readable.from([Buffer.from('{}')]), output: gone })).toBe(1)
})
