import { randomUUID } from 'node:crypto'
import { formDoc, jobBundle, partQuestionOf } from '@truelay/contract'
import { anyDay, climb } from '@truelay/core/plan'
import { required } from '@truelay/core/result'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'
import { writeRoutes } from '../testing/writeRoutes.ts'

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
})
afterAll(() => demo.end())

const newJob = writeRoutes.find(({ method, path }) => method === 'POST' && path === '/jobs')?.good

/** A new vehicle with a bonnet alone; the number of its job. */
async function bonnetOn(plate: string): Promise<string> {
  const { status, body } = await demo.send('POST', '/api/jobs', { ...newJob, plate })
  expect(status).toBe(201)
  return String(body.id ?? body.job.id)
}
const bonnetOf = async (job: string) => jobBundle.parse((await demo.get(`/api/jobs/${job}`)).body).parts[0]!

async function begin(job: string): Promise<void> {
  const bundle = jobBundle.parse((await demo.get(`/api/jobs/${job}`)).body)
  const [part] = bundle.parts
  const question = part === undefined ? null : partQuestionOf(bundle, part)
  if (part === undefined || question === null) throw new Error('the bonnet is measured, and its film is on the shelf')
  const { plan } = required(climb(question, anyDay, { triangles: 400 }))
  const started = { id: randomUUID(), partId: part.id, personId: 'ines', at: '2030-05-02T09:00:00.000Z', plan }
  const { status } = await demo.send('POST', `/api/parts/${part.id}/fit`, [{ ...started, kind: 'fitStarted' }])
  expect(status).toBe(200)
}

async function measureAnew(name: string): Promise<number> {
  const form = formDoc.parse((await demo.get('/api/forms/pipit-bonnet')).body)
  return (await demo.send('PUT', '/api/forms/pipit-bonnet', { ...form, name })).body.version
}

test('a form that is measured anew: parts that nobody has begun follow, the one that was begun keeps its own', async () => {
  const [begun, waiting] = [await bonnetOn('QF 901'), await bonnetOn('QF 902')]
  // Nobody works from it yet: it is the same version, mended.
  expect(await measureAnew('bonnet, mended')).toBe(1)
  await begin(begun)
  expect(await measureAnew('bonnet, measured anew')).toBe(2)
  expect((await bonnetOf(begun)).formVersion).toBe(1)
  expect((await bonnetOf(waiting)).formVersion).toBe(2)
  expect((await demo.get('/api/forms/pipit-bonnet')).body.name).toBe('bonnet, measured anew')
})
