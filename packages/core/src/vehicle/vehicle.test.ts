import { describe, expect, test } from 'vitest'
import { bodyKinds, bodyPlan, spotInSlot, spotOnSheet } from './index.ts'

describe.each(bodyKinds)('the unfolded %s', (kind) => {
  const plan = bodyPlan(kind)
  test('every place is inside the sheet and named once', () => {
    expect(new Set(plan.slots.map((s) => s.id)).size).toBe(plan.slots.length)
    for (const slot of plan.slots)
      for (const corner of [
        [0, 0],
        [1, 1],
      ] as const) {
        const [x, y] = spotOnSheet(slot, [...corner])
        expect(x, slot.id).toBeGreaterThan(0)
        expect(x, slot.id).toBeLessThan(plan.width)
        expect(y, slot.id).toBeGreaterThan(0)
        expect(y, slot.id).toBeLessThan(plan.height)
      }
  })
  test('a spot goes onto the sheet and back', () => {
    for (const slot of plan.slots) {
      const [u, v] = spotInSlot(slot, spotOnSheet(slot, [0.2, 0.7]))
      expect(u).toBeCloseTo(0.2, 9)
      expect(v).toBeCloseTo(0.7, 9)
    }
  })
  test('places on one face do not lie on each other', () => {
    for (const a of plan.slots)
      for (const b of plan.slots) {
        if (a.id >= b.id || a.face !== b.face) continue
        const turned = (s: typeof a) => (s.turnDeg % 180 === 0 ? s.size : [s.size[1], s.size[0]])
        const [aw = 0, ah = 0] = turned(a)
        const [bw = 0, bh = 0] = turned(b)
        const overX = (aw + bw) / 2 - Math.abs(a.at[0] - b.at[0])
        const overY = (ah + bh) / 2 - Math.abs(a.at[1] - b.at[1])
        expect(Math.min(overX, overY), `${a.id} and ${b.id}`).toBeLessThan(2)
      }
  })
  test('the driver’s side is the left of the vehicle: below the top, with the front to the left', () => {
    const left = plan.slots.find((s) => s.id === 'door-front-left')
    const right = plan.slots.find((s) => s.id === 'door-front-right')
    expect(left?.name).toContain('driver')
    expect(left!.at[1]).toBeGreaterThan(right!.at[1])
    expect(left!.at[0]).toBe(right!.at[0])
    // The roof edge of both sides is towards the middle.
    expect(spotOnSheet(left!, [0.5, 0])[1]).toBeLessThan(left!.at[1])
    expect(spotOnSheet(right!, [0.5, 0])[1]).toBeGreaterThan(right!.at[1])
  })
  test('both sides of everything mirror each other, and their names say which is which', () => {
    const middleY = plan.slots.find((s) => s.id === 'bonnet')?.at[1] ?? 0
    for (const left of plan.slots.filter((s) => s.id.endsWith('-left'))) {
      const right = plan.slots.find((s) => s.id === left.id.replace(/-left$/, '-right'))
      expect(right?.size, left.id).toEqual(left.size)
      expect(right?.at[0], left.id).toBeCloseTo(left.at[0], 9)
      expect((right?.at[1] ?? 0) + left.at[1], left.id).toBeCloseTo(2 * middleY, 9)
      expect(left.name).toMatch(/, driver’s side$/)
      expect(right?.name).toMatch(/, passenger’s side$/)
    }
  })
  test('the front is to the left, the rear to the right, and every face stays on the sheet', () => {
    const at = (id: string) => plan.slots.find((s) => s.id === id)?.at[0] ?? Number.NaN
    expect(at('front-bumper')).toBeLessThan(at('bonnet'))
    expect(at('bonnet')).toBeLessThan(at('roof'))
    expect(at('roof')).toBeLessThan(at('rear-bumper'))
    for (const { line } of plan.silhouettes)
      for (const [x, y] of line) {
        expect(x).toBeGreaterThanOrEqual(-1e-6)
        expect(x).toBeLessThanOrEqual(plan.width + 1e-6)
        expect(y).toBeGreaterThanOrEqual(-1e-6)
        expect(y).toBeLessThanOrEqual(plan.height + 1e-6)
      }
  })
  test('glass seen from above is between bonnet and roof, and as wide as the body allows', () => {
    const [screen] = plan.silhouettes.filter((s) => s.face === 'top' && s.glass)
    const bonnet = plan.slots.find((s) => s.id === 'bonnet')
    const xs = screen?.line.map(([x]) => x) ?? []
    const ys = screen?.line.map(([, y]) => y) ?? []
    expect(Math.min(...xs)).toBeGreaterThan((bonnet?.at[0] ?? 0) + (bonnet?.size[1] ?? 0) / 2 - 1)
    const wide = Math.max(...ys) - Math.min(...ys)
    expect(wide).toBeGreaterThan(800)
    expect((Math.max(...ys) + Math.min(...ys)) / 2).toBeCloseTo(bonnet?.at[1] ?? 0, 6)
  })
  test('every place lies on its face, and what is seen from above or of an end is alike on both sides', () => {
    const middleY = plan.slots.find((s) => s.id === 'bonnet')?.at[1] ?? 0
    for (const face of ['left', 'right', 'front', 'rear', 'top'] as const) {
      const drawn = plan.silhouettes.filter((s) => s.face === face)
      const [xs, ys] = [0, 1].map((k) => drawn.flatMap(({ line }) => line.map((p) => p[k]!))) as [number[], number[]]
      for (const { id, at, size, turnDeg } of plan.slots.filter((s) => s.face === face)) {
        const [w, h] = turnDeg % 180 === 0 ? size : [size[1], size[0]]
        expect(Math.min(w, h), id).toBeGreaterThan(0)
        expect(at[0] - w / 2, id).toBeGreaterThan(Math.min(...xs) - 1)
        expect(at[0] + w / 2, id).toBeLessThan(Math.max(...xs) + 1)
        expect(at[1] - h / 2, id).toBeGreaterThan(Math.min(...ys) - 1)
        expect(at[1] + h / 2, id).toBeLessThan(Math.max(...ys) + 1)
      }
      if (face === 'left' || face === 'right') continue
      for (const { line } of drawn) {
        const across = line.map(([, y]) => y - middleY)
        expect(across.reduce((sum, y) => sum + y, 0)).toBeCloseTo(0, 6)
      }
    }
  })
  test('from above the body is as wide and as long as it stands in the sheet', () => {
    const [body] = plan.silhouettes.filter((s) => s.face === 'top' && !s.glass)
    const spread = (k: 0 | 1) => {
      const at = body?.line.map((p) => p[k]) ?? []
      return Math.max(...at) - Math.min(...at)
    }
    // Twice a side's height and two gaps of 120 mm are beside it, both ways.
    expect(plan.width - spread(0)).toBeCloseTo(plan.height - spread(1), 6)
  })
  test('bumpers and lower parts are low, bonnet and roof are not', () => {
    expect(plan.slots.find((s) => s.id === 'front-bumper')?.low).toBe(true)
    expect(plan.slots.find((s) => s.id === 'bonnet')?.low).toBe(false)
  })
})
