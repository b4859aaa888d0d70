import { say } from '@truelay/core/say'
import { practiceWith } from '@truelay/core/practice'
import { expect, test } from 'vitest'
import { waitInAir, waitSet, worthSetting } from './waitInAir.ts'

const practice = practiceWith()
const grab = {
  wait: {
    label: say`grab`,
    leastMinutes: 20,
    kind: 'initialGrab' as const,
    usualMinutes: 20,
    factor: 1,
    alcoholPercent: 10,
  },
}
const air = (temperatureC: number, humidityPercent: number) => ({ temperatureC, humidityPercent })

test('a wait follows the air and what was learned; answers are held against what was said without it', () => {
  expect(waitInAir(grab, air(20, 50), practice, {})?.minutes).toBeCloseTo(20, 6)
  expect(waitInAir(grab, air(12, 85), practice, {})?.minutes).toBeGreaterThan(40)
  const learned = waitInAir(grab, air(20, 50), practice, { initialGrab: 1.5 })
  expect(learned?.minutes).toBeCloseTo(30, 6)
  expect(learned?.saidMinutes).toBeCloseTo(20, 6)
})

test('a step without a wait, one that only cools, and air that cannot be: nothing', () => {
  expect(waitInAir({}, air(20, 50), practice, {})).toBeNull()
  expect(waitInAir(undefined, air(20, 50), practice, {})).toBeNull()
  const cool = {
    wait: { label: say`cool`, leastMinutes: 3, kind: 'coolBeforeCut' as const, usualMinutes: 3, factor: 1 },
  }
  expect(waitInAir(cool, air(20, 50), practice, {})).toBeNull()
  expect(waitInAir(grab, air(90, 50), practice, {})).toBeNull()
})

test('a flicker of the sensor sets no wait again', () => {
  expect(worthSetting(20, 20.4)).toBe(false)
  expect(worthSetting(20, 24)).toBe(true)
})

test('what goes into the log names the air and where it comes from', () => {
  const from = { ...air(12, 85), source: 'sensor' as const, at: '2030-05-01T09:00:00Z', sensor: null, settled: true }
  expect(waitSet('grab', 42, from)).toEqual({
    kind: 'waitSet',
    stepId: 'grab',
    minutes: 42,
    roomC: 12,
    humidityPercent: 85,
    source: 'sensor',
  })
})
