import { english } from '@truelay/words'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { required } from '../result/index.ts'
import { type Grade, lensLight, type LightChoice, lightestShade, mostLight, plainLens, shadesOf } from './index.ts'

const faint: Grade = { name: 'Faint', transmission: 0.8 }
const smoke: Grade = { name: 'Smoke', transmission: 0.6 }
const dark: Grade = { name: 'Dark', transmission: 0.3 }
const grades = [dark, faint, smoke]
const asked = (film: Grade, choice: Partial<LightChoice>) => ({
  film,
  choice: { ...plainLens, ...choice },
  grades,
  leastAlone: 0.5,
})
const said = (film: Grade, choice: Partial<LightChoice>) => english(required(lensLight(asked(film, choice))).left)

const share = fc.double({ min: 0.05, max: 1, noNaN: true })
const anyGrades = fc.array(fc.record({ name: fc.constantFrom('Faint', 'Smoke'), transmission: share }), {
  maxLength: 5,
})

describe('light behind a lens', () => {
  test('lens and layers multiply, and both are said', () => {
    const light = required(lensLight(asked(smoke, { lensShare: 0.5, layers: 2 })))
    expect(light.outputRatio).toBeCloseTo(0.5 * 0.6 * 0.6, 12)
    expect(english(light.words)).toMatch(
      /^The lens itself lets 50 % through\. Film in 2 layers\. 18 % of the light is left/,
    )
    expect(said(smoke, {})).not.toMatch(/lens itself|layers/)
  })
  test.each([
    ['nothing wished', smoke, {}, /about 77 % as far\.$/],
    ['as wished', smoke, { mostShare: 0.62 }, /As dark as wished, 62 % at most, and the lightest that is\.$/],
    [
      'too light',
      faint,
      { mostShare: 0.62 },
      /Lighter than wished, 62 % at most: Smoke, 60 %, is the lightest that is dark enough\.$/,
    ],
    [
      'darker than need be',
      dark,
      { mostShare: 0.62 },
      /Darker than it need be for 62 % at most: Smoke, 60 %, is dark enough\.$/,
    ],
    ['layers of a lighter one', dark, { mostShare: 0.55 }, /Faint in 3 layers, 51 %, is dark enough/],
    ['nothing so dark', faint, { mostShare: 0.02 }, /no film at hand is darker\.$/],
    [
      'alone, and too dark',
      dark,
      { otherLamps: false },
      /No other lamp shines beside it: 50 % at least is kept then\.$/,
    ],
    [
      'alone, wish raised',
      smoke,
      { otherLamps: false, mostShare: 0.2 },
      /Lighter than wished, 50 % at most: Smoke in 2 layers, 36 %, is the lightest that is dark enough\.$/,
    ],
  ] as const)('%s', (_, film, choice, words) => {
    expect(said(film, choice)).toMatch(words)
  })
  test('a lens or film that cannot be is refused', () => {
    const light = lensLight(asked({ name: 'Wrong', transmission: 0 }, {}))
    expect(light.ok ? 'fine' : light.failure.code).toBe('LIGHT_OUT_OF_RANGE')
  })
})

describe('the lightest shade', () => {
  test('is as dark as wished, and nothing at hand that is leaves more light', () => {
    fc.assert(
      fc.property(anyGrades, share, share, fc.boolean(), (at, lensShare, mostShare, otherLamps) => {
        const choice: LightChoice = { lensShare, layers: 1, mostShare, otherLamps }
        const found = lightestShade({ choice, grades: at, leastAlone: 0.5 })
        const most = mostLight(choice, 0.5) ?? 1
        const enough = shadesOf(at, lensShare).filter((shade) => shade.outputRatio <= most)
        if (found === null) expect(enough).toEqual([])
        else {
          expect(found.outputRatio).toBeLessThanOrEqual(most + 1e-9)
          expect(Math.max(...enough.map((shade) => shade.outputRatio), 0)).toBeLessThanOrEqual(found.outputRatio + 1e-9)
        }
      }),
    )
  })
  test('a lamp alone is never wished darker than it may be; a wish for more light stands', () => {
    expect(mostLight({ mostShare: 0.3, otherLamps: false }, 0.5)).toBe(0.5)
    expect(mostLight({ mostShare: 0.7, otherLamps: false }, 0.5)).toBe(0.7)
    expect(mostLight({ mostShare: 0.3, otherLamps: true }, 0.5)).toBe(0.3)
    expect(mostLight({ mostShare: null, otherLamps: false }, 0.5)).toBeNull()
  })
})
