import { afterAll, beforeAll, expect, test } from 'vitest'
import { DemoServer } from './testing/demoServer.ts'
import { readRoutes } from './testing/readRoutes.ts'
import { fuzzRequests } from './testing/fuzzRequests.ts'

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
})
afterAll(() => demo.end())

test('odd requests of every route are answered in words, none as a fault of the server, and the shop still opens', async () => {
  const seed = Number(process.env.TRUELAY_FUZZ_SEED ?? 20_300_508)
  const { asked, statuses, bad } = await fuzzRequests(demo, 4000, seed)
  expect(bad, `seed ${seed}`).toEqual([])
  expect(asked).toBeGreaterThanOrEqual(4000)
  // They reach the routes: some are right, most are not.
  expect(statuses[200]).toBeGreaterThan(50)
  expect(statuses[400]).toBeGreaterThan(200)
  // Whatever of it was taken, every screen can read.
  for (const address of await readRoutes(demo)) {
    const { status } = await fetch(demo.address(address))
    expect([200, 422], `${address}, seed ${seed}`).toContain(status)
  }
})
