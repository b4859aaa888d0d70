import { describe, expect, test } from 'vitest'
import { areTwins, type ListedPiece, standingOf, startingSides } from './index.ts'

const piece = (id: string, side: ListedPiece['side'], spares = 0, count = 1): ListedPiece => ({
  id,
  name: side === 'left' ? 'Lamp, driver’s side' : 'Lamp, passenger’s side',
  side,
  count,
  spares,
  formId: id,
})
const left = piece('lamp-left', 'left', 1)
const right = piece('lamp-right', 'right')
const bars = piece('bar', 'middle', 1, 3)

describe('a kit counted', () => {
  test.each([
    [0, { standing: 'missing', missing: 3 }],
    [2, { standing: 'missing', missing: 1 }],
    [3, { standing: 'spare missing', spares: 0 }],
    [4, { standing: 'all there', spares: 1 }],
    [6, { standing: 'extra', extra: 2, spares: 3 }],
  ])('%i of three bars and a spare', (arrived, standing) => {
    expect(standingOf(bars, [{ pieceId: 'bar', arrived }])).toEqual(standing)
  })
  test('what nobody counted is not said to be missing', () => {
    expect(standingOf(bars, [])).toEqual({ standing: 'not counted' })
  })
})

describe('the side to start on', () => {
  test('is the one with the spare, by the manifest and by the count', () => {
    const [side] = startingSides([left, right], [])
    expect(side?.pieceId).toBe('lamp-left')
    expect(side?.words).toSay('Lamp: start on the driver’s side')
    const swapped = [
      { pieceId: 'lamp-left', arrived: 1 },
      { pieceId: 'lamp-right', arrived: 2 },
    ]
    expect(startingSides([left, right], swapped).map((s) => s.pieceId)).toEqual(['lamp-right'])
  })
  test('is free when both sides or neither have one', () => {
    expect(startingSides([piece('a-left', 'left'), piece('a-right', 'right')], [])).toEqual([])
    expect(startingSides([piece('a-left', 'left', 1), piece('a-right', 'right', 1)], [])).toEqual([])
    expect(startingSides([bars], [])).toEqual([])
  })
  test('is nothing to ask of a piece in the middle, nor of a side without its twin', () => {
    const middle = piece('lamp-right', 'middle', 1)
    expect(areTwins(middle, piece('lamp-left', 'left'))).toBe(true)
    expect(startingSides([middle, piece('lamp-left', 'left')], [])).toEqual([])
    expect(startingSides([left, bars], [])).toEqual([])
  })
  test('twins are the two sides of one shape', () => {
    expect(areTwins(left, right)).toBe(true)
    expect(areTwins(left, left)).toBe(false)
    expect(areTwins(left, piece('fog-right', 'right'))).toBe(false)
  })
})
