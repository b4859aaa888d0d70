import type { PartPlan } from '@truelay/core/plan'
import { type WaitKind, waitKinds } from '@truelay/core/wait'
import { z } from 'zod'
import { edgeCode, partMaterial } from './formDoc.ts'
import { point, polygon } from './geometry.ts'

const text = z.string().max(600)
const direction = z.tuple([z.number().min(-1.001).max(1.001), z.number().min(-1.001).max(1.001)])
const gapMark = z.strictObject({ at: point, normal: direction, wantedMm: z.number() })

const pictureMark = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('anchor'), number: z.number().int(), at: point }),
  z.strictObject({ kind: z.literal('gap'), at: point, normal: direction, mm: z.number() }),
  z.strictObject({ kind: z.literal('check'), id: text, at: point, normal: direction }),
  z.strictObject({ kind: z.enum(['stroke', 'pull', 'sweep']), from: point, to: point, text: text.optional() }),
  z.strictObject({ kind: z.literal('edge'), edge: text, text: text.optional() }),
  z.strictObject({ kind: z.literal('zone'), at: point, radiusMm: z.number(), text: text.optional() }),
])

export const heatUse = z.enum(['soften', 'seal', 'post-heat'])
export const waitKind = z.enum(waitKinds as [WaitKind, ...WaitKind[]])

const heatZone = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('spot'),
    label: text,
    at: point,
    onForm: point,
    radiusMm: z.number(),
    share: z.number(),
  }),
  z.strictObject({ kind: z.literal('edge'), label: text, edge: text, share: z.number() }),
])

const plannedHeat = z.strictObject({
  use: heatUse,
  gun: text,
  leastC: z.number(),
  mostC: z.number(),
  words: text,
  setting: text,
  distanceMm: z.number(),
  strokeMm: z.number(),
  passes: z.number().int(),
  passesRange: z.tuple([z.number(), z.number()]),
  passSeconds: z.number(),
  readingC: z.number(),
  peakC: z.number(),
  marginC: z.number(),
  coolToPressS: z.number().nullable(),
  coolToCutS: z.number().nullable(),
  warning: text.nullable(),
  steamSeconds: z.number().nullable(),
  zones: z.array(heatZone).max(60),
})

const climateWait = z.strictObject({
  kind: waitKind,
  label: text,
  usualMinutes: z.number(),
  minutes: z.number(),
  factor: z.number(),
  learned: z.number(),
  vapourPressureDeficitKpa: z.number(),
  bondFraction: z.number(),
})

const planStep = z.strictObject({
  id: text,
  phase: z.enum(['prepare', 'mix', 'place', 'lay', 'edges', 'heat', 'look']),
  headline: text,
  detail: text,
  why: text,
  picture: z.strictObject({
    film: z.enum(['none', 'floating', 'laid']),
    middle: point.optional(),
    radiusMm: z.number().optional(),
    marks: z.array(pictureMark).max(60),
  }),
  inHand: z.array(text).max(10),
  people: z.number().int().min(1).max(6),
  minutes: z.number().min(0),
  laidUpTo: z.number().int().min(1).optional(),
  heat: heatUse.optional(),
  cutMm: z.number().min(0).optional(),
  gate: text.optional(),
  because: text.optional(),
  wait: z
    .strictObject({
      label: text,
      leastMinutes: z.number().min(0),
      kind: waitKind.optional(),
      usualMinutes: z.number().min(0).optional(),
      factor: z.number().positive().optional(),
      alcoholPercent: z.number().min(0).max(100).optional(),
    })
    .optional(),
  cautions: z.array(text).max(10),
  driesInMinutes: z.number().min(0).optional(),
  records: z.enum(['batches', 'gaps', 'fingers', 'edges', 'blade']).optional(),
  uses: z.enum(['slip', 'tack']).optional(),
})

export const liquidSchool = z.enum([
  'light slip',
  'heavy slip',
  'water only',
  'weak tack',
  'strong tack',
  'hybrid',
  'tack only',
  'single fluid',
  'dry',
])

export const plannedBatch = z.strictObject({
  use: z.enum(['slip', 'tack']),
  school: liquidSchool,
  says: text,
  needMl: z.number(),
  batchMl: z.number(),
  add: z.array(
    z.strictObject({ what: z.enum(['water', 'alcohol stock', 'soap', 'activator concentrate']), ml: z.number() }),
  ),
  strength: z.strictObject({ alcoholPercent: z.number(), soapMlPerL: z.number() }),
  warnings: z.array(text),
})

/** The plan of a part as it is kept with its fit. */
export const partPlan = z.strictObject({
  partId: text,
  partName: text,
  film: z.strictObject({
    id: text,
    name: text,
    type: z.enum(['paint film', 'lens tint', 'trim vinyl']),
    laid: z.enum(['wet', 'dry']),
  }),
  material: partMaterial,
  grade: z.number().int().min(1).max(5),
  gradeWords: text,
  schools: z.array(z.strictObject({ question: text, choice: text, reason: text, otherwise: text })),
  solutions: z.array(plannedBatch),
  anchors: z.array(
    z.strictObject({
      number: z.number().int(),
      label: text,
      at: point,
      onForm: point,
      gaps: z.array(gapMark),
      drawn: z.boolean().optional(),
    }),
  ),
  pulls: z.array(
    z.strictObject({
      letter: text,
      edge: text,
      at: point,
      direction,
      way: z.enum(['towards', 'along']),
      percent: z.number(),
      areaMm2: z.number(),
      heat: z.enum(['cold', 'warm']),
      glueLineRisk: z.boolean(),
    }),
  ),
  edges: z.array(
    z.strictObject({
      name: text,
      label: text,
      code: edgeCode,
      rule: z.strictObject({ minMm: z.number(), maxMm: z.number() }),
      advice: text,
      unpulledMmPer100: z.number(),
      leftMmPer100: z.number(),
    }),
  ),
  checks: z.array(gapMark.extend({ id: text, label: text, edge: text, reads: z.enum(['gap', 'film past the edge']) })),
  gapToleranceMm: z.number().positive(),
  directions: z.strictObject({ right: text, left: text, up: text, down: text }),
  order: z.strictObject({ name: text, words: text, because: text }).optional(),
  light: z.strictObject({ outputRatio: z.number(), words: text }).optional(),
  heat: z.array(plannedHeat).max(6).optional(),
  waits: z.array(climateWait).max(20).optional(),
  drawing: z.strictObject({
    part: polygon,
    holes: z.array(polygon),
    piece: polygon,
    cutOuts: z.array(polygon),
    edges: z.array(z.strictObject({ name: text, line: z.array(point) })),
  }),
  notes: z
    .array(z.strictObject({ because: text, says: text }))
    .max(60)
    .optional(),
  steps: z.array(planStep).min(1).max(200),
  minutes: z.number(),
}) satisfies z.ZodType<PartPlan>
