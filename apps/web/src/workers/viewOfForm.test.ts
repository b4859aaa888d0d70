import { describe, expect, test } from 'vitest'
import { blankForm } from '../screens/forms/editForm.ts'
import { viewOfForm } from './viewOfForm.ts'

/** A drawing that stands upright in space, its middle a metre up. */
const upright = { origin: [0, 0, 1000], x: [1, 0, 0], y: [0, 0, 1], z: [0, -1, 0] } as const
const bowed = (x: number, y: number) => 50 - 40 * (x / 300) ** 2 - 20 * (y / 200) ** 2
const spots = Array.from({ length: 30 }, (_, k) => {
  const at = [-250 + 100 * (k % 6), -160 + 80 * Math.floor(k / 6)] as const
  return { name: `target ${k}`, at, heightMm: bowed(...at), sigmaMm: 0.1 }
})

describe('what the drawing of a form sees of the part', () => {
  test('its middle is that of the drawing, with some room all round', () => {
    const view = viewOfForm({ ...blankForm('p', 'Part'), spots }, upright)
    expect(view?.widthMm).toBeCloseTo(720, 6)
    expect(view?.heightMm).toBeCloseTo(520, 6)
    expect(view?.mmPerPx).toBeCloseTo(720 / 1400, 6)
  })
  test('a spot of it lies on the bowed part in space', () => {
    const view = viewOfForm({ ...blankForm('p', 'Part'), spots }, upright)
    const [x, y, z] = view?.spotAt([100, 50]) ?? [0, 0, 0]
    expect(x).toBeCloseTo(100, 6)
    expect(y).toBeCloseTo(-bowed(100, 50), 0)
    expect(z).toBeCloseTo(1050, 6)
  })
  test('a target on a line that is not drawn yet is no reason to show nothing', () => {
    const ridge = spots.map((spot, k) => (k === 14 ? { ...spot, heightMm: spot.heightMm + 40 } : spot))
    expect(viewOfForm({ ...blankForm('p', 'Part'), spots: ridge }, upright)).not.toBeNull()
  })
  test('an outline that does not close has no view', () => {
    const form = blankForm('p', 'Part')
    expect(viewOfForm({ ...form, outline: form.outline.slice(0, 3), spots }, upright)).toBeNull()
  })
})
