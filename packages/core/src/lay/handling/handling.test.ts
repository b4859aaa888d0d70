import { english } from '@truelay/words'
import { nothing } from '../../say/index.ts'
import { describe, expect, test } from 'vitest'
import {
  type Bridging,
  bridging,
  channelLengths,
  filmFigureKeys,
  filmFigures,
  filmProblem,
  fingersAfterShrinking,
  heatedPull,
  leastHeatedMm,
  stretchInto,
  usualHandling,
} from '../index.ts'

describe('a hollow that film has to follow', () => {
  test('a shallow one: the stretch of two smooth walls is 1.2 d² / (run · width)', () => {
    const section = { widthMm: 200, depthMm: 1, wallDeg: 3 }
    const run = 1.5 / Math.tan((3 * Math.PI) / 180)
    expect(stretchInto(section) / (1.2 / (run * 200))).toBeCloseTo(1, 2)
  })
  test('a flat one needs nothing, a deeper or steeper one more', () => {
    expect(stretchInto({ widthMm: 50, depthMm: 0, wallDeg: 40 })).toBe(0)
    const at = (depthMm: number, wallDeg: number) => stretchInto({ widthMm: 60, depthMm, wallDeg })
    expect(at(4, 30)).toBeLessThan(at(8, 30))
    expect(at(6, 25)).toBeLessThan(at(6, 55))
  })
  test('the deepest that a hand reaches needs exactly what a hand gives', () => {
    const section = { widthMm: 60, depthMm: 9, wallDeg: 45, long: false }
    const b = bridging(section, usualHandling)
    expect(stretchInto({ ...section, depthMm: b.deepestColdMm })).toBeCloseTo(usualHandling.coldStretch, 9)
    expect(stretchInto({ ...section, depthMm: b.deepestWarmMm })).toBeCloseTo(usualHandling.warmStretch, 9)
    expect(b.forceWarmNPer100).toBeCloseTo(b.forceColdNPer100 * usualHandling.warmSoftness, 9)
  })
  test('how it comes down goes from by itself to not at all', () => {
    const ways = [0.8, 2.5, 9, 40].map(
      (depthMm) => bridging({ widthMm: 80, depthMm, wallDeg: 50, long: false }, usualHandling).comesDown,
    )
    expect(ways).toEqual(['by itself', 'with a finger', 'warm', 'not at all'])
  })
  test('along a groove film cannot narrow: it pulls harder by 1 / (1 - narrowing²)', () => {
    const section = { widthMm: 60, depthMm: 5, wallDeg: 40 }
    const film = { ...usualHandling, narrowing: 0.48 }
    const [round, groove] = [false, true].map((long) => bridging({ ...section, long }, film)) as [Bridging, Bridging]
    expect(groove.forceColdNPer100 / round.forceColdNPer100).toBeCloseTo(1 / (1 - 0.48 ** 2), 12)
    expect(groove.stretch).toBe(round.stretch)
    const stiff = bridging({ ...section, long: true }, { ...film, narrowing: 0.2 })
    expect(stiff.forceColdNPer100 / round.forceColdNPer100).toBeCloseTo(1 / 0.96, 12)
  })
  test('it lifts at the foot of the wall with T (1 - cos angle), and stays while its tack holds more', () => {
    const section = { widthMm: 60, depthMm: 3, wallDeg: 60, long: false }
    const film = { ...usualHandling, stiffnessNPerMm: 8, coldStretch: 0.2 }
    const into = bridging(section, film)
    // Half of the tension lifts at 60 degrees; N/mm are ten N/cm.
    expect(into.liftsNPerCm).toBeCloseTo(10 * 8 * into.stretch * 0.5, 9)
    expect(bridging(section, { ...film, tackNPerCm: 1.01 * into.liftsNPerCm }).stays).toBe(true)
    expect(bridging(section, { ...film, tackNPerCm: 0.99 * into.liftsNPerCm }).stays).toBe(false)
  })
  test('relaxed warm it lifts less', () => {
    const section = { widthMm: 60, depthMm: 9, wallDeg: 50, long: false }
    const cold = bridging(section, { ...usualHandling, coldStretch: 0.3, warmStretch: 0.3 })
    const warm = bridging(section, { ...usualHandling, coldStretch: 0.01, warmStretch: 0.3 })
    expect([cold.comesDown, warm.comesDown]).toEqual(['with a finger', 'warm'])
    expect(warm.liftsNPerCm / cold.liftsNPerCm).toBeCloseTo(usualHandling.warmSoftness, 12)
  })
  test('a channel is worked in even lengths, none longer than a hand reaches', () => {
    expect(channelLengths(1200, 500)).toEqual([400, 400, 400])
    expect(channelLengths(250, 500)).toEqual([250])
  })
})

describe('a pull with heat', () => {
  const film = { warmSoftness: 0.2 }
  test('warm and cold stretches add up to the pull, the warm one larger by the softness', () => {
    const { warm, cold, unevenness } = heatedPull({ lengthMm: 500, heatedMm: 120, pullMm: 15 }, film)
    expect(warm * 120 + cold * 380).toBeCloseTo(15, 12)
    expect(warm / cold).toBeCloseTo(5, 12)
    expect(unevenness).toBe(5)
  })
  test('the broader the heat, the less the warm film has to give', () => {
    const warm = [60, 200, 500].map((heatedMm) => heatedPull({ lengthMm: 500, heatedMm, pullMm: 15 }, film).warm)
    expect(warm[0]).toBeGreaterThan(warm[1]!)
    expect(warm[1]).toBeGreaterThan(warm[2]!)
    expect(warm[2]).toBeCloseTo(0.03, 12)
  })
  test('the narrowest band that will do stretches just as far as it may', () => {
    const pull = { lengthMm: 500, pullMm: 15 }
    const heatedMm = leastHeatedMm({ ...pull, mostStretch: 0.05 }, film)!
    expect(heatedPull({ ...pull, heatedMm }, film).warm).toBeCloseTo(0.05, 12)
    expect(leastHeatedMm({ ...pull, mostStretch: 0.02 }, film)).toBeNull()
  })
  test('unheated film stretches evenly', () => {
    expect(heatedPull({ lengthMm: 400, heatedMm: 0, pullMm: 8 }, film)).toMatchObject({ warm: 0.02, cold: 0.02 })
  })
  test('shrinking takes fingers away, more where the film was pulled, never below nothing', () => {
    const left = [0, 0.05, 0.2].map((pulled) => fingersAfterShrinking(4, pulled, usualHandling))
    expect(left[0]).toBeCloseTo(4 - 100 * (usualHandling.takeWarm - usualHandling.take), 12)
    expect(left[1]).toBeLessThan(left[0]!)
    expect(left[2]).toBe(0)
  })
})

describe('the figures of a film', () => {
  const problemOf = (other: object) => english(filmProblem({ ...usualHandling, ...other }) ?? nothing)
  test('usual ones are in range and agree with each other', () => {
    expect(filmProblem(usualHandling)).toBeNull()
    for (const key of filmFigureKeys) {
      const { usual, min, max, reason } = filmFigures[key]
      expect(usual >= min && usual <= max).toBe(true)
      expect(english(reason).length).toBeGreaterThan(15)
    }
  })
  test('one out of range is named with its range; ones that contradict each other too', () => {
    expect(problemOf({ warmStretch: 2 })).toContain('Stretches warm up to')
    expect(problemOf({ coldStretch: 0.2, warmStretch: 0.1 })).toContain('further than warm')
    expect(problemOf({ takeWarm: 0.001 })).toContain('at least as much')
  })
})

describe('a film’s figure out of its range is told as it is asked for', () => {
  test.each([
    ['coldStretch', 0.4, '40 % is outside 0.2 to 30.'],
    ['stiffnessNPerMm', 90, '90 N/mm is outside 0.5 to 80.'],
    ['recovery', 1.2, '1.2 share is outside 0 to 1.'],
    ['tackNPerCm', 0, '0 N/cm is outside 0.1 to 20.'],
  ] as const)('%s', (key, value, says) => {
    const problem = filmProblem({ ...usualHandling, [key]: value })
    expect(problem === null ? '' : english(problem)).toContain(says)
  })
})
