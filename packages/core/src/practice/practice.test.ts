import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { nothing } from '../say/index.ts'
import { practiceChanged, practiceKeys, practiceProblem, practiceTable, practiceWith } from './index.ts'

describe.each(practiceKeys)('%s', (key) => {
  const { value, min, max, label, reason } = practiceTable[key]
  test('may be anything in its range, ends included, and nothing else', () => {
    for (const fine of [min, value, max]) {
      expect(practiceProblem(key, fine)).toBeNull()
      expect(practiceWith({ [key]: fine })[key]).toBe(fine)
    }
    for (const wild of [min - 1e-6 * Math.max(1, max), max * (1 + 1e-6), Number.NaN])
      expect(practiceProblem(key, wild)).toSay(english(label))
  })
  test('gives its reason, which is more than its name', () => {
    expect(reason).not.toSay(english(label))
    expect(english(reason)).toMatch(/[a-z].*\.$/)
  })
})

test('a shop’s own figure takes the place of the default, and a wild one is named', () => {
  expect(practiceWith({ weakTackAlcohol: 9 }).weakTackAlcohol).toBe(9)
  expect(practiceWith().weakTackAlcohol).toBe(practiceTable.weakTackAlcohol.value)
  expect(english(practiceProblem('weakTackAlcohol', 95) ?? nothing)).toContain('95')
})

test('a change of one figure leaves the others, and null goes back to the default', () => {
  const own = { weakTackAlcohol: 9, rollWidth: 900 }
  expect(practiceChanged(own, {})).toEqual(own)
  expect(practiceChanged(own, { rollWidth: 1200 })).toEqual({ ...own, rollWidth: 1200 })
  expect(practiceChanged(own, { rollWidth: null, wrapLeast: 10 })).toEqual({ weakTackAlcohol: 9, wrapLeast: 10 })
  expect(practiceChanged({}, { rollWidth: null })).toEqual({})
})

test.each(['heatSpread', 'tellingCold', 'tellingDegreesHot', 'tellingDegreesCold', 'tellingNearDamage'] as const)(
  '%s is a difference of temperatures, and told as one in every unit',
  (key) => expect(practiceTable[key].unit).toBe('K'),
)
