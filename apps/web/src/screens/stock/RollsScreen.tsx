import { say } from '@truelay/core/say'
import { PackagePlus } from 'lucide-react'
import { Link } from 'react-router'
import { useShelfQuery } from '../../remote/shelfApi.ts'
import { useStockQuery } from '../../remote/stockApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { FilmOnRolls } from './FilmOnRolls.tsx'

/** The rolls of the shop, film by film: what is left, how far it lasts, what to order. What runs short stands first. */
export function RollsScreen() {
  const t = useWords()
  const { data: stock, error } = useStockQuery()
  const { data: shelf, error: shelfError } = useShelfQuery()
  if (stock === undefined || shelf === undefined) {
    const wrong = error ?? shelfError
    return wrong === undefined ? <Busy text={t`Counting the rolls`} /> : <Failed {...failureOf(wrong)} />
  }
  const nameOf = (id: string) => shelf.films.find((film) => film.id === id)?.name ?? id
  const urgency = ({ outlook }: (typeof stock.films)[number]) =>
    outlook.firstShort !== null ? 0 : outlook.reorder ? 1 : 2
  const films = [...stock.films].sort(
    (a, b) => urgency(a) - urgency(b) || nameOf(a.filmId).localeCompare(nameOf(b.filmId)),
  )
  const toOrder = films.filter(({ outlook }) => outlook.reorder).length
  return (
    <div>
      <header className="flex flex-wrap items-end justify-between gap-4 border-b border-hair bg-paper px-6 py-4">
        <div>
          <Link to="/shelf" className="label text-body text-petrol underline">{t`Shelf`}</Link>
          <Title>{t`Rolls`}</Title>
          <p className="text-body text-quiet">
            {toOrder === 0
              ? t`${stock.rolls.length} rolls; nothing has to be ordered.`
              : t`${stock.rolls.length} rolls; ${toOrder} of ${films.length} films have to be ordered.`}
          </p>
        </div>
        <Link to="/shelf/rolls/new" className={buttonClass('go')}>
          <PackagePlus size={20} /> {t`A new roll`}
        </Link>
      </header>
      {films.length === 0 ? (
        <Failed
          sentence={say`No roll is on the shelf yet.`}
          fix={say`Put the rolls there that you cut from: every cut then takes its film from its lot, and you see how far it lasts.`}
        >
          <Link to="/shelf/rolls/new" className={buttonClass('go')}>{t`A new roll`}</Link>
        </Failed>
      ) : (
        films.map((film) => (
          <FilmOnRolls
            key={film.filmId}
            film={film}
            name={nameOf(film.filmId)}
            rolls={stock.rolls.filter(({ roll }) => roll.filmId === film.filmId)}
          />
        ))
      )}
    </div>
  )
}
