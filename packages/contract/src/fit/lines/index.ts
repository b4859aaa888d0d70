import { z } from 'zod'
import type { FitEventName } from '../fitEvents.ts'
import { batchMixedLine } from './batchMixed.ts'
import { bladeUsedLine } from './bladeUsed.ts'
import { bottleTakenLine } from './bottleTaken.ts'
import type { RecordLine } from './defineRecordLine.ts'
import { gapsMeasuredLine } from './gapsMeasured.ts'
import { heatReadLine } from './heatRead.ts'
import { lookedAtLine } from './lookedAt.ts'
import { photographedLine } from './photographed.ts'
import { problemSeenLine } from './problemSeen.ts'
import { problemSettledLine } from './problemSettled.ts'
import { pullMadeLine } from './pullMade.ts'
import { spoilSettledLine } from './spoilSettled.ts'
import { waitSetLine } from './waitSet.ts'

/** Of an event that leaves no line. */
const none: RecordLine<unknown, z.ZodNever> = { schema: z.never(), of: () => undefined as never }

/** What each kind of event leaves in the record. */
export const lineKinds = {
  fitStarted: none,
  stepDone: none,
  stepReopened: none,
  waitEnded: none,
  waitSet: waitSetLine,
  waitAnswered: none,
  batchMixed: batchMixedLine,
  bottleTaken: bottleTakenLine,
  bladeUsed: bladeUsedLine,
  lotTold: none,
  gapsMeasured: gapsMeasuredLine,
  heatRead: heatReadLine,
  pullMade: pullMadeLine,
  problemSeen: problemSeenLine,
  problemSettled: problemSettledLine,
  filmWetted: none,
  spoilSettled: spoilSettledLine,
  lookedAt: lookedAtLine,
  photographed: photographedLine,
} as const satisfies { [K in FitEventName]: unknown }
