import { randomUUID } from 'node:crypto'
import { configureStore } from '@reduxjs/toolkit'
import {
  type FitEvent,
  fitLog,
  fitReceipt,
  liquids,
  type PartId,
  replayFit,
  standing,
  tooLate,
} from '@truelay/contract'
import { smallPlan, smallStep } from '@truelay/contract/testing'
import { verbatim } from '@truelay/core/say'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { DemoServer, readStandingFit } from '../testing/demoShop.ts'
import { type Sent, startOutbox } from './outbox.ts'
import { outboxSlice } from './outboxSlice.ts'
import type { SetAside, TabletStore } from './outboxStore.ts'

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
})
afterAll(() => demo.end())

const partId = '0412-bonnet' as PartId
const steps = ['mix', 'float', 'tack', 'cut', 'seal']
const plan = smallPlan(steps.map((id) => smallStep(id)))
const nameOf = (id: string) => id

/** Keeps in memory what a browser keeps in its database. */
function memoryStore(): TabletStore {
  let events: FitEvent[] = []
  let aside: SetAside[] = []
  return {
    async keep(more) {
      events = [...events, ...more]
    },
    kept: async () => events,
    async confirm(ids) {
      events = events.filter((e) => !ids.has(e.id))
    },
    async setAside(items) {
      aside = [...aside, ...items]
      events = events.filter((e) => !items.some((item) => item.key === e.id))
    },
    aside: async () => aside,
    putAway: async () => {},
    sentSince: async () => [],
    life: async () => null,
    keepLife: async () => {},
  }
}

/** What the way to the server does with the next sending. */
const ways = ['through', 'through', 'through', 'lost on the way', 'answer lost', 'twice', 'slow'] as const
type Way = (typeof ways)[number]

/** A tablet on one part, with a way to the server of its own. */
class Tablet {
  private readonly store = configureStore({ reducer: { outbox: outboxSlice.reducer } })
  readonly happened: FitEvent[] = []
  log: readonly FitEvent[] = []
  away = false
  private readonly outbox

  constructor(
    private readonly part: PartId,
    private readonly ways: Way[],
  ) {
    this.outbox = startOutbox({
      store: this.store,
      tablet: memoryStore(),
      send: (id, events) => this.send(id, events),
      retryMs: 2,
    })
  }

  private async send(id: PartId, events: readonly FitEvent[]): Promise<Sent> {
    const way = this.ways.shift() ?? 'through'
    if (this.away || way === 'lost on the way') return { kind: 'away' }
    if (way === 'slow') await pause(15)
    // What arrives twice is one write.
    const writeId = randomUUID()
    const post = () => demo.send('POST', `/api/parts/${id}/fit`, events, writeId).catch(() => null)
    const answer = await post()
    if (answer === null) return { kind: 'away' }
    if (answer.status >= 400) return { kind: 'refused', says: answer.body.sentence }
    if (way === 'twice') await post()
    if (way === 'answer lost') return { kind: 'away' }
    return { kind: 'answered', receipt: fitReceipt.parse(answer.body) }
  }

  get state() {
    return this.store.getState().outbox
  }
  /** What its screen shows. */
  get shown() {
    const known = new Set(this.log.map((e) => e.id))
    return replayFit([...this.log, ...this.state.waiting.filter((e) => e.partId === this.part && !known.has(e.id))])
  }
  async look() {
    if (!this.away) this.log = fitLog.parse((await demo.get(`/api/parts/${this.part}/fit`)).body).events
  }
  async presses(what: 'begin' | 'done' | 'back' | 'wrong') {
    const { shown } = this
    const event = (kind: string, more: object) =>
      ({
        id: randomUUID(),
        partId: this.part,
        personId: 'ines',
        at: new Date().toISOString(),
        kind,
        ...more,
      }) as FitEvent
    const events = (() => {
      if (shown.phase === 'not begun') return what === 'begin' ? [event('fitStarted', { plan })] : []
      const stepId = shown.plan.steps[shown.done.length]?.id
      const before = shown.done.at(-1)?.stepId
      if (what === 'back') return before === undefined ? [] : [event('stepReopened', { stepId: before })]
      if (stepId === undefined || what === 'begin') return []
      if (what === 'wrong') return [event('problemSeen', { stepId, problem: 'fingers', place: 'nose', comeBack: true })]
      const mixed = event('batchMixed', {
        stepId,
        batchNumber: '1',
        school: null,
        says: verbatim('slip'),
        batchMl: 500,
        alcoholPercent: 0,
        soapMlPerL: 1,
        add: [],
      })
      return [...(stepId === 'mix' ? [mixed] : []), event('stepDone', { stepId })]
    })()
    if (events.length === 0) return
    this.happened.push(...events)
    await this.outbox.add(events)
  }
  sends(events: readonly FitEvent[]) {
    return this.outbox.add(events)
  }
  givesUp(part: PartId) {
    return this.outbox.giveUp(part)
  }
  async settles() {
    this.away = false
    this.outbox.sendNow()
    await expect.poll(() => this.state.waiting, { interval: 2 }).toEqual([])
    await this.look()
  }
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

const act = fc.record({
  who: fc.integer({ min: 0, max: 1 }),
  what: fc.constantFrom(
    'begin',
    'done',
    'done',
    'done',
    'done',
    'back',
    'wrong',
    'look',
    'look',
    'away',
    'back again',
    'pause',
  ),
} as const)

async function play(part: PartId, acts: readonly { who: number; what: string }[], ways: readonly [Way[], Way[]]) {
  const tablets = ways.map((way) => new Tablet(part, [...way]))
  await tablets[0]?.presses('begin')
  for (const { who, what } of acts) {
    const tablet = tablets[who]
    if (tablet === undefined) continue
    if (what === 'away' || what === 'back again') tablet.away = what === 'away'
    else if (what === 'look') await tablet.look()
    else if (what === 'pause') await pause(4)
    else await tablet.presses(what as 'done')
  }
  for (const tablet of tablets) await tablet.settles()
  for (const tablet of tablets) await tablet.look()
  return tablets
}

/** A part of its own for each play. */
let made = 0
async function newPart(): Promise<PartId> {
  if (made++ === 0) return partId
  const job = await demo.send('POST', '/api/jobs', {
    customer: 'Private owner',
    modelId: 'velmora-pipit',
    year: null,
    colour: 'signal white',
    plate: `QF ${made}`,
    bay: 'Bay 1',
    personId: 'ines',
    arrivesAt: '2030-05-02T08:00:00.000Z',
    dueAt: '2030-05-03T16:00:00.000Z',
    parts: [{ slot: 'bonnet', name: 'Bonnet', filmId: 'clearcoat-hull-180' }],
  })
  return (await demo.get(`/api/jobs/${job.body.id}`)).body.parts[0].id
}

describe('two tablets on one part', () => {
  test('whatever crosses on the way: both end with the same, nothing is lost, nothing is mixed twice', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(act, { minLength: 4, maxLength: 26 }),
        fc.array(fc.constantFrom(...ways), { maxLength: 12 }),
        fc.array(fc.constantFrom(...ways), { maxLength: 12 }),
        async (acts, waysOfA, waysOfB) => {
          const part = await newPart()
          const tablets = await play(part, acts, [waysOfA, waysOfB])
          const [a, b] = tablets
          expect(a?.shown).toEqual(b?.shown)
          const log = a?.log ?? []
          const stored = new Set(log.map((e) => e.id))
          expect(stored.size).toBe(log.length)
          // Each thing that happened counts, or is told to whoever did it; never both.
          for (const tablet of tablets) {
            const told = new Set(tablet.state.aside.map((item) => item.key))
            for (const { id } of tablet.happened) expect([stored.has(id), told.has(id)]).toContain(true)
            for (const id of told) expect(stored.has(id)).toBe(false)
          }
          // Nothing is in the log that did not fit where the fit stood.
          expect(log.map((event, i) => tooLate(replayFit(log.slice(0, i)), event, nameOf))).toEqual(log.map(() => null))
          const state = replayFit(log)
          // What is kept beside the log is what the log adds up to.
          expect((await readStandingFit(demo.database, part)).state).toEqual(state)
          const standingMixed = state.phase === 'not begun' ? [] : standing(state, 'batchMixed')
          expect(standingMixed.length).toBeLessThanOrEqual(1)
          const bench = liquids.parse((await demo.get('/api/liquids')).body).batches
          expect(bench.filter((bottle) => stored.has(bottle.id)).map((bottle) => bottle.id)).toEqual(
            standingMixed.map((e) => e.id),
          )
        },
      ),
      { numRuns: 50 },
    )
  })

  test('done twice on two tablets is mixed once, and the second is told since when', async () => {
    const part = await newPart()
    const [a, b] = [new Tablet(part, []), new Tablet(part, [])]
    await a.presses('begin')
    await a.settles()
    await b.look()
    await a.presses('done')
    await a.settles()
    await b.presses('done')
    await b.settles()
    expect(b.log.map((e) => e.kind)).toEqual(['fitStarted', 'batchMixed', 'stepDone'])
    expect(b.state.aside).toHaveLength(2)
    expect(b.state.aside[1]?.says).toSay(/“mix” was done already, at \d\d:\d\d, by Ines/)
    expect(b.shown).toMatchObject({ done: [{ stepId: 'mix' }] })
  })

  test('back on one against done on the other: the step that comes too late is told, not swallowed', async () => {
    const part = await newPart()
    const [a, b] = [new Tablet(part, []), new Tablet(part, [])]
    await a.presses('begin')
    await a.presses('done')
    await a.settles()
    await b.look()
    await a.presses('back')
    await a.settles()
    await b.presses('done')
    await b.settles()
    expect(b.state.aside.map((item) => (item.event as FitEvent).kind)).toEqual(['stepDone'])
    expect(b.state.aside[0]?.says).toSay(/went back.*“mix”.*“float” comes after/)
    expect(a.shown).toMatchObject({ done: [] })
  })

  test('what is refused of one part holds up no other', async () => {
    const [one, other] = [await newPart(), await newPart()]
    const tablet = new Tablet(other, [])
    const stranger = { ...wrongBy('nobody-here', one) }
    await tablet.sends([stranger])
    await tablet.presses('begin')
    await expect.poll(() => tablet.state.waiting.map((e) => e.partId), { interval: 2 }).toEqual([one])
    expect(tablet.state.refusals[one]).toSay(/nobody-here/)
    await tablet.look()
    expect(tablet.log.map((e) => e.kind)).toEqual(['fitStarted'])
    await tablet.givesUp(one)
    expect(tablet.state).toMatchObject({ waiting: [], refusals: {} })
    expect(tablet.state.aside.map((item) => item.event)).toEqual([stranger])
  })
})

const wrongBy = (personId: string, part: PartId): FitEvent =>
  ({ id: randomUUID(), partId: part, personId, at: new Date().toISOString(), kind: 'fitStarted', plan }) as FitEvent
