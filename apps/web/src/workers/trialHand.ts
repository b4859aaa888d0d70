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
  let part: { readonly fine: PreparedStage; readonly how: TrialPractice } | null = null
  const stages = new Map<Trial['on'], PreparedStage>()
  const opened = () => {
    if (part === null) throw new RangeError('tried before a part was opened')
    return part
  }
  return {
    open(fine: PreparedStage, how: TrialPractice): void {
      part = { fine, how }
      stages.clear()
      stages.set('fine', fine)
    },
    /** Sets a further stage. Refused: what `setTrialStage` finds. */
    set(on: Trial['on']): Result<PreparedStage> {
      const stage = setTrialStage(opened().fine, on)
      if (stage.ok) stages.set(on, stage.value)
      return stage
    },
    /** A stage that another hand has set. */
    have(on: Trial['on'], stage: PreparedStage): void {
      stages.set(on, stage)
    },
    make(trial: Trial): Rehearsal {
      const stage = stages.get(trial.on)
      if (stage === undefined) throw new RangeError(`tried on a stage that is not set: ${trial.on}`)
      return rehearseTrial(stage, trial, opened().how)
    },
  }
}

export type TrialHand = ReturnType<typeof trialHand>
