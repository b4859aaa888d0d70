import { english } from '@truelay/words'
import { beforeAll, describe, expect, test } from 'vitest'
import { orderBySchool, type Rehearsal, rehearse, type SchoolName, setStage } from '../lay/index.ts'
import { type OwnPractice, practiceWith } from '../practice/index.ts'
import { required } from '../result/index.ts'
import { say } from '../say/index.ts'
import { orderPractice, type PartPlan, rehearsalOptions } from './index.ts'
import { cautionsOf, planOf, saidOf, stepOf, type TestPart, testPart } from './testParts.ts'

const practice = practiceWith()

function planInOrder(
  part: TestPart,
  school: SchoolName,
  drawn = 0,
  own: OwnPractice = {},
): { plan: PartPlan; rehearsal: Rehearsal } {
  const { form, film } = part.facts
  const stage = required(setStage(form, film, 600))
  const usual = orderBySchool(school, form, stage.surface, orderPractice(practice))
  const order = { ...usual, anchors: usual.anchors.map((a) => ({ ...a, pullShare: drawn })) }
  const rehearsal = rehearse(stage, order, rehearsalOptions(practice))
  const chosen = { order, because: say`One lift instead of five.` }
  return { plan: planOf(part, { chosen, rehearsal, practice: practiceWith(own) }), rehearsal }
}

describe('a bumper laid in an order that was rehearsed', () => {
  let bumper: TestPart
  beforeAll(() => {
    bumper = testPart('pipit-bumper', 'clearcoat-hull-180', null, 1200)
  })
  test.each(['corners first', 'centre out', 'hinge and release'] as const)(
    '%s: its anchors, then strokes and pulls as they came, then the firm pass',
    (school) => {
      const { plan, rehearsal } = planInOrder(bumper, school)
      const ids = plan.steps.map((s) => s.id)
      expect(plan.anchors.map((a) => english(a.label))).toEqual(rehearsal.order.anchors.map((a) => english(a.label)))
      expect(ids).not.toContain('light-pass')
      expect(new Set(ids).size).toBe(ids.length)
      const laid = ids.filter((id) => /^(sweep|pull)-/.test(id))
      expect(laid.length).toBeGreaterThan(0)
      expect(ids.indexOf('anchor-1')).toBeLessThan(ids.indexOf(laid[0] ?? ''))
      expect(ids.indexOf(laid[laid.length - 1] ?? '')).toBeLessThan(ids.indexOf('firm-pass'))
      const letters = new Set(laid.filter((id) => id.startsWith('pull-')).map((id) => id.slice(5, 6)))
      expect([...letters].sort()).toEqual(plan.pulls.map((p) => p.letter).sort())
    },
  )
  test('strokes between pulls take their own time, and hands are set once for each pull', () => {
    const usual = planInOrder(bumper, 'flattest first')
    const slow = planInOrder(bumper, 'flattest first', 0, { takesPulledStroke: 5 }).plan
    const pulls = usual.plan.steps.filter((s) => s.id.startsWith('pull-'))
    expect(pulls.length).toBeGreaterThan(0)
    const { takesGrip, takesPull, takesWarmPull, takesPulledStroke } = practice
    for (const step of pulls) {
      const warm = english(step.detail).includes('warm:')
      const [, letter, time] = step.id.split('-')
      const held = (warm ? takesWarmPull : takesPull) + (time === undefined ? takesGrip : 0)
      const strokes = (stepOf(slow, step.id)?.minutes ?? 0) - held
      expect(letter).toMatch(/^[A-Z]$/)
      expect(strokes).toBeGreaterThanOrEqual(5)
      expect(strokes % 5).toBe(0)
      expect(step.minutes).toBe(Math.round(held + (strokes / 5) * takesPulledStroke))
    }
  })
  test('says which order and why, and where film is drawn before it is fixed', () => {
    const { plan } = planInOrder(bumper, 'centre out', 1)
    expect(saidOf(plan.order?.name, plan.order?.because)).toBe('centre out One lift instead of five.')
    const begin = plan.schools.find((s) => english(s.question) === 'Where to begin')
    expect(saidOf(begin?.reason)).toBe('One lift instead of five.')
    const anchor = plan.steps.find((s) => s.id === 'anchor-1')
    expect(saidOf(anchor?.headline)).toMatch(/^Fix the centre/)
    expect(saidOf(anchor?.detail)).toContain('Draw the film out first')
  })
  test('a warm pull names its caution, and how broadly to heat', () => {
    const { plan } = planInOrder(bumper, 'flattest first')
    const warm = plan.steps.filter((s) => s.id.startsWith('pull-') && english(s.detail).includes('warm'))
    expect(warm.length).toBeGreaterThan(0)
    for (const step of warm) {
      expect(cautionsOf(plan, step.id)).toContain('Never hold the gun still')
      expect(english(step.detail)).toMatch(/over (a broad area|a band at least \d+ mm wide)/)
    }
  })
  test('what is left over at each edge is that of the rehearsal', () => {
    const { plan, rehearsal } = planInOrder(bumper, 'corners first')
    for (const edge of plan.edges)
      expect(edge.leftMmPer100).toBe(rehearsal.figures.edges.find((e) => e.edge === edge.name)?.fingersMmPer100)
  })
})

describe('a panel with a channel', () => {
  test('its bottom comes before the flats, in lengths that hands reach, with the force that bridging would cost', () => {
    const plan = planOf(testPart('drover-side-panel', 'clearcoat-hull-180', null, 1500))
    const ids = plan.steps.map((s) => s.id)
    const step = plan.steps.find((s) => s.id === 'channel')
    expect(ids.indexOf('channel')).toBeLessThan(ids.indexOf('light-pass'))
    expect(saidOf(step?.detail)).toMatch(/cord in it, taped at its end, work (it in one length|\d lengths of \d+)/)
    expect(saidOf(step?.why)).toMatch(/wants \d+\.\d % and about \d+ N/)
    expect(english(plan.gradeWords)).toContain('channel')
  })
})
