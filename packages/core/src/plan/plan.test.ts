import { readFileSync } from 'node:fs'
import { beforeAll, describe, expect, test } from 'vitest'
import { buildSurface, type FormDoc } from '../form/index.ts'
import { naturalLay, workedLay } from '../lay/index.ts'
import { practiceWith } from '../practice/index.ts'
import {
  edgeRulesOf,
  type FilmDoc,
  type PartPlan,
  type PlanRequest,
  ruleOfCode,
  unshifted,
  usualSchools,
  workOutPart,
} from './index.ts'

const read = <T>(file: string): T =>
  JSON.parse(readFileSync(new URL(`../../../../demo/${file}`, import.meta.url), 'utf8'))

function requestFor(formId: string, filmId: string, pieceId: string, triangles: number): PlanRequest {
  const form = read<FormDoc>(`forms/${formId}.json`)
  const film = read<FilmDoc>(`films/${filmId}.json`)
  const surface = buildSurface(form, { triangles })
  if (!surface.ok) throw new Error(surface.failure.sentence)
  const natural = naturalLay(surface.value.mesh)
  const worked = workedLay(surface.value.mesh, { take: film.handling.take })
  if (!natural.ok || !worked.ok) throw new Error('not laid')
  expect(natural.value.flipped + worked.value.flipped).toBe(0)
  return {
    partId: formId,
    partName: form.name,
    form,
    film,
    pattern: read<{ pattern: PlanRequest['pattern'] }>(`pieces/${pieceId}.json`).pattern,
    schools: usualSchools(form, film),
    stock: { alcoholPercent: 70 },
    practice: practiceWith(),
    surface: surface.value,
    natural: natural.value,
    worked: worked.value,
    shift: unshifted,
  }
}
const planOf = (request: PlanRequest): PartPlan => {
  const plan = workOutPart(request)
  if (!plan.ok) throw new Error(plan.failure.sentence)
  return plan.value
}
const ids = (plan: PartPlan) => plan.steps.map((s) => s.id)

let bonnet: PlanRequest
let lamp: PlanRequest
beforeAll(() => {
  bonnet = requestFor('pipit-bonnet', 'clearcoat-hull-180', 'pipit-bonnet-piece', 1600)
  lamp = requestFor('pipit-headlamp-left', 'dusk-glass-dry', 'pipit-headlamp-left-piece', 1600)
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
      const { checks } = planOf({ ...bonnet, shift })
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
    const wide = planOf({ ...bonnet, practice: practiceWith({ stopShortLeast: 3, stopShortMost: 5 }) })
    expect(wide.checks[0]?.wantedMm).toBe(4)
    const heavy = planOf({ ...bonnet, schools: { ...bonnet.schools, slip: 'heavy slip', tack: 'strong tack' } })
    expect(heavy.solutions[0]?.strength.soapMlPerL).toBe(8)
    expect(heavy.solutions[1]?.strength.alcoholPercent).toBe(17.5)
  })
  test('a wrapped edge brings trimming, drying and turning', () => {
    const form: FormDoc = {
      ...bonnet.form,
      edges: bonnet.form.edges.map((e) => (e.name === 'nose' ? { ...e, code: 'wrap' } : e)),
    }
    const plan = planOf({ ...bonnet, form })
    expect(ids(plan)).toEqual(expect.arrayContaining(['trim-wrap', 'turn-wrap']))
    expect(plan.steps.find((s) => s.id === 'trim-wrap')?.wait?.leastMinutes).toBe(15)
  })
  test('a stock that is too weak for the tack is refused', () => {
    const plan = workOutPart({ ...bonnet, stock: { alcoholPercent: 5 } })
    expect(plan.ok ? 'fine' : plan.failure.code).toBe('MIX_TARGET_ABOVE_STOCK')
  })
})

describe('a bulbous lamp laid dry from a piece with bleed', () => {
  test('needs no liquid, begins at the flattest place, and ends in the gap and under the grille', () => {
    const plan = planOf(lamp)
    expect(plan.solutions).toEqual([])
    expect(plan.anchors.length).toBe(1)
    expect(plan.checks.every((c) => c.reads === 'film past the edge' && c.wantedMm < -20)).toBe(true)
    const order = [
      'mask',
      'degrease',
      'bone-dry',
      'peel',
      'anchor-1',
      'pull-A',
      'lay-outward',
      'shrink-flaps',
      'post-heat',
      'gap-cut',
      'tuck',
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
    expect(plan.steps.find((s) => s.id === 'lens-law')?.cautions.join()).toContain('law')
  })
  test('heat, blade and alcohol each carry their caution in their own step', () => {
    const cautions = (id: string) =>
      planOf(lamp)
        .steps.find((s) => s.id === id)
        ?.cautions.join(' ') ?? ''
    expect(cautions('post-heat')).toMatch(/still/)
    expect(cautions('gap-cut')).toMatch(/sharps box/i)
    expect(cautions('degrease')).toMatch(/vapour/)
  })
})

test('every step of every plan has its own name, a reason and a headline without loose numbers', () => {
  for (const plan of [planOf(bonnet), planOf(lamp)]) {
    expect(new Set(ids(plan)).size).toBe(plan.steps.length)
    for (const step of plan.steps) {
      expect(step.why.length).toBeGreaterThan(10)
      expect(step.headline).not.toMatch(/NaN|undefined/)
      expect(step.detail).not.toMatch(/NaN|undefined|Infinity/)
    }
  }
})

test('an edge’s own rule goes before that of its code', () => {
  const form = {
    ...bonnet.form,
    edges: [{ name: 'rear', label: 'rear edge', code: 'stop-short' as const, marginMaxMm: 4.5 }],
  }
  const rules = edgeRulesOf(form, practiceWith())
  expect(rules.rear).toEqual({ minMm: 2, maxMm: 4.5 })
  expect(ruleOfCode('wrap', practiceWith())).toEqual({ minMm: -20, maxMm: -12 })
})
