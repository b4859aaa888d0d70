import { readFileSync } from 'node:fs'
import { beforeAll, describe, expect, test } from 'vitest'
import { buildSurface, type FormDoc } from '../form/index.ts'
import {
  naturalLay,
  orderBySchool,
  type Rehearsal,
  rehearse,
  type SchoolName,
  setStage,
  workedLay,
} from '../lay/index.ts'
import { practiceWith } from '../practice/index.ts'
import {
  type FilmDoc,
  orderPractice,
  type PartPlan,
  type PlanRequest,
  rehearsalOptions,
  schoolsFor,
  unshifted,
  workOutPart,
} from './index.ts'

const read = <T>(file: string): T =>
  JSON.parse(readFileSync(new URL(`../../../../demo/${file}`, import.meta.url), 'utf8'))
const practice = practiceWith()

function requestFor(formId: string, filmId: string, triangles: number): PlanRequest {
  const form = read<FormDoc>(`forms/${formId}.json`)
  const film = read<FilmDoc>(`films/${filmId}.json`)
  const surface = buildSurface(form, { triangles })
  if (!surface.ok) throw new Error(surface.failure.sentence)
  const natural = naturalLay(surface.value.mesh)
  const worked = workedLay(surface.value.mesh, { take: film.handling.take })
  if (!natural.ok || !worked.ok) throw new Error('not laid')
  return {
    partId: formId,
    partName: form.name,
    form,
    film,
    pattern: null,
    schools: schoolsFor(form, film, [], null),
    stock: { alcoholPercent: 70 },
    practice,
    surface: surface.value,
    natural: natural.value,
    worked: worked.value,
    shift: unshifted,
  }
}

function planInOrder(request: PlanRequest, school: SchoolName, drawn = 0): { plan: PartPlan; rehearsal: Rehearsal } {
  const stage = setStage(request.form, request.film, 600)
  if (!stage.ok) throw new Error(stage.failure.sentence)
  const order = orderBySchool(school, request.form, stage.value.surface, orderPractice(practice))
  const anchors = order.anchors.map((a) => ({ ...a, pullShare: drawn }))
  const rehearsal = rehearse(stage.value, { ...order, anchors }, rehearsalOptions(practice))
  const because = 'One lift instead of five.'
  const plan = workOutPart({
    ...request,
    schools: schoolsFor(request.form, request.film, [], { order, because }),
    rehearsed: { rehearsal, because },
  })
  if (!plan.ok) throw new Error(plan.failure.sentence)
  return { plan: plan.value, rehearsal }
}

describe('a bumper laid in an order that was rehearsed', () => {
  let bumper: PlanRequest
  beforeAll(() => {
    bumper = requestFor('pipit-bumper', 'clearcoat-hull-180', 1200)
  })
  test.each(['corners first', 'centre out', 'hinge and release'] as const)(
    '%s: its anchors, then strokes and pulls as they came, then the firm pass',
    (school) => {
      const { plan, rehearsal } = planInOrder(bumper, school)
      const ids = plan.steps.map((s) => s.id)
      expect(plan.anchors.map((a) => a.label)).toEqual(rehearsal.order.anchors.map((a) => a.label))
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
  test('says which order and why, and where film is drawn before it is fixed', () => {
    const { plan } = planInOrder(bumper, 'centre out', 1)
    expect(plan.order).toMatchObject({ name: 'centre out', because: 'One lift instead of five.' })
    expect(plan.schools.find((s) => s.question === 'Where to begin')?.reason).toBe('One lift instead of five.')
    const anchor = plan.steps.find((s) => s.id === 'anchor-1')
    expect(anchor?.headline).toMatch(/^Fix the centre/)
    expect(anchor?.detail).toContain('Draw the film out first')
  })
  test('a warm pull names its caution, and how broadly to heat', () => {
    const { plan } = planInOrder(bumper, 'flattest first')
    const warm = plan.steps.filter((s) => s.id.startsWith('pull-') && s.detail.includes('warm'))
    expect(warm.length).toBeGreaterThan(0)
    for (const step of warm) {
      expect(step.cautions.join(' ')).toContain('Never hold the gun still')
      expect(step.detail).toMatch(/over (a broad area|a band at least \d+ mm wide)/)
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
    const request = requestFor('drover-side-panel', 'clearcoat-hull-180', 1500)
    const plan = workOutPart(request)
    if (!plan.ok) throw new Error(plan.failure.sentence)
    const ids = plan.value.steps.map((s) => s.id)
    const step = plan.value.steps.find((s) => s.id === 'channel')
    expect(ids.indexOf('channel')).toBeLessThan(ids.indexOf('light-pass'))
    expect(step?.detail).toMatch(/cord in it, work (it in one length|\d lengths of \d+)/)
    expect(step?.why).toMatch(/wants \d+\.\d % and about \d+ N/)
    expect(plan.value.gradeWords).toContain('channel')
  })
})
