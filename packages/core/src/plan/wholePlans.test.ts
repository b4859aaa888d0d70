import { english } from '@truelay/words'
import { beforeAll, describe, expect, test } from 'vitest'
import { practiceWith } from '../practice/index.ts'
import { notesOf } from './notesOf.ts'
import type { PlanContext } from './planContext.ts'
import type { Phase } from './step.ts'
import { stepsOf } from './stepsOf.ts'
import { testContexts } from './testContexts.ts'
import { planOf, saidOf, testPart } from './testParts.ts'

let contexts: ReadonlyMap<string, PlanContext>
beforeAll(() => {
  contexts = testContexts()
})

/** Stretches of the work; within one of them phases take turns: bottles are mixed between two washes, edges warmed between two cuts. */
const stretch: Record<Phase, number> = { prepare: 0, mix: 0, place: 1, lay: 2, edges: 3, heat: 3, look: 4 }
/** After a look at the whole: what hangs on what was seen, or was out of reach until then. */
const afterTheLook = ['post-heat', 'behind']

test('no plan goes back: nothing is cleaned or mixed once the film is placed, nothing placed once it is laid', () => {
  for (const [name, context] of contexts) {
    let last = 0
    for (const { id, phase } of stepsOf(context)) {
      if (last === stretch.look && afterTheLook.includes(id)) continue
      expect(stretch[phase], `${name}: ${id}`).toBeGreaterThanOrEqual(last)
      last = stretch[phase]
    }
  }
})

describe('a part that may not be heated', () => {
  const pulls = (heats: readonly ('cold' | 'warm')[], c: PlanContext) =>
    heats.map((heat, i) => ({ ...(c.pulls[i] as PlanContext['pulls'][number]), heat }))
  const noHeat = (c: PlanContext): PlanContext => ({
    ...c,
    found: [{ kind: 'crazed lens', at: [0.5, 0.5], sizeMm: 40 }],
  })
  const noteOf = (c: PlanContext) => notesOf(c).find((note) => english(note.because) === 'no heat allowed')
  test('is told which pulls wanted it, and only those; without a warm pull nothing is told', () => {
    const c = [...contexts.values()].find((one) => one.pulls.length >= 2 && one.pulls[0]!.edge !== one.pulls[1]!.edge)
    if (c === undefined) throw new Error('no part with two pulls')
    const edge = (name: string) => (c.form.edges.find((e) => e.name === name)?.label ?? name).toLowerCase()
    const told = noteOf({ ...noHeat(c), pulls: pulls(['cold', 'warm'], c) })
    if (told === undefined) throw new Error('no note')
    expect(english(told.says).toLowerCase()).toContain(edge(c.pulls[1]!.edge))
    expect(english(told.says).toLowerCase()).not.toContain(edge(c.pulls[0]!.edge))
    expect(noteOf({ ...noHeat(c), pulls: pulls(['cold', 'cold'], c) })).toBeUndefined()
    expect(noteOf({ ...c, found: [], pulls: pulls(['warm', 'warm'], c) })).toBeUndefined()
  })
})

describe('figures that a plan hands on', () => {
  test('when the edges are looked at again is told in hours, as the shop has it', () => {
    const door = testPart('pipit-door-left', 'clearcoat-hull-180', 'pipit-door-left', 400)
    const told = (minutes: number) => {
      const plan = planOf(door, { practice: practiceWith({ waitEdgeLook: minutes }) })
      return plan.steps.map((step) => saidOf(step.detail)).find((words) => words.includes('Look at the edges again'))
    }
    expect(told(24 * 60)).toMatch(/Look at the edges again within 24 hours/)
    expect(told(36 * 60)).toMatch(/Look at the edges again within 36 hours/)
  })
  test('on a small part the gun goes no further than nine tenths of it, but 60 mm at least', () => {
    const cap = testPart('pipit-mirror-left', 'clearcoat-hull-180', 'pipit-mirror-left', 300)
    const xs = cap.laid.surface.outline.polygon.map(([x]) => x)
    const ys = cap.laid.surface.outline.polygon.map(([, y]) => y)
    const longest = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys))
    const strokes = (heatStroke: number) =>
      planOf(cap, { practice: practiceWith({ heatStroke }) }).heat.map((heat) => heat.strokeMm)
    expect(longest).toBeLessThan(400)
    for (const mm of strokes(600)) expect(mm).toBeCloseTo(Math.max(60, 0.9 * longest), 6)
    for (const mm of strokes(50)) expect(mm).toBe(50)
    expect(strokes(600).length).toBeGreaterThan(0)
  })
})
