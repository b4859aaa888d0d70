import { describe, expect, test } from 'vitest'
import type { Obstacle } from '../form/index.ts'
import { contains, distance } from '../geometry/index.ts'
import { practiceWith } from '../practice/index.ts'
import { nothingChosen } from './index.ts'
import { planOf, saidOf, stepOf, testPart } from './testParts.ts'

const bar = testPart('drover-grille-bar', 'ebony-cast-dry', 'drover-grille-bar', 400)
const lamp = testPart('finch-headlamp-left', 'clearcoat-hull-180', null, 500)
const withObstacle = (own: Partial<Obstacle>) => {
  const [first] = bar.facts.form.obstacles ?? []
  if (first === undefined) throw new Error('no obstacle')
  return planOf(bar, { form: { ...bar.facts.form, obstacles: [{ ...first, ...own }] } })
}
const cutsOf = (plan: ReturnType<typeof planOf>) =>
  (stepOf(plan, 'relief-1')?.picture.marks ?? []).flatMap((m) => (m.kind === 'sweep' ? [m] : []))

describe('relief where something stands in the way', () => {
  test('as long as the film passes the edge and the obstacle stands in, in two stages', () => {
    const plan = withObstacle({ reachMm: 12 })
    const rule = plan.edges.find((e) => e.name === 'upper')?.rule ?? { minMm: 0, maxMm: 0 }
    const whole = -(rule.minMm + rule.maxMm) / 2 + 12
    for (const { from, to } of cutsOf(plan)) expect(distance(from, to)).toBeCloseTo(whole, 6)
    const [one, two] =
      /: (\d+) mm, then (\d+) mm/
        .exec(saidOf(stepOf(plan, 'relief-1')?.headline))
        ?.slice(1)
        .map(Number) ?? []
    expect((one ?? 0) / whole).toBeCloseTo(0.6, 1)
    expect((two ?? 0) / whole).toBeCloseTo(0.4, 1)
  })
  test('the share of the first stage is the shop’s own', () => {
    const plan = planOf(bar, { practice: practiceWith({ reliefFirst: 80 }) })
    const [one, two] =
      /: (\d+) mm, then (\d+) mm/
        .exec(saidOf(stepOf(plan, 'relief-1')?.headline))
        ?.slice(1)
        .map(Number) ?? []
    expect((one ?? 0) / ((one ?? 0) + (two ?? 1))).toBeCloseTo(0.8, 1)
  })
  test('begins outside the part, at the rim of the film, and ends in it as far as the obstacle stands in', () => {
    const plan = withObstacle({ reachMm: 12 })
    for (const { from, to } of cutsOf(plan)) {
      expect(contains(plan.drawing.part, from)).toBe(false)
      expect(contains(plan.drawing.part, to)).toBe(true)
    }
  })
  test('at both sides of a pillar, a badge or a tab, as far apart as it is wide; once at a neighbour', () => {
    for (const kind of ['pillar', 'badge', 'tab'] as const) {
      const [a, b] = cutsOf(withObstacle({ kind, widthMm: 30, reachMm: 4 }))
      expect(distance(a?.to ?? [0, 0], b?.to ?? [0, 0])).toBeCloseTo(30, 6)
    }
    expect(cutsOf(withObstacle({ kind: 'neighbour stands proud' })).length).toBe(1)
  })
  test('an obstacle drawn beside its edge stands on the nearest one', () => {
    const near = cutsOf(withObstacle({ at: [0, 15] }))
    const beside = cutsOf(withObstacle({ at: [0, 40] }))
    for (const [i, cut] of near.entries()) expect(distance(cut.to, beside[i]?.to ?? [9e9, 0])).toBeLessThan(0.5)
  })
  test('a sheet off the roll is cut from its own rim', () => {
    const plan = planOf(lamp, { choices: { ...nothingChosen, liquids: { slip: 'light slip', tack: 'water only' } } })
    const [cut] = cutsOf(plan)
    expect(distance(cut?.from ?? [0, 0], cut?.to ?? [0, 0])).toBeCloseTo(plan.cut.sheet?.allowanceMm ?? 0, 6)
    expect(saidOf(stepOf(plan, 'relief-1')?.detail)).toContain('its end rounded')
  })
  test('no obstacle, no relief', () => {
    const plan = planOf(bar, { form: { ...bar.facts.form, obstacles: [] } })
    expect(plan.steps.some((s) => s.id.startsWith('relief'))).toBe(false)
  })
})
