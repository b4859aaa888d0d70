import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { fitFacts, jobList } from '@truelay/contract'
import { type FitFact, recallPart } from '@truelay/core/memory'
import { practiceWith } from '@truelay/core/practice'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { parts } from '../jobs/table.ts'
import { DemoServer, noon } from '../testing/demoServer.ts'
import { seedPast } from './seedPast.ts'

const folder = fileURLToPath(new URL('../../../../demo', import.meta.url))
const past = JSON.parse(readFileSync(`${folder}/past.json`, 'utf8'))

let demo: DemoServer
let facts: FitFact[]
beforeAll(async () => {
  demo = await new DemoServer().start()
  expect(await seedPast(demo.database, folder, noon)).toBe(past.fits)
  facts = fitFacts.parse((await demo.get('/api/memory')).body).facts
})
afterAll(() => demo.end())

describe('the made-up past of the demo shop', () => {
  test('is that many finished fits over two years, none of them ahead of now', () => {
    expect(facts).toHaveLength(past.fits)
    const days = facts.map(({ at }) => (noon.getTime() - new Date(at).getTime()) / 86_400_000)
    expect(Math.min(...days)).toBeGreaterThan(10)
    expect(Math.max(...days)).toBeGreaterThan(0.95 * past.days)
    expect(new Set(facts.map(({ hand }) => hand)).size).toBe(3)
  })
  test('comes once only', async () => {
    expect(await seedPast(demo.database, folder, noon)).toBe(0)
  })
  test('stands in the list of jobs as closed, with every part done', async () => {
    const { jobs } = jobList.parse((await demo.get('/api/jobs?state=closed')).body)
    expect(jobs.length).toBeGreaterThan(12)
    for (const { parts, done, job } of jobs.filter(({ job: { id } }) => id !== '0388')) {
      expect(done).toBe(parts)
      expect(job.closedAt).not.toBeNull()
    }
  })
  test('has records that can be read', async () => {
    const [fact] = facts
    const { status, body } = await demo.get(`/api/parts/${fact?.partId}/record`)
    expect(status).toBe(200)
    expect(JSON.stringify(body)).toContain(fact?.partId)
  })
  test('what is found out of it is what is so: the offset of each piece lies where it was said to be', async () => {
    const rows = await demo.database.read.select().from(parts)
    let [inside, asked] = [0, 0]
    for (const [id, truth] of Object.entries<{ xMm: number; yMm: number }>(past.parts)) {
      const piece = rows.find((row) => row.id === id)?.pieceId
      const one = facts.find(({ pieceId }) => pieceId === piece)
      if (one === undefined) continue
      const known = recallPart(facts, { ...one, body: null, hand: 'ines' }, practiceWith()).offset
      for (const axis of ['xMm', 'yMm'] as const) {
        const found = known?.[axis]
        asked++
        if (found !== undefined && truth[axis] >= found.low && truth[axis] <= found.high) inside++
      }
    }
    // Nine times in ten an interval holds; a piece, a body and a hand that are never met apart share what is so.
    expect(asked).toBe(2 * Object.keys(past.parts).length)
    expect(inside / asked).toBeGreaterThan(0.8)
  })
  test('the bonnet, always too high, is to be begun lower', () => {
    const bonnet = facts.find(({ slot }) => slot === 'bonnet')
    const known = recallPart(facts, { ...bonnet!, body: null, hand: 'ines' }, practiceWith())
    expect(known.fits).toBeGreaterThan(3)
    expect(known.offset?.begin?.yMm).toBeLessThan(-1.5)
  })
  test('who is new takes longer', () => {
    const bonnet = facts.find(({ slot }) => slot === 'bonnet')!
    const paceOf = (hand: string) => recallPart(facts, { ...bonnet, body: null, hand }, practiceWith()).pace?.mean ?? 0
    expect(paceOf('bo')).toBeGreaterThan(1.15 * paceOf('ines'))
  })
})
