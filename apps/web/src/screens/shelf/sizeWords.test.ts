import type { Piece } from '@truelay/contract'
import { english } from '@truelay/words'
import { expect, test } from 'vitest'
import { sizeWords } from './sizeWords.ts'

const known = {
  name: 'Bonnet',
  pattern: {
    outline: [
      [0, 0],
      [1400, 0],
      [1400, 900],
      [0, 900],
    ],
  },
} as unknown as Piece
/** A drawing so many units wide, read with so many millimetres to the unit. */
const read = (units: number, mmPerUnit: number) =>
  english(sizeWords({ widthMm: units * mmPerUnit, heightMm: ((units * 900) / 1400) * mmPerUnit, mmPerUnit }, known))

test('a pattern of the size of the one on the shelf is about its size, in whatever unit it was drawn', () => {
  expect(read(1400, 1)).toBe('About the size of Bonnet on the shelf.')
  expect(read(1400 / 25.4, 25.4)).toBe('About the size of Bonnet on the shelf.')
})
test.each([
  ['inches', 1400 / 25.4, 1],
  ['inches', 1400 / 25.4, 25.4 / 96],
  ['millimetres', 1400, 25.4 / 96],
  ['centimetres', 140, 1],
  ['pixels', (1400 * 96) / 25.4, 1],
])('a drawing that was meant in %s says so', (unit, units, mmPerUnit) => {
  expect(read(units, mmPerUnit)).toMatch(new RegExp(`the drawing seems to be in ${unit}\\.`))
})
test('another size is told by how much it differs', () => {
  expect(read(700, 1)).toContain('2 times as large')
})
