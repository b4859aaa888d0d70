import { verbatim } from '@truelay/core/say'
import { notBegun } from '@truelay/contract'
import { expect, test } from 'vitest'
import { smallFit, smallPlan, smallStep } from '@truelay/contract/testing'
import { progressOf } from './progressOf.ts'

const step = (id: string, more: object = {}) => smallStep(id, { headline: verbatim(`Do ${id}`), ...more })
const plan = smallPlan([
  step('grab', {
    wait: { label: verbatim('grab'), leastMinutes: 20, kind: 'initialGrab', usualMinutes: 20, factor: 1 },
  }),
  step('seal'),
])
const at = '2030-05-01T09:00:00.000Z'
const done = (stepId: string) => ({ kind: 'stepDone', stepId })

test('a part that nobody touched waits', () => {
  expect(progressOf(notBegun)).toMatchObject({ state: 'waiting', stepsDone: 0, nextStep: null, readyAt: null })
})
test('a part in work tells its next step, and when its wait is over', () => {
  expect(progressOf(smallFit(plan))).toMatchObject({
    state: 'fitting',
    nextStep: verbatim('Do grab'),
    startedAt: at,
    readyAt: null,
  })
  expect(progressOf(smallFit(plan, done('grab')))).toMatchObject({
    stepsDone: 1,
    nextStep: verbatim('Do seal'),
    readyAt: '2030-05-01T09:20:00.000Z',
  })
})
test('a finished part tells when', () => {
  expect(progressOf(smallFit(plan, done('grab'), done('seal')))).toMatchObject({
    state: 'done',
    nextStep: null,
    finishedAt: at,
    readyAt: null,
  })
})
test('what is to be come back to, and a piece that is waited for', () => {
  const piece = smallPlan([step('hold up', { tools: ['piece'] }), step('lay'), step('look')])
  const seen = { kind: 'problemSeen', stepId: 'lay', place: 'nose', comeBack: true, when: 'at hand-over' }
  const id = (n: number) => `10000000-0000-4000-8000-00000000000${n}`
  const fingers = { ...seen, id: id(1), problem: 'fingers' }
  expect(progressOf(smallFit(piece, done('hold up'), fingers))).toMatchObject({
    comeBacks: [{ problem: 'fingers', place: 'nose', when: 'at hand-over' }],
  })
  expect(progressOf(smallFit(piece, done('hold up'), fingers))).not.toHaveProperty('awaits')
  const torn = { ...seen, id: id(2), problem: 'torn piece' }
  const again = [
    { kind: 'stepReopened', stepId: 'hold up' },
    { kind: 'spoilSettled', stepId: 'hold up', outcome: 'laid again', from: 'roll', after: 1 },
  ]
  const waiting = progressOf(smallFit(piece, done('hold up'), fingers, torn, ...again))
  expect(waiting).toMatchObject({ stepsDone: 0, awaits: 'roll' })
  expect(waiting).not.toHaveProperty('comeBacks')
})
