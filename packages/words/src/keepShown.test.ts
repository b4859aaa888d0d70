import { counted, length, name, say, temperature } from '@truelay/core/say'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { english, isSentence, keepShown, wordsIn } from './index.ts'

const inches = wordsIn({ units: { length: 'in', temperature: 'F', volume: 'fl oz' } })
const lift = say`Lift ${length(25.4)} at ${name('rear edge')}.`

describe('what is kept says what was shown', () => {
  test('a sentence keeps its data, and beside it how it read', () => {
    expect(keepShown(lift, english)).toEqual({ ...lift, shown: 'Lift 25.4 mm at rear edge.' })
    expect(keepShown(lift, inches)).toEqual({ ...lift, shown: 'Lift 1.00 in at rear edge.' })
  })
  test('wherever it stands in a document', () => {
    const plan = {
      name: 'Bonnet',
      steps: [
        { headline: lift, cautions: [{ about: 'heat', says: say`Damage from ${temperature(112)}.` }], minutes: 2 },
      ],
      order: null,
    }
    const kept = keepShown(plan, english)
    expect(kept.steps[0]?.headline.shown).toBe('Lift 25.4 mm at rear edge.')
    expect(kept.steps[0]?.cautions[0]?.says.shown).toBe('Damage from 112 °C.')
    expect(kept).toMatchObject({ name: 'Bonnet', order: null, steps: [{ minutes: 2 }] })
  })
  test('the document itself is left as it was', () => {
    const plan = { headline: lift }
    keepShown(plan, english)
    expect(plan.headline).toBe(lift)
    expect(lift.shown).toBeUndefined()
  })
  test('kept again in another shop it says what is shown there', () => {
    expect(keepShown(keepShown(lift, english), inches).shown).toBe('Lift 1.00 in at rear edge.')
  })
  test('a sentence within a sentence is told as one', () => {
    const whole = say`First: ${lift}`
    expect(keepShown(whole, english).shown).toBe('First: Lift 25.4 mm at rear edge.')
  })
  test('what holds no sentence comes out as it went in', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        fc.pre(!JSON.stringify(value).includes('"with"'))
        expect(keepShown(value, english)).toEqual(value)
      }),
    )
  })
  test('words that agree with a count agree in what was shown', () => {
    const corners = (n: number) => keepShown(say`${counted(n, '# corner', '# corners')}`, english).shown
    expect([1, 2].map(corners)).toEqual(['1 corner', '2 corners'])
  })
})

test.each<[object, boolean]>([
  [lift, true],
  [{ text: 'x', with: [] }, true],
  [{ text: 'x' }, false],
  [{ text: 7, with: [] }, false],
  [{ text: 'x', with: 'y' }, false],
  [[], false],
  [{}, false],
])('%j is a sentence: %s', (value, is) => {
  expect(isSentence(value)).toBe(is)
})
