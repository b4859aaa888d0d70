import { isDue, openProblems, type Problem, stopsPart } from '@truelay/contract'
import { comeBackWords, faultWords, spoils } from '@truelay/core/judge'
import { atStart } from '@truelay/core/say'
import { useWords } from '../../../ui/words.ts'
import type { Fitting } from '../fitting.ts'

/** Problems whose time has come; spoilt pieces are settled in their own way. */
export const dueProblems = (state: Fitting): Problem[] =>
  openProblems(state).filter(({ problem, when }) => when !== undefined && !spoils(problem) && isDue(when, state))

/** What keeps the part from being done at its last step. */
export const stoppingProblems = (state: Fitting): Problem[] =>
  openProblems(state).filter((problem) => stopsPart(problem))

interface ComeBacksProps {
  readonly state: Fitting
  readonly onOpen: (problem: Problem) => void
}

/** The come-back list: what is due stands here by itself, each a tap from its cure. */
export function ComeBacks({ state, onOpen }: ComeBacksProps) {
  const t = useWords()
  const due = dueProblems(state)
  if (due.length === 0) return null
  return (
    <section aria-label={t`Come back to`} className="mb-3 border-l-8 border-amber bg-amber-tint px-4 py-2">
      <h3 className="label-strong text-body text-amber-ink">{t`Now come back to`}</h3>
      <ul>
        {due.map((problem) => (
          <li key={problem.id}>
            <button
              type="button"
              onClick={() => onOpen(problem)}
              className="flex min-h-12 w-full flex-wrap items-center justify-between gap-x-4 text-left text-lead font-bold hover:text-petrol"
            >
              <span>{t`${atStart(faultWords(problem.problem))}, ${problem.place}`}</span>
              <span className="label text-body font-normal text-quiet">
                {problem.when === undefined ? null : t(comeBackWords[problem.when])}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
