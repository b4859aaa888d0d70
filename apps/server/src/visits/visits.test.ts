import { bay, handOver, job, jobBundle } from '@truelay/contract'
import { smallEvents, smallPlan, smallStep } from '@truelay/contract/testing'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'

let demo: DemoServer
beforeEach(async () => {
  demo = await new DemoServer().start()
})
afterEach(() => demo.end())

const send = (method: string, path: string, body: unknown) => demo.send(method, `/api${path}`, body)
const steps = [smallStep('lay', { phase: 'lay' }), smallStep('look', { phase: 'look' })]
const done = steps.map(({ id }, i) => ({ kind: 'stepDone', stepId: id, after: i + 1 }))
const fit = (partId: string, ...events: object[]) =>
  send(
    'POST',
    `/parts/${partId}/fit`,
    smallEvents(smallPlan(steps, { partId }), ...(events as never[])).map((event, i) => ({
      ...event,
      id: `${partId === '0412-bonnet' ? '1' : '2'}0000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
    })),
  )
const body = {
  personId: 'tarek',
  arrivesAt: '2030-05-03T08:00:00.000Z',
  dueAt: '2030-05-03T10:00:00.000Z',
  partIds: ['0412-bonnet'],
}
const visit = (more: object = {}) => send('POST', '/jobs/0412/visits', { ...body, ...more })

describe('a come-back visit', () => {
  test('is a job of its own on the same vehicle, with the parts that were laid', async () => {
    await fit('0412-bonnet', ...done)
    const { status, body: answer } = await visit()
    expect(status).toBe(201)
    const opened = job.parse(answer)
    expect(opened).toMatchObject({ number: '0416', visitOf: '0412', personId: 'tarek', closedAt: null })
    const { parts, job: of } = jobBundle.parse((await demo.get('/api/jobs/0416')).body)
    expect(parts).toHaveLength(1)
    expect(parts[0]).toMatchObject({ id: '0416-01', name: 'Bonnet', visitOf: '0412-bonnet' })
    expect(of.vehicle.plate).toBe('Fleet 27')
    const shown = bay.parse((await demo.get('/api/bay')).body).jobs.find((one) => one.job.number === '0416')
    expect(shown?.parts[0]).toMatchObject({ state: 'waiting', name: 'Bonnet' })
  })
  test('of a part that is not finished there is none, and nothing is opened', async () => {
    await fit('0412-bonnet', ...done.slice(0, 1))
    const { status, body: answer } = await visit()
    expect(status).toBe(422)
    expect(JSON.stringify(answer)).toContain('A part that is not finished cannot be come back to.')
    expect((await demo.get('/api/jobs/0416')).status).toBe(404)
  })
  test('what went out before there was a log of it can be come back to', async () => {
    expect((await send('POST', '/jobs/0388/visits', { ...body, partIds: ['0388-05'] })).status).toBe(201)
  })
  test('of a part that was left out of a job that has gone out there is none', async () => {
    await fit('0412-bonnet', ...done)
    await send('PUT', '/jobs/0412/closed', { closed: true })
    expect((await visit({ partIds: ['0412-headlamp-left'] })).status).toBe(422)
    expect((await visit()).status).toBe(201)
  })
  test('stands in the calendar of the looks until it is closed', async () => {
    await fit('0412-bonnet', ...done)
    await visit()
    const calendar = async () => (await fetch(demo.address('/api/jobs/0412/edge-looks.ics'))).text()
    const text = await calendar()
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(4)
    expect(text).toContain('DTSTART:20300503T080000Z')
    expect(text).toContain('Fleet 27 comes back')
    await send('PUT', '/jobs/0416/closed', { closed: true })
    expect(await calendar()).not.toContain('comes back')
  })
  test('of a part of another job there is none', async () => {
    await fit('0412-bonnet', ...done)
    await fit('0413-01', ...done)
    expect((await visit({ partIds: ['0413-01'] })).status).toBe(404)
    expect((await visit({ partIds: ['0412-bonnet', '0413-01'] })).status).toBe(404)
    expect((await demo.get('/api/jobs/0416')).status).toBe(404)
  })
  test.each([
    ['nobody here', { personId: 'nobody' }, 404],
    ['no part', { partIds: [] }, 400],
    ['leaves before it comes', { dueAt: '2030-05-03T07:00:00.000Z' }, 400],
  ])('%s: refused with a sentence', async (_, more, status) => {
    await fit('0412-bonnet', ...done)
    const answer = await visit(more)
    expect(answer.status).toBe(status)
    expect(JSON.stringify(answer.body)).toContain('sentence')
  })
  test('teaches nothing of how pieces lie, and is not looked at thrice more', async () => {
    await fit('0412-bonnet', ...done)
    await visit()
    await fit('0416-01', ...done)
    const facts = JSON.stringify((await demo.get('/api/memory')).body)
    expect(facts).toContain('0412-bonnet')
    expect(facts).not.toContain('0416-01')
    const sheet = handOver.parse((await demo.get('/api/jobs/0416/hand-over')).body)
    expect(sheet.looks).toEqual([])
    expect(sheet.told).toBeNull()
  })
  test('what was lifted or warmed on it counts from then', async () => {
    await fit('0412-bonnet', ...done)
    await visit()
    const seen = { kind: 'problemSeen', stepId: 'lay', id: '30000000-0000-4000-8000-000000000001' }
    const settled = { kind: 'problemSettled', stepId: 'look', problemId: seen.id, outcome: 'put right' }
    await send(
      'POST',
      '/parts/0416-01/fit',
      smallEvents(
        smallPlan(steps, { partId: '0416-01' }),
        { ...seen, problem: 'fingers', place: 'nose', comeBack: true, when: 'now' },
        settled,
        ...done,
      ).map((event, i) => ({
        ...event,
        id: event.kind === 'problemSeen' ? event.id : `40000000-0000-4000-8000-00000000000${i}`,
      })),
    )
    const sheet = handOver.parse((await demo.get('/api/jobs/0416/hand-over')).body)
    expect(sheet.told).not.toBeNull()
  })
})
