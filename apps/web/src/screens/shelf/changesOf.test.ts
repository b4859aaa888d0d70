import { kitDoc, type Piece, pieceDoc, type Shelf } from '@truelay/contract'
import { english } from '@truelay/words'
import { expect, test } from 'vitest'
import { changesOf } from './changesOf.ts'

const kit = kitDoc.parse({ id: 'lamps', name: 'Lamp kit', modelId: 'pipit', rules: [], note: '' })
const piece: Piece = pieceDoc.parse({
  id: 'left',
  kitId: 'lamps',
  name: 'Headlamp, left',
  side: 'left',
  count: 1,
  spares: 0,
  formId: 'lamp',
  filmId: 'smoke',
  lot: 'L1',
  pattern: { name: 'x', outline: [[0, 0], [10, 0], [10, 10]], cutOuts: [], marks: [] }, // biome-ignore format: a triangle
})
const shelf: Shelf = { films: [], kits: [kit], pieces: [piece] }
const told = (pieces: readonly Piece[], own = kit) =>
  changesOf({ kit: own, pieces: [...pieces] }, shelf).map((s) => english(s))

test('what is new, or the same, replaces nothing', () => {
  expect(told([piece])).toEqual([])
  expect(told([{ ...piece, id: pieceDoc.shape.id.parse('right') }])).toEqual([])
  expect(changesOf({ kit, pieces: [piece] }, { ...shelf, kits: [], pieces: [] })).toEqual([])
})

test.each<[string, Partial<Piece>, RegExp]>([
  ['a lot', { lot: 'L2' }, /^Headlamp, left: lot L2 instead of L1$/],
  ['a name', { name: 'Lamp' }, /name Lamp/],
  ['a pattern', { pattern: { ...piece.pattern, outline: [[0, 0], [12, 0], [10, 10]] } }, /another pattern/], // biome-ignore format: a triangle
  ['a number in the box', { spares: 2 }, /another number in the box/],
  ['a film', { filmId: 'clear' as Piece['filmId'] }, /another film/],
])('%s that is otherwise is told of its piece', (_, more, words) => {
  expect(told([{ ...piece, ...more }])).toEqual([expect.stringMatching(words)])
})

test('several things of one piece stand in one sentence, and the kit itself in its own', () => {
  expect(told([{ ...piece, lot: 'L2', spares: 1 }], { ...kit, note: 'new' })).toEqual([
    expect.stringMatching(/^the name, the note or the order of Lamp kit$/),
    expect.stringMatching(/lot L2 instead of L1.*another number/),
  ])
})
