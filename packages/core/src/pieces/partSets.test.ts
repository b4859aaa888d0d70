import { describe, expect, test } from 'vitest'
import { type SetMember, setsProblem, suggestSets } from './index.ts'

const member = (id: string, more: Partial<SetMember> = {}): SetMember => ({
  id,
  name: id,
  family: 'lamp',
  filmId: 'smoke',
  piece: { id: `${id}-piece`, kitId: 'kit', side: 'right' },
  ...more,
})
const after = (first: string, next: string) => ({
  first: `${first}-piece`,
  next: `${next}-piece`,
  reason: 'Bottom before top.',
})
const strips = [member('c'), member('b'), member('a')]
const rules = [after('a', 'b'), after('b', 'c')]

describe('sets that suggest themselves', () => {
  test('strips of one kit on one side, in the order of the kit', () => {
    expect(suggestSets(strips, rules)).toMatchObject([{ mode: 'piece after piece', partIds: ['a', 'b', 'c'] }])
  })
  test('of two pieces under a rule one sets the line of the other; three without a rule are no row', () => {
    expect(suggestSets(strips.slice(1), rules)).toMatchObject([{ mode: 'piece after piece', partIds: ['a', 'b'] }])
    expect(suggestSets(strips, [])).toEqual([])
  })
  test('two bars of trim on one side are one, ruled or not', () => {
    const bars = ['one', 'two'].map((id) => member(id, { family: 'trim' }))
    expect(suggestSets(bars, [])).toMatchObject([{ mode: 'piece after piece', partIds: ['one', 'two'] }])
  })
  test('another film, another kit or the other side is another set', () => {
    const [c, b, a] = strips as [SetMember, SetMember, SetMember]
    for (const other of [
      { ...a, filmId: 'clear' },
      { ...a, piece: { id: 'a-piece', kitId: 'kit', side: 'left' as const } },
      { ...a, piece: { id: 'a-piece', kitId: 'other', side: 'right' as const } },
      { ...a, piece: null },
    ])
      expect(suggestSets([c, b, other], rules)).toMatchObject([{ partIds: ['b', 'c'] }])
  })
  test('the two lamps of a pair go to and fro, each pair by itself', () => {
    const lamp = (id: string, side: 'left' | 'right', more: Partial<SetMember> = {}) =>
      member(`${id}-${side}`, { piece: { id: `${id}-${side}`, kitId: 'kit', side }, ...more })
    const lamps = [lamp('tail', 'left'), lamp('head', 'left'), lamp('tail', 'right'), lamp('head', 'right')]
    expect(suggestSets(lamps, []).map(({ mode, partIds }) => [mode, ...partIds])).toEqual([
      ['to and fro', 'tail-left', 'tail-right'],
      ['to and fro', 'head-left', 'head-right'],
    ])
    // Inner and outer lamp of one side, where the other side is not in the job.
    const inner = [after('head-left', 'tail-left')].map((r) => ({ ...r, first: 'head-left', next: 'tail-left' }))
    expect(suggestSets(lamps.slice(0, 2), inner).map(({ partIds }) => partIds)).toEqual([['head-left', 'tail-left']])
    const panels = lamps.map((m) => ({ ...m, family: 'panel' as const }))
    expect(suggestSets(panels, [])).toEqual([])
  })
  test('no part is in two of them, whatever is suggested', () => {
    const many = [
      ...strips,
      ...(['left', 'right'] as const).map((side) =>
        member(`lamp-${side}`, { piece: { id: `lamp-${side}`, kitId: 'kit', side } }),
      ),
      member('bar-1', { family: 'trim' }),
      member('bar-2', { family: 'trim' }),
    ]
    const all = suggestSets(many, rules).flatMap((s) => s.partIds)
    expect(new Set(all).size).toBe(all.length)
    expect(setsProblem(suggestSets(many, rules), many, rules)).toBeNull()
  })
  test('rules that go in a circle leave the pieces as they stand', () => {
    const circle = [...rules, after('c', 'a')]
    expect(suggestSets(strips, circle)[0]?.partIds).toEqual(['c', 'b', 'a'])
  })
})

describe('sets that somebody has made', () => {
  const set = (...partIds: string[]) => ({ mode: 'piece after piece' as const, partIds })
  test('are taken in the order of their kits', () => {
    expect(setsProblem([set('a', 'b', 'c')], strips, rules)).toBeNull()
    expect(setsProblem([set('a', 'c')], strips, rules)).toBeNull()
    expect(setsProblem([], strips, rules)).toBeNull()
  })
  test.each([
    ['of one part', [set('a')], 'A set has two parts at least.'],
    ['of a part that is not there', [set('a', 'roof')], '"roof" is no part of this job.'],
    ['that share a part', [set('a', 'b'), set('c', 'a')], 'a is in two sets: a part is fitted once.'],
    ['with a part twice', [set('a', 'a')], 'a is in two sets: a part is fitted once.'],
    ['against the kit', [set('b', 'a')], 'a goes on before b: Bottom before top.'],
  ])('%s are refused in a sentence', (_, sets, says) => {
    expect(setsProblem(sets, strips, rules)).toSay(says)
  })
})
