import { asc, eq } from 'drizzle-orm'
import { bay, type Bay } from '@truelay/contract'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { DemoServer, noon } from '../testing/demoServer.ts'
import { fitProgressRows } from '../fit/table.ts'
import { jobs, parts } from '../jobs/table.ts'
import { films } from '../shelf/table.ts'

let demo: DemoServer
beforeEach(async () => {
  demo = await new DemoServer().start()
})
afterEach(() => demo.end())

const shown = async (): Promise<Bay> => bay.parse((await demo.get('/api/bay')).body)
const jobIn = (all: Bay, number: string) => all.jobs.find(({ job }) => job.number === number)

describe('the bay', () => {
  test('shows the open jobs by their promised time, each with its parts in their order', async () => {
    const all = await shown()
    const { read } = demo.database
    const open = await read.select().from(jobs).orderBy(asc(jobs.dueAt))
    expect(all.jobs.map(({ job }) => job.id)).toEqual(open.filter((j) => j.closedAt === null).map((j) => j.id))
    for (const { job, parts: inBay } of all.jobs) {
      const inOrder = await read.select().from(parts).where(eq(parts.jobId, job.id)).orderBy(asc(parts.place))
      expect(inBay.map((p) => p.partId)).toEqual(inOrder.map((p) => p.id))
      const row = open.find((j) => j.id === job.id)
      expect(job).toMatchObject({ customer: row?.customer, bay: row?.bay, dueAt: row?.dueAt, closedAt: null })
    }
  })

  test('a film that is called something else is called so in all jobs', async () => {
    const before = await shown()
    const called = before.jobs[0]?.parts[0]?.filmName ?? ''
    const { read } = demo.database
    const film = (await read.select().from(films)).find((row) => JSON.stringify(row.document).includes(`"${called}"`))
    const renamed = JSON.parse(JSON.stringify(film?.document).replaceAll(`"${called}"`, '"Another film"'))
    await demo.database.write((db) =>
      db
        .update(films)
        .set({ document: renamed })
        .where(eq(films.id, film?.id ?? '')),
    )
    const names = (all: Bay) => all.jobs.flatMap((open) => open.parts.map((p) => p.filmName))
    expect(names(await shown())).toEqual(names(before).map((name) => (name === called ? 'Another film' : name)))
  })

  test.each([
    ['the promised time', { dueAt: '2030-05-09T08:00:00.000Z' }],
    ['who does it', { personId: 'bo' }],
    ['the room', { roomHumidityPercent: 71 }],
    ['the plate', { plate: 'XX 1' }],
  ])('%s of a job is new: so it is shown, the others as before', async (_, change) => {
    const before = await shown()
    await demo.database.write((db) => db.update(jobs).set(change).where(eq(jobs.number, '0412')))
    const after = await shown()
    expect(JSON.stringify(jobIn(after, '0412')?.job)).toContain(JSON.stringify(Object.values(change)[0]))
    for (const other of before.jobs.filter(({ job }) => job.number !== '0412'))
      expect(jobIn(after, other.job.number)).toEqual(other)
  })

  test('a job that was closed is gone, and is back as it was when it is opened again', async () => {
    const before = await shown()
    const close = (closedAt: string | null) =>
      demo.database.write((db) => db.update(jobs).set({ closedAt }).where(eq(jobs.number, '0412')))
    await close(noon.toISOString())
    expect(jobIn(await shown(), '0412')).toBeUndefined()
    await close(null)
    expect(await shown()).toEqual(before)
  })

  test('what cannot be read of one part hides no other, and a job that cannot be read hides no other', async () => {
    const before = await shown()
    const [first, second] = before.jobs
    const begun = before.jobs.flatMap((open) => open.parts).find((p) => p.state !== 'waiting')
    const part = begun?.partId ?? first?.parts[0]?.partId ?? ''
    const broken = { document: { stored: { v: 1, doc: { state: 'no such' } } } }
    await demo.database.write(async (db) => {
      await db
        .insert(fitProgressRows)
        .values({ partId: part, ...broken })
        .onConflictDoUpdate({ target: fitProgressRows.partId, set: broken })
      await db
        .update(jobs)
        .set({ arrivedAt: 'some day' })
        .where(eq(jobs.id, second?.job.id ?? ''))
    })
    const after = await shown()
    expect(after.jobs.map(({ job }) => job.id)).toEqual(
      before.jobs.map(({ job }) => job.id).filter((id) => id !== second?.job.id),
    )
    const partsOf = (all: Bay) => jobIn(all, first?.job.number ?? '')?.parts.map((p) => p.partId)
    expect(partsOf(after)).toEqual(partsOf(before))
    expect(after.jobs.flatMap((open) => open.parts).find((p) => p.partId === part)?.state ?? 'waiting').toBe('waiting')
  })

  test('a job without parts is shown as one', async () => {
    await demo.database.write(async (db) => {
      const [row] = await db.select().from(jobs).where(eq(jobs.number, '0412'))
      if (row !== undefined) await db.insert(jobs).values({ ...row, id: '0999', number: '0999' })
    })
    expect(jobIn(await shown(), '0999')?.parts).toEqual([])
  })
})
