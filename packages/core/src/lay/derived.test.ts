import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { buildSurface, type FormDoc, type PartSurface } from '../form/index.ts'
import type { Vec2 } from '../geometry/index.ts'
import { fingerForecast, flatPart, naturalLay, stretchPlan, usualHandling, workedLay } from './index.ts'

const sagitta = (chord: number, radius: number) => radius - Math.sqrt(radius ** 2 - (chord / 2) ** 2)
const radius = 320

/** A square panel bowed like a ball of 320 mm. */
const ball: FormDoc = {
  id: 'ball',
  name: 'Ball',
  version: 1,
  family: 'panel',
  material: 'painted steel',
  start: [-100, -100],
  outline: (
    [
      [[100, -100], 'bottom'],
      [[100, 100], 'right'],
      [[-100, 100], 'top'],
      [[-100, -100], 'left'],
    ] as [Vec2, string][]
  ).map(([to, edge]) => ({ kind: 'line', to, edge })),
  edges: ['bottom', 'right', 'top', 'left'].map((name) => ({ name, label: `${name} edge`, code: 'stop-short' })),
  directions: { right: 'the right', left: 'the left', up: 'the top', down: 'the bottom' },
  bow: [
    { name: 'across', from: [-100, 0], to: [100, 0], sagittaMm: sagitta(200, radius) },
    { name: 'along', from: [0, -100], to: [0, 100], sagittaMm: sagitta(200, radius) },
    { name: 'slanting', from: [-100, -100], to: [100, 100], sagittaMm: sagitta(200 * Math.SQRT2, radius) },
  ],
  bodyLines: [],
  recesses: [],
  holes: [],
  marks: [],
}

function laid(form: FormDoc): {
  surface: PartSurface
  natural: Float64Array
  worked: { flat: Float64Array; stretch: Float64Array }
} {
  const surface = buildSurface(form, { triangles: 1500 })
  if (!surface.ok) throw new Error(english(surface.failure.sentence))
  const natural = naturalLay(surface.value.mesh)
  const worked = workedLay(surface.value.mesh, { take: 0.002 })
  if (!natural.ok || !worked.ok) throw new Error('not laid')
  return { surface: surface.value, natural: natural.value.flat, worked: worked.value }
}

describe('a ball-like panel', () => {
  const { surface, natural, worked } = laid(ball)
  const film = { ...usualHandling, take: 0.002, coldStretch: 0.01, warmStretch: 0.1, glueLineStretch: 0.02 }

  test('unpulled it leaves film along all four edges, alike; worked it leaves none', () => {
    const unpulled = fingerForecast(surface, { flat: natural }, film.take)
    expect(unpulled.map((f) => f.edge).sort()).toEqual(['bottom', 'left', 'right', 'top'])
    const amounts = unpulled.map((f) => f.excessMmPer100)
    expect(Math.min(...amounts)).toBeGreaterThan(0.3)
    expect(Math.max(...amounts) / Math.min(...amounts)).toBeLessThan(1.25)
    for (const { excessMmPer100 } of fingerForecast(surface, worked, film.take))
      expect(excessMmPer100).toBeLessThan(0.05)
  })

  test('the stretch plan has a pull beside each edge, no more than the lay needs, warm only where cold is not enough', () => {
    const pulls = stretchPlan(surface, worked, film, ball)
    expect(new Set(pulls.map((p) => p.edge)).size).toBe(4)
    const most = 100 * (Math.max(...worked.stretch) - 1)
    for (const pull of pulls) {
      expect(pull.percent).toBeLessThanOrEqual(most)
      expect(Math.hypot(...pull.direction)).toBeCloseTo(1, 9)
      expect(pull.heat).toBe(pull.percent > 1 ? 'warm' : 'cold')
    }
    expect(pulls.map((p) => p.letter).join('')).toBe('ABCD')
  })

  test('a flat panel needs no pull and leaves no finger', () => {
    const flat = laid({ ...ball, bow: [] })
    expect(stretchPlan(flat.surface, flat.worked, film, ball)).toEqual([])
    for (const { excessMmPer100 } of fingerForecast(flat.surface, { flat: flat.natural }, 0))
      expect(excessMmPer100).toBeLessThan(1e-6)
  })

  test('the flat outline is finer than the mesh and turns as the drawing does', () => {
    const part = flatPart(surface, { flat: natural })
    expect(part.outline.polygon.length).toBe(surface.outline.polygon.length)
    const middle = part.toFlat([0, 0])
    const right = part.toFlat([50, 0])
    expect(Math.hypot(right[0] - middle[0], right[1] - middle[1])).toBeGreaterThan(49.5)
    expect(right[0]).toBeGreaterThan(middle[0])
  })
})
