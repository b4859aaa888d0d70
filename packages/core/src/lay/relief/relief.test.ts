import { describe, expect, test } from 'vitest'
import { checkSheet, distance, surfaceArea, type Vec2 } from '../../geometry/index.ts'
import { cornerNotches, cutMesh, naturalLay, reliefCuts, splitPart, workedLay } from '../index.ts'
import { cap, plate } from '../testForms.ts'
import { bulgedPart, flatPart, softFilm, squarePart, stageOf } from '../testParts.ts'

/** From the rim of a cap of so many rings straight to a ring near its pole. */
const radius = (rings: number, to: number) =>
  Array.from({ length: rings - to + 1 }, (_, i) => {
    const r = rings - i
    return r === 0 ? 0 : 1 + 3 * r * (r - 1)
  })

describe('a slit', () => {
  const mesh = cap(50, 8)
  const path = radius(8, 3)
  const cut = cutMesh(mesh, path)
  test('keeps the sheet whole, its area and its triangles; every vertex of the path but the last has a copy', () => {
    const sheet = checkSheet(cut.mesh, { holesExpected: false })
    expect(sheet.ok).toBe(true)
    expect(sheet.ok && sheet.value.loops.length).toBe(1)
    expect(surfaceArea(cut.mesh)).toBeCloseTo(surfaceArea(mesh), 9)
    expect(cut.origin.length).toBe(mesh.position.length / 3 + path.length - 1)
    expect(cut.lips[0]).toBe(path[0])
    expect(cut.origin[cut.lips[1]]).toBe(path[0])
  })
  test('lets a dome lie with less stretch; its lips come apart by the film that is left over', () => {
    const whole = workedLay(mesh, { take: 0.004 })
    const slit = workedLay(cut.mesh, { take: 0.004 })
    const loose = naturalLay(cut.mesh)
    if (!whole.ok || !slit.ok || !loose.ok) throw new Error('not laid')
    expect(slit.value.neededStretch).toBeLessThan(whole.value.neededStretch)
    const { flat } = loose.value
    const [a, b] = cut.lips
    expect(Math.hypot(flat[2 * a]! - flat[2 * b]!, flat[2 * a + 1]! - flat[2 * b + 1]!)).toBeGreaterThan(2)
  })
  test('in a flat plate changes nothing', () => {
    const grid = plate(100, 100, 10)
    const slit = naturalLay(cutMesh(grid, [5, 16, 27, 38]).mesh)
    expect(slit.ok && Math.max(...slit.value.stretch)).toBeLessThan(1 + 1e-9)
  })
})

describe('relief cuts', () => {
  const stage = stageOf(bulgedPart, softFilm, 250)
  test('none where the film gives enough', () => {
    const advice = reliefCuts(stage, 0.5)
    expect(advice).toMatchObject({ chosen: [], enough: true })
  })
  test('the least set keeps to the limit; what is left over opens as a wedge', () => {
    const bare = reliefCuts(stage, 0.5).neededStretch
    const advice = reliefCuts(stage, 0.8 * bare)
    expect(advice.chosen.length).toBeGreaterThan(0)
    expect(advice.enough).toBe(advice.withChosen.neededStretch <= 0.8 * bare)
    expect(advice.withChosen.neededStretch).toBeLessThan(bare)
    for (const cut of advice.chosen) {
      expect(cut.openingMm).toBeGreaterThan(0)
      expect(cut.lengthMm).toBeGreaterThan(20)
      expect(bulgedPart.edges.map((e) => e.name)).toContain(cut.edge)
    }
    const needs = advice.candidates.map((c) => c.neededStretch)
    expect(needs).toEqual([...needs].sort((a, b) => a - b))
  })
})

test('cuts are tried from the rim inward, well apart from each other', () => {
  const stage = stageOf(bulgedPart, softFilm, 250)
  const { candidates } = reliefCuts(stage, 0.3 * reliefCuts(stage, 0.5).neededStretch)
  const mouths = candidates.map((cut) => cut.along[0] as Vec2)
  expect(mouths.length).toBeGreaterThan(4)
  for (const [x, y] of mouths) expect(Math.max(Math.abs(x), Math.abs(y))).toBeCloseTo(150, 6)
  for (const { along } of candidates) {
    const [x, y] = along.at(-1) as Vec2
    expect(Math.max(Math.abs(x), Math.abs(y))).toBeLessThan(130)
  }
  const different = mouths.filter((at, i) => mouths.slice(0, i).every((other) => distance(at, other) > 1e-6))
  different.forEach((a, i) => {
    for (const b of different.slice(i + 1)) expect(distance(a, b)).toBeGreaterThan(300 / 7 - 1e-9)
  })
})

describe('notches of turned-under corners', () => {
  const wraps = squarePart([], { edges: flatPart.edges.map((e) => ({ ...e, code: 'wrap' as const })) })
  const outline = (points: Vec2[]) => ({
    outline: {
      polygon: points,
      edgeOfSide: points.map((_, i) => ['bottom', 'right', 'top', 'left'][i % 4] ?? ''),
      corners: [],
    },
  })
  test('a square corner: two cuts at 45 degrees, twice the overhang wide at the edge', () => {
    const notches = cornerNotches(wraps, stageOf(wraps, softFilm, 250).surface, 16, 2)
    expect(notches.length).toBe(4)
    for (const notch of notches) {
      expect(notch.kind).toBe('notch')
      expect(notch.cutDeg).toBeCloseTo(45, 6)
      expect(notch.cutMm).toBeCloseTo(16 * Math.SQRT2 - 2, 6)
      expect(notch.mouthMm).toBeCloseTo(32, 6)
    }
  })
  test('a corner that turns inward gets one slit; stop-short edges get nothing', () => {
    const inward = outline([
      [0, 0],
      [120, 0],
      [120, 120],
      [60, 20],
    ])
    const found = cornerNotches(wraps, inward, 16, 2)
    expect(found.filter((n) => n.kind === 'slit').length).toBe(1)
    expect(cornerNotches(flatPart, inward, 16, 2)).toEqual([])
  })
})

describe('splitting a part', () => {
  test('each half needs less than the whole; a body line is taken when it is nearly as good', () => {
    const lined = squarePart(bulgedPart.bow, {
      bodyLines: [
        {
          name: 'swage line',
          along: [
            [-150, 0],
            [150, 0],
          ],
          turnDeg: 2,
          radiusMm: 20,
          reachMm: 40,
        },
      ],
    })
    const stage = stageOf(lined, softFilm, 300)
    const whole = workedLay(stage.surface.mesh, { take: softFilm.take })
    const lines = splitPart(stage)
    expect(lines.length).toBeGreaterThan(3)
    expect(lines[0]?.on).toBe('body line')
    expect(lines[0]?.join).toBe('overlap')
    for (const line of lines)
      expect(line.neededStretch).toBeLessThan((whole.ok ? whole.value.neededStretch : 0) - 1 + 0.001)
  })
  test('a colour change is met with a butt joint', () => {
    const coloured = squarePart(bulgedPart.bow, {
      marks: [{ name: 'line', label: 'colour change', at: [0, 0], weight: 1 }],
    })
    const line = splitPart(stageOf(coloured, softFilm, 300)).find((l) => l.on === 'colour change')
    expect(line?.join).toBe('butt')
  })
})
