import type { Person, RollBook } from '@truelay/contract'
import { area } from '@truelay/core/say'
import { Link } from 'react-router'
import { ageWords } from '../../ui/ageWords.ts'
import { Heading } from '../../ui/Title.tsx'
import { useNow } from '../../ui/useNow.ts'
import { useWords } from '../../ui/words.ts'
import { lineWords, moneyWords } from './stockWords.ts'

interface RollLinesProps {
  readonly book: RollBook
  readonly people: readonly Person[]
  readonly money: string | undefined
}

/** The book of a roll, the latest on top: cuts with their job, the film that went into them and what it cost. */
export function RollLines({ book: { lines, account }, people, money }: RollLinesProps) {
  const t = useWords()
  const now = useNow(60_000)
  const costOf = (id: string) => account.cuts.find(({ cutId }) => cutId === id)
  return (
    <section aria-labelledby="roll-book">
      <Heading id="roll-book">{t`What became of it`}</Heading>
      {lines.length === 0 ? (
        <p className="mt-2 text-body text-quiet">{t`Nothing was cut from it yet.`}</p>
      ) : (
        <ul className="mt-2">
          {lines.map((line) => {
            const cut = line.happened.kind === 'cut' ? costOf(line.happened.cutId) : undefined
            return (
              <li key={line.id} className="flex justify-between gap-4 border-t border-hair py-2 text-body">
                <span>
                  <span className="inline-block first-letter:uppercase">{t(lineWords(line))}</span>
                  {line.job === null ? null : (
                    <>
                      {' '}
                      <Link
                        to={`/jobs/${line.job.jobId}`}
                        className="text-petrol underline"
                      >{t`job ${line.job.number}`}</Link>
                    </>
                  )}
                  <span className="block text-quiet">
                    {t`${people.find(({ id }) => id === line.personId)?.name ?? line.personId}, ${ageWords(line.at, now)}`}
                  </span>
                </span>
                {cut === undefined ? null : (
                  <span className="text-right">
                    {cut.cost === null ? null : <strong className="block">{t(moneyWords(cut.cost, money))}</strong>}
                    <span className="text-quiet">{t`${area(cut.filmMm2)} of film`}</span>
                  </span>
                )}
              </li>
            )
          })}
        </ul>
      )}
    </section>
  )
}
