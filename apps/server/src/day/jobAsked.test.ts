import { describe, expect, test } from 'vitest'
import { ordersOf } from './jobAsked.ts'

type Sources = Parameters<typeof ordersOf>[0]
const pieces = [
  { id: 'inner-left', kitId: 'kit', name: 'Inner lamp', side: 'left', spares: 0 },
  { id: 'outer-left', kitId: 'kit', name: 'Outer lamp', side: 'left', spares: 0 },
  { id: 'mirror-left', kitId: 'kit', name: 'Mirror', side: 'left', spares: 0 },
  { id: 'mirror-right', kitId: 'kit', name: 'Mirror', side: 'right', spares: 1 },
]
const parts = pieces.map(({ id }) => ({ id: `part ${id}`, pieceId: id }))
const rules = [{ first: 'inner-left', next: 'outer-left', reason: 'It sets the line.' }]
const ordered = (more: object = {}) =>
  ordersOf({ parts, pieces, kits: [{ id: 'kit', rules }], sets: [], ...more } as unknown as Sources)

describe('what comes before what on a vehicle', () => {
  test('goes by the rules of its kits', () => {
    expect(ordered()).toContainEqual({ first: 'part inner-left', next: 'part outer-left', kind: 'line' })
  })
  test('begins on the side that has a spare', () => {
    expect(ordered()).toContainEqual({ first: 'part mirror-right', next: 'part mirror-left', kind: 'line' })
  })
  test('does not where a rule says otherwise, or a set has its own order', () => {
    const against = [...rules, { first: 'mirror-left', next: 'mirror-right', reason: 'The step is here.' }]
    expect(
      ordered({ kits: [{ id: 'kit', rules: against }] }).filter(({ first }) => first === 'part mirror-right'),
    ).toEqual([])
    const set = { mode: 'to and fro', partIds: ['part mirror-left', 'part mirror-right'] }
    expect(ordered({ sets: [set] }).filter(({ next }) => next === 'part mirror-left')).toEqual([])
    expect(ordered({ sets: [set] })).toContainEqual({
      first: 'part mirror-left',
      next: 'part mirror-right',
      kind: 'to and fro',
    })
  })
  test('of pieces that are not worked nothing is said', () => {
    expect(ordered({ parts: parts.slice(0, 1) })).toEqual([])
  })
})
