import { z } from 'zod'
import { point } from '../geometry/index.ts'
import { sentence } from '../say/index.ts'
import type { Held } from '../schema/index.ts'
import { waitKinds } from '../wait/index.ts'
import { findingKinds } from './findings.ts'
import { type Liquid, liquids, type Tool, tools } from './inHand.ts'

const text = z.string().max(600)
const direction = z.tuple([z.number().min(-1.001).max(1.001), z.number().min(-1.001).max(1.001)])

export const phase = z.enum(['prepare', 'mix', 'place', 'lay', 'edges', 'heat', 'look'])
export const heatUse = z.enum(['soften', 'seal', 'post-heat'])
export const bottleUse = z.enum(['slip', 'tack'])
export const waitKind = z.enum(waitKinds)

/** A gap between film and edge, measured along the inward normal; in the film plane. */
export const gapMark = z.strictObject({ at: point, normal: direction, wantedMm: z.number() })

const pictureMark = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('anchor'), number: z.number().int(), at: point }),
  z.strictObject({ kind: z.literal('gap'), at: point, normal: direction, mm: z.number() }),
  z.strictObject({ kind: z.literal('check'), id: text, at: point, normal: direction }),
  z.strictObject({
    kind: z.enum(['stroke', 'pull', 'sweep']),
    from: point,
    to: point,
    text: sentence.optional(),
  }),
  z.strictObject({ kind: z.literal('hand'), at: point }),
  z.strictObject({ kind: z.literal('edge'), edge: text, text: sentence.optional() }),
  z.strictObject({
    kind: z.literal('zone'),
    at: point,
    radiusMm: z.number().min(0).max(10_000),
    text: sentence.optional(),
  }),
])

/** What a step shows, in the film plane. Without a middle the whole part is shown. */
const stepPicture = z.strictObject({
  film: z.enum(['none', 'floating', 'laid']),
  middle: point.optional(),
  radiusMm: z.number().optional(),
  marks: z.array(pictureMark).max(60),
})

/** Ten weeks: nothing in this trade waits longer, and a clock can still be read. */
const mostMinutes = 100_000

/** A wait that begins when its step is done. */
const stepWait = z.strictObject({
  label: sentence,
  leastMinutes: z.number().min(0).max(mostMinutes),
  kind: waitKind,
  /** What the shop says at ordinary room temperature, and what the day's air makes of it. */
  usualMinutes: z.number().min(0).max(mostMinutes),
  factor: z.number().positive().max(1000),
  /** In the liquid that dries there; with it the wait can be worked out again when the air changes. */
  alcoholPercent: z.number().min(0).max(100).optional(),
  /** The step whose end starts the clock: what dries from one wetting dries together. Left out: this step. */
  since: text.optional(),
})

/** What a step must not be later than, or the work is spoilt or done again. */
const stepLimit = z.strictObject({
  /** The step whose end starts the clock. */
  since: text,
  mostMinutes: z.number().positive().max(mostMinutes),
  /** What happens after it, and what to do then. */
  says: sentence,
})

/** `about`: `heat` falls away with the heat, all others stay whatever else is found. */
const caution = z.strictObject({
  about: z.enum([
    'heat',
    'no heat',
    'vapour',
    'solvent',
    'alcohol',
    'blade',
    'lifting',
    'law',
    'static',
    'repaint',
    'edge',
    'liquid',
    'other',
  ]),
  says: sentence,
})

/** What a step is set, measured or worked by. */
const stepReference = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('anchor'), number: z.number().int() }),
  z.strictObject({ kind: z.literal('check'), id: text }),
  z.strictObject({ kind: z.literal('edge'), edge: text }),
  z.strictObject({ kind: z.literal('opening'), opening: text }),
  z.strictObject({ kind: z.literal('pull'), letter: text }),
  z.strictObject({ kind: z.literal('hollow'), name: text }),
  z.strictObject({ kind: z.literal('finding'), finding: z.enum(findingKinds) }),
])

/**
 * One step of a fit: data throughout, so that a screen, a paper and a scheduler can each make of it what they need. What stands
 * here is what the rules fill in, what crosses the wire and what is kept with a fit.
 */
export const planStep = z.strictObject({
  id: text,
  phase,
  /** What to do, read at two metres. */
  headline: sentence,
  detail: sentence,
  why: sentence,
  picture: stepPicture,
  tools: z.array(z.enum(tools as [Tool, ...Tool[]])).max(12),
  liquids: z.array(z.enum(liquids as [Liquid, ...Liquid[]])).max(6),
  people: z.number().int().min(1).max(6),
  minutes: z.number().min(0).max(mostMinutes),
  references: z.array(stepReference).max(60),
  /** The last step of the rehearsal that this step does, or all of them. */
  laidUpTo: z.union([z.number().int().min(1), z.literal('all')]).optional(),
  /** The use of heat in it, as worked out in the plan. */
  heat: heatUse.optional(),
  /** What is cut with a blade in it, mm. */
  cutMm: z.number().min(0).optional(),
  /** Must be true before one begins. */
  gate: sentence.optional(),
  /** What was found on this vehicle that brought the step or changed it. */
  because: sentence.optional(),
  /** Counts down once the step is done, before the next may begin. */
  wait: stepWait.optional(),
  /** Greatest waits: this step has to come before they are over. */
  within: z.array(stepLimit).max(4).optional(),
  cautions: z.array(caution).max(20),
  /** Adhesive and part are wetted all over in it. */
  wets: z.boolean().optional(),
  /** Film that floats dries: minutes until it has to be wetted again. */
  driesInMinutes: z.number().min(0).optional(),
  records: z.enum(['batches', 'gaps', 'fingers', 'edges', 'blade']).optional(),
  /** What the customer is told by it. */
  tells: z.enum(['aftercare']).optional(),
  /** The liquid that has to be in hand, to be checked against the bottle. */
  uses: bottleUse.optional(),
})

export type PlanStep = Held<z.infer<typeof planStep>>
export type StepPicture = PlanStep['picture']
export type PictureMark = StepPicture['marks'][number]
export type StepWait = NonNullable<PlanStep['wait']>
export type StepLimit = NonNullable<PlanStep['within']>[number]
export type Caution = PlanStep['cautions'][number]
export type CautionTopic = Caution['about']
export type StepReference = PlanStep['references'][number]
export type StepRecord = NonNullable<PlanStep['records']>
export type StepTells = NonNullable<PlanStep['tells']>
export type Phase = PlanStep['phase']
export type HeatUse = NonNullable<PlanStep['heat']>
export type BottleUse = NonNullable<PlanStep['uses']>
