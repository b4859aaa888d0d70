import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { percent, say, temperature } from '../say/index.ts'
import { done, failure, outOfRange, refused, required, wholeFailure } from './index.ts'

test('a failure carries its code, its facts, its sentence with the numbers, and what to do', () => {
  const found = failure('MIX_TARGET_ABOVE_STOCK', { targetPercent: 80, stockPercent: 70 })
  expect(found).toMatchObject({ code: 'MIX_TARGET_ABOVE_STOCK', facts: { targetPercent: 80, stockPercent: 70 } })
  expect(found.sentence.with).toEqual([percent(80, 1), percent(70, 1)])
  expect(english(wholeFailure(found))).toBe(
    '80 % cannot be mixed from a stock of 70 %. Use a stronger stock, or a weaker target.',
  )
})

describe('sentences', () => {
  test.each([
    [failure('MESH_HAS_HOLES', { holes: 1 }), '1 hole '],
    [failure('MESH_HAS_HOLES', { holes: 3 }), '3 holes '],
    [failure('CHECKS_TOO_FEW', { found: 1 }), 'gap is'],
    [failure('CHECKS_TOO_FEW', { found: 0 }), 'gaps are'],
    [failure('OUTLINE_OPEN', { what: '"bonnet"', gapMm: 12.3456 }), '12.3 mm'],
    [failure('OUTLINE_OPEN', { what: '"bonnet"', gapMm: 12 }), '12 mm'],
    [failure('LAY_TURNED_OVER', { triangles: 1 }), '1 triangle of its mesh lies'],
    [failure('LAY_NOT_SETTLED', { movingMm: 0.01234, steps: 9 }), '0.012 mm'],
    [outOfRange('WAIT_OUT_OF_RANGE', say`room temperature`, temperature, [90, -10, 50]), 'between −10 °C and 50 °C'],
  ])('%o says %s', ({ sentence }, says) => {
    expect(english(sentence)).toContain(says)
  })
})

test('a result is either', () => {
  expect(done(3)).toEqual({ ok: true, value: 3 })
  expect(refused(failure('MESH_EMPTY', {}))).toMatchObject({ ok: false, failure: { code: 'MESH_EMPTY' } })
})

// @ts-expect-error the facts of another code do not compile
const wrong = () => failure('MIX_OVERFULL', { targetPercent: 80, stockPercent: 70 })
void wrong

test('a result that has to be there is its value, or throws with its code and what it is about', () => {
  expect(required(done(7))).toBe(7)
  expect(() => required(refused(failure('MESH_HAS_HOLES', { holes: 2 })))).toThrow('MESH_HAS_HOLES {"holes":2}')
})
