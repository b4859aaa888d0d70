import type { FormDoc } from '@truelay/core/form'
import { describe, expect, test } from 'vitest'
import { viewOfForm } from './viewOfForm.ts'

const corners = [
  [300, -200],
  [300, 200],
  [-300, 200],
  [-300, -200],
] as const
const plate: FormDoc = {
  id: 'p',
  name: 'Part',
  version: 1,
  family: 'panel',
  material: 'painted steel',
  start: [-300, -200],
  outline: corners.map((to) => ({ kind: 'line', to, edge: 'rim' })),
  edges: [{ name: 'rim', label: 'rim', code: 'stop-short' }],
  directions: { right: 'right', left: 'left', up: 'up', down: 'down' },
  bow: [],
  bodyLines: [],
  recesses: [],
  holes: [],
  marks: [],
}
/** A drawing that stands upright in space, its middle a metre up. */
const upright = { origin: [0, 0, 1000], x: [1, 0, 0], y: [0, 0, 1], z: [0, -1, 0] } as const
const bowed = (x: number, y: number) => 50 - 40 * (x / 300) ** 2 - 20 * (y / 200) ** 2
const spots = Array.from({ length: 30 }, (_, k) => {
  const at = [-250 + 100 * (k % 6), -160 + 80 * Math.floor(k / 6)] as const
  return { name: `target ${k}`, at, heightMm: bowed(...at), sigmaMm: 0.1 }
})

describe('what the drawing of a form sees of the part', () => {
  test('its middle is that of the drawing, with some room all round', () => {
    const view = viewOfForm({ ...plate, spots }, upright)
    expect(view?.widthMm).toBeCloseTo(720, 6)
    expect(view?.heightMm).toBeCloseTo(520, 6)
    expect(view?.mmPerPx).toBeCloseTo(720 / 1400, 6)
  })
  test('a spot of it lies on the bowed part in space', () => {
    const view = viewOfForm({ ...plate, spots }, upright)
    const [x, y, z] = view?.spotAt([100, 50]) ?? [0, 0, 0]
    expect(x).toBeCloseTo(100, 6)
    expect(y).toBeCloseTo(-bowed(100, 50), 0)
    expect(z).toBeCloseTo(1050, 6)
  })
  test('a target on a line that is not drawn yet is no reason to show nothing', () => {
    const ridge = spots.map((spot, k) => (k === 14 ? { ...spot, heightMm: spot.heightMm + 40 } : spot))
    expect(viewOfForm({ ...plate, spots: ridge }, upright)).not.toBeNull()
  })
  test('an outline that does not close has no view', () => {
    expect(viewOfForm({ ...plate, outline: plate.outline.slice(0, 3), spots }, upright)).toBeNull()
  })
})
