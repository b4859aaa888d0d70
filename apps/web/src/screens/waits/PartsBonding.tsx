import { Heading } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import type { JobBundle } from '@truelay/contract'
import type { Practice } from '@truelay/core/practice'
import { bondOver, type Climate } from '@truelay/core/wait'
import { useBayQuery } from '../../remote/api.ts'
import { whenWords } from '../../ui/minutesWords.ts'

interface PartsBondingProps {
  readonly bundle: JobBundle
  readonly now: Date
  readonly room: Climate
  readonly practice: Practice
}

/** How far each part of the job has bonded by now, or when the wait that runs on it is over. */
export function PartsBonding({ bundle, now, room, practice }: PartsBondingProps) {
  const t = useWords()
  const { data: bay } = useBayQuery(undefined, { pollingInterval: 30_000 })
  const parts = bay?.jobs.find((j) => j.job.id === bundle.job.id)?.parts ?? []
  const begun = parts.filter((p) => p.finishedAt !== null || p.readyAt !== null)
  if (begun.length === 0) return null
  return (
    <section aria-labelledby="parts-title" className="mt-4 border-t border-hair pt-4">
      <Heading id="parts-title">{t`The parts`}</Heading>
      <ul>
        {begun.map((part) => (
          <li
            key={part.partId}
            className="flex items-baseline justify-between gap-4 border-t border-hair py-1.5 text-body"
          >
            <strong>{part.name}</strong>
            <span className="text-right">
              {part.finishedAt !== null ? (
                <>
                  {t`bond now`}{' '}
                  <strong>
                    {Math.round(
                      100 *
                        bondOver(
                          [{ minutes: (now.getTime() - new Date(part.finishedAt).getTime()) / 60_000, climate: room }],
                          practice,
                        ),
                    )}{' '}
                    %
                  </strong>
                  <span className="text-quiet">{t`, finished ${whenWords(new Date(part.finishedAt), now)}`}</span>
                </>
              ) : (
                <>
                  {t`ready`} <strong>{whenWords(new Date(part.readyAt ?? ''), now)}</strong>
                  <span className="text-quiet">{t`, then ${part.nextStep}`}</span>
                </>
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
