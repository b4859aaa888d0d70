import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { seededRandom } from '../numerics/index.ts'
import { practiceWith } from '../practice/index.ts'
import {
  type AboutToFit,
  type FitFact,
  fingerWords,
  heatWords,
  nameless,
  offsetWords,
  paceWords,
  recallPart,
  recallParts,
  timesWords,
} from './index.ts'

const practice = practiceWith()
const about: AboutToFit = { modelId: 'pipit', slot: 'bonnet', pieceId: 'bonnet-1', body: 'QF 900', hand: 'ines' }
const fact = (more: Partial<FitFact> = {}): FitFact => ({
  partId: 'p',
  at: '2030-05-01T09:00:00.000Z',
  modelId: 'pipit',
  slot: 'bonnet',
  pieceId: 'bonnet-1',
  body: 'QF 1',
  hand: 'ines',
  filmId: 'f',
  offset: null,
  fingersAt: [],
  faults: [],
  pace: null,
  laidAgain: 0,
  ...more,
})
const moved = (xMm: number, yMm: number, more: Partial<FitFact> = {}): FitFact =>
  fact({
    offset: { xMm: { value: xMm, sigma: 0.2 }, yMm: { value: yMm, sigma: 0.2 }, turnDeg: { value: 0, sigma: 0.05 } },
    ...more,
  })
const directions = { right: 'the driver', left: 'the passenger', up: 'the windscreen', down: 'the nose' }
const known = (facts: readonly FitFact[], more: Partial<AboutToFit> = {}) =>
  recallPart(facts, { ...about, ...more }, practice)

describe('the first fit of a model', () => {
  test('is said to be the first, and nothing is made up', () => {
    const first = known([])
    expect(first).toEqual({
      fits: 0,
      offset: null,
      fingers: [],
      faults: [],
      laidAgain: 0,
      heat: [],
      pulls: [],
      cured: [],
      pace: null,
    })
    expect(english(timesWords(first, 'bonnet'))).toBe(
      'The first bonnet of this model here: nothing is known of it yet.',
    )
  })
  test('fits of other places and models do not count', () => {
    expect(known([fact({ slot: 'roof' }), fact({ modelId: 'skua' })]).fits).toBe(0)
  })
  test('film off the roll has no offset', () => {
    expect(known([moved(0, 3)], { pieceId: null }).offset).toBeNull()
  })
})

describe('where a piece sits', () => {
  const thrice = ['QF 1', 'QF 2', 'QF 3'].map((body, i) => moved(0, -2.8 + 0.2 * i, { body }))

  test('three times too high: begin lower, and by how much', () => {
    const { offset } = known(thrice)
    expect(offset?.measured).toBe(3)
    expect(offset?.begin?.yMm).toBeLessThanOrEqual(-2)
    expect(offset?.begin?.yMm).toBeGreaterThanOrEqual(-3)
    expect(offset?.begin?.xMm).toBe(0)
    const words = english(offsetWords(offset!, directions))
    expect(words).toMatch(
      /^Move the film 2\.\d mm towards the nose\. That is counted from its pattern; nine times in ten it is \d(\.\d)? mm to \d(\.\d)? mm\./,
    )
  })

  test('once only is pulled towards the plan', () => {
    const once = known(thrice.slice(0, 1)).offset
    expect(Math.abs(once!.yMm.mean)).toBeLessThan(Math.abs(known(thrice).offset!.yMm.mean) + 0.3)
    expect(once!.yMm.high - once!.yMm.low).toBeGreaterThan(
      known(thrice).offset!.yMm.high - known(thrice).offset!.yMm.low,
    )
  })

  test('once, and by a hand of which nothing is known: it says that it cannot tell, not that it sat right', () => {
    const { offset } = known([moved(0, 2.4)], { hand: 'somebody new' })
    expect(offset).toMatchObject({ begin: null, unsure: true })
    expect(english(offsetWords(offset!, directions))).toBe(
      'It may sit off its pattern, but 1 measured fit cannot tell yet: measure the gaps again this time.',
    )
  })

  const shifted = (xMm: number, begin: { xMm: number; yMm: number; turnDeg: number }) => ({
    xMm: { mean: xMm, low: xMm - 2, high: xMm + 2 },
    yMm: { mean: -0.9, low: -1.4, high: -0.4 },
    turnDeg: { mean: 0.4, low: 0.3, high: 0.5 },
    measured: 4,
    cause: null,
    begin,
    unsure: false,
    implausible: false,
  })
  test('only what is begun with is told, with its own sureness', () => {
    const words = english(offsetWords(shifted(1, { xMm: 0, yMm: -1, turnDeg: 0 }), directions))
    expect(words).toBe(
      'Move the film 0.9 mm towards the nose. That is counted from its pattern; nine times in ten it is 0.4 mm to 1.4 mm.',
    )
  })
  test('a turn alone is told without millimetres that nobody moves', () => {
    const words = english(offsetWords(shifted(0.2, { xMm: 0, yMm: 0, turnDeg: 0.4 }), directions))
    expect(words).toBe('Turn the film 0.4° counter-clockwise. That is counted from its pattern.')
  })

  test('nothing to speak of is left alone', () => {
    const { offset } = known([moved(0.1, -0.2), moved(-0.1, 0.1, { body: 'QF 2' }), moved(0, 0.1, { body: 'QF 3' })])
    expect(offset?.begin).toBeNull()
    expect(english(offsetWords(offset!, directions))).toBe(
      'It sat where its pattern has it, as far as 3 measured fits can tell.',
    )
  })

  test('more than a piece can be off is not offered, it is another piece', () => {
    const { offset } = known([moved(0, 30), moved(0, 31, { body: 'QF 2' }), moved(0, 29, { body: 'QF 3' })])
    expect(offset?.implausible).toBe(true)
    expect(offset?.begin).toBeNull()
    expect(english(offsetWords(offset!, directions))).toContain('the right side')
  })

  test('a turn counts by what it moves the far end: a small one is begun with, a large one is another piece', () => {
    const turned = (deg: number) =>
      known(
        ['QF 1', 'QF 2', 'QF 3'].map((body) =>
          fact({
            body,
            offset: {
              xMm: { value: 0, sigma: 0.2 },
              yMm: { value: 0, sigma: 0.2 },
              turnDeg: { value: deg, sigma: 0.05 },
            },
          }),
        ),
      ).offset
    // 400 mm from the middle 1° is 7 mm, and 3° are 21 mm.
    expect(turned(1)).toMatchObject({ implausible: false, begin: { xMm: 0, yMm: 0 } })
    expect(turned(1)?.begin?.turnDeg).toBeCloseTo(1, 1)
    expect(turned(-1)?.begin?.turnDeg).toBeCloseTo(-1, 1)
    expect(turned(3)).toMatchObject({ implausible: true, begin: null })
    expect(turned(-3)).toMatchObject({ implausible: true, begin: null })
    // What moves the far end by a third of a millimetre is less than a hand sets.
    expect(turned(0.05)?.begin).toBeNull()
  })

  test('a dimension that no gap told stays at the plan', () => {
    const { offset } = known([
      fact({ offset: { xMm: null, yMm: { value: 3, sigma: 0.2 }, turnDeg: null } }),
      fact({ body: 'QF 2', offset: { xMm: null, yMm: { value: 3, sigma: 0.2 }, turnDeg: null } }),
    ])
    expect(offset?.begin?.xMm).toBe(0)
    expect(offset?.begin?.turnDeg).toBe(0)
  })
})

describe('what it is put down to', () => {
  const random = seededRandom(3)
  const little = () => 0.3 * (random() - 0.5)
  const hands = ['ines', 'tarek', 'bo']
  /** A shop of six pieces, each on six bodies, by three hands. */
  const shop = (shift: (piece: number, body: number, hand: string) => number) =>
    Array.from({ length: 36 }, (_, i) => {
      const [piece, body, hand] = [i % 6, Math.floor(i / 6), hands[(i + Math.floor(i / 6)) % 3]!]
      return moved(little(), shift(piece, body, hand) + little(), {
        pieceId: `piece-${piece}`,
        slot: `place-${piece}`,
        body: `QF ${body}`,
        hand,
      })
    })
  const causeOf = (facts: readonly FitFact[], more: Partial<AboutToFit> = {}) =>
    known(facts, { pieceId: 'piece-1', slot: 'place-1', body: 'QF 1', hand: 'tarek', ...more }).offset?.cause

  test('the same on all bodies: the kit', () => {
    expect(causeOf(shop((piece) => (piece === 1 ? 3 : 0)))).toBe('piece')
  })
  test('on this one only: the body', () => {
    expect(causeOf(shop((_, body) => (body === 1 ? 3 : 0)))).toBe('body')
  })
  test('of this person on all kits: the hand', () => {
    expect(causeOf(shop((_piece, _body, hand) => (hand === 'tarek' ? 3 : 0)))).toBe('hand')
  })
  test('who lays it truly gets no correction of somebody else’s habit', () => {
    const facts = shop((_piece, _body, hand) => (hand === 'tarek' ? 3 : 0))
    const of = (hand: string) => known(facts, { pieceId: 'piece-1', slot: 'place-1', body: 'new', hand }).offset!
    expect(of('tarek').begin?.yMm).toBeGreaterThanOrEqual(2)
    expect(of('ines').begin).toBeNull()
  })
})

test('whoever lays it: as whoever has laid it most often', () => {
  const facts = ['QF 1', 'QF 2', 'QF 3', 'QF 4'].map((body) => moved(0, 3, { body }))
  const anybody = known(facts, { body: null, hand: null }).offset!
  const stranger = known(facts, { body: 'QF 9', hand: 'somebody new' }).offset!
  expect(anybody.begin?.yMm).toBeGreaterThanOrEqual(2)
  expect(anybody).toEqual(known(facts, { body: '', hand: 'ines' }).offset)
  // Of somebody new the habit is not known.
  expect(stranger.yMm.high - stranger.yMm.low).toBeGreaterThan(anybody.yMm.high - anybody.yMm.low)
})

test('many parts at once are told as each by itself', () => {
  const facts = ['QF 1', 'QF 2', 'QF 3'].flatMap((body) => [
    moved(0, 3, { body }),
    moved(2, 0, { body, slot: 'roof', pieceId: 'roof-1' }),
  ])
  const both = recallParts(facts, [about, { ...about, slot: 'roof', pieceId: 'roof-1' }], practice)
  expect(both.map(({ fits }) => fits)).toEqual([3, 3])
  expect(both[0]?.offset?.yMm.mean).toBeCloseTo(known(facts).offset!.yMm.mean, 0)
  expect(both[1]?.offset?.begin).toMatchObject({ yMm: 0 })
  expect(both[1]?.offset?.begin?.xMm).toBeGreaterThanOrEqual(1)
  expect(recallParts(facts, [], practice)).toEqual([])
})

describe('what else is remembered', () => {
  test('fingers by place, the most frequent first, each once a fit', () => {
    const four = known([
      fact({ fingersAt: ['the nose edge', 'the nose edge'] }),
      fact({ fingersAt: ['the nose edge', 'a corner'] }),
      fact({ fingersAt: ['the nose edge'] }),
      fact(),
    ])
    expect(fingerWords(four).map((words) => english(words))).toEqual([
      'Fingers at the nose edge: 3 of 4 times.',
      'Fingers at a corner: 1 of 4 times.',
    ])
  })
  test('faults and pieces that were laid again', () => {
    const two = known([fact({ faults: ['crease'], laidAgain: 1 }), fact({ faults: ['crease', 'dirt or hair'] })])
    expect(two.faults[0]).toEqual({ fault: 'crease', times: 2 })
    expect(two.laidAgain).toBe(1)
  })
  test('a slow hand is told from a slow place', () => {
    const facts = Array.from({ length: 24 }, (_, i) =>
      fact({ slot: `place-${i % 6}`, hand: i % 12 < 6 ? 'bo' : 'ines', pace: i % 12 < 6 ? 1.6 : 1 }),
    )
    const bo = known(facts, { slot: 'place-1', hand: 'bo' }).pace!
    const ines = known(facts, { slot: 'place-0', hand: 'ines' }).pace!
    expect(bo.mean).toBeGreaterThan(1.3)
    expect(ines.mean).toBeLessThan(1.2)
    expect(known(facts.slice(0, 1)).pace).toBeNull()
  })
})

describe('what leaves the shop', () => {
  const facts = ['QF 1', 'QF 2', 'QF 1'].map((body, i) => moved(0, 2 + i, { body, hand: i < 2 ? 'ines' : 'tarek' }))
  test('names nobody and no vehicle, and still tells which were of one', () => {
    const out = nameless(facts)
    expect(JSON.stringify(out)).not.toMatch(/QF|ines|tarek/)
    expect(out.map(({ body }) => body)).toEqual(['body-1', 'body-2', 'body-1'])
    expect(out.map(({ hand }) => hand)).toEqual(['hand-1', 'hand-1', 'hand-2'])
  })
  test('teaches the same', () => {
    const there = { ...about, body: 'new' }
    expect(recallPart(nameless(facts), { ...there, hand: 'hand-1' }, practice)).toEqual(
      recallPart(facts, { ...there, hand: 'ines' }, practice),
    )
  })
})

describe('how long it takes', () => {
  const pace = (mean: number, low: number, high: number) => ({ pace: { mean, low, high } })
  const said = (words: ReturnType<typeof paceWords>) => (words === null ? null : english(words))
  test('longer or shorter than its plan, where that is sure', () => {
    expect(said(paceWords(pace(1.21, 1.1, 1.3), null))).toBe('It takes 21 % longer than its plan says.')
    expect(said(paceWords(pace(0.9, 0.85, 0.97), 40))).toBe(
      'It takes 10 % less than its plan says. Reckon with 36 minutes of work.',
    )
  })
  test('nothing where it may be as planned, or differs too little', () => {
    expect(paceWords(pace(1.2, 0.9, 1.5), 40)).toBeNull()
    expect(paceWords(pace(1.03, 1.01, 1.05), 40)).toBeNull()
    expect(paceWords({ pace: null }, 40)).toBeNull()
  })
})

describe('what the thermometer has shown', () => {
  const read = (use: string, ...offC: number[]) => fact({ heat: offC.map((off) => ({ use, offC: off })) })
  const said = (...facts: FitFact[]) => heatWords(known(facts)).map(english)
  test('clearly off its plan in two fits or more: a pass more, or less', () => {
    expect(said(read('seal', -10, -8), read('seal', -12))).toEqual([
      'Sealing: the thermometer showed 11 °C less than planned in 2 fits. Give it a pass more, and read again.',
    ])
    expect(said(read('soften', 9), read('soften', 7), read('soften', 8))[0]).toContain('Give it a pass less')
  })
  test('one fit alone, or what lies within a reading, says nothing', () => {
    expect(said(read('seal', -15))).toEqual([])
    expect(said(read('seal', -4), read('seal', 3))).toEqual([])
  })
  test('one odd fit among many moves nothing much', () => {
    const odd = [1, 0, 2, 1, -60].map((off) => read('post-heat', off))
    expect(said(...odd)).toEqual([])
    expect(known(odd).heat).toEqual([{ use: 'post-heat', offC: 1, fits: 5 }])
  })
})

describe('fingers against the lay', () => {
  const fits = [fact({ fingersAt: ['nose edge'] }), fact({ fingersAt: ['nose edge'] }), fact()]
  const at = (leftMmPer100: number) => fingerWords(known(fits), [{ label: 'nose edge', leftMmPer100 }]).map(english)
  test('where the lay would have none it says so', () => {
    expect(at(0.1)).toEqual([
      'Fingers at nose edge: 2 of 3 times. By the lay there should be none: pull a little further there.',
    ])
  })
  test('where the lay has them it is as forecast', () => {
    expect(at(0.9)).toEqual(['Fingers at nose edge: 2 of 3 times.'])
  })
})

test('what was put right is counted beside what was seen', () => {
  const facts = [fact({ faults: ['crease'], cured: ['crease'] }), fact({ faults: ['crease'] })]
  expect(known(facts)).toMatchObject({
    faults: [{ fault: 'crease', times: 2 }],
    cured: [{ fault: 'crease', times: 1 }],
  })
})
