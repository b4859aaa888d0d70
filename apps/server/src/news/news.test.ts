import { news } from '@truelay/contract'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'
import { id, sent, writeRoutes } from '../testing/writeRoutes.ts'

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
})
afterAll(() => demo.end())

/** An open screen: what it hears. */
async function listens() {
  const closes = new AbortController()
  const answer = await fetch(demo.address('/api/news'), { signal: closes.signal })
  const heard: unknown[] = []
  const reader = answer.body?.pipeThrough(new TextDecoderStream()).getReader()
  const readAll = async () => {
    for (let part = await reader?.read(); part?.done === false; part = await reader?.read())
      for (const [, data] of part.value.matchAll(/^data: (\[.*)$/gm)) heard.push(...news.parse(JSON.parse(data ?? '')))
  }
  const ended = readAll().catch(() => undefined)
  return { type: answer.headers.get('content-type'), heard, ended, close: () => closes.abort() }
}
const fitRoute = writeRoutes.find((route) => route.path.endsWith('/fit'))
const begin = (writeId: string) =>
  demo.send('POST', '/api/parts/0412-bonnet/fit', fitRoute && sent(fitRoute, fitRoute.good), writeId)

test('all open screens hear within a second what was written, by which write, and of which fit', async () => {
  const screens = [await listens(), await listens()]
  expect(screens[0]?.type).toBe('text/event-stream')
  await demo.send('PATCH', '/api/shop', { theme: 'bay' }, id(1))
  await begin(id(2))
  const all = [
    { by: id(1), fitOf: null },
    { by: id(2), fitOf: '0412-bonnet' },
  ]
  for (const { heard, close } of screens) {
    await expect.poll(() => heard, { interval: 20 }).toEqual(all)
    close()
  }
})

test('nobody hears of what was refused or only asked for', async () => {
  const { heard, close } = await listens()
  await demo.send('PATCH', '/api/shop', { theme: 'mauve' }, id(3))
  await demo.get('/api/bay')
  await demo.send('PATCH', '/api/shop', { theme: 'day' }, id(4))
  await expect.poll(() => heard, { interval: 20 }).toEqual([{ by: id(4), fitOf: null }])
  close()
})

test('a server that stops says so to its screens', async () => {
  const own = await new DemoServer().start()
  const answer = await fetch(own.address('/api/news'))
  const read = answer.text()
  await own.end()
  expect(await read).toContain('retry')
})
