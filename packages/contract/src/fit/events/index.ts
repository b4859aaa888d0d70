import { batchMixed } from './batchMixed.ts'
import { bladeUsed } from './bladeUsed.ts'
import { bottleTaken } from './bottleTaken.ts'
import { filmWetted } from './filmWetted.ts'
import { fitStarted } from './fitStarted.ts'
import { gapsMeasured } from './gapsMeasured.ts'
import { heatRead } from './heatRead.ts'
import { lookedAt } from './lookedAt.ts'
import { lotTold } from './lotTold.ts'
import { photographed } from './photographed.ts'
import { problemSeen } from './problemSeen.ts'
import { problemSettled } from './problemSettled.ts'
import { pullMade } from './pullMade.ts'
import { spoilSettled } from './spoilSettled.ts'
import { stepDone } from './stepDone.ts'
import { stepReopened } from './stepReopened.ts'
import { waitAnswered } from './waitAnswered.ts'
import { waitEnded } from './waitEnded.ts'
import { waitSet } from './waitSet.ts'

/** Everything that can happen during a fit: a file each. */
export const fitEventKinds = {
  fitStarted,
  stepDone,
  stepReopened,
  waitEnded,
  waitSet,
  waitAnswered,
  batchMixed,
  bottleTaken,
  bladeUsed,
  lotTold,
  gapsMeasured,
  heatRead,
  pullMade,
  problemSeen,
  problemSettled,
  filmWetted,
  spoilSettled,
  lookedAt,
  photographed,
} as const
