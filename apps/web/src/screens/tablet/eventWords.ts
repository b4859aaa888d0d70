import type { FitEventName } from '@truelay/contract'
import { say, type Sentence } from '@truelay/core/say'

/** What happened in a fit, in few words. */
export const eventWords: Readonly<Record<FitEventName, Sentence>> = {
  fitStarted: say`fit begun`,
  stepDone: say`step done`,
  stepReopened: say`step gone back to`,
  waitEnded: say`wait cut short`,
  waitSet: say`wait set to the air`,
  waitAnswered: say`said whether it was ready`,
  batchMixed: say`liquid mixed`,
  bottleTaken: say`bottle taken in hand`,
  bladeUsed: say`cut with the blade`,
  lotTold: say`said of which lot the piece is`,
  filmWetted: say`film wetted again`,
  gapsMeasured: say`gaps measured`,
  heatRead: say`thermometer read`,
  pullMade: say`how far the film had to be pulled`,
  problemSeen: say`something wrong was seen`,
  problemSettled: say`said what became of it`,
  lookedAt: say`a stop of the last look`,
  photographed: say`photo of the part`,
  spoilSettled: say`said what becomes of the piece`,
}
