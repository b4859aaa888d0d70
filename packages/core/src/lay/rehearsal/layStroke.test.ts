import { describe, expect, test } from 'vitest'
import { flatPart, softFilm, stageOf } from '../testParts.ts'
import { pullOf } from './layStroke.ts'

const stage = stageOf(flatPart, softFilm, 400)
const { film, surface } = stage
const everywhere = Array.from({ length: film.triangles }, (_, t) => t)

/** Film on the plate, `[u…, v…]`; what comes at its places was drawn out by so much along a direction: it was shorter before. */
function pulled(alongDeg: number, by: number, fromMm = Number.NEGATIVE_INFINITY): Float64Array {
  const [c, s] = [Math.cos((alongDeg * Math.PI) / 180), Math.sin((alongDeg * Math.PI) / 180)]
  const uv = new Float64Array(2 * film.vertices)
  for (let v = 0; v < film.vertices; v++) {
    const [x, y] = [surface.plan[2 * v]!, surface.plan[2 * v + 1]!]
    const beyondMm = x * c + y * s - (Number.isFinite(fromMm) ? fromMm : 0)
    const shorterMm = (Number.isFinite(fromMm) ? Math.max(0, beyondMm) : beyondMm) * (1 - 1 / by)
    uv[v] = x - shorterMm * c
    uv[film.vertices + v] = y - shorterMm * s
  }
  return uv
}

describe('the pull of a stroke', () => {
  test.each([0, 20, 45, 70, 90, 115, 160])('goes along what is stretched: %d degrees', (deg) => {
    const pull = pullOf(stage, pulled(deg, 1.02), everywhere, 0.01)
    expect(pull?.stretch).toBeCloseTo(0.02, 6)
    const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)]
    expect(Math.abs((pull?.direction[0] ?? 0) * c + (pull?.direction[1] ?? 0) * s)).toBeCloseTo(1, 6)
    expect(pull?.at[0]).toBeCloseTo(0, 0)
    expect(pull?.at[1]).toBeCloseTo(0, 0)
  })
  test('lies where most is stretched, and is made warm where a cold one does not reach', () => {
    const uv = pulled(0, 1.03, 60)
    const pull = pullOf(stage, uv, everywhere, 0.01)
    expect(pull?.heat).toBe('warm')
    expect(pull?.at[0]).toBeGreaterThan(90)
    expect(pull?.at[0]).toBeLessThan(120)
    expect(pullOf(stage, uv, everywhere, 0.05)?.heat).toBe('cold')
  })
  test('film that is not stretched is not pulled, nor is none', () => {
    expect(pullOf(stage, pulled(0, 1), everywhere, 0.01)).toBeNull()
    expect(pullOf(stage, pulled(0, 1.02), [], 0.01)).toBeNull()
  })
})
