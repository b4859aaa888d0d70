import { describe, expect, test } from 'vitest'
import { stepStacks } from '../kernel/index.ts'
import { jetOf } from './jet.ts'
import { layersOf } from './materials.ts'
import { unitCourse } from './passes.ts'
import { type GunOver, PatchMarch } from './patch.ts'
import { Eliminations, ends, fromMiddle, secondStage, slabOf, trapezoid } from './slab.ts'
import { SlabMarch } from './testSlabMarch.ts'

const film = { type: 'paint film', thicknessUm: 180 } as const
const materials = ['painted steel', 'painted aluminium', 'painted plastic', 'glass'] as const
const jet = jetOf({ outletC: 400, distanceMm: 90, spotMm: 60 }, 20)
const frameS = 1 / 30
const patch = (material: (typeof materials)[number], widthMm: number, heightMm: number, cellMm = 3) =>
  new PatchMarch({ layers: layersOf(film, material), widthMm, heightMm, cellMm, ambientC: 20 })
const still = (x: number, y: number, of = jet): GunOver => ({ jet: of, from: [x, y], to: [x, y] })

describe.each(materials)('a patch of %s under the gun', (material) => {
  test('keeps all the heat that comes in, sideways too', () => {
    const march = patch(material, 150, 90)
    for (let k = 0; k < 90; k++) march.step(frameS, { jet, from: [20 + k, 45], to: [21 + k, 45] })
    for (let k = 0; k < 30; k++) march.step(frameS, null)
    expect(march.heatInJ).toBeGreaterThan(20)
    expect(march.storedJ() / march.heatInJ).toBeCloseTo(1, 9)
  })

  test('under air that is the same all over goes as one stack does in fine slices and steps, within 1 % from half a second on', () => {
    const march = patch(material, 30, 30)
    const stack = new SlabMarch(slabOf(layersOf(film, material), 2), 20)
    const wash = { gasC: jet.gasC, hWm2K: jet.hWm2K }
    const wide = { ...jet, spotMm: 1e6 }
    for (let k = 1; k <= 240; k++) {
      march.step(frameS, still(15, 15, wide))
      for (let j = 0; j < 10; j++) stack.step(frameS / 10, wash, wash, wash)
      if (k < 15) continue
      expect(Math.abs((march.surfaceC[45]! - 20) / (stack.surfaceC - 20) - 1)).toBeLessThan(0.01)
      if (k >= 60) expect(Math.abs((march.underTopC[45]! - 20) / (stack.underTopC - 20) - 1)).toBeLessThan(0.01)
    }
  })

  test('along one lane comes to what the strips of a plan do, within 5 %', () => {
    const [strokeMm, speedMmS, passes] = [300, 200, 6]
    const { surface, passEnds } = unitCourse(
      slabOf(layersOf(film, material)),
      jet,
      { speedMmS, strokeMm, swept: 'lane' },
      passes,
    )
    const wanted = (jet.gasC - 20) * surface[passEnds[passes - 1]!]!
    const march = patch(material, 500, 300)
    const gunAt = (seconds: number) => {
      const run = (seconds * speedMmS) % (2 * strokeMm)
      return 100 + (run < strokeMm ? run : 2 * strokeMm - run)
    }
    const steps = Math.round((passes * strokeMm) / speedMmS / frameS)
    for (let k = 0; k < steps; k++)
      march.step(frameS, { jet, from: [gunAt(k * frameS), 151.5], to: [gunAt((k + 1) * frameS), 151.5] })
    const middle = march.surfaceC[50 * march.across + 83]! - 20
    expect(Math.abs(middle / wanted - 1)).toBeLessThan(0.05)
  })
})

test('a spot that is held warms alike to every side, most in its middle; the hottest of each cell is remembered', () => {
  const march = patch('painted steel', 156, 156)
  for (let k = 0; k < 60; k++) march.step(frameS, still(78, 78))
  const at = (x: number, y: number) => march.surfaceC[y * march.across + x]!
  for (const off of [1, 5, 12, 25]) {
    expect(at(26 + off, 26)).toBeCloseTo(at(25 - off, 26), 9)
    expect(at(26, 25 - off)).toBeCloseTo(at(25 - off, 26), 9)
    expect(at(26 + off, 26)).toBeLessThan(at(26, 26))
  }
  const hot = at(26, 26)
  for (let k = 0; k < 60; k++) march.step(frameS, null)
  expect(at(26, 26)).toBeLessThan(hot)
  expect(march.hottestC[26 * march.across + 26]).toBe(hot)
})

test('smaller cells change the middle of a spot by less than 1 %', () => {
  const rise = (cellMm: number) => {
    const march = patch('painted aluminium', 156, 156, cellMm)
    for (let k = 0; k < 45; k++) march.step(frameS, still(78, 78))
    return Math.max(...march.surfaceC) - 20
  }
  expect(Math.abs(rise(3) / rise(1.5) - 1)).toBeLessThan(0.01)
})

test('stacks side by side, each under air of its own, go exactly as each does by itself', () => {
  const slab = slabOf(layersOf(film, 'painted plastic'))
  const [rows, across, seconds] = [3, 4, 0.04]
  const stacks = rows * across
  const slices = slab.depthMm.length
  const alone = Array.from({ length: stacks }, () => new SlabMarch(slab, 20))
  const t = new Float64Array(stacks * slices).fill(20)
  const air = (stack: number, when: number) => ({ hWm2K: 10 + 7 * stack + 3 * when, gasC: 20 + 30 * stack - 10 * when })
  const eliminations = new Eliminations(slab)
  const step = {
    ...eliminations.of(trapezoid * seconds),
    weight: trapezoid * seconds,
    shareOfEnds: ends * seconds,
    fromMiddle,
    capacity: slab.capacityJm2K,
    conductance: slab.conductanceWm2K,
  }
  let came = 0
  for (let k = 0; k < 25; k++) {
    const at = [k, k + secondStage, k + 1].map((when) => when / 25)
    const over = (of: 'hWm2K' | 'gasC') =>
      Float64Array.from(at.flatMap((when) => Array.from({ length: stacks }, (_, i) => air(i, when)[of])))
    came += stepStacks(t, rows, across, step, { hWm2K: over('hWm2K'), gasC: over('gasC') })
    alone.forEach((march, i) => {
      const [start, half, end] = at.map((when) => air(i, when))
      if (start !== undefined && half !== undefined && end !== undefined) march.step(seconds, start, half, end)
    })
  }
  alone.forEach((march, i) => {
    const [row, column] = [Math.floor(i / across), i % across]
    march.temperatureC.forEach((own, slice) => {
      expect(t[(row * slices + slice) * across + column]).toBeCloseTo(own, 9)
    })
  })
  expect(came / alone.reduce((sum, march) => sum + march.heatInJm2, 0)).toBeCloseTo(1, 9)
  expect(() => stepStacks(t, rows, 3, step, { hWm2K: t, gasC: t })).toThrow('two at a time')
})
