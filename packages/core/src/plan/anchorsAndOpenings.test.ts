import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { distance, lerp, type Vec2 } from '../geometry/index.ts'
import { anchorStep } from './rules/anchorStep.ts'
import { lineOf, lineStep, openingStep } from './rules/openingStep.ts'
import type { PlanContext } from './planContext.ts'
import { testContexts } from './testContexts.ts'

const contexts = [...testContexts()]
const withOpenings = contexts.filter(([, c]) => c.openings.length > 0)

describe('the picture of openings that are centred together', () => {
  const sets = withOpenings.flatMap(([name, c]) => c.openings.map((set, i) => ({ name, c, set, number: i + 1 })))
  test('there are pairs, and some that are set alone', () => {
    expect(new Set(sets.map(({ set }) => set.length))).toEqual(new Set([1, 2]))
  })
  test('looks at the middle between them, and as far as both reach', () => {
    for (const { name, c, set, number } of sets) {
      const { picture } = openingStep(c, set, number)
      const [first, second] = set.map((o) => o.at) as [Vec2, Vec2 | undefined]
      const middle = second === undefined ? first : lerp(first, second, 0.5)
      expect(picture?.middle, name).toEqual(middle)
      for (const { at, radiusMm } of set)
        expect(picture?.radiusMm, name).toBeGreaterThan(distance(at, middle) + radiusMm)
      expect(picture?.marks.filter(({ kind }) => kind === 'zone')).toHaveLength(set.length)
    }
  })
})

describe('an edge that is a line', () => {
  test('where no edge is one, there is nothing to bring to it', () => {
    const none = contexts.filter(([, c]) => lineOf(c) === null)
    expect(none.length).toBeGreaterThan(5)
    for (const [name, c] of none) expect(lineStep(c), name).toBeNull()
  })
  const markedOf = (c: PlanContext) => c.form.edges.find((e) => e.line !== undefined)
  test('the edge that is marked as one is it', () => {
    const marked = contexts.filter(([, c]) => markedOf(c) !== undefined)
    expect(marked.length).toBeGreaterThan(5)
    for (const [name, c] of marked) expect(lineOf(c)?.name, name).toBe(markedOf(c)?.name)
  })
  test('where none is marked it is the only one that film stops short of; of several none', () => {
    const short = (c: PlanContext) => c.edges.filter(({ code }) => code === 'stop-short').map(({ name }) => name)
    const only = contexts.filter(([, c]) => markedOf(c) === undefined && short(c).length === 1 && c.edges.length > 1)
    expect(only.length).toBeGreaterThan(5)
    for (const [name, c] of only) {
      expect(lineOf(c)?.name, name).toBe(short(c)[0])
      const all = { ...c, edges: c.edges.map((e) => ({ ...e, code: 'stop-short' as const })) }
      expect(lineOf(all), name).toBeNull()
      // Whichever it is, and whatever is marked goes before it.
      const other = c.form.edges.find((e) => e.name !== short(c)[0])
      if (other === undefined) throw new Error(name)
      const edges = c.form.edges.map((e) => (e === other ? { ...e, line: 'door shut' } : e))
      expect(lineOf({ ...c, form: { ...c.form, edges } })?.name, name).toBe(other.name)
    }
  })
})

describe('why film is held where no corner is', () => {
  test('the first place holds it for the rest; each further one keeps it from turning', () => {
    const told = contexts
      .filter(([, c]) => c.rehearsed === null)
      .flatMap(([, c]) =>
        c.anchors.map((anchor) => ({ number: anchor.number, why: english(anchorStep(c, anchor).why) })),
      )
    const first = told.filter(({ why }) => why.startsWith('Nothing has to stretch there'))
    const further = told.filter(({ why }) => why.startsWith('Held here too'))
    expect(new Set(first.map(({ number }) => number))).toEqual(new Set([1]))
    expect(further.length).toBeGreaterThan(0)
    expect(further.every(({ number }) => number > 1)).toBe(true)
  })
})
