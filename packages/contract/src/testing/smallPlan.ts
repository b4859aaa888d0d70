import { nothing, verbatim } from '@truelay/core/say'
import { type PlanStep, type PartPlan, planStep } from '@truelay/core/plan'
import { partPlan } from '../partPlan.ts'

const triangle = [
  [0, 0],
  [1, 0],
  [1, 1],
]

/** A step with nothing in it but its name. */
export const smallStep = (id: string, more: object = {}): PlanStep =>
  planStep.parse({
    id,
    phase: 'edges',
    headline: verbatim(id),
    detail: nothing,
    why: nothing,
    picture: { film: 'none', marks: [] },
    tools: [],
    liquids: [],
    references: [],
    people: 1,
    minutes: 1,
    cautions: [],
    ...more,
  })

/** The least plan that passes its schema, with some steps. */
export const smallPlan = (steps: readonly object[], more: object = {}): PartPlan =>
  partPlan.parse({
    partId: 'p',
    partName: 'Bonnet',
    film: { id: 'f', name: 'Film', type: 'paint film', laid: 'wet' },
    material: 'painted steel',
    grade: 1,
    gradeWords: nothing,
    schools: [],
    solutions: [],
    cut: { way: 'pre-cut', enlarged: [], sheet: null },
    hands: 1,
    anchors: [],
    pulls: [],
    edges: [],
    checks: [],
    gapToleranceMm: 0.5,
    gapSigmaMm: 0.25,
    order: null,
    light: null,
    heat: [],
    waits: [],
    notes: [],
    directions: { right: 'r', left: 'l', up: 'u', down: 'd' },
    drawing: { part: triangle, holes: [], piece: triangle, cutOuts: [], edges: [] },
    steps,
    minutes: 1,
    ...more,
  })

/** A place to read a gap at an edge; it is wished 2.5 mm. */
export const smallCheck = (id: string, at: readonly [number, number], normal: readonly [number, number]) => ({
  id,
  label: verbatim(`place ${id}`),
  edge: 'rear',
  at,
  normal,
  wantedMm: 2.5,
  reads: 'gap' as const,
})

/** Three places to read a gap: two at the edge above, one at the right. */
export const smallChecks = [
  smallCheck('P', [0, 300], [0, -1]),
  smallCheck('Q', [400, 300], [0, -1]),
  smallCheck('R', [400, 150], [-1, 0]),
]
