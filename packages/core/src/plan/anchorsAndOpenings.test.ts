import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { distance, lerp, type Vec2 } from '../geometry/index.ts'
import { anchorStep } from './rules/anchorStep.ts'
import { lineOf, lineStep, openingStep } from './rules/openingStep.ts'
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
  test('the edge that is marked as one comes before the only one that stops short', () => {
    for (const [name, c] of contexts) {
      const marked = c.form.edges.find((e) => e.line !== undefined)
      if (marked !== undefined) expect(lineOf(c)?.name, name).toBe(marked.name)
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
