import { english } from '@truelay/words'
import { expect, test } from 'vitest'
import { nothing } from '../say/index.ts'
import { practiceKeys, practiceProblem, practiceTable, practiceWith } from './index.ts'

test.each(practiceKeys)('%s lies in its range and says why', (key) => {
  const { value, min, max, reason } = practiceTable[key]
  expect(min).toBeLessThan(max)
  expect(practiceProblem(key, value)).toBeNull()
  expect(english(reason).length).toBeGreaterThan(15)
})

test('a shop’s own figure takes the place of the default, and a wild one is named', () => {
  expect(practiceWith({ weakTackAlcohol: 9 }).weakTackAlcohol).toBe(9)
  expect(practiceWith().weakTackAlcohol).toBe(practiceTable.weakTackAlcohol.value)
  expect(english(practiceProblem('weakTackAlcohol', 95) ?? nothing)).toContain('95')
})
