import type { JobId } from '@truelay/contract'
import { area } from '@truelay/core/say'
import { useFilmOfJobQuery } from '../../remote/cutApi.ts'
import { useWords } from '../../ui/words.ts'
import { moneyWords } from '../stock/stockWords.ts'

interface FilmSoFarProps {
  readonly jobId: JobId
  readonly money: string | undefined
}

/** The film that went into the job, piece by piece with its share of the waste, and what it cost. */
export function FilmSoFar({ jobId, money }: FilmSoFarProps) {
  const t = useWords()
  const { data: lines = [] } = useFilmOfJobQuery(jobId)
  if (lines.length === 0) return null
  const filmMm2 = lines.reduce((sum, line) => sum + line.filmMm2, 0)
  const costs = lines.flatMap(({ cost }) => (cost === null ? [] : [cost]))
  const cost = costs.reduce((sum, one) => sum + one, 0)
  return (
    <details className="mt-2 border-t border-hair px-5 py-3">
      <summary className="label cursor-pointer text-body text-petrol">
        {costs.length === 0
          ? t`Cut so far: ${area(filmMm2)} of film`
          : t`Cut so far: ${area(filmMm2)} of film, ${moneyWords(cost, money)}`}
      </summary>
      <ul className="mt-1">
        {lines.map((line) => (
          <li
            key={`${line.id} ${line.at}`}
            className="flex justify-between gap-3 border-t border-hair py-1.5 text-body"
          >
            <span>
              {line.count === 1 ? line.name : t`${line.name}, ${line.count} times`}
              <span className="block text-note text-quiet">{t`lot ${line.lot}`}</span>
            </span>
            <span className="text-right">
              {line.cost === null ? null : <strong className="block">{t(moneyWords(line.cost, money))}</strong>}
              <span className="text-note text-quiet">{t`${area(line.filmMm2)}`}</span>
            </span>
          </li>
        ))}
      </ul>
    </details>
  )
}
