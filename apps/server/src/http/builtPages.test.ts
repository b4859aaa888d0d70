import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { brotliCompressSync } from 'node:zlib'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'

const web = mkdtempSync(join(tmpdir(), 'truelay-web-'))
const script = 'export const lay = 1\n'.repeat(200)
let demo: DemoServer

beforeAll(async () => {
  mkdirSync(join(web, 'assets'))
  writeFileSync(join(web, 'index.html'), '<title>True Lay</title>')
  writeFileSync(join(web, 'notes.txt'), 'beside the page')
  writeFileSync(join(web, 'assets', 'main-1a2b.js'), script)
  writeFileSync(join(web, 'assets', 'main-1a2b.js.br'), brotliCompressSync(script))
  const server = new DemoServer(undefined, undefined, 'empty')
  server.web = web
  demo = await server.start()
})
afterAll(async () => {
  await demo.end()
  rmSync(web, { recursive: true })
})

const asked = (path: string, headers: Record<string, string> = {}) => fetch(demo.address(path), { headers })

test.each(['/', '/jobs', '/forms/bonnet?step=2', '/jobs/a.b'])('%s opens the app', async (path) => {
  const answer = await asked(path)
  expect(answer.status).toBe(200)
  expect(await answer.text()).toContain('True Lay')
})

test('what stands beside the page is served as it is', async () => {
  expect(await (await asked('/notes.txt')).text()).toBe('beside the page')
})

test('a script comes packed to whoever can unpack it, whole to all others, and may be kept for ever', async () => {
  const packed = await asked('/assets/main-1a2b.js', { 'accept-encoding': 'br' })
  expect(packed.headers.get('content-encoding')).toBe('br')
  expect(await packed.text()).toBe(script)
  const whole = await asked('/assets/main-1a2b.js', { 'accept-encoding': 'identity' })
  expect(whole.headers.get('content-encoding')).toBeNull()
  expect(await whole.text()).toBe(script)
  for (const { headers } of [packed, whole]) expect(headers.get('cache-control')).toContain('immutable')
})

test('a script of an app before this one is not there, and the page is not sent in its place', async () => {
  const answer = await asked('/assets/main-0000.js')
  expect(answer.status).toBe(404)
  expect(answer.headers.get('content-type')).toContain('json')
  expect(await answer.json()).toMatchObject({ sentence: { text: 'There is no such file.' } })
  expect(answer.headers.get('cache-control') ?? '').not.toContain('immutable')
})
