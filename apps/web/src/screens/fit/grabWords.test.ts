import { english } from '@truelay/words'
import { name, nothing, say } from '@truelay/core/say'
import { practiceWith } from '@truelay/core/practice'
import { expect, test } from 'vitest'
import { type SmallEvent, smallFit, smallPlan, smallStep } from '@truelay/contract/testing'
import type { Fitting } from './fitting.ts'
import { grabWords } from './grabWords.ts'

const solution = (use: 'slip' | 'tack', alcoholPercent: number, soapMlPerL: number) => ({
  use,
  school: use === 'slip' ? 'light slip' : 'weak tack',
  says: say`${name(use)}`,
  needMl: 400,
  batchMl: 500,
  add: [],
  warnings: [],
  strength: { alcoholPercent, soapMlPerL },
})
const plan = smallPlan([smallStep('float'), smallStep('tack')], {
  solutions: [solution('slip', 0, 1.3), solution('tack', 10, 0)],
})
const state = (...bottles: readonly Omit<SmallEvent, 'kind' | 'stepId'>[]): Fitting =>
  smallFit(
    plan,
    ...bottles.map((bottle) => ({
      kind: 'bottleTaken',
      stepId: 'float',
      batchId: null,
      batchNumber: '0412.1-1',
      says: say`strong tack`,
      asPlanned: false,
      ...bottle,
    })),
  )
const air = { temperatureC: 20, humidityPercent: 50 }
const practice = practiceWith()
const at = (time: string) => new Date(`2030-05-01T${time}:00Z`)
const words = (problem: 'grabbed too early' | 'will not grab', of: Fitting, now: typeof air, time: string) =>
  english(grabWords(problem, of, now, practice, at(time)) ?? nothing)

test('the bottle in hand explains it before the planned one does', () => {
  const taken = { use: 'slip', alcoholPercent: 17.5, soapMlPerL: 0 }
  expect(words('grabbed too early', state(taken), air, '09:01')).toContain('17.5 %')
})
test('film that has floated too long is to be wetted again', () => {
  expect(words('grabbed too early', state(), air, '09:20')).toMatch(/20 min(utes)? since it was wet/)
})
test('a cold part will not grab; where all is usual it says so; other troubles say nothing', () => {
  expect(words('will not grab', state(), { ...air, temperatureC: 8 }, '09:01')).toContain('8 °C')
  expect(words('will not grab', state(), air, '09:01')).toContain('wax')
  expect(grabWords('crease', state(), air, practice, at('09:01'))).toBeNull()
})
