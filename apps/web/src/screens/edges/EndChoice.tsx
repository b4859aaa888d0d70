import { type EdgeCode, edgeCodes } from '@truelay/core/form'
import { endRefused } from '@truelay/core/edges'
import { edgeAdvice, edgeCodeWords, ruleOfCode } from '@truelay/core/plan'
import { length } from '@truelay/core/say'
import { useSaveChoicesMutation } from '../../remote/jobApi.ts'
import { useWords } from '../../ui/words.ts'
import { useLaidPart } from '../laySheet/LaidFrame.tsx'
import { edgeLetters } from './edgeLetters.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

interface EndChoiceProps {
  readonly edge: string
  /** How it ends now. */
  readonly code: EdgeCode
}

/** How this edge ends on this part: the form's way is where it begins, and every other one says how much film it wants. */
export function EndChoice({ edge, code }: EndChoiceProps) {
  const t = useWords()
  const { bundle, part, question } = useLaidPart()
  const [save, { error, isLoading }] = useSaveChoicesMutation()
  const { form } = question.lay
  const own = [...form.edges, ...form.holes].find((e) => e.name === edge)
  const usual = own?.code
  const refusedAs = (option: EdgeCode) => (own === undefined || option === usual ? null : endRefused(own, option))
  const end = (chosen: EdgeCode) =>
    void save({
      jobId: bundle.job.id,
      partId: part.id,
      change: { ends: { [edge]: chosen === usual ? null : chosen } },
    })
  return (
    <ForRole least="installer">
      <section className="mt-4 border-t border-hair pt-3" aria-label={t`How it ends`}>
        <h3 className="label-strong text-body">{t`End it otherwise on this part?`}</h3>
        <WhatFailed error={error} />
        <ul className="mt-1 grid grid-cols-2 gap-1.5">
          {edgeCodes.map((option) => (
            <li key={option}>
              <button
                type="button"
                aria-pressed={option === code}
                disabled={isLoading || refusedAs(option) !== null}
                title={t(refusedAs(option) ?? edgeAdvice(option))}
                onClick={() => end(option)}
                className={`flex min-h-14 w-full items-center gap-2.5 border px-2.5 py-1.5 text-left disabled:text-quiet disabled:hover:border-ink/40 ${option === code ? 'border-petrol bg-petrol-tint' : 'border-ink/40 hover:border-petrol'}`}
              >
                <span className="label-strong flex size-8 shrink-0 items-center justify-center border-2 border-ink text-body">
                  {edgeLetters[option]}
                </span>
                <span className="text-body leading-tight">
                  <strong className="block">{t(edgeCodeWords[option])}</strong>
                  <span className="text-note text-quiet">
                    {option === usual ? (
                      t`as the form says`
                    ) : refusedAs(option) === null ? (
                      <Wants code={option} />
                    ) : (
                      t`not at this edge`
                    )}
                  </span>
                </span>
              </button>
            </li>
          ))}
        </ul>
      </section>
    </ForRole>
  )
}

/** How much film a way of ending wants. */
function Wants({ code }: { readonly code: EdgeCode }) {
  const t = useWords()
  const { question } = useLaidPart()
  const { minMm, maxMm } = ruleOfCode(code, question.work.practice)
  return maxMm <= 0 && minMm < 0
    ? t`${length(-maxMm)} to ${length(-minMm)} over`
    : t`${length(minMm)} to ${length(maxMm)} short`
}
