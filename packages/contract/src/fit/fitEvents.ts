import { z } from 'zod'
import { batchId, moment, partId, personId } from '../ids.ts'
import { partPlan, plannedBatch, waitKind } from '../partPlan.ts'

const common = {
  /** Made by the tablet: sent twice, stored once. */
  id: z.uuid(),
  partId,
  personId,
  /** The tablet's clock when it happened. */
  at: moment,
}
const stepId = z.string().min(1).max(60)

export const gapReading = z.strictObject({
  checkId: z.string().min(1).max(8),
  measuredMm: z.number().min(-120).max(120),
})
export type GapReading = z.infer<typeof gapReading>

export const problemKinds = [
  'fingers',
  'air bubble',
  'water bubble',
  'dirt or hair',
  'crease',
  'glue line',
  'lifting edge',
  'bridging',
  'silvering',
  'grabbed too early',
  'will not grab',
  'gap uneven',
  'knife mark',
  'torn piece',
  'burnt film',
] as const

/** What happens during a fit, in the order in which it happened; never changed, only added to. */
export const fitEvent = z.discriminatedUnion('kind', [
  z.strictObject({ ...common, kind: z.literal('fitStarted'), plan: partPlan }),
  z.strictObject({ ...common, kind: z.literal('stepDone'), stepId }),
  /** The wait after a step was cut short by hand, by this much. */
  z.strictObject({ ...common, kind: z.literal('waitEnded'), stepId, earlySeconds: z.number().min(0).max(1e6) }),
  /** Back to a step: it and all after it are open again. */
  z.strictObject({ ...common, kind: z.literal('stepReopened'), stepId }),
  z.strictObject({
    ...common,
    kind: z.literal('batchMixed'),
    stepId,
    batchNumber: z.string().min(1).max(30),
    says: z.string().max(60),
    batchMl: z.number().min(0).max(100_000),
    alcoholPercent: z.number().min(0).max(100),
    soapMlPerL: z.number().min(0).max(200),
    /** What was poured, for the supplies. */
    add: z.array(plannedBatch.shape.add.element).max(10).optional(),
  }),
  /** Which bottle is in hand, and whether it is alike the planned one. */
  z.strictObject({
    ...common,
    kind: z.literal('bottleTaken'),
    stepId,
    use: z.enum(['slip', 'tack']),
    batchId: batchId.nullable(),
    batchNumber: z.string().min(1).max(30),
    says: z.string().max(60),
    alcoholPercent: z.number().min(0).max(100),
    soapMlPerL: z.number().min(0).max(200),
    asPlanned: z.boolean(),
  }),
  /** The length of the wait after a step, in the air of the moment. */
  z.strictObject({
    ...common,
    kind: z.literal('waitSet'),
    stepId,
    minutes: z.number().min(0).max(100_000),
    roomC: z.number().min(-20).max(60),
    humidityPercent: z.number().min(0).max(100),
    source: z.enum(['sensor', 'entered', 'job']),
  }),
  /** Was it ready when it was said to be? `saidMinutes` is without what was learned before. */
  z.strictObject({
    ...common,
    kind: z.literal('waitAnswered'),
    stepId,
    waitKind,
    ready: z.boolean(),
    saidMinutes: z.number().positive().max(100_000),
    waitedMinutes: z.number().positive().max(100_000),
  }),
  /** What was cut with a blade, and whether with a fresh segment. */
  z.strictObject({
    ...common,
    kind: z.literal('bladeUsed'),
    stepId,
    fresh: z.boolean(),
    cutMm: z.number().min(0).max(100_000),
  }),
  z.strictObject({ ...common, kind: z.literal('gapsMeasured'), stepId, readings: z.array(gapReading).min(2).max(8) }),
  z.strictObject({
    ...common,
    kind: z.literal('problemSeen'),
    stepId,
    problem: z.enum(problemKinds),
    place: z.string().max(80),
    comeBack: z.boolean(),
  }),
])
export type FitEvent = z.infer<typeof fitEvent>
export type FitEventOf<K extends FitEvent['kind']> = Extract<FitEvent, { kind: K }>

export const fitEvents = z.array(fitEvent).min(1).max(200)

/** What the server says to events: which it has now, whether or not it had them before. */
export const fitReceipt = z.strictObject({ stored: z.array(z.uuid()), known: z.array(z.uuid()) })
export type FitReceipt = z.infer<typeof fitReceipt>

export const fitLog = z.strictObject({ partId, events: z.array(fitEvent) })
export type FitLog = z.infer<typeof fitLog>
