import { beforeAll, describe, expect, test } from 'vitest'
import { orderBySchool, rehearse, setStage } from '../lay/index.ts'
import { practiceWith } from '../practice/index.ts'
import { required } from '../result/index.ts'
import { say } from '../say/index.ts'
import { anyDay, findingKinds, orderPractice, partQuestion, placeOn, rehearsalOptions } from './index.ts'
import type { PlanContext } from './planContext.ts'
import { planContextOf } from './planContextOf.ts'
import { planRules } from './rules/index.ts'
import { finishStep } from './rules/rule.ts'
import { type Otherwise, type TestPart, testPart } from './testParts.ts'

/** What the rules look at for a part under other conditions. */
function contextOf({ facts, laid }: TestPart, otherwise: Otherwise = {}): PlanContext {
  const { rehearsal = laid.rehearsal, shift = anyDay.shift, room, schools, ...other } = otherwise
  const question = partQuestion({ ...facts, ...other })
  const placed = required(placeOn({ ...laid, form: question.lay.form, rehearsal }, question.place))
  const work = schools === undefined ? question.work : { ...question.work, schools }
  return required(planContextOf(placed, { ...work, ...anyDay, shift, room }))
}

let contexts: PlanContext[] = []
beforeAll(() => {
  const door = testPart('pipit-door-left', 'clearcoat-hull-180', 'pipit-door-left', 400)
  const parts = [
    door,
    testPart('pipit-headlamp-left', 'dusk-glass-dry', 'pipit-headlamp-left-piece', 400),
    testPart('skua-tail-outer-left', 'weir-smoke-wet', 'skua-tail-outer-left', 400),
    testPart('skua-trim-left', 'ebony-cast-dry', 'skua-trim-left', 400),
    testPart('drover-side-panel', 'clearcoat-hull-180', 'drover-side-panel', 1500),
    testPart('pipit-mirror-left', 'clearcoat-hull-180', 'pipit-mirror-left', 400),
  ]
  const practice = practiceWith()
  const { form, film } = door.facts
  const stage = required(setStage(form, film, 400))
  const order = orderBySchool('corners first', form, stage.surface, orderPractice(practice))
  const rehearsal = rehearse(stage, order, rehearsalOptions(practice))
  const coded = (code: (typeof form.edges)[number]['code']) => ({
    ...form,
    edges: form.edges.map((e) => ({ ...e, code })),
  })
  contexts = [
    ...parts.map((part) => contextOf(part)),
    ...parts.slice(0, 3).map((part) => contextOf(part, { low: true, room: { temperatureC: 8, humidityPercent: 15 } })),
    ...findingKinds.flatMap((kind) =>
      parts.slice(0, 3).map((part) => contextOf(part, { found: [{ kind, at: [0.5, 0.5] }] })),
    ),
    ...(['wrap', 'tuck', 'gap-cut', 'surface-cut', 'lip-stop', 'butt', 'overlap'] as const).map((code) =>
      contextOf(door, { form: coded(code), pattern: null }),
    ),
    // Nobody pulls, so film stays left over.
    ...parts.map(({ facts, laid }) =>
      contextOf({ facts, laid: { ...laid, worked: { ...laid.worked, ...laid.natural } } }),
    ),
    contextOf(door, { chosen: { order, because: say`It was rehearsed.` }, rehearsal }),
  ]
}, 120_000)

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
