import { nothing, verbatim } from '../say/index.ts'
import { english, wordsIn } from '@truelay/words'
import { required as must } from '../result/index.ts'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  bottleInHand,
  closestTo,
  isAlike,
  learnUse,
  measureBatch,
  measureDefaults,
  mixBatch,
  outlook,
  pourOf,
  pourWords,
  topUp,
  waterWarning,
  whatIsIt,
} from './index.ts'

const amount = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true })

describe('measuring', () => {
  test('big volumes by cylinder, small ones by syringe', () => {
    expect(pourOf('water', 857.143)).toMatchObject({ ml: 857, tool: 'cylinder', timesFull: 8, restMl: 57 })
    expect(pourOf('soap', 1.34)).toMatchObject({ ml: 1.3, tool: 'syringe', timesFull: 0, restMl: 1.3 })
    expect(pourOf('soap', 12.04)).toMatchObject({ ml: 12, tool: 'syringe', timesFull: 2, restMl: 2 })
    expect(english(pourWords(pourOf('water', 857.143)))).toBe('8 full cylinders (100 mL each) and 57 mL')
    expect(english(pourWords(pourOf('soap', 1.34)))).toBe('syringe to 1.3 mL')
    expect(english(pourWords(pourOf('water', 100)))).toBe('one full cylinder (100 mL)')
    // Steps finer than a tenth are read as they are marked.
    expect(english(pourWords(pourOf('soap', 1.26, { ...measureDefaults, syringeStepMl: 0.05 })))).toBe(
      'syringe to 1.25 mL',
    )
  })
  test('is read off the tool, also where volumes are told in fluid ounces', () => {
    const inOunces = wordsIn({ units: { length: 'in', temperature: 'F', volume: 'fl oz' } })
    expect(inOunces(pourWords(pourOf('water', 811)))).toBe('8 full cylinders (100 mL each) and 11 mL')
  })
  test('what results from the rounded pours is said, and is close to what was wanted', () => {
    fc.assert(
      fc.property(amount(5, 20), amount(1, 10), amount(300, 2000), (alcoholPercent, soapMlPerL, batchMl) => {
        const stock = { alcoholPercent: 70 }
        const batch = must(mixBatch({ target: { alcoholPercent, soapMlPerL }, stock, batchMl }))
        const measured = measureBatch(batch.add, stock)
        const alcohol = measured.pours.find((p) => p.what === 'alcohol stock')?.ml ?? 0
        expect(measured.strength.alcoholPercent).toBeCloseTo((alcohol * 70) / measured.totalMl, 9)
        expect(Math.abs(measured.strength.alcoholPercent / alcoholPercent - 1)).toBeLessThan(0.03)
        for (const pour of measured.pours)
          expect(Math.abs(pour.ml - pour.exactMl)).toBeLessThanOrEqual(pour.tool === 'syringe' ? 0.0501 : 0.501)
      }),
    )
  })
  test('soap too little for the syringe is said', () => {
    const batch = must(mixBatch({ target: { soapMlPerL: 1.3 }, stock: {}, batchMl: 100 }))
    expect(measureBatch(batch.add, {}).warnings.map(english).join()).toMatch(
      /0\.13 mL of soap is too little.* mix 400 mL/,
    )
  })
})

describe('what is in the bottle', () => {
  test('is what went in', () => {
    const is = must(whatIsIt({ waterMl: 750, alcoholStockMl: 250, soapMl: 0 }, { alcoholPercent: 70 }))
    expect(is).toMatchObject({ volumeMl: 1000, strength: { alcoholPercent: 17.5, soapMlPerL: 0 } })
  })
  test('is the reverse of mixing', () => {
    fc.assert(
      fc.property(amount(0.5, 40), amount(0.1, 12), (alcoholPercent, soapMlPerL) => {
        const stock = { alcoholPercent: 91 }
        const { add } = must(mixBatch({ target: { alcoholPercent, soapMlPerL }, stock, batchMl: 1000 }))
        const of = (what: string) => add.find((a) => a.what === what)?.ml ?? 0
        const is = must(
          whatIsIt({ waterMl: of('water'), alcoholStockMl: of('alcohol stock'), soapMl: of('soap') }, stock),
        )
        expect(is.strength.alcoholPercent).toBeCloseTo(alcoholPercent, 6)
        expect(is.strength.soapMlPerL).toBeCloseTo(soapMlPerL, 6)
      }),
    )
  })
  test.each([
    ['nothing', { waterMl: 0, alcoholStockMl: 0, soapMl: 0 }, 'MIX_NOTHING_IN'],
    ['less than nothing', { waterMl: -5, alcoholStockMl: 0, soapMl: 0 }, 'MIX_OUT_OF_RANGE'],
    ['alcohol of unknown strength', { waterMl: 5, alcoholStockMl: 5, soapMl: 0 }, 'MIX_NO_STOCK'],
  ])('%s is refused', (_, put, code) => {
    const result = whatIsIt(put, {})
    expect(result.ok ? 'fine' : result.failure.code).toBe(code)
  })
  test('the closest of the shop’s own is named, and a near miss may stand in', () => {
    const named = [
      { name: 'weak tack', strength: { alcoholPercent: 10, soapMlPerL: 0 } },
      { name: 'light slip', strength: { alcoholPercent: 0, soapMlPerL: 1.3 } },
    ]
    expect(closestTo({ alcoholPercent: 12, soapMlPerL: 0 }, named)?.name).toBe('weak tack')
    expect(closestTo({ alcoholPercent: 0, soapMlPerL: 5 }, named)?.name).toBe('light slip')
    expect(closestTo({ alcoholPercent: 0, soapMlPerL: 5 }, [])).toBeNull()
    expect(isAlike({ alcoholPercent: 11, soapMlPerL: 0 }, { alcoholPercent: 10, soapMlPerL: 0 })).toBe(true)
    expect(isAlike({ alcoholPercent: 17, soapMlPerL: 0 }, { alcoholPercent: 10, soapMlPerL: 0 })).toBe(false)
    expect(isAlike({ alcoholPercent: 0, soapMlPerL: 8 }, { alcoholPercent: 0, soapMlPerL: 1.3 })).toBe(false)
  })
})

describe('topping up', () => {
  test('whatever is added, the target results and the bottle holds what was wanted', () => {
    fc.assert(
      fc.property(
        amount(50, 500),
        amount(0, 20),
        amount(0, 5),
        amount(0, 20),
        amount(0, 5),
        (volumeMl, a, s, wantA, wantS) => {
          const topped = topUp({
            have: { volumeMl, alcoholPercent: a, soapMlPerL: s },
            target: { alcoholPercent: wantA, soapMlPerL: wantS },
            stock: { alcoholPercent: 91 },
            finalMl: 1000,
          })
          const cannot = (volumeMl * a) / 1000 > wantA + 1e-9 || (volumeMl * s) / 1000 > wantS + 1e-9
          expect(topped.ok).toBe(!cannot)
          if (!topped.ok) return
          const of = (what: string) => topped.value.add.find((x) => x.what === what)?.ml ?? 0
          expect(volumeMl + of('water') + of('alcohol stock') + of('soap')).toBeCloseTo(1000, 4)
          expect((volumeMl * a + of('alcohol stock') * 91) / 1000).toBeCloseTo(wantA, 4)
          expect((volumeMl * s + of('soap') * 1000) / 1000).toBeCloseTo(wantS, 3)
        },
      ),
    )
  })
  test('too strong a rest is refused with its number', () => {
    const topped = topUp({
      have: { volumeMl: 600, alcoholPercent: 40, soapMlPerL: 0 },
      target: { alcoholPercent: 10, soapMlPerL: 0 },
      stock: { alcoholPercent: 70 },
      finalMl: 1000,
    })
    expect(topped.ok ? '' : english(topped.failure.sentence)).toContain('24 %')
  })
  test('a bottle smaller than what is in it is refused', () => {
    const have = { volumeMl: 600, alcoholPercent: 0, soapMlPerL: 0 }
    const topped = topUp({ have, target: { alcoholPercent: 0, soapMlPerL: 0 }, stock: {}, finalMl: 500 })
    expect(topped.ok ? 'fine' : topped.failure.code).toBe('MIX_OVERFULL')
  })
})

describe('the bottle in hand', () => {
  const bottle = (says: string, alcoholPercent: number, soapMlPerL: number) => ({
    says: verbatim(says),
    strength: { alcoholPercent, soapMlPerL },
  })
  const weak = bottle('weak tack', 10, 0)
  const slip = bottle('light slip', 0, 1.3)
  test('the planned one, or one close to it, is taken without a word', () => {
    expect(bottleInHand(weak, weak, false)).toEqual({ asPlanned: true, warning: null, never: false })
    expect(bottleInHand(bottle('weak tack', 11, 0), weak, true).asPlanned).toBe(true)
  })
  test.each([
    ['strong for weak', bottle('strong tack', 17.5, 0), weak, 'grabs sooner'],
    ['slip for tack', slip, weak, 'does not flush'],
    ['tack for slip', weak, slip, 'Less soap'],
    ['heavy for light', bottle('heavy slip', 0, 8), slip, 'slides longer'],
  ])('%s: says what it is, what was planned, and what comes of it', (_, taken, planned, says) => {
    const verdict = bottleInHand(taken, planned, true)
    expect(verdict.asPlanned).toBe(false)
    const warning = english(verdict.warning ?? nothing)
    expect(warning).toContain(`This is ${english(taken.says)}`)
    expect(warning).toContain(`planned is ${english(planned.says)}`)
    expect(warning).toContain(says)
  })
  test('strong alcohol never on a lens, even where it was planned', () => {
    const strong = bottle('own', 30, 0)
    expect(bottleInHand(strong, weak, false)).toMatchObject({ never: true, asPlanned: false })
    expect(english(bottleInHand(strong, strong, false).warning ?? nothing)).toContain('crazes')
    expect(bottleInHand(strong, weak, true).never).toBe(false)
  })
})

describe('use and shelf', () => {
  test('a shop that uses twice as much is learned, slowly at first', () => {
    const uses = (count: number) => Array.from({ length: count }, () => ({ neededMl: 400, usedMl: 800 }))
    expect(learnUse([]).factor).toBe(1)
    expect(learnUse(uses(1)).factor).toBeGreaterThan(1.2)
    expect(learnUse(uses(1)).factor).toBeLessThan(2)
    expect(learnUse(uses(60)).factor).toBeCloseTo(2, 1)
    expect(learnUse(uses(20)).sigma).toBeLessThan(learnUse(uses(1)).sigma)
  })
  test('the shelf says at which job it runs out', () => {
    const [alcohol, soap] = outlook(
      [
        { what: 'alcohol stock', leftMl: 300 },
        { what: 'soap', leftMl: 50 },
      ],
      [
        { job: '0412', needs: [{ what: 'alcohol stock', ml: 200 }] },
        {
          job: '0413',
          needs: [
            { what: 'alcohol stock', ml: 150 },
            { what: 'soap', ml: 3 },
          ],
        },
      ],
    )
    expect(alcohol).toEqual({ what: 'alcohol stock', leftMl: 300, neededMl: 350, afterMl: -50, runsOutAt: '0413' })
    expect(soap).toMatchObject({ afterMl: 47, runsOutAt: null })
  })
  test('hard water is warned of, distilled is not', () => {
    expect(waterWarning('distilled', 1.3)).toBeNull()
    expect(english(waterWarning('hard tap', 1.3) ?? nothing)).toContain('binds soap')
    expect(english(waterWarning('hard tap', 0) ?? nothing)).toContain('spots')
  })
})
