import { type FitEvent, type Part, partPlan } from '@truelay/contract'
import { expect, test } from 'vitest'
import { progressOf } from './progressOf.ts'

const part = {
  id: 'p',
  jobId: 'j',
  name: 'Bonnet',
  formId: 'f',
  filmId: 'f',
  pieceId: 'q',
  shift: { xMm: 0, yMm: 0, turnDeg: 0 },
} as Part
const square = [
  [0, 0],
  [1, 0],
  [1, 1],
]
const step = (id: string, more: object = {}) => ({
  id,
  phase: 'lay',
  headline: `Do ${id}`,
  detail: '',
  why: 'because it is so',
  picture: { film: 'none', marks: [] },
  inHand: [],
  people: 1,
  minutes: 1,
  cautions: [],
  ...more,
})
const plan = partPlan.parse({
  partId: 'p',
  partName: 'Bonnet',
  film: { id: 'f', name: 'Film', type: 'paint film', laid: 'wet' },
  material: 'painted steel',
  grade: 1,
  gradeWords: '',
  schools: [],
  solutions: [],
  anchors: [],
  pulls: [],
  edges: [],
  checks: [],
  gapToleranceMm: 0.5,
  directions: { right: 'r', left: 'l', up: 'u', down: 'd' },
  drawing: { part: square, holes: [], piece: square, cutOuts: [], edges: [] },
  steps: [step('grab', { wait: { label: 'grab', leastMinutes: 20 } }), step('seal')],
  minutes: 2,
})
const at = '2030-05-01T09:00:00.000Z'
const common = { partId: 'p', personId: 'ines', at }
const started = { ...common, id: 'a', kind: 'fitStarted', plan } as unknown as FitEvent
const done = (stepId: string) => ({ ...common, id: stepId, kind: 'stepDone', stepId }) as unknown as FitEvent

test('a part that nobody touched waits', () => {
  expect(progressOf(part, 'Film', [])).toMatchObject({ state: 'waiting', stepsDone: 0, nextStep: null, readyAt: null })
})
test('a part in work tells its next step, and when its wait is over', () => {
  expect(progressOf(part, 'Film', [started])).toMatchObject({
    state: 'fitting',
    nextStep: 'Do grab',
    startedAt: at,
    readyAt: null,
  })
  expect(progressOf(part, 'Film', [started, done('grab')])).toMatchObject({
    stepsDone: 1,
    nextStep: 'Do seal',
    readyAt: '2030-05-01T09:20:00.000Z',
  })
})
test('a finished part tells when', () => {
  expect(progressOf(part, 'Film', [started, done('grab'), done('seal')])).toMatchObject({
    state: 'done',
    nextStep: null,
    finishedAt: at,
    readyAt: null,
  })
})
