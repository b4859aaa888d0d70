import { english } from '@truelay/words'
import { beforeAll, describe, expect, test } from 'vitest'
import { practiceWith } from '../practice/index.ts'
import { edgeRulesOf, findingKinds, findingMeanings, type FoundOnPart, inHandWords, type PartPlan } from './index.ts'
import { cautionsOf, planOf, saidOf, stepOf, type TestPart, testPart } from './testParts.ts'

const planWith = (part: TestPart, ...found: FoundOnPart[]): PartPlan => planOf(part, { found })
const at = (kind: FoundOnPart['kind'], across = 0.5, down = 0.5): FoundOnPart => ({ kind, at: [across, down] })
const ids = (plan: PartPlan) => plan.steps.map((s) => s.id)

let door: TestPart
let lamp: TestPart
let wetLamp: TestPart
beforeAll(() => {
  door = testPart('pipit-door-left', 'clearcoat-hull-180', null, 500)
  lamp = testPart('pipit-headlamp-left', 'dusk-glass-dry', null, 500)
  wetLamp = testPart('skua-tail-outer-left', 'weir-smoke-wet', null, 500)
})

describe('what is found changes the plan', () => {
  test('a coating is stripped before anything is mixed, and water must no longer bead', () => {
    const plan = planWith(door, at('coating'))
    const step = plan.steps.find((s) => s.id === 'strip-coating')
    expect(saidOf(step?.gate)).toContain('no longer beads')
    expect(saidOf(step?.because)).toContain('coating')
    expect(ids(plan).indexOf('strip-coating')).toBeGreaterThan(ids(plan).indexOf('clean'))
    expect(ids(plan).indexOf('strip-coating')).toBeLessThan(ids(plan).indexOf('mix'))
    expect(ids(planWith(door))).not.toContain('strip-coating')
  })
  test('a repaint is masked with low-tack tape, and no pull starts at an edge', () => {
    const plan = planWith(lamp, at('repaint'))
    expect(saidOf(stepOf(plan, 'mask-repaint')?.headline)).toContain('no pull on the edges')
    const pulls = plan.steps.filter((s) => s.id.startsWith('pull-'))
    expect(pulls.every((s) => cautionsOf(plan, s.id).includes('never on an edge'))).toBe(true)
    expect(plan.notes.some((n) => english(n.says).includes('warranty'))).toBe(true)
  })
  test('a cracked lens: asked first, no heat, no alcohol anywhere', () => {
    for (const part of [lamp, wetLamp]) {
      const plan = planWith(part, at('cracked lens'))
      expect(ids(plan)[0]).toBe('ask-cracked')
      expect(plan.steps.some((s) => s.phase === 'heat')).toBe(false)
      expect(plan.steps.some((s) => /heat gun|alcohol up/.test(saidOf(...inHandWords(s))))).toBe(false)
      expect(plan.solutions.every((s) => s.strength.alcoholPercent === 0)).toBe(true)
    }
  })
  test('casting marks are shown at the last look, where they were found', () => {
    const plan = planWith(lamp, at('casting marks', 0.25, 0.5), at('casting marks', 0.75, 0.5))
    const look = plan.steps.find((s) => s.id === 'look')
    const zones = look?.picture.marks.filter((m) => m.kind === 'zone') ?? []
    expect(zones.length).toBe(2)
    expect(zones[0]!.at[0]).toBeLessThan(zones[1]!.at[0])
    expect(zones[0]?.kind === 'zone' ? saidOf(zones[0].text) : '').toContain('was there')
  })
  test('a body out of true: a dry check first, and a wider gap where film stops short', () => {
    const practice = practiceWith()
    const plan = planWith(door, at('out of true'))
    expect(ids(plan)[0]).toBe('true-check')
    const wide = edgeRulesOf(door.facts.form, practice, [at('out of true')])
    const usual = edgeRulesOf(door.facts.form, practice)
    expect(wide.front!.maxMm - usual.front!.maxMm).toBeCloseTo(practice.outOfTrueSlack, 9)
    expect(wide.front!.minMm).toBe(usual.front!.minMm)
    expect(wide.bottom).toEqual(usual.bottom)
  })
  test('a low part: the vehicle is raised, on rated stands', () => {
    expect(cautionsOf(planOf(door, { low: true }), 'raise')).toContain('stands')
    expect(ids(planWith(door))).not.toContain('raise')
  })
  test('only a room that is both cold and dry brings the warning of static', () => {
    const cautions = (temperatureC: number, humidityPercent: number) =>
      cautionsOf(planOf(lamp, { room: { temperatureC, humidityPercent } }), 'peel')
    expect(cautions(9, 20)).toContain('static')
    expect(cautions(9, 60)).not.toContain('static')
    expect(cautions(24, 20)).not.toContain('static')
  })
  test('swirls, sprayed tint, film from before, loose trim and rust each bring their step', () => {
    const steps = {
      swirls: 'offer-correction',
      'sprayed tint': 'strip-tint',
      'previous film': 'strip-film',
      'loose trim': 'loose-trim',
      rust: 'rust',
    } as const
    for (const [kind, step] of Object.entries(steps))
      expect(ids(planWith(door, at(kind as FoundOnPart['kind']))), kind).toContain(step)
  })
  test('every kind says what it is and what follows, and every plan stands with all of them', () => {
    for (const kind of findingKinds) expect(english(findingMeanings[kind].follows).length, kind).toBeGreaterThan(20)
    const plan = planWith(lamp, ...findingKinds.map((kind) => at(kind)))
    expect(new Set(ids(plan)).size).toBe(plan.steps.length)
    expect(plan.notes.length).toBeGreaterThanOrEqual(findingKinds.length)
  })
})

test('without a pattern the film is cut from the roll to the middle of every rule', () => {
  const plan = planWith(door)
  expect(plan.checks.length).toBeGreaterThan(3)
  const rules = edgeRulesOf(door.facts.form, practiceWith())
  for (const check of plan.checks) {
    const rule = rules[check.edge]
    expect(Math.abs(check.wantedMm - ((rule?.minMm ?? 0) + (rule?.maxMm ?? 0)) / 2)).toBeLessThan(1.5)
  }
})
