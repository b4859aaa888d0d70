import type { Problem } from '@truelay/contract'
import type { Fitting } from '../fitting.ts'
import type { NewFitEvent } from '../useFit.ts'
import { spoiltEvents } from './anotherPieceEvents.ts'
import type { Becomes } from './becomes.ts'
import type { Seen } from './SomethingWrong.tsx'

/** What one tap at the end brings about: what was seen, unless it stands already, and what became of it. */
export function seenEvents(
  state: Fitting,
  stepId: string,
  again: Problem | null,
  seen: Seen,
  becomes: Becomes,
): NewFitEvent[] {
  const id = again?.id ?? crypto.randomUUID()
  const { problem, place, onPart, answers, photos, judgement } = seen
  const cause = judgement?.causes[0]?.id
  const first: NewFitEvent[] =
    again !== null
      ? []
      : [
          {
            kind: 'problemSeen',
            id,
            stepId,
            problem,
            place,
            comeBack: 'later' in becomes,
            when: 'later' in becomes ? becomes.later : 'now',
            ...(onPart === undefined ? {} : { onPart: [onPart[0], onPart[1]] }),
            ...(Object.keys(answers).length === 0 ? {} : { answers }),
            ...(photos.length === 0 ? {} : { photos: [...photos] }),
            ...(cause === undefined ? {} : { cause }),
          },
        ]
  if ('later' in becomes) return first
  if (!('settled' in becomes)) return [...first, ...spoiltEvents(state, stepId, becomes)]
  const { settled: outcome, cure } = becomes
  const done = cure === undefined ? {} : { cure: [...cure] }
  return [...first, { kind: 'problemSettled', stepId, problemId: id, outcome, ...done }]
}
