import { expect, test } from 'vitest'
import { practiceKeys, practiceProblem, practiceTable, practiceWith } from './index.ts'

test.each(practiceKeys)('%s lies in its range and says why', (key) => {
  const { value, min, max, reason } = practiceTable[key]
  expect(min).toBeLessThan(max)
  expect(practiceProblem(key, value)).toBeNull()
  expect(reason.length).toBeGreaterThan(15)
})

test('a shop’s own figure takes the place of the default, and a wild one is named', () => {
  expect(practiceWith({ take: 0.01 }).take).toBe(0.01)
  expect(practiceWith().take).toBe(practiceTable.take.value)
  expect(practiceProblem('take', 0.5)).toContain('0.5')
})
