import { verbatim } from '@truelay/core/say'
import { describe, expect, test } from 'vitest'
import { type SmallEvent, smallEvents, smallFit, smallPlan, smallStep } from '../testing/index.ts'
import { fitEventKinds } from './events/index.ts'
import { type FitEvent, fitEventNames } from './fitEvents.ts'
import { notBegun } from './fitState.ts'
import { tooLate } from './tooLate.ts'

const plan = smallPlan(['wash', 'mix', 'lay', 'seal'].map((id) => smallStep(id, { headline: verbatim(`Do ${id}`) })))
const nameOf = (id: string) => (id === 'ines' ? 'Ines' : id)
const done = (stepId: string): SmallEvent => ({ kind: 'stepDone', stepId })
const event = (kind: string, stepId: string) => ({ kind, stepId }) as FitEvent
const [begun] = smallEvents(plan)

describe('an event is too late where the fit has gone on', () => {
  const atLay = smallFit(plan, done('wash'), done('mix'))
  test.each([
    ['a step that is done', event('stepDone', 'mix'), /“Do mix” was done already, at \d\d:\d\d, by Ines/],
    ['a step long done', event('batchMixed', 'wash'), /gone on since: “Do wash” was done at/],
    ['a step that comes later', event('bladeUsed', 'seal'), /stands at “Do lay” now, and “Do seal” comes after/],
    ['back to what is not the last step', event('stepReopened', 'wash'), /gone on since/],
    ['the wait of a step that is not the last', event('waitSet', 'wash'), /gone on since/],
    ['a step that is not in the plan', event('stepDone', 'tea'), /no such step/],
  ])('%s', (_, late, says) => {
    expect(tooLate(atLay, late, nameOf)).toSay(says)
  })
  test('a second beginning', () => {
    if (begun === undefined) throw new Error('it has a beginning')
    expect(tooLate(atLay, begun, nameOf)).toSay(/was begun at \d\d:\d\d, by Ines/)
    expect(tooLate(notBegun, begun, nameOf)).toBeNull()
  })
  test('anything before the beginning, and anything of a step after the end', () => {
    expect(tooLate(notBegun, event('stepDone', 'wash'), nameOf)).toSay(/Nobody has begun/)
    const finished = smallFit(plan, done('wash'), done('mix'), done('lay'), done('seal'))
    expect(tooLate(finished, event('stepDone', 'seal'), nameOf)).toSay(/“Do seal” was done already/)
    expect(tooLate(finished, event('stepReopened', 'seal'), nameOf)).toBeNull()
  })
  test('what still stands where it was seen is in time, and what was only seen always is', () => {
    for (const kind of fitEventNames) {
      const { actsOn } = fitEventKinds[kind]
      if (actsOn === 'the beginning') continue
      const stepId = { 'the step in hand': 'lay', 'the step done last': 'mix', nothing: 'wash' }[actsOn]
      expect(tooLate(atLay, event(kind, stepId), nameOf), kind).toBeNull()
    }
  })
})
