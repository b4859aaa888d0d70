import { describe, expect, test } from 'vitest'
import { practiceWith } from '../practice/index.ts'
import { required } from '../result/index.ts'
import type { CauseId } from './causeIds.ts'
import { type FaultEvidence, whatSpeaks } from './evidence.ts'
import { type FaultCase, judgeFault } from './judgeFault.ts'
import { rankCauses, tellsApart } from './rankCauses.ts'

const practice = practiceWith()
/** How much likelier what is known makes a cause; 1 = it says nothing of it. */
const speaksFor = (cause: CauseId, evidence: FaultEvidence): number =>
  whatSpeaks(evidence, practice)
    .filter((one) => one.cause === cause)
    .reduce((factor, one) => factor * one.factor, 1)

describe('a cause is twice as likely', () => {
  test.each<[CauseId, FaultEvidence]>([
    ['too much film', { excessMmPer100: practice.tellingExcess }],
    ['wait cut short', { minutesEarly: practice.tellingMinutesEarly }],
    ['film dried', { minutesDry: practice.tellingMinutesDry }],
    ['laid under tension', { stretch: 0.04, glueLineStretch: 0.04 }],
    ['pulled out of shape', { stretch: 0.04, glueLineStretch: 0.04 }],
    ['cold or damp', { roomC: 20 - practice.tellingCold }],
    ['cold or damp', { humidityPercent: 50 + practice.tellingDamp }],
    ['too little heat', { hottestC: 80 - practice.tellingDegreesCold, leastC: 80 }],
    ['too hot', { hottestC: 110 - practice.tellingNearDamage + practice.tellingDegreesHot, damageC: 110 }],
  ])('%s by %j', (cause, evidence) => {
    expect(speaksFor(cause, evidence)).toBeCloseTo(2, 9)
  })
  test.each<[CauseId, FaultEvidence]>([
    ['pulled too little', { excessMmPer100: practice.tellingExcess }],
    ['cut while warm', { stretch: 0.04, glueLineStretch: 0.04 }],
  ])('by the root of that, where it speaks for another first: %s', (cause, evidence) => {
    expect(speaksFor(cause, evidence)).toBeCloseTo(Math.SQRT2, 9)
  })
})

describe('nothing is made of', () => {
  test.each<[string, FaultEvidence]>([
    ['nothing', {}],
    ['a room at 20 °C and 50 %', { roomC: 20, humidityPercent: 50 }],
    ['a warm and dry room', { roomC: 31, humidityPercent: 20 }],
    ['a wait that was kept', { minutesEarly: 0, minutesDry: 0 }],
    ['film that lies as it should', { excessMmPer100: 0, stretch: 0, glueLineStretch: 0.04 }],
    ['heat within its band, as far from damage as it should be', { hottestC: 95, leastC: 80, damageC: 110 }],
    ['a segment that has cut half of what it may', { bladeCutMm: 1500, bladeLastsMm: 3000 }],
    ['a fit that is the first of its kind', { earlierFits: 0, earlierSame: 0 }],
    ['a finding that causes nothing', { found: ['loose trim'] }],
  ])('%s', (_, evidence) => {
    expect(whatSpeaks(evidence, practice)).toEqual([])
  })
})

describe('what speaks both ways', () => {
  test('soap: by the square of what is in hand to what was asked for', () => {
    const soap = (slipSoapMlPerL: number): FaultEvidence => ({ slipSoapMlPerL, askedSoapMlPerL: 2 })
    expect(speaksFor('too much soap', soap(6))).toBeCloseTo(9, 0)
    expect(speaksFor('too little soap', soap(6))).toBeCloseTo(1 / 9, 2)
    expect(speaksFor('too little soap', soap(1))).toBeCloseTo(4, 0)
    expect(speaksFor('too much soap', soap(2))).toBe(1)
  })
  test('a bottle without any soap speaks for too little, by a finite factor', () => {
    expect(speaksFor('too little soap', { slipSoapMlPerL: 0, askedSoapMlPerL: 2 })).toBeGreaterThan(100)
    expect(speaksFor('too little soap', { slipSoapMlPerL: 0, askedSoapMlPerL: 2 })).toBeLessThan(1e6)
  })
  test('alcohol: half as strong is four times as suspect, twice as strong a quarter', () => {
    const tack = (tackAlcoholPercent: number): FaultEvidence => ({ tackAlcoholPercent, askedAlcoholPercent: 20 })
    expect(speaksFor('tack too weak', tack(10))).toBeCloseTo(4, 1)
    expect(speaksFor('tack too weak', tack(40))).toBeCloseTo(1 / 4, 2)
  })
  test('the blade: a segment that has cut all that it may, and a new one', () => {
    const cut = (bladeCutMm: number) => speaksFor('blunt blade', { bladeCutMm, bladeLastsMm: 3000 })
    expect(cut(3000)).toBeCloseTo(practice.tellingBlade, 9)
    expect(cut(0)).toBeCloseTo(1 / practice.tellingBlade, 9)
  })
  test('heat far below damage speaks against too much of it, as much as heat beyond speaks for it', () => {
    const at = (hottestC: number) => speaksFor('too hot', { hottestC, damageC: 110 })
    expect(at(95 - 3 * practice.tellingDegreesHot)).toBeCloseTo(1 / 8, 9)
    expect(at(95 + 3 * practice.tellingDegreesHot)).toBeCloseTo(8, 9)
  })
  test('earlier fits of the piece: each with the same, and half as much each without it', () => {
    const seen = (earlierSame: number, earlierFits: number) => speaksFor('piece untrue', { earlierSame, earlierFits })
    expect(seen(3, 3)).toBeCloseTo(practice.tellingEarlier ** 3, 9)
    expect(seen(0, 2)).toBeCloseTo(1 / practice.tellingEarlier, 9)
    expect(speaksFor('piece untrue', { earlierFits: 2 })).toBeCloseTo(1 / practice.tellingEarlier, 9)
    expect(seen(1, 3)).toBe(1)
    expect(seen(1, 1)).toBeCloseTo(practice.tellingEarlier, 9)
  })
  test('an answer speaks for a cause as much as the other answer against it', () => {
    for (const ask of ['moves', 'wetBeneath']) {
      const told = (answer: boolean) => whatSpeaks({ answers: { [ask]: answer } }, practice)
      expect(told(true).length).toBeGreaterThan(1)
      for (const { cause, factor } of told(true))
        expect(told(false).find((one) => one.cause === cause)?.factor).toBeCloseTo(1 / factor, 9)
    }
    expect(speaksFor('air shut in', { answers: { moves: true } })).toBe(practice.tellingAnswer)
    expect(speaksFor('water left', { answers: { moves: true } })).toBeCloseTo(Math.sqrt(practice.tellingAnswer), 9)
    expect(speaksFor('was there before', { answers: { moves: false } })).toBe(practice.tellingAnswer)
    expect(speaksFor('water left', { answers: { wetBeneath: true } })).toBe(practice.tellingAnswer)
    expect(speaksFor('film dried', { answers: { wetBeneath: false } })).toBe(practice.tellingAnswer)
  })
  test('where no gun was it was too little heat rather than too much; that one was there says nothing of too little', () => {
    expect(speaksFor('too hot', { answers: { heated: false } })).toBeCloseTo(1 / practice.tellingAnswer, 9)
    expect(speaksFor('too little heat', { answers: { heated: false } })).toBeCloseTo(
      Math.sqrt(practice.tellingAnswer),
      9,
    )
    expect(speaksFor('too little heat', { answers: { heated: true } })).toBe(1)
  })
})

test('what the walk-round found speaks for its own cause, once however often it was found', () => {
  expect(speaksFor('was there before', { found: ['chip', 'chip'] })).toBe(practice.tellingKnown)
  expect(speaksFor('was there before', { found: ['chip', 'dent'] })).toBe(practice.tellingKnown ** 2)
  expect(speaksFor('coating beneath', { found: ['coating'] })).toBe(practice.tellingKnown)
  expect(speaksFor('old glue beneath', { found: ['sprayed tint'] })).toBe(practice.tellingKnown)
  expect(speaksFor('hollow left for later', { hollow: true })).toBe(practice.tellingAnswer)
  expect(speaksFor('hollow left for later', { hollow: false })).toBe(1)
})

describe('the way to put it right', () => {
  const stepsFor = (evidence: FaultEvidence, more: Partial<FaultCase> = {}) => {
    const { causes, cure } = required(
      judgeFault(
        { fault: 'lifting edge', stage: 'bonded', film: { type: 'paint film', laid: 'wet' }, evidence, ...more },
        practice,
      ),
    )
    return { cause: causes[0]?.id, steps: cure.map(({ id }) => id) }
  }
  test('is that of the likeliest cause where it has one of its own', () => {
    expect(stepsFor({ hottestC: 40, leastC: 85, damageC: 120 }, { stage: 'heated' })).toEqual({
      cause: 'too little heat',
      steps: ['post-heat', 'seal'],
    })
    expect(stepsFor({ minutesEarly: 40 })).toEqual({
      cause: 'wait cut short',
      steps: ['let it grab', 'press out', 'warm and press'],
    })
  })
  test('is never that of another cause', () => {
    const { cause, steps } = stepsFor({ stretch: 0.4, glueLineStretch: 0.02 })
    expect(cause).toBe('laid under tension')
    expect(steps).not.toContain('post-heat')
    expect(steps).not.toContain('let it grab')
    expect(steps.length).toBeGreaterThan(0)
  })
})

describe('what would tell two causes apart', () => {
  const film = { type: 'paint film', laid: 'wet' } as const
  const asked = (evidence: FaultEvidence) => tellsApart('air bubble', film, evidence, practice)
  test('is what moves the two likeliest the furthest apart', () => {
    const [first, second] = rankCauses('air bubble', film, {}, practice)
    const apart = asked({})
    expect(apart?.between).toEqual([first?.id, second?.id])
    const moved = (ask: 'moves' | 'wetBeneath' | 'heated') => {
      const odds = (answer: boolean) => {
        const told = (id: CauseId | undefined) =>
          rankCauses('air bubble', film, { answers: { [ask]: answer } }, practice).find((one) => one.id === id)
            ?.probability ?? 0
        return told(first?.id) / told(second?.id)
      }
      return Math.abs(Math.log(odds(true) / odds(false)))
    }
    const all = (['moves', 'wetBeneath', 'heated'] as const).map((ask) => ({ ask, by: moved(ask) }))
    expect(apart?.ask).toBe(all.sort((a, b) => b.by - a.by)[0]?.ask)
  })
  test('is not asked again, and nothing is asked where one cause is plain', () => {
    const { ask } = asked({}) ?? { ask: null }
    if (ask === null) throw new Error('nothing tells')
    expect(asked({ answers: { [ask]: true } })?.ask).not.toBe(ask)
    expect(asked({ found: ['casting marks'], answers: { moves: false } })).toBeNull()
  })
})
