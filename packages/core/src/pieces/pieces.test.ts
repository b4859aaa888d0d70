import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { carryDefaults, carryLine, carryRows, layingSequence, rowsOf } from './index.ts'

const row = (lengths: readonly number[], openings: readonly number[] = []) =>
  lengths.map((lengthMm, i) => ({ id: `p${i}`, name: `Piece ${i + 1}`, lengthMm, openings: openings[i] ?? 0 }))

describe('a line carried over a row of pieces', () => {
  test('the best datum lies in the middle: the error runs half as far', () => {
    expect(carryLine(row([600, 600, 600, 600, 600]))?.datum).toBe('p2')
  })
  test('one carried piece: errors of gap, direction and sighting add up as independent ones do', () => {
    const carry = carryLine(row([1000, 400]), { gapMm: 0.2, upMm: 0.3, sightMm: 200, seenMm: 100 })
    const carried = carry?.pieces[1]
    const near = Math.hypot(0.3, 0.2)
    const slope = Math.hypot((Math.SQRT2 * 0.3) / 1000, (Math.SQRT2 * 0.2) / 200)
    expect(carried?.nearSigmaMm).toBeCloseTo(near, 12)
    expect(carried?.farSigmaMm).toBeCloseTo(Math.hypot(near, slope * 400), 12)
  })
  test('without measuring up the error grows with every piece; measured up it stays within what an eye sees', () => {
    const carry = carryLine(row([900, 900, 900, 900, 900]))
    expect(carry?.unmeasuredSigmaMm).toBeGreaterThan(1.5 * carryDefaults.seenMm)
    expect(2 * (carry?.worstSigmaMm ?? 9)).toBeLessThanOrEqual(carryDefaults.seenMm)
    expect(carry?.pieces.some((p) => p.placed === 'carried and measured up')).toBe(true)
    expect(carry?.words).toSay('Measure up again')
  })
  test('short pieces and a coarse eye need no measuring but the datum', () => {
    const carry = carryLine(row([200, 200, 200]), { ...carryDefaults, seenMm: 8 })
    expect(carry?.pieces.map((p) => p.placed)).toEqual(['datum', 'carried', 'carried'])
    expect(carry?.pieces[0]?.measureAtMm).toEqual([40, 160])
  })
  test('of two equal ones the datum is the one with more openings', () => {
    expect(carryLine(row([500, 500], [0, 2]))?.datum).toBe('p1')
  })
  test('of two alike in everything, the one that stands first', () => {
    expect(carryLine(row([500, 500]))?.datum).toBe('p0')
    expect(carryLine(row([600, 600, 600, 600]))?.datum).toBe('p1')
  })
  test('what is measured up again is measured at its far end; what is only carried, nowhere', () => {
    const { pieces } = carryLine(row([900, 900, 900, 900, 900]), { ...carryDefaults, seenMm: 4 })!
    expect(new Set(pieces.map((p) => p.placed)).size).toBe(3)
    for (const { placed, measureAtMm } of pieces)
      expect(measureAtMm).toEqual(placed === 'datum' ? [40, 860] : placed === 'carried' ? [] : [860])
  })
  test('a piece that the kit puts before only some of its row is no datum', () => {
    const placed = row([600, 600, 600]).map((p, i) => ({ ...p, slot: `lower-${i + 1}-left` }))
    expect(
      carryRows(placed, [
        { first: 'p2', next: 'p0' },
        { first: 'p2', next: 'elsewhere' },
      ])[0]?.datum,
    ).toBe('p1')
    const both = [
      { first: 'p2', next: 'p0' },
      { first: 'p2', next: 'p1' },
    ]
    expect(carryRows(placed, both)[0]?.datum).toBe('p2')
  })
  test('a datum that the kit names is kept, and a better one is named', () => {
    const carry = carryLine(row([600, 600, 600, 600, 600]), carryDefaults, 'p1')
    expect(carry?.datum).toBe('p1')
    expect(carry?.words).toSay('From Piece 3 the error would run less far')
    expect(carry?.pieces.map((p) => p.place)).toEqual([2, 1, 3, 4, 5])
    const placed = row([600, 600, 600]).map((p, i) => ({ ...p, slot: `lower-${i + 1}-left` }))
    const rules = [
      { first: 'p0', next: 'p1' },
      { first: 'p0', next: 'p2' },
    ]
    expect(carryRows(placed, rules)[0]?.datum).toBe('p0')
    expect(carryRows(placed)[0]?.datum).toBe('p1')
  })
  test('who has to be measured up again is named, or that it is everybody, or nobody', () => {
    const words = (lengths: readonly number[], seenMm: number) =>
      english(carryLine(row(lengths), { ...carryDefaults, seenMm })?.words ?? { text: '', with: [] })
    expect(words([200, 200, 200], 8)).toContain('The others take their line from it.')
    expect(words([900, 900, 900], 0.4)).toContain('at the far end of every other piece')
    const some = words([900, 900, 900, 900, 900], 4)
    expect(some).toMatch(/Measure up again at the far end of Piece \d/)
    expect(some).not.toContain('every other piece')
  })
  test('one piece alone carries nothing', () => expect(carryLine(row([500]))).toBeNull())
  test('rows are found by their numbered places, each side for itself', () => {
    const slots = ['lower-2-left', 'bonnet', 'lower-1-left', 'lower-1-right', 'lower-10-left', 'lower-2-right']
    expect(rowsOf(slots.map((slot) => ({ slot }))).map((r) => r.map((p) => p.slot))).toEqual([
      ['lower-1-left', 'lower-2-left', 'lower-10-left'],
      ['lower-1-right', 'lower-2-right'],
    ])
  })
})

describe('the order of the pieces', () => {
  const piece = (id: string, spares = 0, over?: string[]) => ({ id, name: id, spares, over })
  const idsOf = (...args: Parameters<typeof layingSequence>) => {
    const found = layingSequence(...args)
    return found.ok ? found.value.map((s) => s.id) : found.failure.code
  }
  test('rules decide, then the side with a spare, then the order of the kit', () => {
    const rules = [{ first: 'inner', next: 'outer', reason: 'The inner lamp sets the line.' }]
    expect(idsOf([piece('outer'), piece('bar'), piece('inner'), piece('cap', 1)], rules)).toEqual([
      'inner',
      'cap',
      'outer',
      'bar',
    ])
  })
  test('what lies underneath goes on first, and says so', () => {
    const found = layingSequence([piece('top', 0, ['under']), piece('under')], [])
    expect(found.ok && found.value.map((s) => s.id)).toEqual(['under', 'top'])
    expect(found.ok ? found.value[1]?.reasons : null).toSay('underneath')
  })
  test('rules that contradict each other are refused by name', () => {
    const rules = [
      { first: 'a', next: 'b', reason: '' },
      { first: 'b', next: 'a', reason: '' },
    ]
    const found = layingSequence([piece('a'), piece('b')], rules)
    expect(found.ok ? '' : english(found.failure.sentence)).toContain('a')
    expect(found.ok ? '' : found.failure.code).toBe('SEQUENCE_CIRCLE')
  })
  test('rules about pieces that are not in the job are left aside', () => {
    expect(idsOf([piece('a')], [{ first: 'z', next: 'a', reason: '' }])).toEqual(['a'])
  })
})
