import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import type { TriangleMesh } from '../geometry/index.ts'
import { grade, layFigures, naturalLay, type Lay, workedLay } from './index.ts'
import { done } from '../result/index.ts'
import { unfolded } from './unfolded.ts'
import { cap, coneSector, cylinder, plate, saddle } from './testForms.ts'

const laid = (mesh: TriangleMesh): Lay => {
  const lay = naturalLay(mesh)
  if (!lay.ok) throw new Error(english(lay.failure.sentence))
  return lay.value
}
const worked = (mesh: TriangleMesh, take: number, limit = Number.POSITIVE_INFINITY) => {
  const lay = workedLay(mesh, { take, limit })
  if (!lay.ok) throw new Error(english(lay.failure.sentence))
  return lay.value
}
const turned = (mesh: TriangleMesh, scale = 1): TriangleMesh => {
  const [c, s] = [Math.cos(0.7), Math.sin(0.7)]
  const position = mesh.position.slice()
  for (let i = 0; i < position.length; i += 3) {
    const [x, y, z] = [mesh.position[i]!, mesh.position[i + 1]!, mesh.position[i + 2]!]
    position.set([scale * (c * x - s * z), scale * y, scale * (s * x + c * z)], i)
  }
  return { ...mesh, position }
}
const energyPerArea = (mesh: TriangleMesh, lay: Lay) => {
  let sum = 0
  let area = 0
  const p = mesh.position
  for (let t = 0; t < lay.stretch.length / 2; t++) {
    const [a, b, c] = [0, 1, 2].map((k) => 3 * mesh.triangle[3 * t + k]!) as [number, number, number]
    const u = [0, 1, 2].map((k) => p[b + k]! - p[a + k]!)
    const v = [0, 1, 2].map((k) => p[c + k]! - p[a + k]!)
    const w =
      Math.hypot(u[1]! * v[2]! - u[2]! * v[1]!, u[2]! * v[0]! - u[0]! * v[2]!, u[0]! * v[1]! - u[1]! * v[0]!) / 2
    area += w
    sum += w * ((1 / lay.stretch[2 * t]! - 1) ** 2 + (1 / lay.stretch[2 * t + 1]! - 1) ** 2)
  }
  return sum / area
}

describe('natural lay', () => {
  test.each([
    ['plate', plate(300, 200, 12), 1e-9],
    ['cylinder', cylinder(80, 120, 200, 24), 2e-4],
    ['half cylinder, whose sides stand upright', cylinder(80, 180, 200, 24), 2e-4],
    ['cone', coneSector(24), 2e-3],
  ])('a %s develops: no stretch at all', (_, mesh, within) => {
    const { major, minor } = layFigures(mesh, laid(mesh))
    expect(major.max).toBeLessThan(1 + within)
    expect(minor.min).toBeGreaterThan(1 - within)
  })
  test.each([
    [30, 4.0053e-4],
    [60, 6.8683e-3],
  ])('a cap of half-angle %d reaches the least energy of the smooth problem', (degrees, least) => {
    const mesh = cap(degrees, 30)
    const lay = laid(mesh)
    expect(lay.flipped).toBe(0)
    expect(energyPerArea(mesh, lay) / least).toBeGreaterThan(0.99)
    expect(energyPerArea(mesh, lay) / least).toBeLessThan(1.01)
  })
  test('a small disc with the same curvature costs the same on a ball, outside and inside a torus', () => {
    // To leading order the least energy per area of a small disc depends on the Gaussian curvature's square alone.
    const [large, small] = [300, 120]
    const disc = cap(1, 12, 100)
    const place = (at: (x: number, y: number) => [number, number, number]): TriangleMesh => {
      const size = 25 / (100 * Math.sin(Math.PI / 180))
      const position = disc.position.slice()
      for (let i = 0; i < position.length; i += 3) {
        const [x, y] = [disc.position[i]! * size, disc.position[i + 1]! * size]
        position.set(at(x, y), i)
      }
      return { ...disc, position }
    }
    const onTorus = (sign: 1 | -1) =>
      place((x, y) => {
        const b = y / small
        const a = x / (large + sign * small)
        const r = large + sign * small * Math.cos(b)
        return [r * Math.sin(a), small * Math.sin(b), sign * r * Math.cos(a)]
      })
    const onBall = (radius: number) =>
      place((x, y) => [
        radius * Math.sin(x / radius) * Math.cos(y / radius),
        radius * Math.sin(y / radius),
        radius * Math.cos(x / radius) * Math.cos(y / radius),
      ])
    for (const sign of [1, -1] as const) {
      const ball = onBall(Math.sqrt(small * (large + sign * small)))
      const torus = onTorus(sign)
      const ratio = energyPerArea(torus, laid(torus)) / energyPerArea(ball, laid(ball))
      expect(ratio).toBeGreaterThan(0.9)
      expect(ratio).toBeLessThan(1.1)
    }
  })
  test('lengths scale, stretches stay', () => {
    const mesh = cap(40, 10)
    const once = layFigures(mesh, laid(mesh))
    const large = turned(mesh, 3)
    const again = layFigures(large, laid(large))
    expect(again.major.max).toBeCloseTo(once.major.max, 5)
    expect(again.rmsStretch).toBeCloseTo(once.rmsStretch, 6)
  })
  test('a mirrored part lies mirrored', () => {
    const mesh = saddle(14)
    const mirrored: TriangleMesh = {
      position: mesh.position.map((x, i) => (i % 3 === 0 ? -x : x)),
      triangle: mesh.triangle.map((_, i) => mesh.triangle[i % 3 === 0 ? i : i % 3 === 1 ? i + 1 : i - 1]!),
    }
    expect(layFigures(mirrored, laid(mirrored)).major.max).toBeCloseTo(layFigures(mesh, laid(mesh)).major.max, 5)
  })
  test('the same input gives the same bits', () => {
    expect(laid(cap(35, 8)).flat).toEqual(laid(cap(35, 8)).flat)
  })
  test('finer meshes come closer to each other', () => {
    const rms = [6, 12, 24].map((rings) => layFigures(cap(45, rings), laid(cap(45, rings))).rmsStretch)
    expect(Math.abs(rms[2]! - rms[1]!)).toBeLessThan(Math.abs(rms[1]! - rms[0]!))
  })
})

describe('worked lay', () => {
  test.each([
    [30, 16],
    [60, 16],
  ])(
    'a cap of half-angle %d, nothing taken up: radial stretch t / sin t everywhere, hoop 1 at the rim',
    (degrees, rings) => {
      const mesh = cap(degrees, rings)
      const t = (degrees * Math.PI) / 180
      const best = t / Math.sin(t) - 1
      const lay = worked(mesh, 0)
      const { major, minor } = layFigures(mesh, lay)
      expect(lay.flipped).toBe(0)
      expect(minor.min).toBeGreaterThan(1 - 1e-9)
      expect((major.max - 1) / best).toBeLessThan(1.1)
      expect((major.max - 1) / best).toBeGreaterThan(0.97)
      expect((major.p50 - 1) / best).toBeGreaterThan(0.9)
      const rim = minorAtRim(mesh, lay, rings)
      expect(rim - 1).toBeLessThan(0.25 * best)
    },
  )
  test('never compressed below what the film takes up, and less stretch the more it takes up', () => {
    const mesh = cap(40, 10)
    const needed = [0, 0.006, 0.02].map((take) => {
      const lay = worked(mesh, take)
      expect(layFigures(mesh, lay).minor.min).toBeGreaterThan(1 - take - 1e-9)
      return lay.neededStretch
    })
    expect(needed[1]!).toBeLessThan(needed[0]!)
    expect(needed[2]!).toBeLessThan(needed[1]!)
  })
  test('flat places stay unstretched: a plate with one dome', () => {
    const mesh = plate(300, 300, 30)
    const position = mesh.position.slice()
    for (let i = 0; i < position.length; i += 3) {
      const r = Math.hypot(position[i]! - 75, position[i + 1]! - 75) / 60
      if (r < 1) position[i + 2] = 14 * (1 - r * r) ** 2
    }
    const dome = { ...mesh, position }
    const lay = worked(dome, 0.004)
    const far = Array.from(lay.stretch).filter((_, i) => {
      const t = i >> 1
      const v = dome.triangle[3 * t]!
      return i % 2 === 0 && position[3 * v]! > 200 && position[3 * v + 1]! > 200
    })
    expect(lay.neededStretch).toBeGreaterThan(1.01)
    expect(Math.max(...far) - 1).toBeLessThan(0.25 * (lay.neededStretch - 1))
  })
  test('a film that cannot be stretched enough leaves compression and says how much', () => {
    const mesh = cap(60, 10)
    const lay = worked(mesh, 0.006, 1.1)
    expect(lay.neededStretch).toBeGreaterThan(1.15)
    expect(lay.leftCompression).toBeGreaterThan(0.02)
    expect(layFigures(mesh, lay).major.max).toBeLessThan(1.12)
  })
  test('the limit of a film is kept to the last digit, whatever slack may be given away', () => {
    const mesh = cap(40, 12)
    for (const limit of [1.02, 1.05, 1.08]) {
      const lay = worked(mesh, 0.006, limit)
      expect(layFigures(mesh, lay).major.max, `${limit}`).toBeLessThan(limit + 1e-9)
      // What cannot be stretched away is left, and told in full.
      expect(1 - layFigures(mesh, lay).minor.min).toBeLessThan(lay.leftCompression + 1e-9)
    }
  })
  test('one ear does not stretch the whole piece: it is let off and told', () => {
    const eared = withEars(300, [[75, 75]])
    const lay = worked(eared, 0.004)
    const stretched =
      Array.from(lay.stretch).filter((s, i) => i % 2 === 0 && s > 1.05).length / (lay.stretch.length / 2)
    expect(stretched).toBeLessThan(0.02)
    expect(lay.neededStretch).toBeLessThan(1.2)
    expect(lay.flipped).toBe(0)
    const [spot, ...more] = lay.badSpots
    if (spot === undefined) throw new Error('no spot was told')
    expect(more).toEqual([])
    const v = 3 * eared.triangle[3 * spot.triangle]!
    const { position } = eared
    expect(Math.hypot(position[v]! - 75, position[v + 1]! - 75)).toBeLessThan(15)
    expect(spot.areaMm2).toBeLessThan(0.006 * 300 * 300 * 1.2)
    expect(Math.max(spot.stretch - 1, spot.compression)).toBeGreaterThan(0.05)
  })
  test('a spot is told where the film misfits most, and by how much; the worst comes first', () => {
    const lay = worked(
      withEars(450, [
        [75, 75],
        [225, 210],
      ]),
      0.004,
    )
    const misfits = lay.badSpots.map(({ triangle, stretch, compression }) => {
      const there = Math.max(lay.stretch[2 * triangle]! - 1, 1 - lay.stretch[2 * triangle + 1]!)
      expect(there).toBeCloseTo(Math.max(stretch - 1, compression), 9)
      return there
    })
    expect(misfits).toHaveLength(2)
    expect(misfits).toEqual([...misfits].sort((a, b) => b - a))
  })
  test('how far the work has come rises to its end: what is left is halved at each try', () => {
    const told: number[] = []
    const lay = workedLay(cap(60, 12), { take: 0.006 }, (share) => told.push(share))
    expect(lay.ok).toBe(true)
    expect(told.length).toBeGreaterThan(6)
    expect(told).toEqual([...told].sort((a, b) => a - b))
    const [first = 0, second = 0, third = 0] = told
    expect(first).toBeCloseTo(0.15, 9)
    expect(second).toBeCloseTo(0.15 + 0.55 * 0.5, 9)
    expect(third).toBeCloseTo(0.15 + 0.55 * 0.75, 9)
    expect(told[told.length - 1]).toBeLessThanOrEqual(1)
  })
  test('two ears are two spots, told apart', () => {
    const spots = worked(
      withEars(450, [
        [75, 75],
        [225, 210],
      ]),
      0.004,
    ).badSpots
    expect(spots).toHaveLength(2)
    for (const { areaMm2 } of spots) expect(areaMm2).toBeLessThan(0.003 * 450 * 450 * 1.2)
  })
  test('what is hard all over has no such spot', () => {
    for (const degrees of [30, 60]) expect(worked(cap(degrees, 12), 0.006).badSpots).toEqual([])
  })
  test('a plate needs no work', () => {
    expect(worked(plate(200, 200, 8), 0).neededStretch).toBeLessThan(1.001)
  })
  test('a take that no film has is refused', () => {
    const lay = workedLay(plate(100, 100, 3), { take: 0.5 })
    expect(lay.ok ? 'fine' : lay.failure.code).toBe('LAY_TAKE_OUT_OF_RANGE')
  })
})

/** A plate with small spikes on it, in cells of 7.5 mm. */
function withEars(sizeMm: number, at: readonly (readonly [number, number])[]): TriangleMesh {
  const mesh = plate(sizeMm, sizeMm, sizeMm / 7.5)
  const position = mesh.position.slice()
  for (let i = 0; i < position.length; i += 3) {
    for (const [x, y] of at) {
      const r = Math.hypot(position[i]! - x, position[i + 1]! - y) / 10
      if (r < 1) position[i + 2] = 14 * (1 - r)
    }
  }
  return { ...mesh, position }
}

/** Mean smaller stretch of the triangles that touch the rim with a side. */
function minorAtRim(mesh: TriangleMesh, lay: Lay, rings: number): number {
  const firstOfRim = 1 + 3 * rings * (rings - 1)
  let sum = 0
  let count = 0
  for (let t = 0; t < lay.stretch.length / 2; t++) {
    const onRim = [0, 1, 2].filter((k) => mesh.triangle[3 * t + k]! >= firstOfRim).length
    if (onRim < 2) continue
    sum += lay.stretch[2 * t + 1]!
    count++
  }
  return sum / count
}

test('a lay that is folded over itself is refused, any other goes through', () => {
  const lay = laid(plate(100, 100, 5))
  expect(unfolded(done(lay))).toEqual(done(lay))
  const folded = unfolded(done({ ...lay, flipped: 3 }))
  expect(folded.ok ? null : folded.failure).toMatchObject({ code: 'LAY_TURNED_OVER', facts: { triangles: 3 } })
})

test('grades follow the unevenness', () => {
  const of = (mesh: TriangleMesh) => grade(layFigures(mesh, laid(mesh)))
  expect(of(plate(100, 100, 5))).toBe(1)
  expect(of(cylinder(60, 100, 100, 14))).toBe(1)
  expect(of(cap(20, 8))).toBeGreaterThanOrEqual(2)
  expect(of(cap(60, 8))).toBe(5)
})
