import { counted, name, say } from '@truelay/core/say'
import { PackagePlus } from 'lucide-react'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useShelfQuery } from '../../remote/shelfApi.ts'
import { useStockQuery } from '../../remote/stockApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { Notice } from '../../ui/Notice.tsx'
import { ScanText } from '../../ui/ScanText.tsx'
import { FilmOnRolls } from './FilmOnRolls.tsx'
import { rollOfLabel } from './stockWords.ts'

/** The rolls of the shop, film by film: what is left, how far it lasts, what to order. What runs short stands first. */
export function RollsScreen() {
  const t = useWords()
  const navigate = useNavigate()
  const [problem, setProblem] = useState<string | null>(null)
  const { data: stock, error } = useStockQuery()
  const { data: shelf, error: shelfError } = useShelfQuery()
  if (stock === undefined || shelf === undefined) {
    const wrong = error ?? shelfError
    return wrong === undefined ? <Busy text={t`Counting the rolls`} /> : <Failed {...failureOf(wrong)} />
  }
  const scanned = (text: string) => {
    const id = rollOfLabel(text)
    if (id !== null) void navigate(`/shelf/rolls/${id}`)
    else setProblem(t`"${name(text.trim().slice(0, 40))}" is no label of a core. Scan the square code inside the roll.`)
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
              ? t`${counted(stock.rolls.length, '# roll', '# rolls')}; nothing has to be ordered.`
              : t`${counted(stock.rolls.length, '# roll', '# rolls')}; ${counted(toOrder, '# film has', '# films have')} to be ordered.`}
          </p>
        </div>
        <span className="flex flex-wrap items-end gap-3">
          <ScanText
            label={t`Scan the label of a core`}
            begins="TLR1"
            onText={scanned}
            onProblem={setProblem}
            className="flex items-end gap-3 [&>*]:mt-0 [&>*]:w-auto"
          />
          <Link to="/shelf/rolls/new" className={buttonClass('go')}>
            <PackagePlus size={20} /> {t`A new roll`}
          </Link>
        </span>
      </header>
      {problem === null ? null : (
        <Notice look="stop" role="alert">
          <span className="text-body">{problem}</span>
        </Notice>
      )}
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
