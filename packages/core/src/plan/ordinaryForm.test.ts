import { describe, expect, test } from 'vitest'
import { bodyKinds, bodyPlan } from '../vehicle/index.ts'
import { required } from '../result/index.ts'
import { anyDay, climb, ordinaryForm, type PartFacts, partQuestion } from './index.ts'
import { demoFilm, plainFacts, saidOf, stepOf } from './testParts.ts'

const facts = (slot: string, size: readonly [number, number], film: string): PartFacts => ({
  ...plainFacts(ordinaryForm({ slot, name: slot, size }), demoFilm(film), null),
  measured: false,
})
const planOf = (slot: string, size: readonly [number, number], film: string) =>
  required(climb(partQuestion(facts(slot, size, film)), anyDay, { triangles: 300 })).plan

describe('a part that nobody has measured', () => {
  test.each([
    ['roof', 'panel', 'painted steel', 'stop-short'],
    ['front-bumper', 'panel', 'painted plastic', 'stop-short'],
    ['mirror-left', 'panel', 'painted plastic', 'stop-short'],
    ['headlamp-left', 'lamp', 'lens plastic', 'gap-cut'],
    ['tail-lamp-inner-right', 'lamp', 'lens plastic', 'gap-cut'],
    ['grille-top', 'trim', 'gloss trim', 'tuck'],
    ['trim-left', 'trim', 'gloss trim', 'tuck'],
    ['pillar-rear-left', 'panel', 'gloss trim', 'stop-short'],
  ])('at the place %s is a %s of %s', (slot, family, material, code) => {
    const form = ordinaryForm({ slot, name: slot, size: [400, 120] })
    expect(form).toMatchObject({ family, material })
    expect(form.edges.map((e) => e.code)).toEqual([code, code, code, code])
    expect(form.bow).toEqual([])
  })
  test('has steps, whatever the vehicle and the place', () => {
    for (const kind of bodyKinds)
      for (const { id, size } of bodyPlan(kind).slots.filter((s) => s.side !== 'right')) {
        const form = ordinaryForm({ slot: id, name: id, size })
        const film =
          form.family === 'lamp' ? 'weir-smoke-wet' : form.family === 'trim' ? 'ebony-cast-dry' : 'clearcoat-hull-180'
        const plan = planOf(id, size, film)
        expect(plan.steps.length).toBeGreaterThan(10)
        expect(plan.steps[0]?.id === 'read-part' || plan.steps[1]?.id === 'read-part').toBe(true)
      }
  })
  test('says which of its figures are only ordinary, and what to read first', () => {
    const plan = planOf('roof', [1200, 1500], 'clearcoat-hull-180')
    expect(plan.notes.map((n) => saidOf(n.says)).join()).toMatch(
      /Nobody has measured this part: 1200 mm by 1500 mm is what/,
    )
    expect(saidOf(stepOf(plan, 'read-part')?.gate)).toContain('Length and width are read')
    expect(saidOf(plan.gradeWords)).toContain('Nobody has measured it')
  })
  test('pretends to know no pull and no finger', () => {
    const plan = planOf('headlamp-left', [380, 150], 'dusk-glass-dry')
    expect(plan.pulls).toEqual([])
    expect(plan.edges.every((e) => e.leftMmPer100 < 0.01)).toBe(true)
    expect(plan.steps.map((s) => s.id)).toContain('anchor-1')
  })
  test('is planned for what was found on it, as any other', () => {
    const asked = partQuestion({
      ...facts('headlamp-left', [380, 150], 'dusk-glass-dry'),
      found: [{ kind: 'crazed lens', at: [0.5, 0.5] }],
    })
    const { plan } = required(climb(asked, anyDay, { triangles: 300 }))
    expect(plan.heat).toEqual([])
    expect(plan.steps.map((s) => s.id)).toContain('ask-cracked')
  })
})
