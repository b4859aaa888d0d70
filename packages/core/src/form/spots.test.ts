import { describe, expect, test } from 'vitest'
import type { Vec2 } from '../geometry/index.ts'
import { seededNormal, seededRandom } from '../numerics/index.ts'
import { required } from '../result/index.ts'
import { fitBow, type FormDoc, type MeasuredSpot, mirrorForm } from './index.ts'

const panel: Vec2[] = [
  [-600, -400],
  [600, -400],
  [600, 400],
  [-600, 400],
]
const dome = ([x, y]: Vec2) => 60 - 45 * (x / 600) ** 2 - 30 * (y / 400) ** 2 + 6 * Math.sin(x / 250)
const places: Vec2[] = Array.from({ length: 60 }, (_, k) => [
  -560 + 124 * (k % 10) + 18 * Math.sin(3 * k),
  -360 + 144 * Math.floor(k / 10) + 18 * Math.cos(5 * k),
])
const spotsOf = (height: (p: Vec2) => number, sigmaMm = 0.1, seed = 1): MeasuredSpot[] => {
  const normal = seededNormal(seededRandom(seed))
  return places.map((at, k) => ({ name: `target ${k}`, at, heightMm: height(at) + sigmaMm * normal(), sigmaMm }))
}
const flat = () => 0
/** How a straightedge would be read on it, at the middle. */
const sagitta = (height: (p: Vec2) => number, a: Vec2, b: Vec2) =>
  height([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]) - (height(a) + height(b)) / 2
const chords: [Vec2, Vec2][] = [
  [
    [-500, 0],
    [500, 0],
  ],
  [
    [0, -330],
    [0, 330],
  ],
  [
    [-500, -300],
    [480, 310],
  ],
  [
    [100, -200],
    [400, 250],
  ],
]

describe('a form from spots whose heights are known', () => {
  test('is the form from which they were taken, to what the spots are sure of', () => {
    const { heightAt } = required(fitBow(panel, [], flat, undefined, spotsOf(dome)))
    for (const [a, b] of chords) expect(sagitta(heightAt, a, b)).toBeCloseTo(sagitta(dome, a, b), 0)
    const off = places.map((p) => heightAt(p) - dome(p))
    expect(Math.sqrt(off.reduce((sum, v) => sum + v * v, 0) / off.length)).toBeLessThan(0.15)
  })
  test('the plane against which they are told does not matter', () => {
    const tilted = (p: Vec2) => dome(p) + 300 + 0.2 * p[0] - 0.1 * p[1]
    const [plain, other] = [dome, tilted].map((height) => required(fitBow(panel, [], flat, undefined, spotsOf(height))))
    for (const [a, b] of chords)
      expect(sagitta(other?.heightAt ?? flat, a, b)).toBeCloseTo(sagitta(plain?.heightAt ?? flat, a, b), 2)
  })
  test('unsure spots are not followed to the last tenth; the fewer there are the less sure is what lies between', () => {
    const rough = spotsOf(dome, 1)
    const { heightAt, unsureOfChord } = required(fitBow(panel, [], flat, undefined, rough))
    const off = rough.map(({ at }) => heightAt(at) - dome(at))
    const size = (list: readonly number[]) => Math.sqrt(list.reduce((sum, v) => sum + v * v, 0) / list.length)
    // Their own miss is a millimetre.
    expect(size(off)).toBeLessThan(0.8)
    const few = required(
      fitBow(
        panel,
        [],
        flat,
        undefined,
        rough.filter((_, k) => k % 4 === 0),
      ),
    )
    const [a, b] = chords[3] ?? [
      [0, 0],
      [0, 0],
    ]
    expect(few.unsureOfChord(a, b)).toBeGreaterThan(unsureOfChord(a, b))
  })
  test('goes with bow readings: what neither says alone both say together', () => {
    const left = spotsOf(dome).filter(({ at }) => at[0] < 0)
    const reading = { name: 'across', from: [-500, 0] as Vec2, to: [500, 0] as Vec2 }
    const sagittaMm = sagitta(dome, reading.from, reading.to)
    const alone = required(fitBow(panel, [], flat, undefined, left))
    const both = required(fitBow(panel, [{ ...reading, sagittaMm }], flat, undefined, left))
    expect(both.unsureOfChord(reading.from, reading.to)).toBeLessThan(
      0.2 * alone.unsureOfChord(reading.from, reading.to),
    )
    expect(sagitta(both.heightAt, reading.from, reading.to)).toBeCloseTo(sagittaMm, 0)
  })
  test('a spot that is nowhere near its neighbours is named, with what may be the cause', () => {
    const spots = spotsOf(dome).map((spot, k) => (k === 34 ? { ...spot, heightMm: spot.heightMm + 25 } : spot))
    const found = fitBow(panel, [], flat, undefined, spots)
    expect(found).toMatchObject({ ok: false, failure: { code: 'SPOT_CONTRADICTS', facts: { spot: 'target 34' } } })
  })
  test('a body line that is drawn is taken off before; three spots alone tell nothing of a bow', () => {
    const ridge = ([, y]: Vec2) => 18 * Math.exp(-((y / 60) ** 2))
    const height = (p: Vec2) => dome(p) + ridge(p)
    const { heightAt } = required(fitBow(panel, [], ridge, undefined, spotsOf(height)))
    for (const [a, b] of chords) expect(sagitta(heightAt, a, b)).toBeCloseTo(sagitta(dome, a, b), 0)
    const three = required(fitBow(panel, [], flat, undefined, spotsOf(dome).slice(0, 3)))
    expect(three.unsureOfChord([-500, 0], [500, 0])).toBe(Number.POSITIVE_INFINITY)
  })
  test('mirrored with the part they stand on the other side, as high as before', () => {
    const form: FormDoc = {
      id: 'p',
      name: 'p',
      version: 1,
      family: 'panel',
      material: 'painted steel',
      start: [-600, 400],
      outline: panel.map((to) => ({ kind: 'line', to, edge: 'rim' })),
      edges: [{ name: 'rim', label: 'rim', code: 'stop-short' }],
      directions: { right: 'right', left: 'left', up: 'up', down: 'down' },
      bow: [],
      spots: spotsOf(dome),
      bodyLines: [],
      recesses: [],
      holes: [],
      marks: [],
    }
    const mirrored = mirrorForm(form, { id: 'q', name: 'q', swap: [] })
    mirrored.spots?.forEach(({ at, heightMm }, i) => {
      const own = form.spots?.[i]
      expect([-at[0], at[1], heightMm]).toEqual([own?.at[0], own?.at[1], own?.heightMm])
    })
    expect(mirrorForm(mirrored, { id: 'p', name: 'p', swap: [] })).toEqual(form)
  })
})
