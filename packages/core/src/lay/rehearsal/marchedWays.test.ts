import { describe, expect, test } from 'vitest'
import type { TriangleMesh } from '../../geometry/index.ts'
import { filmMesh } from '../internal/filmMesh.ts'
import { cylinder, plate } from '../testForms.ts'
import { flatPart, stageOf } from '../testParts.ts'
import { beginningAt } from './frontTimes.ts'
import { marchedWays } from './marchedWays.ts'

const at = ({ position: p }: TriangleMesh, v: number) => [p[3 * v]!, p[3 * v + 1]!, p[3 * v + 2]!] as const
const near = (mesh: TriangleMesh, place: (x: number, y: number, z: number) => boolean) =>
  Array.from({ length: mesh.position.length / 3 }, (_, v) => v).filter((v) => place(...at(mesh, v)))

describe('ways over a flat plate', () => {
  const mesh = plate(200, 200, 40)
  const film = filmMesh(mesh)
  test('from one side are the distance from it, exactly', () => {
    const left = near(mesh, (x) => x < 1e-9)
    const ways = marchedWays(film, new Map(left.map((v) => [v, 0])))
    ways.forEach((way, v) => {
      expect(way).toBeCloseTo(at(mesh, v)[0], 6)
    })
  })
  test('from a corner are straight, though sides of the mesh run along and across only', () => {
    const corner = near(mesh, (x, y) => x < 1e-9 && y < 1e-9)[0]!
    const about = near(mesh, (x, y) => Math.hypot(x, y) < 16)
    const ways = marchedWays(film, new Map(about.map((v) => [v, Math.hypot(at(mesh, v)[0], at(mesh, v)[1])])))
    expect(ways[corner]).toBe(0)
    ways.forEach((way, v) => {
      const straight = Math.hypot(at(mesh, v)[0], at(mesh, v)[1])
      expect(Math.abs(way - straight)).toBeLessThan(0.015 * 200)
      expect(way).toBeGreaterThan(straight - 1e-9)
    })
  })
  test('take twice as long where the front is half as quick', () => {
    const beginning = new Map(near(mesh, (x) => x < 1e-9).map((v) => [v, 0]))
    const slow = marchedWays(film, beginning, { slowness: new Float64Array(film.triangles).fill(2) })
    marchedWays(film, beginning).forEach((way, v) => {
      expect(slow[v]).toBeCloseTo(2 * way, 6)
    })
  })
  test('are the same as far as they are asked for, and longer than that beyond', () => {
    const beginning = new Map(near(mesh, (x, y) => x < 1e-9 && y < 60).map((v) => [v, 0]))
    const whole = marchedWays(film, beginning)
    const part = marchedWays(film, beginning, { untilMm: 90 })
    whole.forEach((way, v) => {
      if (way <= 90) expect(part[v]).toBe(way)
      else expect(part[v]).toBeGreaterThan(90)
    })
    expect(part.filter((way) => way === Number.POSITIVE_INFINITY).length).toBeGreaterThan(0)
  })
  test('go round what is closed, and end where nothing leads on', () => {
    const wall = (open: (y: number) => boolean) =>
      marchedWays(film, new Map(near(mesh, (x) => x < 1e-9).map((v) => [v, 0])), {
        open: (v) => at(mesh, v)[0] !== 100 || open(at(mesh, v)[1]),
      })
    const far = near(mesh, (x, y) => x === 200 && y === 0)[0]!
    // Through a gate at the other corner: 100 on, then 100 back across the height.
    expect(wall((y) => y > 190)[far]).toBeGreaterThan(300)
    expect(wall(() => false)[far]).toBe(Number.POSITIVE_INFINITY)
  })
})

test('ways round a cylinder are those of its unrolled sheet', () => {
  const mesh = cylinder(100, 120, 200, 40)
  const film = filmMesh(mesh)
  const begin = near(mesh, (_, y) => y < 1e-9)
  const ways = marchedWays(film, new Map(begin.map((v) => [v, 0])))
  ways.forEach((way, v) => {
    expect(way).toBeCloseTo(at(mesh, v)[1], 4)
  })
})

describe('the beginning of a front', () => {
  const { film, surface } = stageOf(flatPart, undefined, 800)
  test('tells vertices near a spot their straight distance, wherever they are', () => {
    for (const spot of [
      [0, 0],
      [13, -41],
    ] as const) {
      const known = [...beginningAt(film, surface, [spot])]
      expect(known.length).toBeGreaterThan(6)
      for (const [v, mm] of known)
        expect(mm).toBeCloseTo(Math.hypot(surface.plan[2 * v]! - spot[0], surface.plan[2 * v + 1]! - spot[1]), 6)
    }
  })
  test('of a line is the distance from the line', () => {
    const known = beginningAt(film, surface, [
      [-100, 20],
      [100, 20],
    ])
    for (const [v, mm] of known) {
      if (Math.abs(surface.plan[2 * v]!) > 90) continue
      expect(Math.abs(mm - Math.abs(surface.plan[2 * v + 1]! - 20))).toBeLessThan(1.2)
    }
  })
  test('off the part is the nearest place of its rim', () => {
    const known = beginningAt(film, surface, [[500, 0]])
    const nearest = Math.min(...known.values())
    expect(nearest).toBeLessThan(20)
    for (const v of known.keys()) expect(surface.plan[2 * v]!).toBeGreaterThan(100)
  })
})
