import { english } from '@truelay/words'
import { beforeAll, describe, expect, test } from 'vitest'
import type { FormDoc } from '../form/index.ts'
import { practiceWith } from '../practice/index.ts'
import { edgeRulesOf, type PartPlan, ruleOfCode, unshifted, usualSchools } from './index.ts'
import { cautionsOf, planOf, type TestPart, testPart, tryPlan } from './testParts.ts'

const ids = (plan: PartPlan) => plan.steps.map((s) => s.id)

let bonnet: TestPart
let lamp: TestPart
beforeAll(() => {
  bonnet = testPart('pipit-bonnet', 'clearcoat-hull-180', 'pipit-bonnet-piece', 1600)
  lamp = testPart('pipit-headlamp-left', 'dusk-glass-dry', 'pipit-headlamp-left-piece', 1600)
  for (const { laid } of [bonnet, lamp]) expect(laid.natural.flipped + laid.worked.flipped).toBe(0)
})

describe('a bonnet laid wet', () => {
  test('needs slip and tack, four corners, and an even gap', () => {
    const plan = planOf(bonnet)
    expect(plan.solutions.map((s) => s.use)).toEqual(['slip', 'tack'])
    expect(plan.anchors.length).toBe(4)
    expect(plan.checks.every((c) => c.reads === 'gap' && c.wantedMm === 2.5)).toBe(true)
    expect(ids(plan)).toEqual(
      expect.arrayContaining([
        'mix',
        'soak',
        'float',
        'measure-gaps',
        'anchor-1',
        'light-pass',
        'flush-edges',
        'seal-edges',
      ]),
    )
    expect(ids(plan)).not.toContain('gap-cut')
    expect(ids(plan).indexOf('measure-gaps')).toBeLessThan(ids(plan).indexOf('anchor-1'))
  })
  test('its check points are walked round clockwise, from where the first edge begins', () => {
    for (const shift of [unshifted, { xMm: 1.5, yMm: -1, turnDeg: 0.2 }]) {
      const { checks } = planOf(bonnet, { shift })
      expect(checks.map((c) => c.id).join('')).toBe('PQRSTUVW')
      expect(checks.map((c) => c.edge)).toEqual([
        'rear',
        'rear',
        'driver',
        'driver',
        'nose',
        'nose',
        'passenger',
        'passenger',
      ])
      expect(checks[0]?.at[0]).toBeLessThan(checks[1]?.at[0] ?? 0)
    }
  })
  test('a shop that wants a wider gap gets one, and other liquids when it says so', () => {
    const wide = planOf(bonnet, { practice: practiceWith({ stopShortLeast: 3, stopShortMost: 5 }) })
    expect(wide.checks[0]?.wantedMm).toBe(4)
    const heavy = planOf(bonnet, {
      schools: { ...usualSchools(bonnet.facts.form, bonnet.facts.film), slip: 'heavy slip', tack: 'strong tack' },
    })
    expect(heavy.solutions[0]?.strength.soapMlPerL).toBe(8)
    expect(heavy.solutions[1]?.strength.alcoholPercent).toBe(17.5)
  })
  test('a wrapped edge brings trimming, drying and turning', () => {
    const form: FormDoc = {
      ...bonnet.facts.form,
      edges: bonnet.facts.form.edges.map((e) => (e.name === 'nose' ? { ...e, code: 'wrap' } : e)),
    }
    const plan = planOf(bonnet, { form })
    expect(ids(plan)).toEqual(expect.arrayContaining(['trim-wrap', 'turn-wrap']))
    // The clock runs from the flush: trimming takes part of it.
    expect(plan.steps.find((s) => s.id === 'grab')?.wait).toMatchObject({
      kind: 'beforeWrap',
      leastMinutes: 15,
      since: 'flush-edges',
    })
  })
  test('a stock that is too weak for the tack is refused', () => {
    const plan = tryPlan(bonnet, { stock: { alcoholPercent: 5 } })
    expect(plan.ok ? 'fine' : plan.failure.code).toBe('MIX_TARGET_ABOVE_STOCK')
  })
})

describe('a bulbous lamp laid dry from a piece with bleed', () => {
  test('needs no liquid, begins at the two corners of its flat end, and ends in the gap and under the grille', () => {
    const plan = planOf(lamp)
    expect(plan.solutions).toEqual([])
    expect(plan.anchors.length).toBe(2)
    expect(plan.checks.every((c) => c.reads === 'film past the edge' && c.wantedMm < -20)).toBe(true)
    const order = [
      'mask',
      'degrease',
      'bone-dry',
      'peel',
      'inner-corners',
      'pull-across',
      'shrink-flaps',
      'post-heat',
      'tuck',
      'gap-cut',
      'look',
    ]
    expect(ids(plan).filter((id) => order.includes(id))).toEqual(order)
    expect(ids(plan)).not.toContain('mix')
  })
  test('is harder than the bonnet, pulls warm, and tells the light and the law', () => {
    const plan = planOf(lamp)
    expect(plan.grade).toBeGreaterThan(planOf(bonnet).grade)
    expect(plan.pulls[0]?.heat).toBe('warm')
    expect(plan.light?.outputRatio).toBe(0.62)
    expect(cautionsOf(plan, 'lens-law')).toContain('law')
  })
  test('heat, blade and alcohol each carry their caution in their own step', () => {
    const cautions = (id: string) => cautionsOf(planOf(lamp), id)
    expect(cautions('post-heat')).toMatch(/still/)
    expect(cautions('gap-cut')).toMatch(/sharps box/i)
    expect(cautions('degrease')).toMatch(/vapour/)
  })
})

test('every step of every plan has its own name, a reason and a headline without loose numbers', () => {
  for (const plan of [planOf(bonnet), planOf(lamp)]) {
    expect(new Set(ids(plan)).size).toBe(plan.steps.length)
    for (const step of plan.steps) {
      expect(english(step.why).length).toBeGreaterThan(10)
      expect(english(step.headline)).not.toMatch(/NaN|undefined/)
      expect(english(step.detail)).not.toMatch(/NaN|undefined|Infinity/)
    }
  }
})

test('an edge’s own rule goes before that of its code', () => {
  const form = {
    ...bonnet.facts.form,
    edges: [{ name: 'rear', label: 'rear edge', code: 'stop-short' as const, marginMaxMm: 4.5 }],
  }
  const rules = edgeRulesOf(form, practiceWith())
  expect(rules.rear).toEqual({ minMm: 2, maxMm: 4.5 })
  expect(ruleOfCode('wrap', practiceWith())).toEqual({ minMm: -20, maxMm: -12 })
})
