import type { HandedPart, HandOver, JobId } from '@truelay/contract'
import { faultWords } from '@truelay/core/judge'
import { findingMeanings } from '@truelay/core/plan'
import { atStart, clauses, clock, counted, day, name, say, type Sentence } from '@truelay/core/say'
import { Check, CircleDashed, Hourglass } from 'lucide-react'
import { Link } from 'react-router'
import { Heading } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'

const signs = { done: Check, fitting: Hourglass, waiting: CircleDashed } as const

const stateWords = (part: HandedPart): Sentence => {
  if (part.state === 'waiting') return say`not fitted`
  if (part.finishedAt === null) return say`begun, not finished`
  const done = say`${name(part.film)}, ${day(part.finishedAt)}, ${clock(part.finishedAt)}`
  return part.looked === 0 ? done : say`${done}; ${counted(part.looked, '# place', '# places')} looked at`
}

/** Every part with what was found before it, what is left as it is, and whether its light was read of. */
export function HandedParts({ sheet, jobId }: { readonly sheet: HandOver; readonly jobId: JobId }) {
  const t = useWords()
  return (
    <section aria-labelledby="parts-title" className="mt-5">
      <Heading id="parts-title">{t`The parts`}</Heading>
      <ul>
        {sheet.parts.map((part) => {
          const Sign = signs[part.state]
          return (
            <li key={part.partId} className="grid grid-cols-[2rem_1fr] gap-x-2 border-t border-hair py-2">
              <Sign
                size={24}
                aria-hidden="true"
                className={part.state === 'done' ? 'text-good' : part.state === 'fitting' ? 'text-amber' : 'text-quiet'}
              />
              <div className="text-body leading-snug">
                <p className="flex flex-wrap items-baseline justify-between gap-x-4">
                  <strong className="text-lead">{part.name}</strong>
                  <span className="text-quiet">{t(stateWords(part))}</span>
                </p>
                {part.left.map((left) => (
                  <p
                    key={`${left.at} ${left.place}`}
                    className={`mt-1 border-l-5 pl-2.5 ${left.stops ? 'border-stop' : left.accepted ? 'border-good' : 'border-amber'}`}
                  >
                    {t`${atStart(faultWords(left.problem))}, ${left.place}: ${
                      left.accepted
                        ? say`the customer has seen it and takes it`
                        : left.stops
                          ? say`has to be put right`
                          : say`we look at it again`
                    }`}
                  </p>
                ))}
                {part.found.length === 0 ? null : (
                  <p className="mt-1 text-quiet">
                    {t`There before: ${clauses(part.found.map(({ kind }) => findingMeanings[kind].says))}.`}
                  </p>
                )}
                {part.light === null ? null : part.acknowledged === null ? (
                  <p className="mt-1 border-l-5 border-amber pl-2.5">
                    {t`Nobody has read what is left of its light.`}{' '}
                    <Link
                      to={`/jobs/${jobId}/lay-sheets/${part.partId}/light`}
                      className="inline-flex min-h-11 items-center text-petrol underline"
                    >{t`Show it`}</Link>
                  </p>
                ) : (
                  <p className="mt-1 text-quiet">
                    {t`Its light: read by ${part.acknowledged.name}, ${day(part.acknowledged.at)}.`}
                  </p>
                )}
              </div>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
