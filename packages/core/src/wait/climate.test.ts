import { required as must } from '../result/index.ts'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { practiceWith } from '../practice/index.ts'
import {
  alcoholOverMixKpa,
  alcoholSaturationKpa,
  bondAfter,
  bondOver,
  type Climate,
  deficitKpa,
  dewPointC,
  grabMinutes,
  learnWait,
  releaseAt,
  saturationKpa,
  slideMinutes,
  type UnderFilm,
  waitFactor,
  waitKinds,
  waitNow,
  whyItGrabs,
} from './index.ts'

const practice = practiceWith()
const temperature = fc.double({ min: 0, max: 38, noNaN: true })
const humidity = fc.double({ min: 5, max: 95, noNaN: true })

describe('vapour', () => {
  test.each([
    [0.01, 0.6117],
    [5, 0.8726],
    [10, 1.2282],
    [15, 1.7058],
    [20, 2.3393],
    [25, 3.1699],
    [30, 4.247],
    [40, 7.3849],
    [60, 19.946],
    [100, 101.418],
  ])('water at %d °C has %d kPa, as the steam tables say', (temperatureC, kpa) => {
    expect(saturationKpa(temperatureC) / kpa).toBeCloseTo(1, 3)
  })
  test('the dew point gives its own pressure back', () => {
    fc.assert(
      fc.property(temperature, humidity, (t, h) => {
        expect(saturationKpa(dewPointC(t, h))).toBeCloseTo((saturationKpa(t) * h) / 100, 3)
      }),
    )
    expect(dewPointC(20, 100)).toBeCloseTo(20, 2)
    expect(dewPointC(25, 60)).toBeCloseTo(16.7, 1)
  })
  test('isopropyl alcohol boils where it does, and a weak mix gives off more than its share', () => {
    expect(alcoholSaturationKpa(82.3)).toBeCloseTo(101.3, -0.5)
    expect(alcoholSaturationKpa(20)).toBeCloseTo(4.4, 1)
    expect(alcoholOverMixKpa(20, 0)).toBe(0)
    expect(alcoholOverMixKpa(20, 99.9)).toBeCloseTo(alcoholSaturationKpa(20), 1)
    expect(alcoholOverMixKpa(20, 10)).toBeGreaterThan(0.1 * alcoholSaturationKpa(20))
  })
})

describe('waits in the air of the day', () => {
  test.each(waitKinds)('%s: what the shop says at 20 °C and 50 %', (kind) => {
    expect(waitFactor(kind, { roomC: 20, humidityPercent: 50 })).toBeCloseTo(1, 12)
  })
  test.each(waitKinds.filter((k) => k !== 'coolBeforeCut' && k !== 'edgeLook'))(
    '%s never shortens in cold or damp, nor lengthens with alcohol',
    (kind) => {
      const step = fc.double({ min: 0.5, max: 10, noNaN: true })
      fc.assert(
        fc.property(temperature, humidity, step, (roomC, humidityPercent, more) => {
          const here = waitFactor(kind, { roomC, humidityPercent })
          expect(waitFactor(kind, { roomC: roomC + more, humidityPercent })).toBeLessThan(here)
          expect(
            waitFactor(kind, { roomC, humidityPercent: Math.min(100, humidityPercent + more) }),
          ).toBeGreaterThanOrEqual(here)
          expect(waitFactor(kind, { roomC, humidityPercent }, 25)).toBeLessThanOrEqual(
            waitFactor(kind, { roomC, humidityPercent }, 12) + 1e-12,
          )
        }),
      )
    },
  )
  test('from 22 °C and 50 % to 12 °C and 85 %: two to four times as long before an edge is turned', () => {
    const minutes = (climate: Climate) => must(waitNow({ kind: 'beforeWrap', ...climate }, practice)).minutes
    const ratio = minutes({ roomC: 12, humidityPercent: 85 }) / minutes({ roomC: 22, humidityPercent: 50 })
    expect(ratio).toBeGreaterThan(2)
    expect(ratio).toBeLessThan(6)
  })
  test('a wait says its deficit and the bond at its end', () => {
    const grab = must(waitNow({ kind: 'initialGrab', roomC: 20, humidityPercent: 50 }, practice))
    expect(grab).toMatchObject({ usualMinutes: 20, factor: 1, learned: 1 })
    expect(grab.vapourPressureDeficitKpa).toBeCloseTo(deficitKpa(20, 50), 9)
    expect(grab.bondFraction).toBeCloseTo(0.25, 6)
    expect(must(waitNow({ kind: 'fullBond', roomC: 8, humidityPercent: 80 }, practice)).bondFraction).toBeCloseTo(
      0.95,
      6,
    )
  })
  test.each([
    ['too hot a room', { roomC: 80, humidityPercent: 50 }],
    ['more than damp', { roomC: 20, humidityPercent: 120 }],
    ['no number', { roomC: Number.NaN, humidityPercent: 50 }],
    ['strange alcohol', { roomC: 20, humidityPercent: 50, alcoholPercent: 100.4 }],
    ['less alcohol than none', { roomC: 20, humidityPercent: 50, alcoholPercent: -0.1 }],
  ])('%s is refused', (_, wrong) => {
    const result = waitNow({ kind: 'initialGrab', ...wrong }, practice)
    expect(result.ok ? 'fine' : result.failure.code).toBe('WAIT_OUT_OF_RANGE')
  })
})

test('a strength that is none is refused with what would do', () => {
  const result = waitNow({ kind: 'initialGrab', roomC: 20, humidityPercent: 50, alcoholPercent: 140 }, practice)
  expect(result.ok ? null : result.failure.sentence).toSay(/140 %.*\b0.*\b100 %/)
})

describe('bond over days', () => {
  test('goes through its two known points and only upward', () => {
    expect(bondAfter(0, practice)).toBe(0)
    expect(bondAfter(20, practice)).toBeCloseTo(0.25, 9)
    expect(bondAfter(4320, practice)).toBeCloseTo(0.95, 9)
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 9000, noNaN: true }),
        fc.double({ min: 1, max: 500, noNaN: true }),
        (t, more) => {
          expect(bondAfter(t + more, practice)).toBeGreaterThan(bondAfter(t, practice))
        },
      ),
    )
  })
  test('a cold night counts less than a warm one, and stays add up', () => {
    const warm = { minutes: 600, climate: { roomC: 20, humidityPercent: 50 } }
    const cold = { minutes: 600, climate: { roomC: 5, humidityPercent: 80 } }
    expect(bondOver([cold], practice)).toBeLessThan(bondOver([warm], practice))
    expect(bondOver([warm, cold], practice)).toBeGreaterThan(bondOver([warm], practice))
    expect(bondOver([warm, warm], practice)).toBeCloseTo(bondAfter(1200, practice), 9)
  })
})

describe('release', () => {
  const finishedAt = new Date('2026-03-02T13:00:00Z')
  const forecast = (temperatureC: (hour: number) => number) =>
    Array.from({ length: 96 }, (_, hour) => ({
      at: new Date(finishedAt.getTime() + hour * 3_600_000),
      temperatureC: temperatureC(hour),
    }))
  const room = { roomC: 20, humidityPercent: 50 }
  const hours = (at: Date) => (at.getTime() - finishedAt.getTime()) / 3_600_000
  test('mild outside: the same day, as soon as it has grabbed', () => {
    const release = must(releaseAt({ finishedAt, room, forecast: forecast(() => 15) }, practice))
    expect(release.kind).toBe('same day')
    expect(hours(release.at)).toBeCloseTo(2, 1)
  })
  test('mild only from the evening on: later, not the same day any more', () => {
    // Colder than it may be until 12 h 30 after: the film is watched from then.
    const from = (hour: number) =>
      must(
        releaseAt(
          { finishedAt, room, forecast: forecast((h) => (h < hour ? 3 : 15)) },
          { ...practice, releaseIndoors: 2880 },
        ),
      )
    expect(from(11)).toMatchObject({ kind: 'same day' })
    expect(hours(from(11).at)).toBeLessThan(12)
    expect(from(13)).toMatchObject({ kind: 'later' })
    expect(hours(from(13).at)).toBeGreaterThanOrEqual(12)
    expect(hours(from(13).at)).toBeLessThan(13)
  })
  test('cold outside: a night indoors', () => {
    const release = must(releaseAt({ finishedAt, room, forecast: forecast(() => 3) }, practice))
    expect(release.kind).toBe('after a night indoors')
    expect(hours(release.at)).toBeCloseTo(12, 0)
    expect(release.because).toSay('3 °C')
  })
  test('a frost in the evening keeps it in although it is mild now; a colder room keeps it longer', () => {
    const evening = forecast((hour) => (hour < 6 ? 14 : 2))
    const warm = must(releaseAt({ finishedAt, room, forecast: evening }, practice))
    const cool = must(releaseAt({ finishedAt, room: { roomC: 12, humidityPercent: 85 }, forecast: evening }, practice))
    expect(warm.kind).toBe('after a night indoors')
    expect(cool.at.getTime()).toBeGreaterThan(warm.at.getTime())
  })
  test('where the forecast ends early nothing is promised of the hours after it', () => {
    const watchHours = practice.releaseWatch / 60
    const cold = { roomC: 12, humidityPercent: 85 }
    const reach = (to: number) =>
      must(releaseAt({ finishedAt, room: cold, forecast: forecast(() => 11).slice(0, to) }, practice))
    const whole = reach(60)
    expect(whole.kind).not.toBe('after a night indoors')
    const waitHours = (whole.at.getTime() - finishedAt.getTime()) / 3_600_000
    // It ends before the film has been watched for as long as it is young.
    const short = reach(Math.ceil(waitHours + watchHours) - 1)
    expect(short.kind).toBe('after a night indoors')
    expect(short.at.getTime()).toBeGreaterThan(whole.at.getTime())
    expect(short.because).toSay('The forecast does not reach as far as the film is young')
  })
  test('no forecast is said, not guessed', () => {
    const none = releaseAt({ finishedAt, room, forecast: [] }, practice)
    expect(none.ok ? 'fine' : none.failure.code).toBe('WAIT_NO_FORECAST')
    const short = releaseAt({ finishedAt, room, forecast: forecast(() => 15).slice(0, 3) }, practice)
    expect(short.ok ? 'fine' : short.failure.code).toBe('WAIT_NO_FORECAST')
  })
})

describe('learned from "was it ready?"', () => {
  test('nothing known is one, unsure', () => {
    const none = learnWait([])
    expect(none.factor).toBeCloseTo(1, 6)
    expect(none.sigma).toBeCloseTo(0.35, 1)
  })
  test('not ready at the said time makes it longer, ready early makes it shorter, more answers surer', () => {
    const late = learnWait(Array.from({ length: 4 }, () => ({ saidMinutes: 20, waitedMinutes: 22, ready: false })))
    const early = learnWait(Array.from({ length: 4 }, () => ({ saidMinutes: 20, waitedMinutes: 12, ready: true })))
    expect(late.factor).toBeGreaterThan(1.2)
    expect(early.factor).toBeLessThan(0.75)
    const between = learnWait(
      Array.from({ length: 12 }, (_, i) => ({ saidMinutes: 20, waitedMinutes: 20 + i, ready: i >= 6 })),
    )
    expect(between.factor).toBeGreaterThan(1.1)
    expect(between.factor).toBeLessThan(1.5)
    expect(between.sigma).toBeLessThan(late.sigma)
  })
})

describe('why film grabs early, or not', () => {
  const under: UnderFilm = {
    slip: { alcoholPercent: 0, soapMlPerL: 1.3 },
    tackAlcoholPercent: 10,
    climate: { roomC: 20, humidityPercent: 50 },
  }
  test('the usual slides as long as the shop says, and nothing is to blame', () => {
    expect(slideMinutes(under, practice)).toBeCloseTo(practice.waitWetFilm, 9)
    expect(grabMinutes(under, practice)).toBeCloseTo(practice.waitInitialGrab, 9)
    expect(whyItGrabs('too early', under, practice)).toEqual([])
    expect(whyItGrabs('not at all', under, practice)).toEqual([])
  })
  test('the strongest cause comes first, with its number and what to change', () => {
    const [first, second] = whyItGrabs(
      'too early',
      { ...under, slip: { alcoholPercent: 0, soapMlPerL: 0.2 }, partC: 26 },
      practice,
    )
    expect(first?.cause).toSay('0.2 mL')
    expect(first?.change).toSay('1.3')
    expect(second?.cause).toSay('26')
    const late = whyItGrabs(
      'not at all',
      { ...under, slip: { alcoholPercent: 0, soapMlPerL: 12 }, tackAlcoholPercent: 4, partC: 9 },
      practice,
    )
    expect(late).toHaveLength(3)
    expect(late[0]?.cause).toSay('9 °C')
  })
  test('alcohol takes slip away from the soap and dries besides: at 10 % less than half is left', () => {
    const cool = { ...under, climate: { roomC: 5, humidityPercent: 95 } }
    const share =
      slideMinutes({ ...cool, slip: { ...cool.slip, alcoholPercent: 10 } }, practice) / slideMinutes(cool, practice)
    expect(share).toBeLessThan(0.5)
    expect(share).toBeGreaterThan(0.1)
  })
  test('more soap slides longer, alcohol and warmth shorter', () => {
    const amount = fc.double({ min: 0.1, max: 10, noNaN: true })
    fc.assert(
      fc.property(amount, amount, (soapMlPerL, more) => {
        const at = (change: Partial<UnderFilm['slip']>, partC = 20) =>
          slideMinutes({ ...under, slip: { alcoholPercent: 0, soapMlPerL, ...change }, partC }, practice)
        expect(at({ soapMlPerL: soapMlPerL + more })).toBeGreaterThan(at({}))
        expect(at({ alcoholPercent: more })).toBeLessThan(at({}))
        expect(at({}, 20 + more)).toBeLessThan(at({}))
      }),
    )
  })
})
