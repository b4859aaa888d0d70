import { partShape } from '@truelay/contract'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { z } from 'zod'
import { DemoServer } from '../testing/demoServer.ts'

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
})
afterAll(() => demo.end())

const shapes = (query: string) => demo.get(`/api/shapes${query}`)

test('the pictures of the forms that are asked for, in their versions, and nothing else of them', async () => {
  const form = (await demo.get('/api/forms/pipit-bonnet')).body
  await demo.send('PUT', '/api/forms/pipit-bonnet', { ...form, bow: form.bow.slice(0, 1) })
  const { status, body } = await shapes(
    '?of=pipit-bonnet@1&of=skua-pillar-front-left@1&of=no-such-form@1&of=pipit-bonnet@77',
  )
  expect(status).toBe(200)
  const read = z.array(partShape).parse(body)
  expect(read.map(({ id, version }) => `${id}@${version}`).sort()).toEqual([
    'pipit-bonnet@1',
    'skua-pillar-front-left@1',
  ])
  expect(read.find(({ id }) => id === 'pipit-bonnet')?.outline).toEqual(form.outline)
  expect(JSON.stringify(body)).not.toContain('sagittaMm')
})

test('none asked for, none sent', async () => {
  expect(await shapes('')).toEqual({ status: 200, body: [] })
})

test.each(['?of=pipit-bonnet', '?of=pipit-bonnet@', '?of=pipit-bonnet@0', '?of=@1'])(
  'what names no version of a form is refused in words: %s',
  async (query) => {
    const { status, body } = await shapes(query)
    expect(status).toBe(400)
    expect(body.sentence).toBeTruthy()
  },
)
