import { describe, expect, test } from 'vitest'
import { answer, bumper, film, sweep } from './testing/program.ts'

describe('heat and waits', () => {
  test('a thin metal plate under steady air warms as a lump, and cools again', async () => {
    const plate = { name: 'plate', thicknessMm: 0.8, conductivityWmK: 50, densityKgm3: 7850, specificHeatJkgK: 470 }
    const exposure = { kind: 'steady', gasC: 320, hWm2K: 60, seconds: 30 }
    const course = await answer(['heat', '-'], { ambientC: 20, layers: [plate], exposure, coolSeconds: 20 })
    const lump = 320 - 300 * Math.exp((-60 * 30) / (0.0008 * 7850 * 470))
    expect(course.peakSurfaceC).toBeCloseTo(lump, 0)
    expect(course.peakBackC).toBeCloseTo(lump, 0)
    expect(course.timesS.at(-1)).toBeCloseTo(50, 9)
    expect(course.surfaceC.at(-1)).toBeLessThan(course.peakSurfaceC)
    expect(course.surfaceC).toHaveLength(course.timesS.length)
  })
  test('passes of a gun, in words', async () => {
    const passes = await answer(['heat', '-'], { ambientC: 20, layers: [film, bumper], exposure: sweep })
    expect(passes.reachable).toBe(true)
    expect(passes.words).toMatch(/^450 °C, a hand’s breadth away, along.*about one second each way$/)
    expect(passes.secondsToTarget).toBeLessThanOrEqual(passes.passes)
    expect(passes.coolToCutS).toBeGreaterThanOrEqual(passes.coolToPressS)
  })
  test('what cannot be reached, or burns first, is said', async () => {
    const weak = { ...sweep, gun: { ...sweep.gun, outletC: 60 } }
    const cold = await answer(['heat', '-'], { ambientC: 20, layers: [film, bumper], exposure: weak })
    expect(cold).toMatchObject({ reachable: false, secondsToTarget: null })
    expect(cold.words).toContain('does not get it to 48 °C')
    const fierce = {
      ...sweep,
      gun: { outletC: 900, distanceMm: 40, spotMm: 60 },
      speedMmS: 60,
      targetC: 60,
      damageC: 64,
    }
    const hot = await answer(['heat', '-'], { ambientC: 20, layers: [film, bumper], exposure: fierce })
    expect(hot.reachable).toBe(false)
    expect(hot.words).toContain('Risky')
  })
  test('a wait in the air of the day', async () => {
    const mild = await answer(['wait', '-'], { roomC: 22, humidityPercent: 50, kind: 'beforeWrap' })
    const raw = await answer(['wait', '-'], { roomC: 12, humidityPercent: 85, kind: 'beforeWrap' })
    expect(mild.minutes).toBeLessThan(15)
    expect(raw.minutes).toBeGreaterThan(30)
    expect(raw.vapourPressureDeficitKpa).toBeCloseTo(0.21, 2)
    const bond = await answer(['wait', '-'], { roomC: 20, humidityPercent: 50, kind: 'fullBond' })
    expect(bond).toMatchObject({ minutes: 4320, factor: 1 })
    expect(bond.bondFraction).toBeCloseTo(0.95, 6)
  })
})
