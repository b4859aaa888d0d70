import { english } from '@truelay/words'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { required } from '../result/index.ts'
import { type Grade, lensLight, type LightChoice, plainLens, shadesOf, shadeToTake } from './index.ts'

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
      'alone, wished darker than it keeps',
      dark,
      { otherLamps: false, mostShare: 0.2 },
      /Wished is 20 % at most; Faint in 3 layers, 51 %, is as dark as a lamp alone is made\. No other lamp shines beside it: 50 % at least is kept then\.$/,
    ],
  ] as const)('%s', (_, film, choice, words) => {
    expect(said(film, choice)).toMatch(words)
  })
  test('a lamp alone for which no film at hand leaves enough is told so, and none is named', () => {
    const only = { ...asked(dark, { otherLamps: false, mostShare: 0.4 }), grades: [dark] }
    expect(english(required(lensLight(only)).left)).toMatch(
      /As dark as wished, 40 % at most\. .* 50 % at least is kept then, and no film at hand leaves so much\.$/,
    )
  })
  test('a lens or film that cannot be is refused', () => {
    const light = lensLight(asked({ name: 'Wrong', transmission: 0 }, {}))
    expect(light.ok ? 'fine' : light.failure.code).toBe('LIGHT_OUT_OF_RANGE')
  })
})

describe('the shade to take', () => {
  test('is as dark as wished, and nothing at hand that is leaves more light', () => {
    fc.assert(
      fc.property(anyGrades, share, share, (at, lensShare, mostShare) => {
        const choice: LightChoice = { lensShare, layers: 1, mostShare, otherLamps: true }
        const found = shadeToTake({ choice, grades: at, leastAlone: 0.5 })
        const enough = shadesOf(at, lensShare).filter((shade) => shade.outputRatio <= mostShare)
        if (found === null) expect(enough).toEqual([])
        else {
          expect(found.outputRatio).toBeLessThanOrEqual(mostShare + 1e-9)
          expect(Math.max(...enough.map((shade) => shade.outputRatio), 0)).toBeLessThanOrEqual(found.outputRatio + 1e-9)
        }
      }),
    )
  })
  test('of a lamp alone never leaves less than such a lamp keeps, and is as near to the wish as that lets it be', () => {
    fc.assert(
      fc.property(anyGrades, share, share, (at, lensShare, mostShare) => {
        const choice: LightChoice = { lensShare, layers: 1, mostShare, otherLamps: false }
        const found = shadeToTake({ choice, grades: at, leastAlone: 0.5 })
        const kept = shadesOf(at, lensShare).filter((shade) => shade.outputRatio >= 0.5)
        if (found === null) expect(kept).toEqual([])
        else {
          expect(found.outputRatio).toBeGreaterThanOrEqual(0.5 - 1e-9)
          if (found.outputRatio > mostShare + 1e-9)
            expect(Math.min(...kept.map((shade) => shade.outputRatio))).toBeGreaterThanOrEqual(found.outputRatio - 1e-9)
        }
      }),
    )
  })
  test('nothing wished, nothing to take', () => {
    expect(shadeToTake({ choice: { ...plainLens, otherLamps: false }, grades, leastAlone: 0.5 })).toBeNull()
  })
})
