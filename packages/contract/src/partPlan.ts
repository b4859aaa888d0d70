import { pullHeats, pullWays } from '@truelay/core/lay'
import { ingredients, liquidSchools } from '@truelay/core/mix'
import {
  bottleUses,
  cautionTopics,
  checkReadings,
  filmStates,
  filmTypes,
  findingKinds,
  heatUses,
  lineMarks,
  liquids,
  type Liquid,
  type PartPlan,
  phases,
  stepRecords,
  stepTells,
  type Tool,
  tools,
  waysLaid,
} from '@truelay/core/plan'
import { waitKinds } from '@truelay/core/wait'
import { z } from 'zod'
import { edgeCode, partMaterial } from './formDoc.ts'
import { point, polygon } from './geometry.ts'
import { mirrors } from './mirrors.ts'
import { sentence } from './sentence.ts'

const text = z.string().max(600)
const direction = z.tuple([z.number().min(-1.001).max(1.001), z.number().min(-1.001).max(1.001)])
const gapMark = z.strictObject({ at: point, normal: direction, wantedMm: z.number() })

const pictureMark = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('anchor'), number: z.number().int(), at: point }),
  z.strictObject({ kind: z.literal('gap'), at: point, normal: direction, mm: z.number() }),
  z.strictObject({ kind: z.literal('check'), id: text, at: point, normal: direction }),
  z.strictObject({ kind: z.enum(lineMarks), from: point, to: point, text: sentence.optional() }),
  z.strictObject({ kind: z.literal('edge'), edge: text, text: sentence.optional() }),
  z.strictObject({ kind: z.literal('zone'), at: point, radiusMm: z.number(), text: sentence.optional() }),
])

export const heatUse = z.enum(heatUses)
export const waitKind = z.enum(waitKinds)
export const bottleUse = z.enum(bottleUses)

const heatZone = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('spot'),
    label: sentence,
    at: point,
    onForm: point,
    radiusMm: z.number(),
    share: z.number(),
  }),
  z.strictObject({ kind: z.literal('edge'), label: sentence, edge: text, share: z.number() }),
])

const plannedHeat = z.strictObject({
  use: heatUse,
  gun: sentence,
  leastC: z.number(),
  mostC: z.number(),
  words: sentence,
  setting: sentence,
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
  warning: sentence.nullable(),
  steamSeconds: z.number().nullable(),
  zones: z.array(heatZone).max(60),
})

const climateWait = z.strictObject({
  kind: waitKind,
  label: sentence,
  usualMinutes: z.number(),
  minutes: z.number(),
  factor: z.number(),
  learned: z.number(),
  vapourPressureDeficitKpa: z.number(),
  bondFraction: z.number(),
})

const reference = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('anchor'), number: z.number().int() }),
  z.strictObject({ kind: z.literal('check'), id: text }),
  z.strictObject({ kind: z.literal('edge'), edge: text }),
  z.strictObject({ kind: z.literal('pull'), letter: text }),
  z.strictObject({ kind: z.literal('hollow'), name: text }),
  z.strictObject({ kind: z.literal('finding'), finding: z.enum(findingKinds) }),
])

export const planStep = z.strictObject({
  id: text,
  phase: z.enum(phases),
  headline: sentence,
  detail: sentence,
  why: sentence,
  picture: z.strictObject({
    film: z.enum(filmStates),
    middle: point.optional(),
    radiusMm: z.number().optional(),
    marks: z.array(pictureMark).max(60),
  }),
  tools: z.array(z.enum(tools as [Tool, ...Tool[]])).max(12),
  liquids: z.array(z.enum(liquids as [Liquid, ...Liquid[]])).max(6),
  people: z.number().int().min(1).max(6),
  minutes: z.number().min(0),
  references: z.array(reference).max(60),
  laidUpTo: z.union([z.number().int().min(1), z.literal('all')]).optional(),
  heat: heatUse.optional(),
  cutMm: z.number().min(0).optional(),
  gate: sentence.optional(),
  because: sentence.optional(),
  wait: z
    .strictObject({
      label: sentence,
      leastMinutes: z.number().min(0),
      kind: waitKind,
      usualMinutes: z.number().min(0),
      factor: z.number().positive(),
      alcoholPercent: z.number().min(0).max(100).optional(),
    })
    .optional(),
  cautions: z.array(z.strictObject({ about: z.enum(cautionTopics), says: sentence })).max(20),
  driesInMinutes: z.number().min(0).optional(),
  records: z.enum(stepRecords).optional(),
  tells: z.enum(stepTells).optional(),
  uses: bottleUse.optional(),
})

export const liquidSchool = z.enum(liquidSchools)
export const ingredient = z.enum(ingredients)
export const strength = z.strictObject({
  alcoholPercent: z.number().min(0).max(100),
  soapMlPerL: z.number().min(0).max(200),
})
export const addition = z.strictObject({ what: z.enum(ingredients), ml: z.number().min(0).max(100_000) })

export const plannedBatch = z.strictObject({
  use: bottleUse,
  school: liquidSchool,
  says: sentence,
  needMl: z.number(),
  batchMl: z.number(),
  add: z.array(addition).max(10),
  strength,
  warnings: z.array(sentence).max(10),
})

/** The plan of a part as it is kept with its fit. */
export const partPlan = mirrors<PartPlan>()(
  z.strictObject({
    partId: text,
    partName: text,
    film: z.strictObject({ id: text, name: text, type: z.enum(filmTypes), laid: z.enum(waysLaid) }),
    material: partMaterial,
    grade: z.number().int().min(1).max(5),
    gradeWords: sentence,
    schools: z.array(z.strictObject({ question: sentence, choice: sentence, reason: sentence, otherwise: sentence })),
    solutions: z.array(plannedBatch),
    anchors: z.array(
      z.strictObject({
        number: z.number().int(),
        label: sentence,
        at: point,
        onForm: point,
        gaps: z.array(gapMark),
        drawn: z.boolean(),
      }),
    ),
    pulls: z.array(
      z.strictObject({
        letter: text,
        edge: text,
        at: point,
        direction,
        way: z.enum(pullWays),
        percent: z.number(),
        areaMm2: z.number(),
        heat: z.enum(pullHeats),
        glueLineRisk: z.boolean(),
      }),
    ),
    edges: z.array(
      z.strictObject({
        name: text,
        label: text,
        code: edgeCode,
        rule: z.strictObject({ minMm: z.number(), maxMm: z.number() }),
        advice: sentence,
        unpulledMmPer100: z.number(),
        leftMmPer100: z.number(),
      }),
    ),
    checks: z.array(gapMark.extend({ id: text, label: sentence, edge: text, reads: z.enum(checkReadings) })),
    gapToleranceMm: z.number().positive(),
    gapSigmaMm: z.number().positive(),
    directions: z.strictObject({ right: text, left: text, up: text, down: text }),
    order: z.strictObject({ name: sentence, words: sentence, because: sentence }).nullable(),
    light: z.strictObject({ outputRatio: z.number(), words: sentence }).nullable(),
    heat: z.array(plannedHeat).max(6),
    waits: z.array(climateWait).max(20),
    drawing: z.strictObject({
      part: polygon,
      holes: z.array(polygon),
      piece: polygon,
      cutOuts: z.array(polygon),
      edges: z.array(z.strictObject({ name: text, line: z.array(point) })),
    }),
    notes: z.array(z.strictObject({ because: sentence, says: sentence })).max(60),
    steps: z.array(planStep).min(1).max(200),
    minutes: z.number(),
  }),
)
