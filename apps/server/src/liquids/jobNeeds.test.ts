import { expect, test } from 'vitest'
import { addUp } from './jobNeeds.ts'

const shop = { stockAlcoholPercent: 70, practice: {} }
const strip = {
  slipMl: 18,
  tackMl: 6,
  solutions: [
    { use: 'slip', school: 'light slip', needMl: 18 },
    { use: 'tack', school: 'weak tack', needMl: 6 },
  ],
} as const
const volumeMl = (needs: readonly { readonly ml: number }[]) => needs.reduce((sum, { ml }) => sum + ml, 0)
const strips = (count: number) => Array.from({ length: count }, () => strip)

test('small parts of one job take from one bottle each way, not from one that is rounded up for each', () => {
  const { slipMl, tackMl, needs } = addUp(strips(12), shop)
  expect([slipMl, tackMl]).toEqual([216, 72])
  // 216 mL and a little more in 250 mL, 72 mL in 100 mL: 350 mL, where a bottle each would be 24 times 50 mL.
  expect(volumeMl(needs)).toBeGreaterThan(345)
  expect(volumeMl(needs)).toBeLessThan(355)
})
test.each([1, 2, 3, 7, 30])(
  '%i of them take at least what lies on them, and no more than a bottle for each',
  (count) => {
    const { slipMl, tackMl, needs } = addUp(strips(count), shop)
    expect(volumeMl(needs)).toBeGreaterThanOrEqual(slipMl + tackMl)
    expect(volumeMl(needs)).toBeLessThanOrEqual(count * volumeMl(addUp(strips(1), shop).needs))
  },
)
test('what floats and what is of another strength is mixed by itself', () => {
  const dry = { slipMl: 0, tackMl: 0, solutions: [] }
  const strong = { slipMl: 0, tackMl: 40, solutions: [{ use: 'tack', school: 'strong tack', needMl: 40 }] } as const
  expect(addUp([dry], shop).needs).toEqual([])
  const apart = addUp([strip, strong, dry], shop).needs
  expect(volumeMl(apart)).toBeCloseTo(volumeMl(addUp([strip], shop).needs) + volumeMl(addUp([strong], shop).needs), 6)
  expect(apart.map(({ what }) => what)).toEqual(expect.arrayContaining(['water', 'alcohol stock', 'soap']))
})
