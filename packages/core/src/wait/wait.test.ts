import { english } from '@truelay/words'
import { expect, test } from 'vitest'
import { practiceWith } from '../practice/index.ts'
import { bondAfter, type WaitKind, waitNow, waitOf } from './index.ts'

const kinds: WaitKind[] = ['initialGrab', 'beforeWrap', 'beforeTrim', 'coolBeforeCut', 'edgeLook', 'fullBond']

test.each(kinds)('%s has a length and a name', (kind) => {
  const wait = waitOf(kind, practiceWith())
  expect(wait.minutes).toBeGreaterThan(0)
  expect(english(wait.label).length).toBeGreaterThan(5)
})

test('the shop’s own figures count, and the order of the trade holds', () => {
  expect(waitOf('initialGrab', practiceWith({ waitInitialGrab: 35 })).minutes).toBe(35)
  const minutes = (kind: WaitKind) => waitOf(kind, practiceWith()).minutes
  expect(minutes('coolBeforeCut')).toBeLessThan(minutes('beforeTrim'))
  expect(minutes('edgeLook')).toBeLessThan(minutes('fullBond'))
  expect(minutes('fullBond')).toBe(72 * 60)
})

test('alcohol may be pure, and no more than that; below nothing it is none', () => {
  const wait = (alcoholPercent: number) =>
    waitNow({ kind: 'beforeTrim', roomC: 21, humidityPercent: 50, alcoholPercent }, practiceWith())
  expect(wait(0).ok).toBe(true)
  expect(wait(100).ok).toBe(true)
  for (const wrong of [100.5, -0.5, Number.NaN]) {
    const answer = wait(wrong)
    expect(answer.ok ? 'fine' : answer.failure.code).toBe('WAIT_OUT_OF_RANGE')
  }
})

test('bond begins at nothing, is a quarter at the first grab and 95 % at full bond, and only grows', () => {
  const practice = practiceWith()
  expect(bondAfter(0, practice)).toBe(0)
  expect(bondAfter(-5, practice)).toBe(0)
  expect(bondAfter(practice.waitInitialGrab, practice)).toBeCloseTo(0.25, 9)
  expect(bondAfter(practice.waitFullBond, practice)).toBeCloseTo(0.95, 9)
  let before = 0
  for (let minutes = 1; minutes < 2 * practice.waitFullBond; minutes *= 1.5) {
    const now = bondAfter(minutes, practice)
    expect(now).toBeGreaterThan(before)
    expect(now).toBeLessThan(1)
    before = now
  }
})
