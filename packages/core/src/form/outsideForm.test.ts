import { describe, expect, test } from 'vitest'
import { type FormDoc, outsideForm } from './index.ts'

const plate: Pick<FormDoc, 'start' | 'outline' | 'marks' | 'holes' | 'obstacles'> = {
  start: [0, 0],
  outline: [
    { kind: 'line', to: [400, 0], edge: 'rim' },
    { kind: 'line', to: [400, 200], edge: 'rim' },
    { kind: 'line', to: [0, 200], edge: 'rim' },
    { kind: 'line', to: [0, 0], edge: 'rim' },
  ],
  marks: [],
  holes: [],
}
const mark = (x: number, y: number) => ({ name: `${x}`, label: 'mark', at: [x, y] as const, weight: 1 })
const obstacle = (x: number, y: number) => ({
  name: `${x}`,
  kind: 'badge' as const,
  at: [x, y] as const,
  widthMm: 20,
  reachMm: 5,
})

describe('what lies outside a part', () => {
  test('a mark on it or on its lip is inside, one far from it is not', () => {
    expect(outsideForm({ ...plate, marks: [mark(200, 100), mark(430, 100), mark(-40, -40)] })).toEqual([])
    expect(outsideForm({ ...plate, marks: [mark(200, 100), mark(900, 100)] })).toEqual([{ what: 'marks', name: '900' }])
    expect(outsideForm({ ...plate, marks: [mark(200, -400)] })).toEqual([{ what: 'marks', name: '200' }])
  })
  test('a hole is where its middle is', () => {
    const hole = (x: number) => ({
      name: `${x}`,
      label: 'hole',
      code: 'stop-short' as const,
      outline: [
        [x - 10, 90],
        [x + 10, 90],
        [x + 10, 110],
        [x - 10, 110],
      ] as [number, number][],
    })
    expect(outsideForm({ ...plate, holes: [hole(100), hole(700)] })).toEqual([{ what: 'holes', name: '700' }])
  })
  test('an obstacle stands at an edge, not in the next bay', () => {
    expect(outsideForm({ ...plate, obstacles: [obstacle(400, 100), obstacle(2000, 100)] })).toEqual([
      { what: 'obstacles', name: '2000' },
    ])
  })
  test('an arc bulges past its ends: what stands on the bulge is inside', () => {
    const dome: typeof plate = {
      ...plate,
      start: [-45, 0],
      outline: [
        { kind: 'arc', to: [45, 0], radiusMm: 45, turn: 'left', edge: 'rim' },
        { kind: 'arc', to: [-45, 0], radiusMm: 45, turn: 'left', edge: 'rim' },
      ],
      marks: [mark(0, 45), mark(0, -45)],
    }
    expect(outsideForm(dome)).toEqual([])
  })
})
