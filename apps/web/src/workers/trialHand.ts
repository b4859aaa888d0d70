import {
  type PreparedStage,
  type Rehearsal,
  rehearseTrial,
  setTrialStage,
  type Trial,
  type TrialPractice,
} from '@truelay/core/lay'
import type { Result } from '@truelay/core/result'

/** One pair of hands of a search: makes the trials of one part, on the stages that it has set or was given. */
export function trialHand() {
  const stages = new Map<Trial['on'], PreparedStage>()
  const stageOf = (on: Trial['on']) => {
    const stage = stages.get(on)
    if (stage === undefined) throw new RangeError(`tried on a stage that is not set: ${on}`)
    return stage
  }
  return {
    /** Begins with a part. */
    open(fine: PreparedStage): void {
      stages.clear()
      stages.set('fine', fine)
    },
    /** Sets a further stage. Refused: what `setTrialStage` finds. */
    set(on: Trial['on']): Result<PreparedStage> {
      const stage = setTrialStage(stageOf('fine'), on)
      if (stage.ok) stages.set(on, stage.value)
      return stage
    },
    /** A stage that another hand has set. */
    have(on: Trial['on'], stage: PreparedStage): void {
      stages.set(on, stage)
    },
    make: (trial: Trial, how: TrialPractice): Rehearsal => rehearseTrial(stageOf(trial.on), trial, how),
  }
}

export type TrialHand = ReturnType<typeof trialHand>
