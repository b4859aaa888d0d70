import type { CountedRoll, FilmInStock } from '@truelay/contract'
import { filmLength, length, list, say } from '@truelay/core/say'
import { Link } from 'react-router'
import { RollStrip } from '../../drawings/RollStrip.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { Heading } from '../../ui/Title.tsx'
import { useNow } from '../../ui/useNow.ts'
import { ageWords } from '../../ui/ageWords.ts'
import { useWords } from '../../ui/words.ts'
import { outlookWords, rollWords, yieldWords } from './stockWords.ts'

interface FilmOnRollsProps {
  readonly film: FilmInStock
  readonly name: string
  readonly rolls: readonly CountedRoll[]
}

const bars = { good: 'border-good', caution: 'border-amber', stop: 'border-stop' } as const

/** One film: how much of it there is, how far it lasts, and on which rolls and offcuts it is. */
export function FilmOnRolls({ film, name, rolls }: FilmOnRollsProps) {
  const t = useWords()
  const now = useNow(60_000)
  const { look, says } = outlookWords(film)
  return (
    <section aria-label={name} className="grid gap-x-8 gap-y-3 border-b border-hair px-6 py-4 lg:grid-cols-[22rem_1fr]">
      <div className={`border-l-5 pl-4 ${bars[look]}`}>
        <Heading>
          <Link to={`/shelf/films/${film.filmId}`} className="hover:text-petrol hover:underline">
            {name}
          </Link>
        </Heading>
        <p className="text-figure font-bold leading-none">
          <Quantity of={filmLength(film.outlook.leftMm)} unitClass="text-head" />
        </p>
        <p className="mt-2 text-body font-semibold leading-snug">{t(says)}</p>
        {film.jobs.length === 0 ? null : <p className="mt-1 text-note text-quiet">{t(yieldWords(film))}</p>}
      </div>
      {rolls.length === 0 ? (
        <p className="text-body text-quiet">{t`Its last roll is used up.`}</p>
      ) : (
        <ul className="grid content-start gap-3">
          {rolls.map(({ roll, account }) => (
            <li key={roll.id}>
              <Link to={`/shelf/rolls/${roll.id}`} className="group block">
                <span className="flex flex-wrap items-baseline justify-between gap-x-4 text-body">
                  <span>
                    <strong className="text-petrol underline">{t(rollWords(roll))}</strong>
                    <span className="text-quiet">{t`, lot ${roll.lot}, ${length(roll.widthMm, 0)} wide, came ${ageWords(roll.cameAt, now)}`}</span>
                  </span>
                  <span className="text-lead font-bold">{t`${filmLength(account.leftMm)}`}</span>
                </span>
                <RollStrip
                  lengthMm={roll.lengthMm}
                  leftMm={account.leftMm}
                  spoilt={account.spoilt}
                  className="mt-1 group-hover:border-petrol"
                />
                {account.offcuts.length === 0 ? null : (
                  <span className="mt-1 block text-body text-quiet">
                    {t`Put by: ${list(account.offcuts.map((o) => say`${length(o.lengthMm, 0)} by ${length(o.widthMm, 0)}`))}`}
                  </span>
                )}
              </Link>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
