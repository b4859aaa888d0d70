import {
  type GapReading,
  type JobBundle,
  type Looked,
  looksOf,
  type Part,
  type Photo,
  standing,
} from '@truelay/contract'
import { type LookStop, lookWalk } from '@truelay/core/lastLook'
import type { PlanStep } from '@truelay/core/plan'
import { type Practice, practiceWith } from '@truelay/core/practice'
import type { Sentence } from '@truelay/core/say'
import { useMemo, useState } from 'react'
import { useUnits } from '../../../ui/units.ts'
import type { Fitting } from '../fitting.ts'
import { type GapDrafts, readSomeGaps } from '../readGaps.ts'
import type { NewFitEvent } from '../useFit.ts'
import { partOtherSide } from './useOtherSide.ts'

export interface Look {
  /** The step in hand is the last walk round the part, and something of it is left to look at or is looked at again. */
  readonly walking: boolean
  readonly stops: readonly LookStop[]
  /** What was said of each stop. */
  readonly said: ReadonlyMap<string, Looked>
  /** The stop in hand; null where all have been looked at. */
  readonly stop: LookStop | null
  readonly otherSide: Part | null
  readonly practice: Practice
  readonly drafts: GapDrafts
  readonly setDraft: (checkId: string, text: string) => void
  readonly problem: Sentence | null
  readonly photos: readonly Photo[]
  readonly setPhotos: (photos: readonly Photo[]) => void
  readonly goTo: (stopId: string) => void
  /** The stop before this one is shown again; false where this is the first. */
  readonly goBack: () => boolean
  /** What is kept of the stop in hand; null, with the problem shown, where a gap is none. */
  readonly answer: (verdict: Looked['verdict']) => NewFitEvent | null
}

/** The last walk round a part: stop by stop, each a tap. */
export function useLook(bundle: JobBundle, part: Part, state: Fitting, step: PlanStep | undefined): Look {
  const units = useUnits()
  const practice = useMemo(() => practiceWith(bundle.shop.practice), [bundle.shop.practice])
  const asked = step?.records === 'edges'
  const otherSide = partOtherSide(bundle, part)
  const segments = standing(state, 'bladeUsed').filter(({ fresh }) => fresh).length
  const opens = bundle.forms.find(({ id }) => id === part.formId)?.opens
  const stops = useMemo(
    () =>
      asked
        ? lookWalk(state.plan, { opens, otherSide: otherSide?.name ?? null, segments, fromMm: practice.lookFrom })
        : [],
    [asked, state.plan, opens, otherSide?.name, segments, practice.lookFrom],
  )
  const said = looksOf(state)
  const [again, setAgain] = useState<string | null>(null)
  const [drafts, setDrafts] = useState<GapDrafts>({})
  const [photos, setPhotos] = useState<readonly Photo[]>([])
  const [problem, setProblem] = useState<Sentence | null>(null)
  const stop = stops.find(({ id }) => id === again) ?? stops.find(({ id }) => !said.has(id)) ?? null
  const show = (stopId: string | null) => {
    setAgain(stopId)
    setDrafts({})
    setPhotos([])
    setProblem(null)
  }
  return {
    walking: stops.length > 0 && stop !== null,
    stops,
    said,
    stop,
    otherSide,
    practice,
    drafts,
    setDraft: (checkId, text) => setDrafts((before) => ({ ...before, [checkId]: text })),
    problem,
    photos,
    setPhotos,
    goTo: show,
    goBack: () => {
      const before = stops[(stop === null ? stops.length : stops.indexOf(stop)) - 1]
      if (before !== undefined) show(before.id)
      return before !== undefined
    },
    answer: (verdict) => {
      if (stop === null || step === undefined) return null
      const round = readSomeGaps(stop.checks, drafts, units)
      setProblem(round.ok ? null : round.problem)
      if (!round.ok) return null
      const readings: GapReading[] = round.readings
      show(null)
      return { kind: 'lookedAt', stepId: step.id, stop: stop.id, verdict, readings, photos: [...photos] }
    },
  }
}
