import { english } from '@truelay/words'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  type Addition,
  handyVolumeMl,
  liquidNeed,
  mixBatch,
  mixByParts,
  recipeOf,
  recipes,
  repairBatch,
  strengthWords,
} from './index.ts'

const ml = (add: readonly Addition[], what: string) => add.find((a) => a.what === what)?.ml ?? 0
const amount = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true })

describe('a batch from stock', () => {
  test('one litre of 10 % from 70 %', () => {
    const batch = mixBatch({ target: { alcoholPercent: 10 }, stock: { alcoholPercent: 70 }, batchMl: 1000 })
    if (!batch.ok) throw new Error(english(batch.failure.sentence))
    expect(ml(batch.value.add, 'alcohol stock')).toBeCloseTo(142.857, 3)
    expect(ml(batch.value.add, 'water')).toBeCloseTo(857.143, 3)
  })
  test('what is poured always gives the target, to 0.05 mL', () => {
    fc.assert(
      fc.property(
        amount(0, 60),
        amount(0, 15),
        amount(61, 99),
        amount(50, 5000),
        (alcoholPercent, soapMlPerL, stockPercent, batchMl) => {
          const batch = mixBatch({
            target: { alcoholPercent, soapMlPerL },
            stock: { alcoholPercent: stockPercent },
            batchMl,
          })
          if (!batch.ok) throw new Error(english(batch.failure.sentence))
          const { add } = batch.value
          expect(ml(add, 'water') + ml(add, 'alcohol stock') + ml(add, 'soap')).toBeCloseTo(batchMl, 3)
          expect(
            Math.abs((ml(add, 'alcohol stock') * stockPercent) / 100 - (batchMl * alcoholPercent) / 100),
          ).toBeLessThan(0.05)
          expect(Math.abs(ml(add, 'soap') - (batchMl * soapMlPerL) / 1000)).toBeLessThan(0.05)
        },
      ),
    )
  })
  test('strong tack is flagged for lenses, weak tack is not', () => {
    const warnings = (alcoholPercent: number) => {
      const batch = mixBatch({ target: { alcoholPercent }, stock: { alcoholPercent: 70 }, batchMl: 500 })
      return batch.ok ? batch.value.warnings.map(english).join(' ') : ''
    }
    expect(warnings(25)).toContain('lenses')
    expect(warnings(10)).not.toContain('lenses')
    expect(warnings(10)).toContain('vapour')
  })
  test.each([
    [
      'a target above the stock',
      { target: { alcoholPercent: 80 }, stock: { alcoholPercent: 70 }, batchMl: 500 },
      'MIX_TARGET_ABOVE_STOCK',
    ],
    ['no stock', { target: { alcoholPercent: 10 }, stock: {}, batchMl: 500 }, 'MIX_NO_STOCK'],
    [
      'a negative volume',
      { target: { alcoholPercent: 10 }, stock: { alcoholPercent: 70 }, batchMl: -5 },
      'MIX_OUT_OF_RANGE',
    ],
    [
      'a negative strength',
      { target: { alcoholPercent: -1 }, stock: { alcoholPercent: 70 }, batchMl: 500 },
      'MIX_OUT_OF_RANGE',
    ],
    [
      'nothing that is a number',
      { target: { alcoholPercent: Number.NaN }, stock: { alcoholPercent: 70 }, batchMl: 500 },
      'MIX_OUT_OF_RANGE',
    ],
  ])('%s is refused', (_, request, code) => {
    const batch = mixBatch(request)
    expect(batch.ok ? 'fine' : batch.failure.code).toBe(code)
  })
})

test('soap beside a stock that is as strong as the target has no room, and that is said', () => {
  const batch = mixBatch({
    target: { alcoholPercent: 70, soapMlPerL: 1 },
    stock: { alcoholPercent: 70 },
    batchMl: 1000,
  })
  expect(batch.ok ? 'fine' : english(batch.failure.sentence)).toBe(
    'The soap takes room: with it this stock makes at most 69.93 %.',
  )
  expect(
    mixBatch({ target: { alcoholPercent: 69.93, soapMlPerL: 1 }, stock: { alcoholPercent: 70 }, batchMl: 1000 }),
  ).toMatchObject({ ok: true })
})

describe('repair of a wrong batch', () => {
  test('twice as strong as wanted in a bottle with room: water only', () => {
    const repair = repairBatch({
      have: { volumeMl: 400, alcoholPercent: 20 },
      target: { alcoholPercent: 10 },
      stock: { alcoholPercent: 70 },
      bottleMl: 1000,
    })
    if (!repair.ok) throw new Error(english(repair.failure.sentence))
    expect(repair.value).toMatchObject({ pourOffMl: 0, finalMl: 800 })
    expect(ml(repair.value.add, 'water')).toBeCloseTo(400, 6)
  })
  test('too strong for the stock at hand: water is all it needs', () => {
    const repair = repairBatch({
      have: { volumeMl: 400, alcoholPercent: 90 },
      target: { alcoholPercent: 80 },
      stock: { alcoholPercent: 70 },
      bottleMl: 1000,
    })
    if (!repair.ok) throw new Error(english(repair.failure.sentence))
    expect(repair.value).toMatchObject({ pourOffMl: 0, finalMl: 450, add: [{ what: 'water' }] })
    expect(repair.value.strength.alcoholPercent).toBeCloseTo(80, 9)
  })
  test('soap alone is put right without any stock of alcohol, and alcohol counts as pure where none is named', () => {
    const soapy = repairBatch({
      have: { volumeMl: 500, soapMlPerL: 2 },
      target: { soapMlPerL: 4 },
      stock: {},
      bottleMl: 1000,
    })
    if (!soapy.ok) throw new Error(english(soapy.failure.sentence))
    expect(soapy.value.pourOffMl).toBe(0)
    expect(soapy.value.add.map((a) => a.what)).toEqual(['soap'])
    expect(soapy.value.strength.soapMlPerL).toBeCloseTo(4, 9)
    const strong = repairBatch({
      have: { volumeMl: 500, alcoholPercent: 10 },
      target: { alcoholPercent: 20 },
      stock: { alcoholPercent: 100 },
      bottleMl: 1000,
    })
    if (!strong.ok) throw new Error(english(strong.failure.sentence))
    // 50 mL are in it; x more make a fifth of 500 + x: x = 62.5.
    expect(strong.value.finalMl).toBeCloseTo(562.5, 6)
    const none = repairBatch({
      have: { volumeMl: 500, alcoholPercent: 10 },
      target: { alcoholPercent: 20 },
      stock: {},
      bottleMl: 1000,
    })
    expect(none.ok ? 'fine' : none.failure.code).toBe('MIX_NO_STOCK')
  })
  test('as strong as its stock already: nothing is needed', () => {
    const repair = repairBatch({
      have: { volumeMl: 400, alcoholPercent: 70 },
      target: { alcoholPercent: 70 },
      stock: { alcoholPercent: 70 },
      bottleMl: 500,
    })
    expect(repair).toMatchObject({ ok: true, value: { finalMl: 400, add: [] } })
  })
  test('reaches the target, fits the bottle, and pours off no more than it must', () => {
    fc.assert(
      fc.property(
        amount(100, 1000),
        amount(0, 40),
        amount(0.5, 12),
        amount(2, 30),
        amount(0.5, 10),
        amount(1, 2),
        (volumeMl, alcohol, soap, wantAlcohol, wantSoap, room) => {
          const bottleMl = volumeMl * room
          const repair = repairBatch({
            have: { volumeMl, alcoholPercent: alcohol, soapMlPerL: soap },
            target: { alcoholPercent: wantAlcohol, soapMlPerL: wantSoap },
            stock: { alcoholPercent: 91 },
            bottleMl,
          })
          if (!repair.ok) throw new Error(english(repair.failure.sentence))
          const { pourOffMl, finalMl, add, strength } = repair.value
          expect(finalMl).toBeLessThanOrEqual(bottleMl + 1e-6)
          expect(strength.alcoholPercent).toBeCloseTo(wantAlcohol, 6)
          expect(strength.soapMlPerL).toBeCloseTo(wantSoap, 6)
          expect(pourOffMl).toBeGreaterThanOrEqual(-1e-9)
          for (const { ml: added } of add) expect(added).toBeGreaterThanOrEqual(0)
          const kept = volumeMl - pourOffMl
          expect(kept + add.reduce((sum, a) => sum + a.ml, 0)).toBeCloseTo(finalMl, 6)
          if (pourOffMl > 1e-6) expect(finalMl).toBeCloseTo(bottleMl, 6)
        },
      ),
    )
  })
  test.each([
    [
      'soap where none is wanted',
      { have: { volumeMl: 300, soapMlPerL: 2 }, target: { soapMlPerL: 0 }, stock: {}, bottleMl: 500 },
      'MIX_BEYOND_REPAIR',
    ],
    [
      'more than the bottle holds',
      { have: { volumeMl: 600 }, target: { alcoholPercent: 10 }, stock: { alcoholPercent: 70 }, bottleMl: 500 },
      'MIX_OVERFULL',
    ],
    [
      'a target above the stock',
      { have: { volumeMl: 100 }, target: { alcoholPercent: 80 }, stock: { alcoholPercent: 70 }, bottleMl: 500 },
      'MIX_TARGET_ABOVE_STOCK',
    ],
    [
      'a weak batch that shall be as strong as its stock',
      {
        have: { volumeMl: 400, alcoholPercent: 10 },
        target: { alcoholPercent: 70 },
        stock: { alcoholPercent: 70 },
        bottleMl: 500,
      },
      'MIX_NEVER_REACHED',
    ],
  ])('%s is refused', (_, request, code) => {
    const repair = repairBatch(request)
    expect(repair.ok ? 'fine' : repair.failure.code).toBe(code)
  })
})

test('need grows with area and edge, and bottles are handy', () => {
  const need = liquidNeed(2e6, 4000)
  expect(need.slipMl).toBe(1800)
  expect(need.tackMl).toBe(460)
  expect([0, 12, 50, 430, 501].map(handyVolumeMl)).toEqual([0, 50, 50, 450, 600])
})

test('every school of liquids has one recipe', () => {
  expect(new Set(recipes.map((r) => r.school)).size).toBe(9)
})

test('a maker’s fluid is mixed by parts, and says whose instructions count', () => {
  const { parts } = recipeOf('single fluid')
  const batch = mixByParts({ parts: parts ?? [], batchMl: 900 })
  if (!batch.ok) throw new Error(english(batch.failure.sentence))
  expect(batch.value.add).toEqual([
    { what: 'water', ml: 600 },
    { what: 'activator concentrate', ml: 300 },
  ])
  expect(batch.value.warnings).toSay('instructions')
  expect(mixByParts({ parts: [{ what: 'water', parts: 0 }], batchMl: 900 }).ok).toBe(false)
})

test('a strength as it stands on a bottle', () => {
  expect(english(strengthWords({ alcoholPercent: 10, soapMlPerL: 0 }))).toBe('10 % alcohol')
  expect(english(strengthWords({ alcoholPercent: 0, soapMlPerL: 1.3 }))).toBe('1.3 mL/L soap')
  expect(english(strengthWords({ alcoholPercent: 15, soapMlPerL: 2 }))).toBe('15 % alcohol, 2 mL/L soap')
  expect(english(strengthWords({ alcoholPercent: 0, soapMlPerL: 0 }))).toBe('no alcohol, no soap')
})
