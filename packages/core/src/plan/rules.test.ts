import { english } from '@truelay/words'
import { beforeAll, describe, expect, test } from 'vitest'
import type { PlanContext } from './planContext.ts'
import { planRules } from './rules/index.ts'
import { finishStep } from './rules/rule.ts'
import { conditionsOf, ruleTable } from './testRules.ts'
import { testContexts } from './testContexts.ts'

let named: ReadonlyMap<string, PlanContext> = new Map()
let contexts: PlanContext[] = []
beforeAll(() => {
  named = testContexts()
  contexts = [...named.values()]
}, 120_000)

test('every rule of the plan stands in the table, and none twice', () => {
  expect(ruleTable.map((row) => row.rule).sort()).toEqual(planRules.map((rule) => rule.name).sort())
})

describe.each(ruleTable.map((row) => [row.rule, row] as const))('the rule “%s”', (name, row) => {
  const rule = planRules.find((r) => r.name === name)
  if (rule === undefined) throw new Error(`there is no rule ${name}`)
  test('holds where the table says, and nowhere else', () => {
    const holds = [...named].flatMap(([context, of]) => (rule.when(of) ? [context] : []))
    expect(holds).toEqual(conditionsOf(row, [...named.keys()]))
  })
  test('brings the steps of the table: words with their quantities, tools, liquids, cautions', () => {
    const context = named.get(row.shownBy)
    if (context === undefined) throw new Error('no context')
    const steps = rule.steps(context).map(finishStep)
    expect(
      steps.map((step) => ({
        id: step.id,
        phase: step.phase,
        headline: english(step.headline),
        detail: english(step.detail),
        tools: step.tools,
        liquids: step.liquids,
        cautions: step.cautions.map((c) => c.about),
        heat: step.heat ?? null,
        people: step.people,
        minutes: Math.round(10 * step.minutes) / 10,
      })),
    ).toEqual(row.steps)
  })
})

describe.each(planRules.map((rule) => [rule.name, rule] as const))('the rule “%s”', (_, rule) => {
  test('brings steps of its own where it holds', () => {
    const on = contexts.filter(rule.when)
    expect(on.length).toBeGreaterThan(0)
    for (const context of on)
      for (const step of rule.steps(context).map(finishStep)) {
        expect(step.headline).toSay(/\S/)
        expect(step.why).toSay(/\S/)
        expect(step.minutes).toBeGreaterThanOrEqual(0)
      }
  })
  test('brings no step of another rule', () => {
    for (const context of contexts.filter(rule.when)) {
      const mine = rule.steps(context).map((s) => s.id)
      const others = planRules
        .filter((r) => r !== rule && r.when(context))
        .flatMap((r) => r.steps(context).map((s) => s.id))
      expect(mine.filter((id) => others.includes(id))).toEqual([])
    }
  })
})

test('only what every part needs holds for every part', () => {
  const always = planRules.filter((rule) => contexts.every(rule.when)).map((rule) => rule.name)
  expect(always.length).toBeLessThan(planRules.length / 3)
})
