import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  alignTurns,
  applyRigid,
  checkSheet,
  contains,
  fitRigid,
  insideOf,
  nearestOnOutline,
  outlineGauge,
  perimeter,
  selfCrossing,
  signedArea,
  surfaceArea,
  type TriangleMesh,
  thenRigid,
  thinOutline,
  triangleLocator,
  turnAbout,
  vertexDistance,
  vertexNormals,
  type Vec2,
} from './index.ts'
import { seededRandom } from '../numerics/index.ts'

const square: Vec2[] = [
  [0, 0],
  [10, 0],
  [10, 10],
  [0, 10],
]
const mesh = (position: number[], triangle: number[]): TriangleMesh => ({
  position: Float64Array.from(position),
  triangle: Int32Array.from(triangle),
})
const two = [0, 0, 0, 10, 0, 0, 10, 10, 0, 0, 10, 0]

describe('polygons', () => {
  test('a square of 10', () => {
    expect(signedArea(square)).toBe(100)
    expect(signedArea([...square].reverse())).toBe(-100)
    expect(perimeter(square)).toBe(40)
    expect(contains(square, [5, 5])).toBe(true)
    expect(contains(square, [11, 5])).toBe(false)
    expect(nearestOnOutline(square, [5, 13])).toMatchObject({ distanceMm: 3, point: [5, 10] })
    expect(selfCrossing(square)).toBeNull()
  })
  test('the nearest place of an outline with sides shorter than a millimetre', () => {
    const tiny = square.map(([x, y]): Vec2 => [x / 20, y / 20])
    const found = nearestOnOutline(tiny, [0.3, 0.8])
    expect(found.point[0]).toBeCloseTo(0.3, 12)
    expect(found.point[1]).toBeCloseTo(0.5, 12)
    expect(found.distanceMm).toBeCloseTo(0.3, 12)
  })
  test('two corners of a mesh are as far apart as in space', () => {
    const mesh = { position: Float64Array.of(9, 9, 9, 1, 2, 3, 4, 6, 15), triangle: Int32Array.of(0, 1, 2) }
    expect(vertexDistance(mesh, 1, 2)).toBe(13)
    expect(vertexDistance(mesh, 2, 1)).toBe(13)
  })
  test('a bow tie crosses itself in its middle', () => {
    expect(
      selfCrossing([
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ]),
    ).toEqual([5, 5])
  })
})

describe('a mesh is checked before film is laid on it', () => {
  test('a corner that is not there is named, with its triangle', () => {
    const refusal = checkSheet(mesh(two, [0, 1, 2, 0, 2, 9]), { holesExpected: false })
    expect(refusal.ok ? null : refusal.failure).toMatchObject({
      code: 'MESH_BAD_INDEX',
      facts: { triangle: 2, vertex: 10, vertices: 4 },
    })
  })
  test('the normals of a roof lean to both sides and are of length one', () => {
    const roof = mesh(
      [0, 0, 0, 10, 0, 5, 10, 10, 5, 0, 10, 0, 20, 0, 0, 20, 10, 0],
      [0, 1, 2, 0, 2, 3, 1, 4, 5, 1, 5, 2],
    )
    const normals = vertexNormals(roof)
    for (let i = 0; i < normals.length; i += 3)
      expect(Math.hypot(normals[i]!, normals[i + 1]!, normals[i + 2]!)).toBeCloseTo(1, 12)
    expect(normals[0]!).toBeLessThan(0)
    expect(normals[12]!).toBeGreaterThan(0)
    for (let i = 2; i < normals.length; i += 3) expect(normals[i]!).toBeGreaterThan(0.5)
  })
})

describe('an outline with needless points left out', () => {
  const wavy = Array.from({ length: 240 }, (_, k): Vec2 => {
    const r = 100 + 0.3 * Math.sin(k)
    return [r * Math.cos((k * Math.PI) / 120), r * Math.sin((k * Math.PI) / 120)]
  })
  test('no point that was left out lies further off than was allowed', () => {
    for (const tolerance of [0.1, 0.5, 2]) {
      const thin = thinOutline(wavy, tolerance)
      expect(thin.length).toBeLessThan(wavy.length)
      for (const p of wavy) expect(nearestOnOutline(thin, p).distanceMm).toBeLessThanOrEqual(tolerance + 1e-9)
    }
  })
  test('sides stay no longer than asked, but for those that were longer', () => {
    const square = densified([0, 0], [400, 0], [400, 400], [0, 400])
    const thin = thinOutline(square, 0.1, 100)
    const longest = Math.max(...thin.map((p, i) => Math.hypot(...minus(thin[(i + 1) % thin.length] ?? p, p))))
    expect(longest).toBeLessThanOrEqual(100 + 1e-9)
    expect(thin.length).toBeLessThan(square.length)
    expect(thinOutline(square, 0.1).length).toBe(4)
  })
})

const minus = (a: Vec2, b: Vec2): Vec2 => [a[0] - b[0], a[1] - b[1]]
/** A closed outline with a point every 10 mm. */
const densified = (...corners: Vec2[]): Vec2[] =>
  corners.flatMap((a, i) => {
    const b = corners[(i + 1) % corners.length] ?? a
    const steps = Math.round(Math.hypot(...minus(b, a)) / 10)
    return Array.from(
      { length: steps },
      (_, k): Vec2 => [a[0] + ((b[0] - a[0]) * k) / steps, a[1] + ((b[1] - a[1]) * k) / steps],
    )
  })

test('a gauge answers as the plain questions do, whatever side it is told to begin at', () => {
  const star: Vec2[] = Array.from({ length: 24 }, (_, k) => {
    const r = k % 2 === 0 ? 100 : 55
    return [r * Math.cos((k * Math.PI) / 12), r * Math.sin((k * Math.PI) / 12)]
  })
  const number = fc.double({ min: -130, max: 130, noNaN: true })
  for (const polygon of [star, [...star].reverse()]) {
    const gauge = outlineGauge(polygon)
    fc.assert(
      fc.property(number, number, fc.integer({ min: 0, max: 23 }), (x, y, side) => {
        const gauged = gauge.nearest([x, y], side)
        expect(gauged.distanceMm).toBeCloseTo(nearestOnOutline(polygon, [x, y]).distanceMm, 9)
        if (gauged.distanceMm > 1e-6) expect(gauge.holds([x, y], gauged)).toBe(contains(polygon, [x, y]))
      }),
    )
  }
})

describe('rigid moves', () => {
  const number = fc.double({ min: -500, max: 500, noNaN: true })
  test('a fit finds the turn and the move that were made', () => {
    fc.assert(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), number, number, (turnRad, x, y) => {
        const made = { turnRad, moveMm: [x, y] as Vec2 }
        const found = fitRigid(
          square,
          square.map((p) => applyRigid(made, p)),
        )
        for (const p of square) {
          const [a, b] = [applyRigid(found, p), applyRigid(made, p)]
          expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeLessThan(1e-9)
        }
      }),
    )
  })
  test('a turn about a point leaves the point, and moves chain in order', () => {
    const turn = turnAbout([3, 4], 1.2, [0, 0])
    expect(applyRigid(turn, [3, 4])[0]).toBeCloseTo(3, 12)
    const chained = thenRigid(turn, { turnRad: 0.3, moveMm: [1, 2] })
    const direct = applyRigid({ turnRad: 0.3, moveMm: [1, 2] }, applyRigid(turn, [7, -2]))
    expect(applyRigid(chained, [7, -2])[0]).toBeCloseTo(direct[0], 12)
    expect(applyRigid(chained, [7, -2])[1]).toBeCloseTo(direct[1], 12)
  })
})

describe('what film can be laid on', () => {
  const refusal = (m: TriangleMesh) => {
    const sheet = checkSheet(m, { holesExpected: false })
    return sheet.ok ? 'fine' : sheet.failure.code
  }
  test('one open sheet is fine and knows its rim', () => {
    const sheet = checkSheet(mesh(two, [0, 1, 2, 0, 2, 3]), { holesExpected: false })
    expect(sheet.ok && sheet.value.loops.map((l) => l.length)).toEqual([4])
    expect(surfaceArea(mesh(two, [0, 1, 2, 0, 2, 3]))).toBe(100)
  })
  test.each([
    ['nothing', mesh([], []), 'MESH_EMPTY'],
    ['a vertex that is not there', mesh(two, [0, 1, 9]), 'MESH_BAD_INDEX'],
    ['a triangle without area', mesh([0, 0, 0, 5, 0, 0, 10, 0, 0, 0, 9, 0], [0, 1, 2, 0, 2, 3]), 'MESH_TRIANGLE_FLAT'],
    ['a face that is there twice', mesh(two, [0, 1, 2, 0, 2, 3, 0, 1, 2]), 'MESH_NOT_MANIFOLD'],
    ['two pieces', mesh([...two, 50, 0, 0, 60, 0, 0, 60, 10, 0], [0, 1, 2, 0, 2, 3, 4, 5, 6]), 'MESH_IN_PIECES'],
    ['a closed body', mesh([0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0, 1], [0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3]), 'MESH_CLOSED'],
    [
      'two sheets that touch in a point',
      mesh([0, 0, 0, 1, 0, 0, 0, 1, 0, -1, 0, 0, 0, -1, 0], [0, 1, 2, 0, 3, 4]),
      'MESH_PINCHED',
    ],
  ])('%s is refused', (_, m, code) => {
    expect(refusal(m)).toBe(code)
  })
  test('a triangle that is turned over is told as that, and can be turned back', () => {
    const square = {
      position: Float64Array.of(0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0),
      triangle: Int32Array.of(0, 1, 2, 0, 3, 2),
    }
    const refused = checkSheet(square, { holesExpected: false })
    expect(refused.ok ? '' : refused.failure.code).toBe('MESH_TURNED')
    const { mesh, turned } = alignTurns(square)
    expect(turned).toBe(1)
    expect(checkSheet(mesh, { holesExpected: false }).ok).toBe(true)
    expect(alignTurns(mesh)).toEqual({ mesh, turned: 0 })
  })
  test('a hole is refused unless it is expected', () => {
    const ring = mesh(
      [...two, 3, 3, 0, 7, 3, 0, 7, 7, 0, 3, 7, 0],
      [0, 1, 5, 0, 5, 4, 1, 2, 6, 1, 6, 5, 2, 3, 7, 2, 7, 6, 3, 0, 4, 3, 4, 7],
    )
    expect(refusal(ring)).toBe('MESH_HAS_HOLES')
    expect(checkSheet(ring, { holesExpected: true }).ok).toBe(true)
  })
})

describe('places on a triangulation', () => {
  const corners = [0, 0, 10, 0, 10, 10, 0, 10]
  const locator = triangleLocator(corners, Int32Array.of(0, 1, 2, 0, 2, 3))
  const carried = (weight: readonly number[], triangle: number): Vec2 => {
    const at = [0, 1, 2].map((c) => [0, 1, 2, 0, 2, 3][3 * triangle + c]!)
    return [
      at.reduce((sum, v, c) => sum + weight[c]! * corners[2 * v]!, 0),
      at.reduce((sum, v, c) => sum + weight[c]! * corners[2 * v + 1]!, 0),
    ]
  }
  test('a spot is found in its triangle, and nowhere outside', () => {
    expect(locator.at([7, 2])).toMatchObject({ triangle: 0 })
    expect(locator.at([2, 7])).toMatchObject({ triangle: 1 })
    expect(locator.at([11, 5])).toBeNull()
  })
  test('outside, the nearest triangle carries its plane on, near and far', () => {
    const near = locator.nearest([10.5, 3])
    expect(near.triangle).toBe(0)
    for (const p of [
      [10.5, 3],
      [-4, 6],
      [500, -900],
      [5, 5],
    ] as Vec2[]) {
      const { triangle, weight } = locator.nearest(p)
      const [x, y] = carried(weight, triangle)
      expect(x).toBeCloseTo(p[0], 9)
      expect(y).toBeCloseTo(p[1], 9)
    }
  })
})

test('inside of a polygon, asked for many points, is what it is asked for one', () => {
  const chance = seededRandom(5)
  for (let k = 0; k < 30; k++) {
    const corners = 3 + Math.floor(40 * chance())
    // Stars with some corners on one height, where a crossing is counted once.
    const star = Array.from({ length: corners }, (_, i): Vec2 => {
      const r = 40 + 60 * chance()
      const turn = (2 * Math.PI * i) / corners
      return [r * Math.cos(turn), Math.round((r * Math.sin(turn)) / 20) * 20]
    })
    const inside = insideOf(star)
    for (let n = 0; n < 200; n++) {
      const p: Vec2 = [240 * chance() - 120, n % 3 === 0 ? Math.round(12 * chance() - 6) * 20 : 240 * chance() - 120]
      expect(inside(p)).toBe(contains(star, p))
    }
  }
})

test('whether a polygon crosses itself, and where, is what trying all pairs of sides says', () => {
  const chance = seededRandom(9)
  const side = (a: Vec2, b: Vec2, p: Vec2) => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])
  let crossed = 0
  for (let k = 0; k < 300; k++) {
    const n = 4 + Math.floor(5 * chance())
    const polygon = Array.from({ length: n }, (_, i): Vec2 => {
      const r = 20 + 80 * chance()
      const turn = (2 * Math.PI * (i + 1.6 * (chance() - 0.5))) / n
      return [r * Math.cos(turn), r * Math.sin(turn)]
    })
    const pairs: [number, number][] = []
    for (let i = 0; i < n; i++)
      for (let j = i + 1; j < n; j++) {
        if (j === i + 1 || (i === 0 && j === n - 1)) continue
        const [a, b, c, d] = [polygon[i]!, polygon[(i + 1) % n]!, polygon[j]!, polygon[(j + 1) % n]!]
        if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) pairs.push([i, j])
      }
    const found = selfCrossing(polygon)
    expect(found !== null).toBe(pairs.length > 0)
    if (found === null) continue
    crossed++
    // It lies on two sides that are not neighbours.
    expect(
      pairs.some(([i, j]) =>
        [i, j].every((s) => Math.abs(side(polygon[s]!, polygon[(s + 1) % n]!, found)) < 1e-6 * 100 * 100),
      ),
    ).toBe(true)
  }
  expect(crossed).toBeGreaterThan(30)
  expect(crossed).toBeLessThan(270)
})
