import { english } from '@truelay/words'
import { verbatim } from '@truelay/core/say'
import { readFileSync } from 'node:fs'
import { nothingChosen, anyDay, climb, partQuestion } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'
import { required } from '@truelay/core/result'
import { describe, expect, test } from 'vitest'
import { z } from 'zod'
import { mirrors } from '@truelay/core/schema'
import { smallPlan, smallStep } from './testing/index.ts'
import {
  applyFitEvent,
  type FitEvent,
  filmDoc,
  fitEvents,
  formDoc,
  linesOf,
  notBegun,
  partPlan,
  pieceDoc,
  replayFit,
  runningWait,
  sayProblem,
  standing,
} from './index.ts'

const read = (file: string): unknown =>
  JSON.parse(readFileSync(new URL(`../../../demo/${file}`, import.meta.url), 'utf8'))

const plan = smallPlan(
  [
    smallStep('wash'),
    smallStep('grab', {
      wait: { label: verbatim('grab'), leastMinutes: 20, kind: 'initialGrab', usualMinutes: 20, factor: 1 },
    }),
    smallStep('look'),
  ],
  { minutes: 3 },
)
let serial = 0
const event = (kind: string, more: object = {}, at = '2030-05-01T09:00:00.000Z') =>
  fitEvents.parse([
    {
      id: `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`,
      partId: 'p',
      personId: 'ines',
      at,
      kind,
      ...more,
    },
  ])[0] as FitEvent
const begun = () => applyFitEvent(notBegun, event('fitStarted', { plan }))

test('every file of the demo shop passes its schema', () => {
  for (const id of ['pipit-bonnet', 'pipit-headlamp-left'])
    expect(formDoc.safeParse(read(`forms/${id}.json`)).success).toBe(true)
  for (const id of ['clearcoat-hull-180', 'dusk-glass-dry'])
    expect(filmDoc.safeParse(read(`films/${id}.json`)).success).toBe(true)
  for (const id of ['pipit-bonnet-piece', 'pipit-headlamp-left-piece'])
    expect(pieceDoc.safeParse(read(`pieces/${id}.json`)).success).toBe(true)
})

test('a form whose outline names an unknown edge is told which, and where', () => {
  const form = read('forms/pipit-bonnet.json') as { outline: { edge: string }[] }
  form.outline[2]!.edge = 'roof'
  const parsed = formDoc.safeParse(form)
  expect(parsed.success).toBe(false)
  if (!parsed.success)
    expect(sayProblem(parsed.error).sentence).toSay(
      /^outline\[2\]\.edge: no edge is called "roof"; .*rear, driver, nose (and|or) passenger/,
    )
})

test('a missing field is named with what is expected there', () => {
  const parsed = formDoc.safeParse({ ...(read('forms/pipit-bonnet.json') as object), start: undefined })
  expect(parsed.success ? '' : english(sayProblem(parsed.error).sentence)).toContain('start')
})

test('a fit goes on step by step, back, and to its end', () => {
  let state = begun()
  state = applyFitEvent(state, event('stepDone', { stepId: 'wash' }))
  expect(state.phase === 'fitting' && state.done.length).toBe(1)
  state = applyFitEvent(state, event('stepReopened', { stepId: 'wash' }))
  expect(state.phase === 'fitting' && state.done.length).toBe(0)
  for (const stepId of ['wash', 'grab', 'look']) state = applyFitEvent(state, event('stepDone', { stepId }))
  expect(state.phase).toBe('finished')
})

test('an event that does not fit where the work stands changes nothing', () => {
  expect(applyFitEvent(notBegun, event('stepDone', { stepId: 'wash' }))).toBe(notBegun)
  const state = begun()
  expect(applyFitEvent(state, event('stepDone', { stepId: 'look' }))).toBe(state)
  expect(applyFitEvent(state, event('fitStarted', { plan }))).toBe(state)
})

test('a wait runs from the step before it, until it is cut short', () => {
  let state = replayFit([event('fitStarted', { plan }), event('stepDone', { stepId: 'wash' })])
  expect(runningWait(state)).toBeNull()
  state = applyFitEvent(state, event('stepDone', { stepId: 'grab' }, '2030-05-01T10:00:00.000Z'))
  expect(runningWait(state)?.until.toISOString()).toBe('2030-05-01T10:20:00.000Z')
  state = applyFitEvent(state, event('waitEnded', { stepId: 'grab', earlySeconds: 300 }))
  expect(runningWait(state)).toBeNull()
})

test('a wait is as long as the air makes it, and an answer ends the question', () => {
  const common = (n: number) => ({
    id: `10000000-0000-4000-8000-${String(n).padStart(12, '0')}`,
    partId: 'p',
    personId: 'i',
  })
  const at = (minute: number) => `2030-05-01T09:${String(minute).padStart(2, '0')}:00.000Z`
  const air = { roomC: 12, humidityPercent: 85, source: 'sensor' }
  const events = fitEvents.parse([
    { ...common(1), at: at(0), kind: 'fitStarted', plan },
    { ...common(2), at: at(1), kind: 'stepDone', stepId: 'wash' },
    { ...common(3), at: at(2), kind: 'stepDone', stepId: 'grab' },
    { ...common(4), at: at(2), kind: 'waitSet', stepId: 'grab', minutes: 42, ...air },
    { ...common(5), at: at(3), kind: 'waitSet', stepId: 'wash', minutes: 99, ...air },
  ])
  const waiting = replayFit(events)
  expect(runningWait(waiting)?.until.toISOString()).toBe('2030-05-01T09:44:00.000Z')
  const [answer] = fitEvents.parse([
    {
      ...common(6),
      at: at(44),
      kind: 'waitAnswered',
      stepId: 'grab',
      waitKind: 'initialGrab',
      ready: true,
      saidMinutes: 42,
      waitedMinutes: 42,
    },
  ])
  if (answer === undefined) throw new Error('no event')
  const answered = applyFitEvent(waiting, answer)
  expect(answered.phase === 'fitting' ? answered.done.at(-1)?.answered : null).toBe(true)
})

test('bottles and blades of a fit stand in its state, in their order', () => {
  const common = { partId: 'p', personId: 'i', at: '2030-05-01T09:00:00.000Z', stepId: 'wash' }
  const bottle = {
    kind: 'bottleTaken',
    use: 'tack',
    batchId: 'b1',
    says: verbatim('weak tack'),
    alcoholPercent: 10,
    soapMlPerL: 0,
  }
  const state = replayFit(
    fitEvents.parse([
      {
        id: '20000000-0000-4000-8000-000000000001',
        partId: 'p',
        personId: 'i',
        at: common.at,
        kind: 'fitStarted',
        plan,
      },
      { ...common, ...bottle, id: '20000000-0000-4000-8000-000000000002', batchNumber: '1123-1', asPlanned: false },
      { ...common, ...bottle, id: '20000000-0000-4000-8000-000000000003', batchNumber: '1124-1', asPlanned: true },
      { ...common, id: '20000000-0000-4000-8000-000000000004', kind: 'bladeUsed', fresh: true, cutMm: 866 },
    ]),
  )
  if (state.phase === 'not begun') throw new Error('not begun')
  expect(standing(state, 'bottleTaken').map((b) => b.batchNumber)).toEqual(['1123-1', '1124-1'])
  expect(standing(state, 'bladeUsed')).toHaveLength(1)
})

test('going back takes back what the step logged; what was seen stays seen', () => {
  const batch = {
    stepId: 'grab',
    batchNumber: '1-1',
    school: 'weak tack',
    says: verbatim('weak tack'),
    batchMl: 500,
    alcoholPercent: 10,
    soapMlPerL: 0,
    add: [],
  }
  const readings = ['P', 'Q'].map((checkId) => ({ checkId, measuredMm: 2 }))
  const events = [
    event('fitStarted', { plan }),
    event('stepDone', { stepId: 'wash' }),
    event('batchMixed', batch),
    event('gapsMeasured', { stepId: 'grab', readings }),
    event('bladeUsed', { stepId: 'grab', fresh: true, cutMm: 400 }),
    event('problemSeen', { stepId: 'grab', problem: 'fingers', place: 'rear edge', comeBack: true }),
    event('stepDone', { stepId: 'grab' }),
  ]
  const before = replayFit(events)
  const after = replayFit([...events, event('stepReopened', { stepId: 'grab' })])
  if (before.phase === 'not begun' || after.phase === 'not begun') throw new Error('not begun')
  for (const kind of ['batchMixed', 'gapsMeasured', 'bladeUsed'] as const) {
    expect(standing(before, kind)).toHaveLength(1)
    expect(standing(after, kind)).toEqual([])
  }
  expect(standing(after, 'problemSeen')).toHaveLength(1)
  const context = { plan, nameOf: (id: string) => id, headlineOf: () => verbatim('grab') }
  expect(linesOf(after, context)).toMatchObject({
    batchMixed: [],
    gapsMeasured: [],
    problemSeen: [{ problem: 'fingers' }],
  })
})

describe('a schema mirrors the type of the core', () => {
  interface Pair {
    readonly a: number
    readonly b: string | null
  }
  test('both ways: a field that one of the two lacks does not compile', () => {
    expect(mirrors<Pair>()(z.strictObject({ a: z.number(), b: z.string().nullable() }))).toBeDefined()
    // @ts-expect-error the schema lacks a field
    expect(mirrors<Pair>()(z.strictObject({ a: z.number() }))).toBeDefined()
    // @ts-expect-error the schema has a field more
    expect(mirrors<Pair>()(z.strictObject({ a: z.number(), b: z.string().nullable(), c: z.number() }))).toBeDefined()
    // @ts-expect-error the schema knows no null
    expect(mirrors<Pair>()(z.strictObject({ a: z.number(), b: z.string() }))).toBeDefined()
  })
  test.each([
    ['pipit-bonnet', 'clearcoat-hull-180', 'pipit-bonnet-piece'],
    ['pipit-headlamp-left', 'dusk-glass-dry', 'pipit-headlamp-left-piece'],
    ['pipit-door-left', 'clearcoat-hull-180', 'pipit-door-left'],
    ['skua-tail-outer-left', 'weir-smoke-wet', 'skua-tail-outer-left'],
    ['skua-trim-left', 'ebony-cast-dry', 'skua-trim-left'],
    ['pipit-fog-left', 'clear-dome-dry', 'pipit-fog-left'],
  ])('a plan of %s passes its schema, there and back as text', (form, film, piece) => {
    const facts = {
      partId: form,
      partName: form,
      films: [],
      form: formDoc.parse(read(`forms/${form}.json`)),
      film: filmDoc.parse(read(`films/${film}.json`)),
      pattern: pieceDoc.parse(read(`pieces/${piece}.json`)).pattern,
      found: [{ kind: 'coating' as const, at: [0.5, 0.5] as const }],
      low: true,
      chosen: null,
      choices: nothingChosen,
      set: null,
      line: null,
      measured: true,
      stock: { alcoholPercent: 70 },
      practice: practiceWith(),
    }
    const { plan } = required(climb(partQuestion(facts), anyDay, { triangles: 500 }))
    expect(partPlan.parse(JSON.parse(JSON.stringify(plan)))).toEqual(JSON.parse(JSON.stringify(plan)))
  })
})
