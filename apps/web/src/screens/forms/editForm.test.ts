import { english } from '@truelay/words'
import { formDoc } from '@truelay/contract'
import { buildSurface, traceOutline } from '@truelay/core/form'
import { signedArea } from '@truelay/core/geometry'
import { describe, expect, test } from 'vitest'
import {
  bendStretch,
  blankForm,
  endStretchAt,
  freshName,
  handlesOf,
  moveHandle,
  removeStretch,
  roundedBox,
  splitStretch,
} from './editForm.ts'

const form = blankForm('p', 'Part')
const area = (f: typeof form) => {
  const traced = traceOutline('p', f.start, f.outline)
  if (!traced.ok) throw new Error(english(traced.failure.sentence))
  return signedArea(traced.value.polygon)
}

describe('a form in the making', () => {
  test('the blank plate is whole, can be saved and built', () => {
    expect(formDoc.safeParse(form).success).toBe(true)
    expect(buildSurface(form, { triangles: 200 }).ok).toBe(true)
    expect(area(form)).toBe(600 * 400)
  })
  test('every handle can be moved, and only what it holds moves with it', () => {
    const rich = {
      ...bendStretch(form, 0, 'spline'),
      bow: [{ name: 'a', from: [-100, 0] as const, to: [100, 0] as const, sagittaMm: 5 }],
      bodyLines: [{ name: 'l', along: [[0, 0] as const, [50, 50] as const], turnDeg: 5, radiusMm: 5, reachMm: 30 }],
      channels: [{ name: 'c', along: [[0, 0] as const, [50, 50] as const], widthMm: 40, depthMm: 4, wallDeg: 40 }],
      recesses: [{ name: 'r', outline: roundedBox([10, 10], 40, 20, 5), depthMm: 3, wallDeg: 30 }],
      raised: [{ name: 'u', outline: roundedBox([10, 10], 40, 20, 5), heightMm: 3, wallDeg: 30 }],
      obstacles: [{ name: 'o', kind: 'pillar' as const, at: [300, 0] as const, widthMm: 20, reachMm: 10 }],
      holes: [{ name: 'h', label: 'h', outline: roundedBox([10, 10], 40, 20, 5), code: 'stop-short' as const }],
    }
    for (const step of ['outline', 'bow', 'features', 'edges', 'marks'] as const)
      for (const handle of handlesOf(rich, step)) {
        const moved = moveHandle(rich, handle.key, [handle.at[0] + 12.3, handle.at[1] - 7.1])
        const after = handlesOf(moved, step)
        const now = after.find((h) => h.key === handle.key)
        expect(now?.at[0], handle.key).toBeCloseTo(handle.at[0] + 12.3, -0.3)
        expect(after.filter((h, i) => h.at.join() !== handlesOf(rich, step)[i]?.at.join()).length, handle.key).toBe(1)
        expect(formDoc.safeParse(moved).success, handle.key).toBe(true)
      }
  })
  test('a mark on a corner goes with it, one beside it stays', () => {
    const marks = [
      { name: 'on', label: 'on', at: [300, -200] as const, weight: 1 },
      { name: 'beside', label: 'beside', at: [299, -200] as const, weight: 1 },
    ]
    expect(endStretchAt({ ...form, marks }, 0, [60, -40]).marks.map(({ at }) => at)).toEqual([
      [60, -40],
      [299, -200],
    ])
  })
  test('a part that is much smaller than it began can be kept: its corner marks have come along', () => {
    const smaller = form.outline.reduce(
      (now, { to }, i) => endStretchAt(now, i, [to[0] / 5, to[1] / 5]),
      form as ReturnType<typeof blankForm>,
    )
    expect(area(smaller)).toBe(area(form) / 25)
    expect(formDoc.safeParse(smaller).success).toBe(true)
  })
  test('the outline stays closed when its last corner moves', () => {
    const moved = moveHandle(form, 'corner-3', [-320, -230])
    expect(moved.start).toEqual([-320, -230])
    expect(area(moved)).toBeGreaterThan(area(form))
  })
  test('a stretch is split, bent and taken away again', () => {
    const split = splitStretch(form, 1)
    expect(split.outline.length).toBe(5)
    expect(area(split)).toBe(area(form))
    expect(area(removeStretch(split, 1))).toBe(area(form))
    expect(area(removeStretch(form, 3))).toBeLessThan(area(form))
    expect(removeStretch(removeStretch(form, 3), 0).outline.length).toBe(3)
    const arc = bendStretch(form, 0, 'arc')
    expect(area(arc)).toBeGreaterThan(area(form))
    expect(bendStretch(bendStretch(arc, 0, 'spline'), 0, 'line').outline[0]).toEqual(form.outline[0])
  })
  test('names stay apart', () => {
    expect(freshName('crease', [])).toBe('crease')
    expect(freshName('crease', [{ name: 'crease' }, { name: 'crease 2' }])).toBe('crease 3')
  })
})
