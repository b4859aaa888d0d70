import { expect, test } from 'vitest'
import { done, failure, inOneLine, refused } from './index.ts'

test('a failure carries its code, its facts, its sentence with the numbers, and what to do', () => {
  const found = failure('MIX_TARGET_ABOVE_STOCK', { targetPercent: 80, stockPercent: 70 })
  expect(found).toEqual({
    code: 'MIX_TARGET_ABOVE_STOCK',
    facts: { targetPercent: 80, stockPercent: 70 },
    sentence: '80 % cannot be mixed from a stock of 70 %.',
    fix: 'Use a stronger stock, or a weaker target.',
  })
  expect(inOneLine(found)).toBe(`${found.sentence} ${found.fix}`)
})

test('one and many are told apart', () => {
  expect(failure('MESH_HAS_HOLES', { holes: 1 }).sentence).toContain('1 hole ')
  expect(failure('MESH_HAS_HOLES', { holes: 3 }).sentence).toContain('3 holes ')
  expect(failure('CHECKS_TOO_FEW', { found: 1 }).sentence).toContain('gap is')
  expect(failure('CHECKS_TOO_FEW', { found: 0 }).sentence).toContain('gaps are')
})

test('figures in sentences are rounded to what a hand can use', () => {
  expect(failure('OUTLINE_OPEN', { what: '"bonnet"', gapMm: 12.3456 }).sentence).toContain('12.3 mm')
  expect(failure('OUTLINE_OPEN', { what: '"bonnet"', gapMm: 12 }).sentence).toContain('12 mm')
  expect(failure('LAY_NOT_SETTLED', { movingMm: 0.01234, steps: 9 }).sentence).toContain('0.012 mm')
})

test('a result is either', () => {
  expect(done(3)).toEqual({ ok: true, value: 3 })
  expect(refused(failure('MESH_EMPTY', {}))).toMatchObject({ ok: false, failure: { code: 'MESH_EMPTY' } })
})

// @ts-expect-error the facts of another code do not compile
const wrong = () => failure('MIX_OVERFULL', { targetPercent: 80, stockPercent: 70 })
void wrong
