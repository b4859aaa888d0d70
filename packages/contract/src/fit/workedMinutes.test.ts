import { expect, test } from 'vitest'
import { smallFit, smallPlan, smallStep } from '../testing/index.ts'
import { workedSteps } from './workedMinutes.ts'

const wait = { label: { text: 'grab', with: [] }, leastMinutes: 20, kind: 'initialGrab', usualMinutes: 20, factor: 1 }
const plan = smallPlan([
  smallStep('wash', { minutes: 4, wait }),
  smallStep('lay', { minutes: 6 }),
  smallStep('look', { minutes: 2 }),
])
const done = (stepId: string, after: number) => ({ kind: 'stepDone', stepId, after })
const worked = (...events: Parameters<typeof smallFit> extends [unknown, ...infer R] ? R : never) =>
  workedSteps(smallFit(plan, ...events)).map(({ workedMinutes }) => workedMinutes)

test('each step against its plan; the wait after it is not work', () => {
  expect(worked(done('wash', 5), done('lay', 32), done('look', 35))).toEqual([5, 7, 3])
})
test('a step of which somebody was called away tells nothing', () => {
  expect(worked(done('wash', 5), done('lay', 32), done('look', 300))).toEqual([5, 7, null])
})
test('what was done before its wait was over took no time that tells', () => {
  expect(worked(done('wash', 5), done('lay', 20))).toEqual([5, null])
})
