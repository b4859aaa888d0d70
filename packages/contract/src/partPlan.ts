import { pullHeats, pullWays } from '@truelay/core/lay'
import { ingredients, liquidSchools } from '@truelay/core/mix'
import {
  bottleUse,
  checkReadings,
  cutWays,
  filmTypes,
  gapMark,
  heatUse,
  type PartPlan,
  planStep,
  waitKind,
  waysLaid,
} from '@truelay/core/plan'
import { z } from 'zod'
import { edgeCode, partMaterial } from './formDoc.ts'
import { point, polygon } from '@truelay/core/geometry'
import { mirrors } from '@truelay/core/schema'
import { sentence } from '@truelay/core/say'

const text = z.string().max(600)
const direction = z.tuple([z.number().min(-1.001).max(1.001), z.number().min(-1.001).max(1.001)])

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

const pieceCut = z.strictObject({
  way: z.enum(cutWays),
  enlarged: z.array(z.strictObject({ edge: text, label: text, byMm: z.number() })).max(60),
  sheet: z
    .strictObject({
      lengthMm: z.number(),
      widthMm: z.number(),
      turnDeg: z.number(),
      allowanceMm: z.number(),
      ofRollMm: z.number(),
      rollWidthMm: z.number(),
      outline: polygon,
    })
    .nullable(),
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
    cut: pieceCut,
    hands: z.union([z.literal(1), z.literal(2)]),
    anchors: z.array(
      z.strictObject({
        number: z.number().int(),
        label: sentence,
        at: point,
        onForm: point,
        gaps: z.array(gapMark.extend({ edge: text })),
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
