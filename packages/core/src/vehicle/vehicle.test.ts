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
  test('bumpers and lower parts are low, bonnet and roof are not', () => {
    expect(plan.slots.find((s) => s.id === 'front-bumper')?.low).toBe(true)
    expect(plan.slots.find((s) => s.id === 'bonnet')?.low).toBe(false)
  })
})
