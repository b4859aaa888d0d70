import { verbatim } from '@truelay/core/say'
import { type FitEvent, replayFit } from '@truelay/contract'
import { expect, test } from 'vitest'
import { smallPlan, smallStep } from '../testing/smallPlan.ts'
import { progressOf } from './progressOf.ts'

const step = (id: string, more: object = {}) => smallStep(id, { headline: verbatim(`Do ${id}`), ...more })
const plan = smallPlan([
  step('grab', {
    wait: { label: verbatim('grab'), leastMinutes: 20, kind: 'initialGrab', usualMinutes: 20, factor: 1 },
  }),
  step('seal'),
])
const at = '2030-05-01T09:00:00.000Z'
const common = { partId: 'p', personId: 'ines', at }
const started = { ...common, id: 'a', kind: 'fitStarted', plan } as unknown as FitEvent
const done = (stepId: string) => ({ ...common, id: stepId, kind: 'stepDone', stepId }) as unknown as FitEvent

test('a part that nobody touched waits', () => {
  expect(progressOf(replayFit([]))).toMatchObject({ state: 'waiting', stepsDone: 0, nextStep: null, readyAt: null })
})
test('a part in work tells its next step, and when its wait is over', () => {
  expect(progressOf(replayFit([started]))).toMatchObject({
    state: 'fitting',
    nextStep: verbatim('Do grab'),
    startedAt: at,
    readyAt: null,
  })
  expect(progressOf(replayFit([started, done('grab')]))).toMatchObject({
    stepsDone: 1,
    nextStep: verbatim('Do seal'),
    readyAt: '2030-05-01T09:20:00.000Z',
  })
})
test('a finished part tells when', () => {
  expect(progressOf(replayFit([started, done('grab'), done('seal')]))).toMatchObject({
    state: 'done',
    nextStep: null,
    finishedAt: at,
    readyAt: null,
  })
})
