import { describe, expect, test } from 'vitest'
import { bulgedPart, flatPart, softFilm, stageOf } from '../testParts.ts'
import { type LayOrder, orderBySchool, rehearse } from '../index.ts'
import { frontOver, spotsPerTriangle } from './frontTimes.ts'
import { bandsOf, evenStroke, passesOf } from './strokes.ts'

/** From the left side of a square of 300 mm, in strokes of 30 mm. */
const swept: LayOrder = {
  school: 'one end and follow',
  made: 'by school',
  anchors: [],
  from: [
    [-150, -150],
    [-150, 150],
  ],
  fromLabel: null,
  flatFirst: 0,
  spiral: false,
  strokeMm: 30,
}
const mean = (values: readonly number[]) => values.reduce((sum, x) => sum + x, 0) / values.length
const meshes = [300, 450, 700, 1100]
const flats = meshes.map((triangles) => stageOf(flatPart, softFilm, triangles))

describe('strokes over a part', () => {
  test.each(meshes.map((triangles, i) => [triangles, i] as const))(
    'swept from one side of a flat square of %i triangles, each stroke lays a tenth, wherever the rows of the mesh lie',
    (_, i) => {
      const stage = flats[i]!
      const { steps } = rehearse(stage, swept)
      expect(steps).toHaveLength(10)
      // No nearer than a vertex stands for.
      const onePart = Math.max(...stage.film.vertexArea) / stage.surface.figures.areaMm2
      for (const [k, { laidShare }] of steps.entries())
        expect(Math.abs(laidShare - (k + 1) / 10)).toBeLessThan(1.01 * onePart)
    },
  )
  test('with half of the first stroke left out, each ends half a stroke sooner, and the last is half as long', () => {
    const { film, surface } = flats[2]!
    const front = frontOver(film, surface, swept)
    const [whole, sooner] = [0, 0.5].map((begin) => bandsOf(film, front, new Int32Array(film.vertices), 30, begin))
    expect(whole?.map(({ untilMm }) => Math.round(untilMm))).toEqual([30, 60, 90, 120, 150, 180, 210, 240, 270, 300])
    expect(sooner?.map(({ untilMm }) => Math.round(untilMm))).toEqual([
      15, 45, 75, 105, 135, 165, 195, 225, 255, 285, 315,
    ])
    // So much has passed by then; no nearer than a vertex stands for.
    const onePart = Math.max(...film.vertexArea) / surface.figures.areaMm2
    let laid = 0
    for (const { vertices, untilMm } of sooner ?? []) {
      laid += vertices.reduce((sum, v) => sum + film.vertexArea[v]!, 0) / surface.figures.areaMm2
      expect(Math.abs(laid - Math.min(1, untilMm / 300))).toBeLessThan(1.01 * onePart)
    }
  })
  test('wound round, the share that lies at each time is the same on every mesh', () => {
    const lying = flats.map(({ film, form, surface }) => {
      const order = { ...orderBySchool('spiral', form, surface), strokeMm: 60 }
      const bands = bandsOf(film, frontOver(film, surface, order), new Int32Array(film.vertices), 15)
      const areas = bands.map(({ vertices }) => vertices.reduce((sum, v) => sum + film.vertexArea[v]!, 0))
      const whole = areas.reduce((sum, area) => sum + area, 0)
      return (mm: number) =>
        areas.reduce((sum, area, k) => ((bands[k]?.untilMm ?? 0) <= mm + 1e-6 ? sum + area : sum), 0) / whole
    })
    for (let mm = 60; mm <= 210; mm += 30) {
      const shares = lying.map((shareAt) => shareAt(mm))
      expect(Math.max(...shares) - Math.min(...shares), `${mm} mm: ${shares}`).toBeLessThan(0.02)
    }
    expect(lying[0]?.(60)).toBeGreaterThan(0.02)
    expect(lying[0]?.(210)).toBeLessThan(1)
  })
  test.each(['one end and follow', 'flattest first', 'spiral', 'raised first'] as const)(
    '%s: every free vertex is laid once, the front passes over each triangle once, and in the order of its times',
    (school) => {
      const { film, form, surface } = stageOf(bulgedPart, softFilm, 700)
      const order = orderBySchool(school, form, surface)
      const front = frontOver(film, surface, order)
      const stepOf = new Int32Array(film.vertices)
      stepOf[7] = 1
      const bands = bandsOf(film, front, stepOf, evenStroke(front.time, order.strokeMm))
      const laid = bands.flatMap(({ vertices }) => vertices)
      expect([...laid].sort((a, b) => a - b)).toEqual([...stepOf.keys()].filter((v) => v !== 7))
      const times = bands.map(({ vertices }) => mean(vertices.map((v) => front.time[v] ?? 0)))
      expect(times).toEqual([...times].sort((a, b) => a - b))
      for (const [k, band] of bands.entries()) expect(band.fromMm).toBeCloseTo(bands[k - 1]?.untilMm ?? 0, 9)
      const passed = new Float64Array(film.triangles)
      for (const band of bands) for (const [t, share] of passesOf(front, band).entries()) passed[t]! += share
      for (const share of passed) expect(share).toBeCloseTo(1, 9)
    },
  )
})

describe('a front', () => {
  test('along a flat square is as far as the spot is from the side, at vertices and between them', () => {
    const { film, surface } = flats[1]!
    const { time, within } = frontOver(film, surface, swept)
    const off = Array.from(time, (mm, v) => Math.abs(mm - surface.plan[2 * v]! - 150))
    expect(mean(off)).toBeLessThan(0.5)
    // Beside the line of the beginning as far as half way between two of its spots.
    expect(Math.max(...off)).toBeLessThan(5)
    expect(within).toHaveLength(spotsPerTriangle * film.triangles)
    // The mean of spots for equal shares is that of the triangle's corners.
    for (let t = 0; t < film.triangles; t++) {
      const corners = [0, 1, 2].map((c) => time[film.corner[3 * t + c]!]!)
      expect(mean([...within.subarray(spotsPerTriangle * t, spotsPerTriangle * (t + 1))])).toBeCloseTo(mean(corners), 6)
    }
  })
})
