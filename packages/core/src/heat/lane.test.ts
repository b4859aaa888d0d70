import { describe, expect, test } from 'vitest'
import { inKernel } from '../kernel/index.ts'
import { layersOf } from './materials.ts'
import { alone, LaneMarch, laneOf } from './lane.ts'
import type { Wash } from './heatTypes.ts'
import { jetOf } from './jet.ts'
import { unitCourse } from './passes.ts'
import { secondStage, slabOf } from './slab.ts'
import { SlabMarch } from './testSlabMarch.ts'

const film = { type: 'paint film', thicknessUm: 180 } as const
const spotMm = 50
const jet = { h: 110, still: 10 }
const bell = (mm2: number) => Math.exp(-mm2 / (2 * (spotMm / 4) ** 2))
const washOf = (share: number) => {
  const hWm2K = jet.still + (jet.h - jet.still) * share
  return { gasC: (jet.h * share) / hWm2K, hWm2K }
}
const strokeMm = 300
const speedMmS = 200
/** Where the gun is along the stroke after so many seconds of going to and fro. */
const gunAt = (seconds: number) => {
  const run = (seconds * speedMmS) % (2 * strokeMm)
  return (run < strokeMm ? run : 2 * strokeMm - run) - strokeMm / 2
}

function inStrips(material: Parameters<typeof layersOf>[1], passes: number): number {
  const lane = laneOf(slabOf(layersOf(film, material)), spotMm, 'lane')
  const dt = 0.03
  const steps = Math.round((passes * strokeMm) / speedMmS / dt)
  return inKernel(() => {
    const march = new LaneMarch(lane, 0)
    for (let k = 0; k < steps; k++) {
      const at = [k * dt, (k + 0.5858) * dt, (k + 1) * dt].map(gunAt)
      const washes = lane.strips.map(
        ({ middleMm }) => at.map((mm) => washOf(bell(mm ** 2 + middleMm ** 2))) as [Wash, Wash, Wash],
      )
      march.step(dt, march.air(washes))
    }
    return march.surfaceC
  })
}

/** The whole patch: a column under every 6 mm square, sideways in both directions, explicit and in small steps. */
function inSpace(material: Parameters<typeof layersOf>[1], passes: number): number {
  const slab = slabOf(layersOf(film, material))
  const cell = 6
  const nx = Math.round((strokeMm / 2 + 90) / cell)
  const ny = Math.round(130 / cell)
  // Both halves of the stroke see the same over a pass to and a pass fro only in the middle: the whole length is kept.
  const width = 2 * nx + 1
  const columns = Array.from({ length: width * ny }, () => new SlabMarch(slab, 0))
  const nodes = Array.from(slab.sidewaysWK.keys()).filter((i) => slab.sidewaysWK[i]! > 0.002)
  const dt = 0.03
  const steps = Math.round((passes * strokeMm) / speedMmS / dt)
  const parts = nodes.length === 0 ? 1 : 3
  for (let k = 0; k < steps; k++) {
    const at = [k * dt, (k + 0.5858) * dt, (k + 1) * dt].map(gunAt)
    columns.forEach((column, c) => {
      const x = ((c % width) - nx) * cell
      const y = (Math.floor(c / width) + 0.5) * cell
      const [a, b, e] = at.map((g) => washOf(bell((x - g) ** 2 + y * y))) as [never, never, never]
      column.step(dt, a, b, e)
    })
    for (const node of nodes) {
      const rate = slab.sidewaysWK[node]! / slab.capacityJm2K[node]! / (cell / 1000) ** 2
      for (let p = 0; p < parts; p++) {
        const now = columns.map((c) => c.temperatureC[node]!)
        columns.forEach((column, c) => {
          const [i, j] = [c % width, Math.floor(c / width)]
          let sum = 0
          if (i > 0) sum += now[c - 1]! - now[c]!
          if (i < width - 1) sum += now[c + 1]! - now[c]!
          if (j > 0) sum += now[c - width]! - now[c]!
          if (j < ny - 1) sum += now[c + width]! - now[c]!
          column.temperatureC[node] = now[c]! + (dt / parts) * rate * sum
        })
      }
    }
  }
  return columns[nx]!.surfaceC
}

test.each([
  ['painted plastic', 6],
  ['painted plastic', 12],
  ['painted steel', 6],
  ['painted steel', 12],
  ['painted aluminium', 6],
  ['painted aluminium', 12],
] as const)('a lane on %s after %d passes comes to what the whole patch in space does', (material, passes) => {
  const [strips, space] = [inStrips(material, passes), inSpace(material, passes)]
  expect(Math.abs(strips / space - 1)).toBeLessThan(0.05)
})

test.each(['painted steel', 'painted aluminium', 'painted plastic'] as const)(
  'ten times as many steps change less than 0.3 K of a sweep on %s: peak, sixth and twelfth pass, and under the film',
  (material) => {
    const slab = slabOf(layersOf(film, material))
    const close = jetOf({ outletC: 400, distanceMm: 75, spotMm: 60 }, 20)
    const marks = (options?: Parameters<typeof unitCourse>[4]) => {
      const { surface, underTop, passEnds } = unitCourse(slab, close, { speedMmS: 120, strokeMm: 300 }, 12, options)
      const [sixth, last] = [passEnds[5]!, passEnds[11]!]
      return [Math.max(...surface), surface[sixth]!, surface[last]!, underTop[last]!].map(
        (rise) => (close.gasC - 20) * rise,
      )
    }
    const fine = marks({ pulseSteps: 100, restSteps: 30 })
    for (const [i, rise] of marks().entries()) expect(Math.abs(rise - fine[i]!)).toBeLessThan(0.3)
  },
)

describe('a lane and a band', () => {
  const held = jetOf({ outletC: 400, distanceMm: 90, spotMm: 60 }, 20)
  const end = (material: Parameters<typeof layersOf>[1], swept: 'lane' | 'band') => {
    const { surface } = unitCourse(slabOf(layersOf(film, material)), held, { speedMmS: 200, strokeMm: 300, swept }, 10)
    return surface[surface.length - 1]!
  }
  test('differ on metal, which carries heat off sideways, aluminium more than steel', () => {
    const over = (material: Parameters<typeof layersOf>[1]) => end(material, 'band') / end(material, 'lane')
    expect(over('painted steel')).toBeGreaterThan(1.1)
    expect(over('painted aluminium')).toBeGreaterThan(1.5)
  })
  test('are the same on plastic and glass', () => {
    for (const material of ['painted plastic', 'lens plastic', 'glass'] as const)
      expect(end(material, 'lane')).toBe(end(material, 'band'))
  })
  test('heat that goes sideways is neither lost nor made, and comes to rest evenly', () => {
    const lane = laneOf(slabOf(layersOf(film, 'painted steel')), spotMm, 'lane')
    const { capacityJm2K } = lane.slab
    const across = 2 * Math.ceil(lane.strips.length / 2)
    const stored = (of: Float64Array) =>
      lane.strips.reduce(
        (sum, { widthMm }, strip) =>
          sum + capacityJm2K.reduce((all, c, slice) => all + c * of[slice * across + strip]!, 0) * widthMm,
        0,
      )
    const uneven = Float64Array.from(
      Array.from(capacityJm2K).flatMap((_, slice) => [90, 40, 10, 0, 30, 30].map((c) => c + slice)),
    )
    const after = inKernel(() => {
      const march = new LaneMarch(lane, uneven)
      const nothingBlows = { gasC: 500, hWm2K: 0 }
      const air = march.air(lane.strips.map(() => [nothingBlows, nothingBlows, nothingBlows]))
      for (let k = 0; k < 2000; k++) march.step(1, air)
      return march.temperatureC.slice()
    })
    expect(stored(after) / stored(uneven)).toBeCloseTo(1, 9)
    const width = lane.strips.reduce((sum, { widthMm }) => sum + widthMm, 0)
    const evenC = stored(uneven) / (width * capacityJm2K.reduce((sum, c) => sum + c, 0))
    for (const [i, c] of after.entries()) if (i % across < lane.strips.length) expect(c).toBeCloseTo(evenC, 3)
  })
})

test.each(['painted plastic', 'painted steel'] as const)(
  'a stack of %s by itself goes exactly as it does written down plainly, in steps of several lengths',
  (material) => {
    const slab = slabOf(layersOf(film, material))
    const plain = new SlabMarch(slab, 20)
    const washAt = (seconds: number) => ({
      gasC: 20 + 300 * Math.sin(seconds) ** 2,
      hWm2K: 40 + 30 * Math.cos(seconds),
    })
    inKernel(() => {
      const march = new LaneMarch(alone(slab), 20)
      let time = 0
      for (let k = 0; k < 120; k++) {
        const seconds = 0.02 + 0.01 * (k % 7)
        const washes = [0, secondStage, 1].map((share) => washAt(time + share * seconds)) as [Wash, Wash, Wash]
        march.step(seconds, march.air([washes]))
        plain.step(seconds, ...washes)
        time += seconds
        expect(march.surfaceC).toBeCloseTo(plain.surfaceC, 9)
        expect(march.underTopC).toBeCloseTo(plain.underTopC, 9)
        expect(march.backC).toBeCloseTo(plain.backC, 9)
      }
      expect(plain.surfaceC).toBeGreaterThan(30)
    })
  },
)
