import { type GapReading, standing } from '@truelay/contract'
import { measuredGaps, type PartPlan, planOfStep, type PlanStep } from '@truelay/core/plan'
import type { Sentence } from '@truelay/core/say'
import { useMemo, useState } from 'react'
import { useUnits } from '../../ui/units.ts'
import type { Fitting } from './fitting.ts'
import { type GapDrafts, readGaps } from './readGaps.ts'

export interface GapRounds {
  /** The plan with the check points of the step in hand. */
  readonly plan: PartPlan
  /** The step in hand asks for gaps, and nothing has to be waited for. */
  readonly measuring: boolean
  /** Its gaps may be left unread: an opening is centred and a line met by eye, and read where the eye is not sure. */
  readonly byEye: boolean
  /** Gaps are typed, or have to be and none has been measured yet: the big target reads them. */
  readonly answering: boolean
  readonly typed: boolean
  readonly drafts: GapDrafts
  readonly setDraft: (checkId: string, text: string) => void
  readonly problem: Sentence | null
  /** Rounds measured at this step so far. */
  readonly rounds: readonly (readonly GapReading[])[]
  readonly last: readonly GapReading[] | undefined
  /** Every gap of the last round is right. */
  readonly allGood: boolean
  /** The typed gaps as a new round; null, with the problem shown, where they are none. */
  readonly read: () => GapReading[] | null
}

/** The gaps of the step in hand: as they are typed, and as they have been measured. */
export function useGapRounds(state: Fitting, step: PlanStep | undefined, waiting: boolean): GapRounds {
  const units = useUnits()
  const plan = useMemo(() => planOfStep(state.plan, step), [state.plan, step])
  const [drafts, setDrafts] = useState<GapDrafts>({})
  const [problem, setProblem] = useState<Sentence | null>(null)
  const rounds = standing(state, 'gapsMeasured')
    .filter((round) => round.stepId === step?.id)
    .map((round) => round.readings)
  const last = rounds[rounds.length - 1]
  const measuring = step?.records === 'gaps' && !waiting
  const byEye = step?.references.some((r) => r.kind === 'opening' || r.kind === 'edge') ?? false
  const typed = Object.values(drafts).some((text) => text.trim() !== '')
  return {
    plan,
    measuring,
    byEye,
    answering: measuring && (typed || (last === undefined && !byEye)),
    typed,
    drafts,
    setDraft: (checkId, text) => setDrafts((before) => ({ ...before, [checkId]: text })),
    problem,
    rounds,
    last,
    allGood: last !== undefined && measuredGaps(plan, last).every((gap) => gap.right),
    read: () => {
      const round = readGaps(plan, drafts, units)
      setProblem(round.ok ? null : round.problem)
      if (!round.ok) return null
      setDrafts({})
      return round.readings
    },
  }
}
