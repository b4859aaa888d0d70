import { describe, expect, test } from 'vitest'
import type { FormDoc } from '../form/index.ts'
import { distance } from '../geometry/index.ts'
import { required } from '../result/index.ts'
import { layNaturally, pullAcross } from './index.ts'

const plate: FormDoc = {
  id: 'plate',
  name: 'plate',
  version: 1,
  family: 'panel',
  material: 'lens plastic',
  start: [-200, -60],
  outline: [
    { kind: 'line', to: [200, -60], edge: 'rim' },
    { kind: 'line', to: [200, 60], edge: 'rim' },
    { kind: 'line', to: [-200, 60], edge: 'rim' },
    { kind: 'line', to: [-200, -60], edge: 'rim' },
  ],
  edges: [{ name: 'rim', label: 'rim', code: 'gap-cut' }],
  directions: { right: 'right', left: 'left', up: 'top', down: 'bottom' },
  bow: [],
  bodyLines: [],
  recesses: [],
  holes: [],
  marks: [],
}
const { surface, natural } = required(layNaturally(plate, 300))
const drawnBy = (share: number) => pullAcross(surface, { flat: natural.flat.map((mm) => mm / (1 + share)) }, [0, 0])

describe('one pull across a bulge', () => {
  test('a flat plate wants none', () => {
    expect(pullAcross(surface, natural, [0, 0])?.mm ?? 0).toBeLessThan(0.01)
  })
  test.each([0.01, 0.05, 0.12])('film that lies smaller by a share of %s is drawn by that share', (share) => {
    const across = drawnBy(share)
    expect(across?.percent).toBeCloseTo(100 * share, 3)
    const length = distance(across?.from ?? [0, 0], across?.to ?? [0, 0])
    expect(across?.mm).toBeCloseTo(length * (1 - 1 / (1 + share)), 3)
  })
  test('it goes along the longest line of the part, not along the shortest', () => {
    const across = drawnBy(0.05)
    expect(distance(across?.from ?? [0, 0], across?.to ?? [0, 0])).toBeGreaterThan(400)
  })
  test('film that is drawn one way only is pulled that way', () => {
    const upOnly = { flat: natural.flat.map((mm, i) => (i % 2 === 0 ? mm : mm / 1.1)) }
    const { from, to } = pullAcross(surface, upOnly, [0, 0]) ?? { from: [0, 0], to: [0, 0] }
    expect(Math.abs(from[1] - to[1])).toBeCloseTo(120, 0)
    expect(Math.abs(from[0] - to[0])).toBeLessThan(120)
  })
  test('hands are on the outline, one at each side of the place that it goes through', () => {
    const { from, to } = pullAcross(surface, { flat: natural.flat.map((mm) => 0.98 * mm) }, [40, 10]) ?? {
      from: [0, 0],
      to: [0, 0],
    }
    for (const [x, y] of [from, to]) expect(Math.max(Math.abs(x) / 200, Math.abs(y) / 60)).toBeCloseTo(1, 6)
    expect((from[0] - 40) * (to[0] - 40) + (from[1] - 10) * (to[1] - 10)).toBeLessThan(0)
  })
  test('nothing is drawn through a place outside the part', () => {
    expect(pullAcross(surface, { flat: natural.flat.map((mm) => 0.98 * mm) }, [900, 900])).toBeNull()
  })
})
