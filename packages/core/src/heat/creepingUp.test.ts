import { english } from '@truelay/words'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { required } from '../result/index.ts'
import { gunOnPart, heatStep, layersOf, usualGun } from './index.ts'

const film = { type: 'lens tint' as const, thicknessUm: 130 }
const on = (riseSigma: number, ambientC = 20, strokeMm = 200) =>
  required(gunOnPart(layersOf(film, 'lens plastic'), { gun: usualGun.gun, riseSigma, ambientC, strokeMm }))
const limits = (targetC: number, damageC: number) => ({
  leastC: targetC - 7,
  mostC: targetC + 7,
  damageC,
  pressC: 42,
  cutC: 38,
})
/** As hot as the surface gets if the gun is as strong as its readings allow. */
const hottestC = (riseSigma: number, ambientC: number, peakC: number) => ambientC + (1 + riseSigma) * (peakC - ambientC)

describe('no recipe reaches damage', () => {
  const known = on(0.05)
  const unread = on(usualGun.riseSigma)
  test.each([
    [48, 110],
    [68, 110],
    [92, 110],
    [92, 118],
    [85, 100],
  ])('%d °C on film that is damaged at %d °C, with a gun that is read and with one that is not', (targetC, damageC) => {
    for (const gun of [known, unread]) {
      const answer = heatStep(gun, limits(targetC, damageC))
      expect(hottestC(gun.riseSigma, 20, answer.outcome.peakSurfaceC)).toBeLessThanOrEqual(damageC + 1e-6)
    }
  })
  test('whatever the room, the target and the film', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 100 }),
        fc.integer({ min: 5, max: 60 }),
        fc.constantFrom(known, unread),
        (targetC, room, gun) => {
          const damageC = targetC + room
          const { outcome, risk } = heatStep(gun, limits(targetC, damageC))
          expect(risk).not.toBe('cannot be reached')
          expect(hottestC(gun.riseSigma, 20, outcome.peakSurfaceC)).toBeLessThanOrEqual(damageC + 1e-6)
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('with a gun that nobody has read', () => {
  const gun = on(usualGun.riseSigma)
  test('the last passes are one at a time by the thermometer, and it says to read the gun first', () => {
    const answer = heatStep(gun, limits(92, 110))
    expect(answer.risk).toBe('creep up')
    expect(english(answer.words)).toMatch(/; then one pass at a time, until it reads 92 °C$/)
    expect(answer.warning === null ? '' : english(answer.warning)).toContain('read it on a scrap first')
    expect(answer.passesRange[0]).toBe(answer.outcome.passes)
    expect(answer.passesRange[1]).toBeGreaterThan(answer.outcome.passes)
    expect(answer.outcome.secondsToTarget === null || answer.outcome.readingC < 92).toBe(true)
  })
  test('one pass more could do it: no safe one is left away', () => {
    const answer = heatStep(gun, limits(92, 110))
    const held = gun.held.find((h) => h.distanceMm === answer.distanceMm && h.speedMmS === answer.speedMmS)
    const unit = held?.unit('lane')
    const end = unit?.passEnds[answer.outcome.passes - 1] ?? 0
    const excess = (answer.outcome.readingC - 20) / (unit?.surface[end] ?? 1)
    const next = unit?.passEnds[answer.outcome.passes] ?? 0
    const most = Math.max(...(unit?.surface.subarray(0, next + 1) ?? []))
    expect(hottestC(gun.riseSigma, 20, 20 + excess * most)).toBeGreaterThan(110)
  })
})

describe('with a gun that is read', () => {
  test('a gentle use is one recipe, without a warning', () => {
    const answer = heatStep(on(0.05), limits(48, 118))
    expect(answer.risk).toBe('none')
    expect(answer.warning).toBeNull()
    expect(english(answer.words)).not.toContain('one pass at a time')
  })
  test('near damage it still says to read every pass', () => {
    const answer = heatStep(on(0.12), limits(92, 106))
    expect(answer.risk).not.toBe('none')
    expect(answer.warning === null ? '' : english(answer.warning)).toMatch(/read (it after )?every pass/)
    expect(answer.warning === null ? '' : english(answer.warning)).not.toContain('Nobody has read')
  })
  test('a target that this gun never gets to is said', () => {
    const weak = required(
      gunOnPart(layersOf(film, 'lens plastic'), {
        gun: { settings: [{ name: '1', outletC: 90 }], spotMm: 60 },
        riseSigma: 0.05,
        ambientC: 20,
        strokeMm: 300,
      }),
    )
    expect(heatStep(weak, limits(92, 118)).risk).toBe('cannot be reached')
  })
})
