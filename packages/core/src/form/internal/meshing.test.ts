import Delaunator from 'delaunator'
import { describe, expect, test } from 'vitest'
import { distance, nearestOnOutline, type Vec2 } from '../../geometry/index.ts'
import { seededRandom } from '../../numerics/index.ts'
import { relaxMesh, sideKey } from './relaxMesh.ts'
import { hexagonInside, lengthOnSurface, sampleOutline, sampleStretch } from './samplePlan.ts'

const flat = () => 0
const plate: Vec2[] = [
  [0, 0],
  [300, 0],
  [300, 200],
  [0, 200],
]

describe('points along an outline', () => {
  test('lie as far apart as asked, corners and both ends among them', () => {
    const points = sampleOutline({ polygon: plate, edgeOfSide: [], corners: [0, 1, 2, 3] }, 25, flat, 0.1)
    expect(points).toHaveLength(2 * (12 + 8))
    for (const corner of plate) expect(points).toContainEqual(corner)
    points.forEach((p, i) => {
      expect(distance(p, points[(i + 1) % points.length]!)).toBeCloseTo(25, 9)
    })
  })

  test('on a slope by the length on it: twice as many at a slope of the root of three', () => {
    const slope = ([x]: Vec2) => Math.sqrt(3) * x
    const line: Vec2[] = [
      [0, 0],
      [100, 0],
    ]
    expect(lengthOnSurface(line[0]!, line[1]!, slope)).toBeCloseTo(200, 9)
    expect(sampleStretch(line, 10, flat, 0.1)).toHaveLength(11)
    expect(sampleStretch(line, 10, slope, 0.1)).toHaveLength(21)
  })

  test('closer on a curve, so that no chord cuts it by more than is allowed', () => {
    const arc = Array.from({ length: 181 }, (_, k): Vec2 => {
      const turn = (Math.PI * k) / 180
      return [50 * Math.cos(turn), 50 * Math.sin(turn)]
    })
    const points = sampleStretch(arc, 80, flat, 0.2)
    points.slice(1).forEach((p, i) => {
      const [x, y] = [(p[0] + points[i]![0]) / 2, (p[1] + points[i]![1]) / 2]
      const cutMm = 50 - Math.hypot(x, y)
      expect(cutMm).toBeLessThan(0.21)
      expect(cutMm).toBeGreaterThan(0.1)
    })
  })
})

test('points inside keep their distance from rim, holes and lines, from long sides as from short ones, and fill the rest', () => {
  const hole: Vec2[] = [
    [200, 80],
    [240, 80],
    [240, 120],
    [200, 120],
  ]
  const line: Vec2[] = [
    [40, 100],
    [160, 100],
  ]
  const spot: Vec2[] = [[100, 150]]
  const points = hexagonInside(plate, [hole], [line, spot], 10, 6)
  for (const p of points) {
    expect(nearestOnOutline(plate, p).distanceMm).toBeGreaterThan(5.9)
    expect(nearestOnOutline(hole, p).distanceMm).toBeGreaterThan(5.9)
    expect(p[0] > 200 && p[0] < 240 && p[1] > 80 && p[1] < 120).toBe(false)
    const along = Math.min(160, Math.max(40, p[0]))
    expect(Math.hypot(p[0] - along, p[1] - 100)).toBeGreaterThan(5.9)
    expect(distance(p, spot[0]!)).toBeGreaterThan(5.9)
  }
  // What is left after all that keeps clear of it, at a point for each cell of the grid.
  const leftMm2 = 288 * 188 - 52 * 52 - (120 * 12 + Math.PI * 36) - Math.PI * 36
  expect(points.length / (leftMm2 / (10 * 10 * (Math.sqrt(3) / 2)))).toBeGreaterThan(0.93)
  expect(points.length / (leftMm2 / (10 * 10 * (Math.sqrt(3) / 2)))).toBeLessThan(1.05)
})

test('points inside keep their distance from every side of a line, the last one too', () => {
  const bent: Vec2[] = [
    [40, 60],
    [120, 60],
    [120, 150],
  ]
  const near = (p: Vec2) =>
    Math.min(
      ...bent.slice(1).map((b, i) => {
        const a = bent[i]!
        const t = ((p[0] - a[0]) * (b[0] - a[0]) + (p[1] - a[1]) * (b[1] - a[1])) / distance(a, b) ** 2
        const [x, y] = [0, 1].map((k) => a[k]! + Math.min(1, Math.max(0, t)) * (b[k]! - a[k]!)) as [number, number]
        return distance(p, [x, y])
      }),
    )
  for (const line of [bent, [...bent].reverse()])
    for (const p of hexagonInside(plate, [], [line], 10, 6)) expect(near(p)).toBeGreaterThan(5.9)
})

describe('a mesh evened out', () => {
  const rim = Array.from({ length: 40 }, (_, k): Vec2 => {
    const turn = (2 * Math.PI * k) / 40
    return [100 * Math.cos(turn), 100 * Math.sin(turn)]
  })
  const random = seededRandom(5)
  const inside = Array.from({ length: 150 }, (): Vec2 => {
    const [turn, far] = [2 * Math.PI * random(), 92 * Math.sqrt(random())]
    return [far * Math.cos(turn), far * Math.sin(turn)]
  })
  const made = () => {
    const plan = Float64Array.from([...rim, ...inside].flat())
    const turned = Int32Array.from(new Delaunator(plan).triangles)
    // Counter-clockwise, as the mesh wants it.
    for (let t = 0; t < turned.length; t += 3) [turned[t + 1], turned[t + 2]] = [turned[t + 2]!, turned[t + 1]!]
    return { plan, triangle: turned }
  }
  const fixed = new Set(rim.map((_, k) => sideKey(k, (k + 1) % 40, 190)))
  const areas = (plan: Float64Array, triangle: Int32Array) =>
    Array.from({ length: triangle.length / 3 }, (_, t) => {
      const [a, b, c] = [triangle[3 * t]!, triangle[3 * t + 1]!, triangle[3 * t + 2]!]
      const at = (v: number) => [plan[2 * v]!, plan[2 * v + 1]!] as const
      const [[ax, ay], [bx, by], [cx, cy]] = [at(a), at(b), at(c)]
      return ((bx - ax) * (cy - ay) - (by - ay) * (cx - ax)) / 2
    })
  /** Smallest angle of each triangle on the surface, degrees; the tenth part that is worst. */
  const worstTenth = (plan: Float64Array, triangle: Int32Array, height: (p: Vec2) => number) => {
    const at = (v: number) => [plan[2 * v]!, plan[2 * v + 1]!, height([plan[2 * v]!, plan[2 * v + 1]!])] as const
    const angles = Array.from({ length: triangle.length / 3 }, (_, t) => {
      const corners = [0, 1, 2].map((k) => at(triangle[3 * t + k]!))
      return Math.min(
        ...corners.map((p, k) => {
          const [q, r] = [corners[(k + 1) % 3]!, corners[(k + 2) % 3]!]
          const [u, v] = [q.map((x, d) => x - p[d]!), r.map((x, d) => x - p[d]!)]
          const dot = u.reduce((sum, x, d) => sum + x * v[d]!, 0)
          return (Math.acos(dot / Math.hypot(...u) / Math.hypot(...v)) * 180) / Math.PI
        }),
      )
    })
    return angles.sort((a, b) => a - b)[Math.floor(angles.length / 10)]!
  }

  test.each([
    ['flat', flat],
    ['on a dome', ([x, y]: Vec2) => Math.sqrt(130 ** 2 - x * x - y * y)],
  ])('%s: wider angles, the rim where it was, no triangle turned over, nothing lost', (_, height) => {
    const { plan, triangle } = made()
    const before = worstTenth(plan, triangle, height)
    relaxMesh(plan, triangle, 40, fixed, height, 12)
    expect(worstTenth(plan, triangle, height)).toBeGreaterThan(Math.max(28, 1.5 * before))
    rim.forEach(([x, y], k) => {
      expect([plan[2 * k], plan[2 * k + 1]]).toEqual([x, y])
    })
    const all = areas(plan, triangle)
    expect(Math.min(...all)).toBeGreaterThan(0)
    const rimArea = 0.5 * 40 * 100 * 100 * Math.sin((2 * Math.PI) / 40)
    expect(all.reduce((sum, area) => sum + area, 0)).toBeCloseTo(rimArea, 6)
  })

  test('sides are flipped until every pair of triangles has its larger smallest angles; given sides stay', () => {
    // A grid of squares, each cut along the same diagonal, its points pushed a little so that half of the diagonals are the wrong ones.
    const chance = seededRandom(9)
    const count = 8
    const plan = Float64Array.from({ length: 2 * count * count }, (_, k) => {
      const v = Math.floor(k / 2)
      const [column, row] = [v % count, Math.floor(v / count)]
      const onRim = column % (count - 1) === 0 || row % (count - 1) === 0
      return 10 * (k % 2 === 0 ? column : row) + (onRim ? 0 : 4 * (chance() - 0.5))
    })
    const cut = () =>
      Int32Array.from(
        Array.from({ length: (count - 1) ** 2 }, (_, k) => {
          const a = (k % (count - 1)) + count * Math.floor(k / (count - 1))
          return [a, a + 1, a + count + 1, a, a + count + 1, a + count]
        }).flat(),
      )
    const pairs = (triangle: Int32Array) => {
      const across = new Map<string, number[]>()
      for (let h = 0; h < triangle.length; h++) {
        const [a, b] = [triangle[h]!, triangle[h % 3 === 2 ? h - 2 : h + 1]!]
        const key = `${Math.min(a, b)} ${Math.max(a, b)}`
        across.set(key, [...(across.get(key) ?? []), triangle[h % 3 === 0 ? h + 2 : h - 1]!])
      }
      return across
    }
    const angle = (apex: number, a: number, b: number) => {
      const [px, py] = [plan[2 * apex]!, plan[2 * apex + 1]!]
      const [ux, uy, vx, vy] = [plan[2 * a]! - px, plan[2 * a + 1]! - py, plan[2 * b]! - px, plan[2 * b + 1]! - py]
      return Math.acos((ux * vx + uy * vy) / Math.hypot(ux, uy) / Math.hypot(vx, vy))
    }
    const wrong = (triangle: Int32Array) =>
      [...pairs(triangle)].filter(([side, [p, q]]) => {
        const [a, b] = side.split(' ').map(Number) as [number, number]
        return p !== undefined && q !== undefined && angle(p, a, b) + angle(q, a, b) > Math.PI + 1e-9
      })
    const triangle = cut()
    expect(wrong(triangle).length).toBeGreaterThan(10)
    relaxMesh(plan, triangle, count * count, new Set(), flat, 0)
    expect(wrong(triangle)).toEqual([])
    expect(Math.min(...areas(plan, triangle))).toBeGreaterThan(0)
    expect(areas(plan, triangle).reduce((sum, area) => sum + area, 0)).toBeCloseTo(4900, 6)
    // With all diagonals given nothing may be flipped.
    const given = cut()
    const diagonals = new Set(Array.from({ length: count ** 2 }, (_, a) => sideKey(a, a + count + 1, count * count)))
    relaxMesh(plan, given, count * count, diagonals, flat, 0)
    expect([...pairs(given).keys()].sort()).toEqual([...pairs(cut()).keys()].sort())
  })

  test('twice the same is the same, bit by bit', () => {
    const [one, other] = [made(), made()]
    for (const { plan, triangle } of [one, other]) relaxMesh(plan, triangle, 40, fixed, flat, 6)
    expect(one).toEqual(other)
  })
})
