import { english } from '@truelay/words'
import { required as must } from '../result/index.ts'
import { nothing } from '../say/index.ts'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  type Gun,
  type GunReading,
  calibrateGun,
  type HeatLimits,
  gunOnPart,
  heatStep,
  heatWords,
  jetOf,
  layersOf,
  type Layer,
  passesTo,
  passesWords,
  settingWords,
  slabOf,
  steadyWash,
  steamSeconds,
} from './index.ts'
import { SlabMarch } from './testSlabMarch.ts'

/** exp(x²)·erfc(x) by its continued fraction above 2, below by the series of erf. */
function scaledErfc(x: number): number {
  if (x > 2) {
    let tail = 0
    for (let n = 60; n >= 1; n--) tail = n / 2 / (x + tail)
    return 1 / (Math.sqrt(Math.PI) * (x + tail))
  }
  let term = x
  let sum = x
  for (let n = 1; n < 80; n++) {
    term *= (-x * x) / n
    sum += term / (2 * n + 1)
  }
  return Math.exp(x * x) * (1 - (2 / Math.sqrt(Math.PI)) * sum)
}

/** Surface of a half-space that is washed by gas from time zero (Carslaw and Jaeger 1959, section 2.7). */
function halfSpaceSurface(layer: Layer, gasC: number, startC: number, hWm2K: number, seconds: number): number {
  const diffusivity = layer.conductivityWmK / (layer.densityKgm3 * layer.specificHeatJkgK)
  const x = (hWm2K * Math.sqrt(diffusivity * seconds)) / layer.conductivityWmK
  return startC + (gasC - startC) * (1 - scaledErfc(x))
}

const plastic: Layer = {
  name: 'plastic',
  thicknessMm: 60,
  conductivityWmK: 0.2,
  densityKgm3: 1000,
  specificHeatJkgK: 1800,
}
const steel: Layer = { name: 'steel', thicknessMm: 600, conductivityWmK: 50, densityKgm3: 7850, specificHeatJkgK: 470 }

describe('a steady wash of air', () => {
  test('the closed form is right by itself', () => {
    expect(scaledErfc(0)).toBe(1)
    expect(scaledErfc(1)).toBeCloseTo(0.427583576, 8)
    expect(scaledErfc(2.5)).toBeCloseTo(0.210806364, 6)
  })
  test.each([
    ['plastic', plastic, 60],
    ['plastic, hard blown', plastic, 400],
    ['steel', steel, 80],
  ])('a thick %s follows the half-space with convection, within 0.05 K in 100', (_, layer, hWm2K) => {
    const course = must(steadyWash({ ambientC: 20, layers: [layer], gasC: 120, hWm2K, seconds: 60 }))
    course.timesS.forEach((time, i) => {
      if (time < 0.05) return
      expect(Math.abs((course.surfaceC[i] ?? 0) - halfSpaceSurface(layer, 120, 20, hWm2K, time))).toBeLessThan(0.05)
    })
  })
  test('a thin plate that conducts well warms as a lump', () => {
    const plate: Layer = { ...steel, thicknessMm: 0.8 }
    const course = must(steadyWash({ ambientC: 20, layers: [plate], gasC: 320, hWm2K: 60, seconds: 40 }))
    const rate = 60 / (0.0008 * 7850 * 470)
    expect(course.surfaceC[course.surfaceC.length - 1]).toBeCloseTo(320 - 300 * Math.exp(-rate * 40), 0)
    expect(course.peakBackC).toBeCloseTo(course.peakSurfaceC, 0)
  })
  test('steps and slices of half the size change nothing that counts', () => {
    const layers = layersOf({ type: 'paint film', thicknessUm: 180 }, 'painted steel')
    const request = { ambientC: 20, layers, gasC: 320, hWm2K: 90, seconds: 8, coolSeconds: 10 }
    const coarse = must(steadyWash(request))
    const fine = must(steadyWash(request, { finerTime: 4, finerSpace: 3 }))
    expect(Math.abs(coarse.peakSurfaceC - fine.peakSurfaceC)).toBeLessThan(0.1)
    expect(Math.abs((coarse.surfaceC.at(-1) ?? 0) - (fine.surfaceC.at(-1) ?? 0))).toBeLessThan(0.1)
  })
  test('error falls with the square of the step', () => {
    const ends = [1, 2, 4].map((finer) => {
      const march = new SlabMarch(slabOf([plastic]), 20)
      const air = (time: number) => ({ gasC: 20 + 200 * Math.sin(time) ** 2, hWm2K: 60 })
      const steps = 20 * finer
      for (let k = 0; k < steps; k++) {
        const t = (k * 3) / steps
        march.step(3 / steps, air(t), air(t + ((2 - Math.SQRT2) * 3) / steps), air(t + 3 / steps))
      }
      return march.surfaceC
    })
    const [a = 0, b = 0, c = 0] = ends
    expect((a - b) / (b - c)).toBeGreaterThan(3)
    expect((a - b) / (b - c)).toBeLessThan(5.5)
  })
  test('what comes in is stored, to the last joule', () => {
    const layers = layersOf({ type: 'paint film', thicknessUm: 180 }, 'painted plastic')
    const slab = slabOf(layers)
    const march = new SlabMarch(slab, 20)
    for (let k = 0; k < 200; k++) {
      const air = { gasC: k < 100 ? 350 : 20, hWm2K: k < 100 ? 90 : 10 }
      march.step(0.05, air, air, air)
    }
    expect(march.heatInJm2).toBeGreaterThan(1000)
    expect(march.storedJm2(20) / march.heatInJm2).toBeCloseTo(1, 9)
  })
  test.each([
    ['no layers', { layers: [] }, 'HEAT_NO_LAYER'],
    ['a layer without thickness', { layers: [{ ...steel, thicknessMm: 0 }] }, 'HEAT_OUT_OF_RANGE'],
    ['a negative conductivity', { layers: [{ ...steel, conductivityWmK: -1 }] }, 'HEAT_OUT_OF_RANGE'],
    ['no time', { seconds: 0 }, 'HEAT_OUT_OF_RANGE'],
    ['no number', { gasC: Number.NaN }, 'HEAT_OUT_OF_RANGE'],
  ])('%s is refused', (_, wrong, code) => {
    const result = steadyWash({ ambientC: 20, layers: [steel], gasC: 100, hWm2K: 50, seconds: 5, ...wrong })
    expect(result.ok ? 'fine' : result.failure.code).toBe(code)
  })
})

const panel = layersOf({ type: 'paint film', thicknessUm: 180 }, 'painted steel')
const bumper = layersOf({ type: 'paint film', thicknessUm: 180 }, 'painted plastic')
const usual = (layers: readonly Layer[], change: object = {}) => ({
  ambientC: 20,
  layers,
  jet: jetOf({ outletC: 420, distanceMm: 90, spotMm: 110 }, 20),
  speedMmS: 300,
  strokeMm: 300,
  targetC: 48,
  damageC: 110,
  pressC: 42,
  cutC: 30,
  ...change,
})

describe('passes', () => {
  test('the thermometer reads, and under the film it is, what stands there when the last pass ends', () => {
    const question = usual(bumper)
    const outcome = must(passesTo(question))
    const end = endOf(outcome, { ...question, passes: outcome.passes })
    expect(outcome.readingC).toBe(outcome.surfaceC[end])
    expect(outcome.underTopAtEndC).toBe(outcome.underTopC[end])
    expect(outcome.surfaceC[end]).not.toBe(outcome.surfaceC[end - 1])
  })
  test('more passes on thin steel, which pulls heat away, than on plastic', () => {
    const onSteel = must(passesTo(usual(panel)))
    const onPlastic = must(passesTo(usual(bumper)))
    expect(onSteel.reachable && onPlastic.reachable).toBe(true)
    expect(onSteel.passes).toBeGreaterThan(onPlastic.passes)
    expect(onPlastic.coolToPressS).not.toBeNull()
    expect(onPlastic.coolToCutS ?? 0).toBeGreaterThan(onPlastic.coolToPressS ?? 0)
  })
  test('the surface is at the target when it is said to be, and the passes end after that', () => {
    const outcome = must(passesTo(usual(bumper)))
    const met = outcome.secondsToTarget ?? 0
    const after = outcome.timesS.findIndex((t) => t >= met)
    expect(outcome.surfaceC[after]).toBeGreaterThanOrEqual(48 - 0.01)
    expect(Math.max(...outcome.surfaceC.slice(0, after))).toBeLessThan(48)
    expect(met).toBeLessThanOrEqual(outcome.passes)
    expect(met).toBeGreaterThan(outcome.passes - 1)
  })
  test('a gun too weak is said not to reach, with what it reaches', () => {
    const outcome = must(passesTo(usual(panel, { jet: jetOf({ outletC: 60, distanceMm: 90, spotMm: 110 }, 20) })))
    expect(outcome).toMatchObject({ reachable: false, secondsToTarget: null, passes: 40 })
    expect(outcome.peakSurfaceC).toBeLessThan(48)
  })
  test('more passes hurt nothing but time: hotter air or a slower hand never needs more of them', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 250, max: 500, noNaN: true }),
        fc.double({ min: 1.05, max: 1.4, noNaN: true }),
        fc.double({ min: 100, max: 300, noNaN: true }),
        (outletC, factor, speedMmS) => {
          const passes = (outlet: number, speed: number) =>
            must(
              passesTo(
                usual(bumper, { jet: jetOf({ outletC: outlet, distanceMm: 90, spotMm: 110 }, 20), speedMmS: speed }),
              ),
            ).passes
          expect(passes(outletC * factor, speedMmS)).toBeLessThanOrEqual(passes(outletC, speedMmS))
          expect(passes(outletC, speedMmS)).toBeLessThanOrEqual(passes(outletC, speedMmS * factor))
        },
      ),
      { numRuns: 15 },
    )
  })
  test.each([
    ['a gun that stands still', { speedMmS: 0 }, 'HEAT_STANDS_STILL'],
    ['a target above damage', { targetC: 130 }, 'HEAT_TARGET_DAMAGES'],
    ['a stroke of nothing', { strokeMm: 0 }, 'HEAT_OUT_OF_RANGE'],
  ])('%s is refused', (_, wrong, code) => {
    const result = passesTo(usual(panel, wrong))
    expect(result.ok ? 'fine' : result.failure.code).toBe(code)
  })
})

const gun: Gun = {
  settings: [120, 250, 380, 500].map((outletC, i) => ({ name: String(i + 1), outletC })),
  spotMm: 110,
}
const limits: HeatLimits = { leastC: 40, mostC: 55, damageC: 115, pressC: 42, cutC: 38 }
const onPart = (layers = bumper, of: Gun = gun, riseSigma = 0.25) =>
  must(gunOnPart(layers, { gun: of, riseSigma, ambientC: 20, strokeMm: 200 }))

describe('a heat step', () => {
  test('is read in its band right after, and says how to hold the gun', () => {
    const answer = heatStep(onPart(), limits)
    expect(answer.risk).toBe('none')
    expect(answer.warning).toBeNull()
    expect(answer.outcome.readingC).toBeGreaterThanOrEqual(47.5)
    expect(answer.outcome.readingC).toBeLessThan(57)
    expect(answer.outcome.peakSurfaceC).toBeGreaterThan(answer.outcome.readingC)
    expect(english(answer.words)).toMatch(/^(first|second|third|fourth) notch, .*away, along.*each way$/)
    expect(answer.passesRange[0]).toBeLessThanOrEqual(answer.outcome.passes)
    expect(answer.passesRange[1]).toBeGreaterThanOrEqual(answer.outcome.passes)
  })
  test('close to damage it is called risky', () => {
    const answer = heatStep(onPart(), { ...limits, leastC: 62, mostC: 74, damageC: 98 })
    expect(answer.risk).toBe('near damage')
    expect(english(answer.warning ?? nothing)).toContain('thermometer')
  })
  test('what the gun cannot do is said', () => {
    const answer = heatStep(onPart(bumper, { ...gun, settings: [{ name: 'low', outletC: 60 }] }), limits)
    expect(answer.risk).toBe('cannot be reached')
    expect(english(answer.warning ?? nothing)).toContain('does not get it to')
  })
  test('an unsure gun has a wider range of passes', () => {
    const span = (riseSigma: number) => {
      const [fewest, most] = heatStep(onPart(bumper, gun, riseSigma), limits).passesRange
      return most - fewest
    }
    expect(span(0.3)).toBeGreaterThan(span(0.05))
  })
  test('no gun at all is refused', () => {
    const none = gunOnPart(bumper, { gun: { settings: [], spotMm: 70 }, riseSigma: 0.2, ambientC: 20, strokeMm: 300 })
    expect(none.ok ? 'fine' : none.failure.code).toBe('HEAT_OUT_OF_RANGE')
  })
})

/** Number of the time at which the last pass ends. */
const endOf = (
  { timesS }: { readonly timesS: readonly number[] },
  { passes, strokeMm, speedMmS }: { passes: number; strokeMm: number; speedMmS: number },
) => timesS.findIndex((t) => t > (passes * strokeMm) / speedMmS + 1e-6) - 1

describe('readings calibrate a gun', () => {
  const held = { outletC: 380, distanceMm: 90, spotMm: 110 }
  const layers = [...layersOf({ type: 'paint film', thicknessUm: 180 }, 'painted plastic')]
  const reading = (factors: { gas: number; h: number }, change: Partial<GunReading> = {}): GunReading => {
    const sweep = { speedMmS: 300, strokeMm: 300, passes: 4, gun: held, layers, ambientC: 20, ...change }
    const outcome = must(
      passesTo({
        ...usual(layers, { targetC: 299, damageC: 400, mostPasses: sweep.passes }),
        ...sweep,
        jet: jetOf(sweep.gun, 20, factors),
      }),
    )
    return { ...sweep, surfaceC: outcome.surfaceC[endOf(outcome, sweep)] ?? 0 }
  }
  test('without readings it is what is usual, and unsure', () => {
    const none = must(calibrateGun([]))
    expect(none.factors).toEqual({ gas: 1, h: 1 })
    expect(none.riseSigma).toBeGreaterThan(0.3)
  })
  test('exact readings at two distances and paces bring the factors back', () => {
    const truth = { gas: 0.85, h: 1.25 }
    const readings = [
      reading(truth),
      reading(truth, { speedMmS: 100, passes: 12 }),
      reading(truth, { gun: { ...held, outletC: 500 }, speedMmS: 60, passes: 30 }),
    ]
    const sharp = { readingC: 0.02, modelShare: 0, gasSpread: 0.2, hSpread: 0.35 }
    const found = must(calibrateGun(readings, sharp))
    expect(found.factors.gas).toBeCloseTo(0.85, 2)
    expect(found.factors.h).toBeCloseTo(1.25, 1)
    for (const miss of found.residualC) expect(Math.abs(miss)).toBeLessThan(0.2)
  })
  test('each reading makes it surer, and a hotter gun needs fewer passes', () => {
    const strong = { gas: 1.3, h: 1.1 }
    const one = must(calibrateGun([reading(strong)]))
    const two = must(calibrateGun([reading(strong), reading(strong, { passes: 8 })]))
    const none = must(calibrateGun([]))
    expect(one.riseSigma).toBeLessThan(none.riseSigma / 2)
    expect(two.riseSigma).toBeLessThan(one.riseSigma)
    const passes = (c: typeof one) => must(passesTo(usual(bumper, { jet: jetOf(held, 20, c.factors) }))).passes
    expect(passes(two)).toBeLessThan(passes(none))
  })
  test('one pass is a reading, none and sixty-one are not', () => {
    const code = (passes: number) => {
      const result = calibrateGun([{ ...reading({ gas: 1, h: 1 }, { passes: 1 }), passes }])
      return result.ok ? 'fine' : result.failure.code
    }
    expect([0, 1, 60, 61].map(code)).toEqual(['HEAT_OUT_OF_RANGE', 'fine', 'fine', 'HEAT_OUT_OF_RANGE'])
  })
  test('a reading that says nothing is refused', () => {
    const odd = calibrateGun([{ ...reading({ gas: 1, h: 1 }), surfaceC: 20.5 }])
    expect(odd.ok ? 'fine' : odd.failure.code).toBe('HEAT_READING_ODD')
  })
})

test('steam warms softly and cannot post-heat', () => {
  expect(must(steamSeconds(bumper, 20, 48))).toBeGreaterThan(0)
  expect(must(steamSeconds(bumper, 20, 48))).toBeLessThan(must(steamSeconds(panel, 20, 48)) ?? 0)
  expect(must(steamSeconds(bumper, 20, 92))).toBeNull()
})

test('how to hold a gun, in words', () => {
  expect(english(heatWords({ setting: settingWords('3'), distanceMm: 90, passes: 12, passSeconds: 1 }))).toBe(
    'third notch, a hand’s breadth away, along and back six times, about one second each way',
  )
  expect([1, 2, 3, 4, 5, 7].map((passes) => english(passesWords(passes)))).toEqual([
    'along once',
    'along and back',
    'along, back and along',
    'along and back twice',
    'along and back twice, and along once more',
    'along and back three times, and along once more',
  ])
})

describe('slices through a stack of layers', () => {
  const stack: Layer[] = [
    { name: 'film', thicknessMm: 0.18, conductivityWmK: 0.2, densityKgm3: 1200, specificHeatJkgK: 1700 },
    { name: 'paint', thicknessMm: 0.12, conductivityWmK: 0.25, densityKgm3: 1400, specificHeatJkgK: 1500 },
    { name: 'steel', thicknessMm: 0.8, conductivityWmK: 50, densityKgm3: 7850, specificHeatJkgK: 470 },
  ]
  const slab = slabOf(stack)
  test('end at every joint: what is called under the top is the depth of the film', () => {
    expect(slab.depthMm[slab.underTop]).toBeCloseTo(0.18, 12)
    expect(slab.depthMm[slab.depthMm.length - 1]).toBeCloseTo(1.1, 12)
    expect(Array.from(slab.depthMm).some((d) => Math.abs(d - 0.3) < 1e-12)).toBe(true)
    for (let i = 1; i < slab.depthMm.length; i++) expect(slab.depthMm[i]).toBeGreaterThan(slab.depthMm[i - 1]!)
  })
  test('store what the layers store, let through what they let through, and hand on sideways what they do', () => {
    const sum = (values: Iterable<number>) => [...values].reduce((total, x) => total + x, 0)
    const stored = stack.map((l) => (l.thicknessMm / 1000) * l.densityKgm3 * l.specificHeatJkgK)
    expect(sum(slab.capacityJm2K)).toBeCloseTo(sum(stored), 6)
    const resistance = sum(Array.from(slab.conductanceWm2K, (c) => 1 / c))
    expect(resistance).toBeCloseTo(sum(stack.map((l) => l.thicknessMm / 1000 / l.conductivityWmK)), 12)
    expect(sum(slab.sidewaysWK)).toBeCloseTo(sum(stack.map((l) => (l.thicknessMm / 1000) * l.conductivityWmK)), 12)
  })
})

describe('after the last pass', () => {
  // A sheet so thin and conductive that it is one lump: its cooling is an exponential.
  const foil: Layer = { name: 'foil', thicknessMm: 1, conductivityWmK: 400, densityKgm3: 2700, specificHeatJkgK: 900 }
  const request = {
    ambientC: 20,
    layers: [foil],
    jet: jetOf({ outletC: 450, distanceMm: 90, spotMm: 110 }, 20),
    speedMmS: 200,
    strokeMm: 300,
    swept: 'band' as const,
    targetC: 60,
    damageC: 200,
    pressC: 45,
    cutC: 30,
    until: 'held' as const,
  }
  const outcome = must(passesTo(request))
  test('it cools as a lump in still air does, to pressing and to cutting', () => {
    const perKelvin = (0.001 * 2700 * 900) / 10
    const from = outcome.readingC - 20
    expect(outcome.coolToPressS! / (perKelvin * Math.log(from / 25))).toBeCloseTo(1, 2)
    expect(outcome.coolToCutS! / (perKelvin * Math.log(from / 10))).toBeCloseTo(1, 2)
  })
  test('what the thermometer reads is the end of the last pass, and the hottest is what the course shows', () => {
    const passS = 300 / 200
    const end = outcome.timesS.findIndex((t) => t >= outcome.passes * passS - 1e-9)
    // The course goes on into the cooling; what is read is known from it as well.
    expect(outcome.peakSurfaceC).toBeGreaterThanOrEqual(outcome.surfaceC[end]! - 1e-9)
    expect(outcome.peakSurfaceC).toBeCloseTo(Math.max(...outcome.surfaceC), 9)
    expect(outcome.marginToDamageC).toBeCloseTo(200 - outcome.peakSurfaceC, 12)
    expect(outcome.surfaceC[end]).toBeGreaterThanOrEqual(60)
    const before = must(passesTo({ ...request, exactly: outcome.passes - 1 }))
    expect(before.surfaceC[before.timesS.findIndex((t) => t >= (outcome.passes - 1) * passS - 1e-9)]).toBeLessThan(60)
  })
  test('in a room warmer than the limit it never gets there, and that is no number', () => {
    const warm = must(passesTo({ ...request, ambientC: 46, cutC: 30, pressC: 47 }))
    expect(warm.coolToPressS).not.toBeNull()
    expect(warm.coolToCutS).toBeNull()
  })
})
