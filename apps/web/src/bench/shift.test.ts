import { expect, test } from 'vitest'
import { moveUndone, pieceMoved, pieceMoving, pieceTakenUp, shiftSlice } from './shiftSlice.ts'

const reduce = shiftSlice.reducer
const at = (xMm: number) => ({ xMm, yMm: 0, turnDeg: 0 })
const partId = 'bonnet'

test('a piece is taken up once, moved, and put back move by move', () => {
  let state = reduce(undefined, pieceTakenUp({ partId, shift: at(1) }))
  state = reduce(state, pieceTakenUp({ partId, shift: at(9) }))
  expect(state[partId]?.now).toEqual(at(1))
  state = reduce(state, pieceMoving({ partId, shift: at(1.5) }))
  expect(state[partId]?.before).toEqual([])
  state = reduce(state, pieceMoved({ partId, from: at(1), shift: at(2) }))
  state = reduce(state, pieceMoved({ partId, from: at(2), shift: at(3) }))
  state = reduce(state, moveUndone({ partId }))
  expect(state[partId]?.now).toEqual(at(2))
  state = reduce(state, moveUndone({ partId }))
  state = reduce(state, moveUndone({ partId }))
  expect(state[partId]?.now).toEqual(at(1))
})

test('moves are kept, but not without end', () => {
  let state = reduce(undefined, pieceTakenUp({ partId, shift: at(0) }))
  for (let i = 0; i < 150; i++) state = reduce(state, pieceMoved({ partId, from: at(i), shift: at(i + 1) }))
  expect(state[partId]?.before.length).toBe(100)
  expect(state[partId]?.before[99]).toEqual(at(149))
})
