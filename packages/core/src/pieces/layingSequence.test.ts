import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { required } from '../result/index.ts'
import { layingSequence, type SequencePiece, type SequenceRule } from './index.ts'

const piece = (id: string, more: Partial<SequencePiece> = {}): SequencePiece => ({
  id,
  name: `Piece ${id}`,
  spares: 0,
  ...more,
})
const rule = (first: string, next: string, reason = 'It hides the seam.'): SequenceRule => ({ first, next, reason })
const order = (pieces: readonly SequencePiece[], rules: readonly SequenceRule[] = []) =>
  required(layingSequence(pieces, rules)).map((step) => step.id)

describe('the order of a kit', () => {
  test('is the kit’s own where nothing decides', () => {
    expect(order([piece('b'), piece('a'), piece('c')])).toEqual(['b', 'a', 'c'])
    expect(order([])).toEqual([])
  })
  test('a rule decides before the kit’s own order', () => {
    expect(order([piece('a'), piece('b')], [rule('b', 'a')])).toEqual(['b', 'a'])
  })
  test('a piece that others wait for comes before one with a spare', () => {
    expect(order([piece('spare', { spares: 2 }), piece('first'), piece('last')], [rule('first', 'last')])).toEqual([
      'first',
      'spare',
      'last',
    ])
  })
  test('where nothing waits, a spare goes first: the first try is the risky one', () => {
    expect(order([piece('a'), piece('b', { spares: 1 })])).toEqual(['b', 'a'])
  })
  test('what lies underneath goes on first', () => {
    expect(order([piece('top', { over: ['under'] }), piece('under')])).toEqual(['under', 'top'])
  })
  test('rules about pieces that are not in the kit say nothing', () => {
    expect(order([piece('a'), piece('b')], [rule('z', 'a'), rule('b', 'z')])).toEqual(['a', 'b'])
  })
  test('two rules that contradict each other are refused with both names', () => {
    const circle = layingSequence([piece('a'), piece('b')], [rule('a', 'b'), rule('b', 'a')])
    expect(circle.ok).toBe(false)
    expect(circle.ok ? null : circle.failure).toMatchObject({ code: 'SEQUENCE_CIRCLE' })
    expect(circle.ok ? null : circle.failure.sentence).toSay(/Piece a.*Piece b|Piece b.*Piece a/)
  })
  test('and so is a longer circle, with what does not belong to it', () => {
    const circle = layingSequence(
      ['a', 'b', 'c', 'd'].map((id) => piece(id)),
      [rule('a', 'b'), rule('b', 'c'), rule('c', 'a')],
    )
    expect(circle.ok).toBe(false)
  })
})

describe('why a piece comes where it comes', () => {
  const steps = required(
    layingSequence(
      [piece('bar'), piece('left', { spares: 1 }), piece('right')],
      [rule('bar', 'left', 'Raised before flat.'), rule('bar', 'right', 'Raised before flat.')],
    ),
  )
  test('the first says before what', () => {
    expect(steps[0]?.id).toBe('bar')
    expect(steps[0]?.reasons).toHaveLength(1)
    expect(steps[0]?.reasons[0]).toSay('Before Piece left and Piece right.')
  })
  test('the next says after what and why, and its spare', () => {
    expect(steps[1]?.reasons[0]).toSay('After Piece bar: Raised before flat.')
    expect(steps[1]?.reasons[1]).toSay('There is a spare: the first try may fail.')
  })
  test('a reason that was given is not given again', () => {
    expect(steps[2]?.reasons[0]).toSay('After Piece bar.')
  })
  test('many others are counted', () => {
    const many = ['b', 'c', 'd'].map((id) => piece(id))
    const rules = many.map((p) => rule('a', p.id))
    expect(required(layingSequence([piece('a'), ...many], rules))[0]?.reasons[0]).toSay('Before 3 others.')
  })
})

test('every order keeps every rule, and lays every piece once', () => {
  const kit = fc.integer({ min: 2, max: 9 }).chain((count) =>
    fc.record({
      spares: fc.array(fc.integer({ min: 0, max: 2 }), { minLength: count, maxLength: count }),
      // From a lower to a higher number: no circle can come of it.
      rules: fc.array(
        fc
          .tuple(fc.integer({ min: 0, max: count - 1 }), fc.integer({ min: 0, max: count - 1 }))
          .filter(([a, b]) => a < b),
        { maxLength: 12 },
      ),
    }),
  )
  fc.assert(
    fc.property(kit, ({ spares, rules }) => {
      const pieces = spares.map((n, i) => piece(`p${i}`, { spares: n }))
      const laid = order(
        pieces,
        rules.map(([a, b]) => rule(`p${a}`, `p${b}`)),
      )
      expect([...laid].sort()).toEqual(pieces.map((p) => p.id).sort())
      for (const [a, b] of rules) expect(laid.indexOf(`p${a}`)).toBeLessThan(laid.indexOf(`p${b}`))
    }),
  )
})
