import type { FitEvent, Part } from '@truelay/contract'
import { expect, test } from 'vitest'
import { smallPlan, smallStep } from '../testing/smallPlan.ts'
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
const step = (id: string, more: object = {}) => smallStep(id, { headline: `Do ${id}`, ...more })
const plan = smallPlan([step('grab', { wait: { label: 'grab', leastMinutes: 20 } }), step('seal')])
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
