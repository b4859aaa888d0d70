import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import {
  type LayOrder,
  orderBySchool,
  type PreparedStage,
  type Rehearsal,
  rehearse,
  schoolNames,
  setStage,
  usualHandling,
} from '../lay/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { required } from '../result/index.ts'
import {
  anyHandOrder,
  exerciseLevels,
  type HandOrder,
  type LayReference,
  makeLay,
  markLay,
  orderOfHand,
  placeNear,
  placesToFix,
  randomOrders,
} from './index.ts'

const seeds = Array.from({ length: 67 }, (_, i) => 7919 * i + 13)
const mean = (shares: readonly number[]) => shares.reduce((sum, share) => sum + share, 0) / shares.length

const stageOf = (seed: number, level: 1 | 2 | 3): PreparedStage =>
  required(setStage(makeLay(seed, level).form, { handling: usualHandling, laid: 'wet' }, 110))
const layBy = (stage: PreparedStage, order: LayOrder): Rehearsal => rehearse(stage, order)
const byHand = (stage: PreparedStage, hand: HandOrder) =>
  rehearse(stage, orderOfHand(stage, stage.surface, hand), { pulls: hand.pulls })
const randomOf = (stage: PreparedStage, seed: number, count: number, pulled: Partial<HandOrder> = {}) => {
  const chance = seededRandom(seed)
  const { length } = placesToFix(stage, stage.surface)
  return Array.from({ length: count }, () => byHand(stage, { ...anyHandOrder(stage, length, chance), ...pulled }))
}

describe.each(exerciseLevels)('lay it, level %i', (level) => {
  test('every part can be laid; what is said at random is worth little, the best school nearly all', () => {
    const shares = seeds.slice(0, 22).map((seed) => {
      const stage = stageOf(seed, level)
      const schools = schoolNames
        .map((school) => layBy(stage, orderBySchool(school, stage.form, stage.surface)))
        .sort((a, b) => a.figures.trouble - b.figures.trouble)
      const [best] = schools
      if (best === undefined) throw new Error('no school')
      const reference: LayReference = {
        best,
        randomTrouble: randomOf(stage, seed + 1, randomOrders, { pulls: 'warm' }).map((one) => one.figures.trouble),
      }
      expect(markLay(stage, best, reference).share).toBe(1)
      return mean(randomOf(stage, seed + 2, 2).map((one) => markLay(stage, one, reference).share))
    })
    expect(mean(shares)).toBeLessThan(0.3)
  })
})

test('the same seed makes the same part; harder ones have hollows and lines', () => {
  expect(makeLay(8, 3)).toEqual(makeLay(8, 3))
  const forms = (level: 1 | 2 | 3) => seeds.map((seed) => makeLay(seed, level).form)
  expect(forms(1).every((form) => form.recesses.length + form.bodyLines.length === 0)).toBe(true)
  expect(forms(2).every((form) => form.recesses.length + form.bodyLines.length === 1)).toBe(true)
  expect(forms(3).every((form) => form.recesses.length === 1 && form.bodyLines.length === 1)).toBe(true)
})

describe('what is said, as an order', () => {
  const stage = stageOf(13, 2)
  const { surface } = stage
  const places = placesToFix(stage, surface)
  const hand: HandOrder = {
    anchors: [{ place: 0, draw: 'taut' }],
    edge: null,
    run: 'outward',
    stroke: 'long',
    pulls: 'warm',
  }
  test('places are numbered from the upper left, and the nearest is pointed at', () => {
    const ys = places.map((one) => one.at[1])
    expect(ys[0]).toBeGreaterThan(ys.at(-1) ?? 0)
    places.forEach((one, i) => {
      expect(placeNear(places, [one.at[0] + 0.3, one.at[1] - 0.2])).toBe(i)
    })
  })
  test('it begins at the first spot, or along an edge; winding round begins at the spot whatever the edge', () => {
    const order = (more: Partial<HandOrder>) => orderOfHand(stage, surface, { ...hand, ...more })
    expect(order({}).from).toEqual([places[0]?.at])
    const two = order({
      anchors: [
        { place: 2, draw: 'half' },
        { place: 0, draw: 'floats' },
      ],
    })
    expect(two.from).toEqual([places[2]?.at])
    expect(two.anchors.map(({ pullShare }) => pullShare)).toEqual([0.5, 0])
    expect(order({ edge: 'front' }).from.length).toBeGreaterThan(1)
    expect(order({ edge: 'front', run: 'round and round' }).from).toEqual([places[0]?.at])
    expect(order({}).anchors[0]?.pullShare).toBe(1)
    const [xs, ys] = [0, 1].map((k) => surface.outline.polygon.map((p) => p[k] ?? 0)) as [number[], number[]]
    const longerMm = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys))
    for (const [stroke, share] of [
      ['short', 16],
      ['middle', 10],
      ['long', 5],
    ] as const)
      expect(order({ stroke }).strokeMm).toBeCloseTo(longerMm / share, 9)
    expect(order({ run: 'flats first' }).flatFirst).toBe(1)
  })
  test('a place that there is not is left out', () => {
    expect(orderOfHand(stage, surface, { ...hand, anchors: [{ place: 999, draw: 'half' }] }).anchors).toEqual([])
  })
})

test('what is left over is pulled as it is said: nothing leaves most, a cold pull less, a warm one least', () => {
  const stage = stageOf(39, 3)
  const hand: HandOrder = {
    anchors: [{ place: 0, draw: 'floats' }],
    edge: null,
    run: 'outward',
    stroke: 'long',
    pulls: 'none',
  }
  const [none, cold, warm] = (['none', 'cold', 'warm'] as const).map(
    (pulls) => byHand(stage, { ...hand, pulls }).figures,
  )
  expect(none?.worstFingersMmPer100).toBeGreaterThan((cold?.worstFingersMmPer100 ?? 0) + 0.1)
  expect(cold?.worstFingersMmPer100).toBeGreaterThan((warm?.worstFingersMmPer100 ?? 9) - 0.02)
  expect(none?.liftedShare).toBe(0)
})

test('some are parts that the shop has measured, the same for the same seed; small ones and easy levels never', () => {
  const big = { ...makeLay(1, 1).form, id: 'big' }
  const small = {
    ...big,
    id: 'small',
    start: [0, 0] as const,
    outline: [{ kind: 'line' as const, to: [100, 50] as const, edge: 'rear' }],
  }
  const own = seeds.map((seed) => makeLay(seed, 2, [small, big]).form.id).filter((id) => id !== 'practice')
  expect(own.length).toBeGreaterThan(10)
  expect(new Set(own)).toEqual(new Set(['big']))
  // In whatever order the shop names them.
  const other = { ...big, id: 'another' }
  for (const seed of seeds) expect(makeLay(seed, 2, [other, big])).toEqual(makeLay(seed, 2, [big, other]))
  expect(seeds.every((seed) => makeLay(seed, 1, [big]).form.id === 'practice')).toBe(true)
  expect(makeLay(4, 3, [small]).form).toEqual(makeLay(4, 3).form)
})

describe('the verdict', () => {
  const stage = stageOf(26, 3)
  const schools = schoolNames
    .map((school) => layBy(stage, orderBySchool(school, stage.form, stage.surface)))
    .sort((a, b) => a.figures.trouble - b.figures.trouble)
  const [best, worst] = [schools[0], schools.at(-1)] as [Rehearsal, Rehearsal]
  const reference: LayReference = { best, randomTrouble: [worst.figures.trouble, worst.figures.trouble] }
  test('says what decided, and how the best was laid', () => {
    const { share, says } = markLay(stage, worst, reference)
    expect(share).toBe(0)
    const text = says.map(english).join(' ')
    expect(text).toContain('Best found: Fix')
    expect(text).toMatch(/instead of/)
  })
  test('film that folds over itself is worth nothing', () => {
    const { share, says } = markLay(stage, { ...best, flipped: 2 }, reference)
    expect(share).toBe(0)
    expect(says.map(english)[0]).toContain('folds over itself')
  })
  test('grows with what is better', () => {
    const shares = [0, 0.3, 0.6, 1].map((part) => {
      const trouble = worst.figures.trouble + part * (best.figures.trouble - worst.figures.trouble)
      return markLay(stage, { figures: { ...worst.figures, trouble }, flipped: 0 }, reference).share
    })
    expect([...shares].sort((a, b) => a - b)).toEqual(shares)
    expect(shares[3]).toBe(1)
  })
})

test('an order at random fixes one to three places, each once, and no more than there are', () => {
  const { form } = makeLay(13, 1)
  const chance = seededRandom(5)
  const fixed = Array.from({ length: 200 }, (_, i) => anyHandOrder({ form }, i % 2 === 0 ? 8 : 2, chance).anchors)
  expect(new Set(fixed.filter((_, i) => i % 2 === 0).map(({ length }) => length))).toEqual(new Set([1, 2, 3]))
  expect(new Set(fixed.filter((_, i) => i % 2 === 1).map(({ length }) => length))).toEqual(new Set([1, 2]))
  for (const anchors of fixed) expect(new Set(anchors.map(({ place }) => place)).size).toBe(anchors.length)
})
