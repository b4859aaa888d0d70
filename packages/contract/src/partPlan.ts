import { pullHeats, pullWays, schoolNames } from '@truelay/core/lay'
import { ingredients, liquidSchools } from '@truelay/core/mix'
import {
  bottleUse,
  checkReadings,
  cutWays,
  filmTypes,
  gapMark,
  heatUse,
  laidStages,
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

/** No figure of a plan is larger: what is would stop whoever reads it. */
const figure = z.number().min(-1e9).max(1e9)

const text = z.string().max(600)
const direction = z.tuple([z.number().min(-1.001).max(1.001), z.number().min(-1.001).max(1.001)])

const heatZone = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('spot'),
    label: sentence,
    at: point,
    onForm: point,
    radiusMm: figure,
    share: figure,
  }),
  z.strictObject({ kind: z.literal('edge'), label: sentence, edge: text, share: figure }),
])

const plannedHeat = z.strictObject({
  swept: z.enum(['lane', 'band']).optional(),
  use: heatUse,
  gun: sentence,
  leastC: figure,
  mostC: figure,
  words: sentence,
  setting: sentence,
  distanceMm: figure,
  strokeMm: figure,
  passes: z.number().int(),
  passesRange: z.tuple([figure, figure]),
  passSeconds: figure,
  readingC: figure,
  peakC: figure,
  marginC: figure,
  coolToPressS: z.number().nullable(),
  coolToCutS: z.number().nullable(),
  warning: sentence.nullable(),
  steamSeconds: z.number().nullable(),
  zones: z.array(heatZone).max(60),
})

const climateWait = z.strictObject({
  kind: waitKind,
  label: sentence,
  usualMinutes: figure,
  minutes: figure,
  factor: figure,
  learned: figure,
  vapourPressureDeficitKpa: figure,
  bondFraction: figure,
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
  needMl: figure,
  batchMl: figure,
  add: z.array(addition).max(10),
  strength,
  warnings: z.array(sentence).max(10),
})

const pieceCut = z.strictObject({
  way: z.enum(cutWays),
  enlarged: z.array(z.strictObject({ edge: text, label: text, byMm: figure })).max(60),
  sheet: z
    .strictObject({
      lengthMm: figure,
      widthMm: figure,
      turnDeg: figure,
      allowanceMm: figure,
      ofRollMm: figure,
      rollWidthMm: figure,
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
        percent: figure,
        areaMm2: figure,
        heat: z.enum(pullHeats),
        glueLineRisk: z.boolean(),
      }),
    ),
    begin: z.enum(schoolNames).optional(),
    stretched: z
      .array(z.strictObject({ at: point, stretch: z.number().min(0).max(10) }))
      .max(100)
      .optional(),
    edges: z.array(
      z.strictObject({
        name: text,
        label: text,
        code: edgeCode,
        rule: z.strictObject({ minMm: figure, maxMm: figure }),
        advice: sentence,
        unpulledMmPer100: figure,
        leftMmPer100: figure,
      }),
    ),
    checks: z.array(gapMark.extend({ id: text, label: sentence, edge: text, reads: z.enum(checkReadings) })),
    gapToleranceMm: z.number().positive(),
    gapSigmaMm: z.number().positive(),
    directions: z.strictObject({ right: text, left: text, up: text, down: text }),
    order: z.strictObject({ name: sentence, words: sentence, because: sentence }).nullable(),
    light: z.strictObject({ outputRatio: figure, words: sentence }).nullable(),
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
    visit: z.strictObject({ stage: z.enum(laidStages) }).optional(),
    steps: z.array(planStep).min(1).max(200),
    minutes: figure,
  }),
)
