import { readFileSync } from 'node:fs'
import { formSize } from '@truelay/core/form'
import { describe, expect, test } from 'vitest'
import { factsOfStories, factsOfStory, type Story, stories } from './stories.ts'

const demo = new URL('../../../demo/', import.meta.url)
const read = (file: string): unknown => JSON.parse(readFileSync(new URL(file, demo), 'utf8'))
const told = stories.parse(read('stories.json'))
const story = (id: string): Story => {
  const found = told.find((one) => one.id === id)
  if (found === undefined) throw new Error(`no story ${id}`)
  return found
}
const [part] = stories.parse([{ id: 'x', name: 'x', parts: [{ piece: 'pipit-bonnet-piece' }] }])[0]!.parts
if (part === undefined) throw new Error('no part')

describe('parts that are fitted together', () => {
  const facts = factsOfStories(story('K10'), read)
  const sizes = facts.map(({ form }) => formSize(form))
  test('know their place among the others, and who comes before and after', () => {
    expect(facts.map(({ set }) => set?.place)).toEqual([1, 2, 3, 4, 5, 6])
    expect(facts.map(({ set }) => set?.of)).toEqual([6, 6, 6, 6, 6, 6])
    const names = facts.map(({ partName }) => partName)
    expect(facts.map(({ set }) => set?.before)).toEqual([null, ...names.slice(0, -1)])
    expect(facts.map(({ set }) => set?.next)).toEqual([...names.slice(1), null])
  })
  test('are mixed for together: each with the film and the edges of all others, and none of its own', () => {
    facts.forEach(({ set }, i) => {
      const others = sizes.filter((_, k) => k !== i)
      const area = others.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0)
      const edge = others.reduce((sum, { widthMm, heightMm }) => sum + 2 * (widthMm + heightMm), 0)
      expect(set?.others.areaMm2).toBeCloseTo(area, 6)
      expect(set?.others.edgeMm).toBeCloseTo(edge, 6)
    })
  })
  test('a part by itself is in no set and no row', () => {
    expect(factsOfStories(story('K02'), read)).toMatchObject([{ set: null, line: null }])
  })
})

test('a row is laid outward from its datum, and every piece has its place on the line', () => {
  const row = story('K19')
  const facts = factsOfStories(row, read)
  expect(facts.map(({ partId }) => partId).sort()).toEqual(
    row.parts.map((one) => factsOfStory(one, read).partId).sort(),
  )
  expect(facts.every(({ line }) => line !== null)).toBe(true)
  expect(facts.map(({ set }) => set?.place)).toEqual(facts.map((_, i) => i + 1))
})

describe('a part of a story', () => {
  test('by its piece: form, film and pattern are those of the piece', () => {
    const facts = factsOfStory(part, read)
    expect(facts).toMatchObject({ partId: 'pipit-bonnet-piece', film: { id: 'clearcoat-hull-180' } })
    expect(facts.form.id).toBe('pipit-bonnet')
    expect(facts.pattern).not.toBeNull()
    expect(facts.films.map(({ id }) => id)).toEqual(['clearcoat-hull-180'])
  })
  test('by its form and a film from the roll: there is no pattern', () => {
    const { piece: _, ...rest } = part
    const facts = factsOfStory({ ...rest, form: 'pipit-bonnet', film: 'dusk-glass-dry' }, read)
    expect(facts).toMatchObject({ partId: 'pipit-bonnet', pattern: null, film: { id: 'dusk-glass-dry' } })
  })
  test('all edges end as one way, or some by name', () => {
    const codes = (ends: typeof part.ends) => factsOfStory({ ...part, ends }, read)
    expect(new Set(codes('wrap').form.edges.map(({ code }) => code))).toEqual(new Set(['wrap']))
    expect(codes('wrap').choices.ends).toEqual({})
    const named = codes({ nose: 'wrap' })
    expect(named.choices.ends).toEqual({ nose: 'wrap' })
    expect(named.form).toEqual(factsOfStory(part, read).form)
  })
  test('what was found lies in the middle of the part', () => {
    expect(factsOfStory({ ...part, found: ['chip'] }, read).found).toEqual([{ kind: 'chip', at: [0.5, 0.5] }])
  })
  test('one that names neither a piece nor a form says what it lacks', () => {
    const { piece: _, ...rest } = part
    expect(() => factsOfStory(rest, read)).toThrow(/a piece, or a form and a film/)
  })
  test('a file that is no such document is named', () => {
    const broken = (file: string) => (file.startsWith('films/') ? { nothing: true } : read(file))
    expect(() => factsOfStory(part, broken)).toThrow(/films\/clearcoat-hull-180\.json/)
  })
})
