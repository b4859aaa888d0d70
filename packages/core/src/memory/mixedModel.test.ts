import { randomNormal } from 'd3-random'
import { describe, expect, test } from 'vitest'
import { seededRandom } from '../numerics/index.ts'
import { type MixedData, mixedModel } from './mixedModel.ts'

interface Shop {
  readonly fits: number
  readonly pieces: number
  readonly bodies: number
  readonly hands: number
  readonly spreads: readonly [number, number, number]
  readonly noise: number
}

/** A made-up shop with known truths. */
function shopOf({ fits, pieces, bodies, hands, spreads, noise }: Shop, seed: number) {
  const random = seededRandom(seed)
  const normal = randomNormal.source(random)(0, 1)
  const truths = [pieces, bodies, hands].map((levels, f) =>
    Array.from({ length: levels }, () => spreads[f]! * normal()),
  )
  const of = [pieces, bodies, hands].map((levels) => Array.from({ length: fits }, () => Math.floor(random() * levels)))
  const sigma = Array.from({ length: fits }, () => 0.15 + 0.2 * random())
  const y = sigma.map((s, i) => truths.reduce((sum, t, f) => sum + t[of[f]![i]!]!, 0) + noise * normal() + s * normal())
  const data: MixedData = {
    y,
    sigma,
    factors: [pieces, bodies, hands].map((levels, f) => ({ of: of[f]!, levels, scale: [1.5, 1, 0.7][f]! })),
    noiseScale: 0.5,
    asked: truths.flatMap((t, factor) => t.map((_, level) => [{ factor, level }])),
    seed,
  }
  return { data, truths, flat: truths.flat() }
}
const usual: Shop = { fits: 40, pieces: 8, bodies: 12, hands: 3, spreads: [1.5, 0.8, 0.5], noise: 0.4 }

test('intervals hold what they promise: 90 % of truths in made-up shops', () => {
  let [inside, all] = [0, 0]
  for (let seed = 1; seed <= 24; seed++) {
    const { data, flat } = shopOf({ ...usual, fits: 30 + 5 * (seed % 8) }, seed)
    mixedModel(data).asked.forEach(({ low, high }, k) => {
      all++
      if (flat[k]! >= low && flat[k]! <= high) inside++
    })
  }
  expect(inside / all).toBeGreaterThan(0.87)
  expect(inside / all).toBeLessThan(0.93)
})

/** How far the estimates of a factor are from the truth, root of the mean square. */
function errorOf(shop: Shop, factor: number, seeds: number): number {
  let [squares, count] = [0, 0]
  for (let seed = 100; seed < 100 + seeds; seed++) {
    const { data, truths } = shopOf(shop, seed)
    const asked = truths[factor]!.map((_, level) => [{ factor: 0, level }])
    mixedModel({ ...data, factors: data.factors.slice(factor, factor + 1), asked }).asked.forEach(({ mean }, level) => {
      squares += (mean - truths[factor]![level]!) ** 2
      count++
    })
  }
  return Math.sqrt(squares / count)
}

test('the error falls as one over the root of the number of fits', () => {
  // Bodies and hands do not differ here, so that what is left is what averaging leaves.
  const shop: Shop = { ...usual, pieces: 4, bodies: 1, spreads: [1.5, 0.001, 0.001] }
  const few = errorOf({ ...shop, fits: 32 }, 0, 10)
  const many = errorOf({ ...shop, fits: 32 * 9 }, 0, 10)
  expect(few / many).toBeGreaterThan(2)
  expect(few / many).toBeLessThan(4.5)
})

describe('what an estimate does', () => {
  const pieceOf = (y: readonly number[], more: Partial<MixedData> = {}) =>
    mixedModel({
      y,
      sigma: y.map(() => 0.2),
      factors: [{ of: y.map(() => 0), levels: 1, scale: 1.5 }],
      noiseScale: 0.5,
      asked: [[{ factor: 0, level: 0 }]],
      ...more,
    }).asked[0]!

  test('one reading is pulled towards what is planned, many are not', () => {
    const one = pieceOf([3]).mean
    const many = pieceOf(Array(20).fill(3)).mean
    expect(one).toBeGreaterThan(1)
    expect(one).toBeLessThan(2.95)
    expect(many).toBeGreaterThan(2.9)
  })

  test('more readings make it surer', () => {
    const width = ({ low, high }: { low: number; high: number }) => high - low
    expect(width(pieceOf([2.6, 3, 3.2, 2.8, 3.1, 2.9, 3, 3.2]))).toBeLessThan(width(pieceOf([2.6, 3, 3.2])))
  })

  test('one odd reading among many moves nothing much', () => {
    const readings = [2.9, 3.1, 3, 2.8, 3.2, 3.1, 2.9, 3, 3.1, 2.9]
    const plain = pieceOf(readings).mean
    const odd = pieceOf([...readings, 18]).mean
    // The plain mean would have moved by 1.36.
    expect(Math.abs(odd - plain)).toBeLessThan(0.25)
  })

  test('the same readings and seed give the same answer, another seed nearly the same', () => {
    expect(pieceOf([2, 3])).toEqual(pieceOf([2, 3]))
    expect(Math.abs(pieceOf([2, 3], { seed: 7 }).mean - pieceOf([2, 3]).mean)).toBeLessThan(0.15)
  })

  test('a level that was never read is as wide as its kind, about what is planned', () => {
    const [never] = mixedModel({
      y: [1, 2, -1, 0],
      sigma: [0.2, 0.2, 0.2, 0.2],
      factors: [{ of: [0, 1, 2, 3], levels: 5, scale: 1.5 }],
      noiseScale: 0.3,
      asked: [[{ factor: 0, level: 4 }]],
    }).asked
    expect(Math.abs(never!.mean)).toBeLessThan(0.3)
    expect(never!.high - never!.low).toBeGreaterThan(2)
  })

  test('a sum is surer than its parts where readings cannot tell them apart', () => {
    const y = [2, 2.1, 1.9, 2, 2.05]
    const same = y.map(() => 0)
    const [piece, hand, both] = mixedModel({
      y,
      sigma: y.map(() => 0.1),
      factors: [
        { of: same, levels: 1, scale: 1 },
        { of: same, levels: 1, scale: 1 },
      ],
      noiseScale: 0.2,
      asked: [[{ factor: 0, level: 0 }], [{ factor: 1, level: 0 }], [0, 1].map((factor) => ({ factor, level: 0 }))],
    }).asked
    expect(both!.mean).toBeCloseTo(2, 1)
    expect(both!.high - both!.low).toBeLessThan(0.5 * (piece!.high - piece!.low))
    expect(both!.high - both!.low).toBeLessThan(0.5 * (hand!.high - hand!.low))
  })
})

describe('what is to blame', () => {
  /** Pieces on bodies by hands; one of them shifts what it has part in by 3 mm. */
  const blamed = (guilty: 'piece' | 'body' | 'hand') => {
    const readings = Array.from({ length: 36 }, (_, i) => ({
      piece: i % 6,
      body: Math.floor(i / 3),
      hand: i % 2 === 0 ? 0 : i % 3 === 0 ? 1 : 2,
    }))
    const random = seededRandom(5)
    const y = readings.map((r) => (r[guilty] === 1 ? 3 : 0) + 0.5 * (random() - 0.5))
    const factorOf = (of: number[], scale: number) => ({ of, levels: Math.max(...of) + 1, scale })
    return mixedModel({
      y,
      sigma: y.map(() => 0.2),
      factors: [
        factorOf(
          readings.map((r) => r.piece),
          1.5,
        ),
        factorOf(
          readings.map((r) => r.body),
          1,
        ),
        factorOf(
          readings.map((r) => r.hand),
          0.7,
        ),
      ],
      noiseScale: 0.5,
      asked: [0, 1, 2].map((factor) => [{ factor, level: 1 }]),
    }).asked
  }
  test.each([
    ['piece', 0],
    ['body', 1],
    ['hand', 2],
  ] as const)('of a shift of the %s the others are not accused', (guilty, at) => {
    const found = blamed(guilty)
    expect(found[at]!.mean).toBeGreaterThan(2)
    expect(found[at]!.low).toBeGreaterThan(0)
    found.forEach(({ mean }, f) => {
      if (f !== at) expect(Math.abs(mean)).toBeLessThan(0.8)
    })
  })
})
