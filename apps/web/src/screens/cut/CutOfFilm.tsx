import type { JobBundle, KitCheck, Stock } from '@truelay/contract'
import { putDown } from '@truelay/core/nest'
import type { Practice } from '@truelay/core/practice'
import { length, percent } from '@truelay/core/say'
import { useMemo, useState } from 'react'
import { type PutByHand, RollPicture } from '../../drawings/RollPicture.tsx'
import { Button } from '../../ui/Button.tsx'
import { Failed } from '../../ui/Failed.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useWords } from '../../ui/words.ts'
import { cutQuestion } from './cutQuestion.ts'
import type { FilmToCut } from './toCut.ts'
import { CutIt } from './CutIt.tsx'
import { anotherRoll, type CutSource, sourcesOf, usualSource } from './cutSources.ts'
import { leftOfCut } from './leftOfCut.ts'
import { RollChoice } from './RollChoice.tsx'
import { PiecesToCut } from './PiecesToCut.tsx'
import { useLayout } from './useLayout.ts'

interface CutOfFilmProps {
  readonly bundle: JobBundle
  readonly check: KitCheck
  readonly practice: Practice
  readonly film: FilmToCut
  readonly stock: Stock
}

/** The pieces of one film on its roll: looked for, changed by hand, cut, counted in. */
export function CutOfFilm({ bundle, check, practice, film, stock }: CutOfFilmProps) {
  const t = useWords()
  const [counts, setCounts] = useState<Readonly<Record<string, number>>>({})
  const [chosen, setChosen] = useState<CutSource | null>(null)
  const sources = useMemo(() => sourcesOf(film.film.id, stock), [film, stock])
  const source =
    (chosen?.roll === null ? chosen : sources.find(({ key }) => key === chosen?.key)) ??
    usualSource(sources, film.pieces, practice.cutYield / 100) ??
    anotherRoll(practice.rollWidth, lotInKit(film, bundle.pieces))
  const [inTheWay, setInTheWay] = useState<string | null>(null)
  const { widthMm, lengthMm, spoilt } = source
  const request = useMemo(
    () => cutQuestion(film, counts, practice, { widthMm, lengthMm, spoilt }),
    [film, counts, practice, widthMm, lengthMm, spoilt],
  )
  const layout = useLayout(request.pieces.length === 0 ? null : request, practice.nestSeconds)
  const { nested, searching, failure } = layout
  const left = useMemo(
    () => (nested === null ? null : leftOfCut(request, nested, practice.offcutLeast, source.roll?.offcutId != null)),
    [request, nested, practice, source],
  )
  const [keep, setKeep] = useState(true)
  const worthKeeping = source.roll === null || searching ? null : left
  const keeps = keep ? worthKeeping : null
  const nameOf = (id: string) => {
    const place = film.pieces.findIndex((piece) => piece.id === id)
    return { name: film.pieces[place]?.name ?? id, mark: String(place + 1) }
  }
  const put = (index: number, at: PutByHand) => {
    if (nested === null) return
    const placements = putDown(request, nested.placements, index, at)
    setInTheWay(
      placements === null
        ? t`${nameOf(nested.placements[index]?.id ?? '').name} does not fit there: it went back.`
        : null,
    )
    if (placements !== null) layout.byHand(placements)
  }
  return (
    <div className="flex min-h-0 flex-1 flex-col lg:grid lg:grid-cols-[1fr_23.75rem]">
      <section aria-label={t`On the roll`} className="flex min-h-0 min-w-0 flex-col p-5">
        {failure !== null ? (
          <Failed sentence={failure.sentence} fix={failure.fix} />
        ) : nested === null ? (
          <p className="text-lead text-quiet" role="status">
            {searching
              ? t`Laying the pieces out`
              : t`Nothing is left to cut of this film. Add a piece to cut one more.`}
          </p>
        ) : (
          <>
            <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
              <p className="text-figure font-bold leading-none" data-testid="roll-used">
                <Quantity of={length(nested.usedLengthMm, 0)} unitClass="text-head" />
              </p>
              <p className="text-lead leading-snug">
                {t`of roll ${length(request.rollWidthMm, 0)} wide`}
                <span className="block text-body text-quiet">{t`${percent(100 * nested.utilisation, 0)} of it becomes pieces`}</span>
              </p>
              <div className="ml-auto flex items-center gap-3">
                {searching ? (
                  <>
                    <span role="status" className="text-body text-quiet">{t`Looking for a shorter layout`}</span>
                    <Button onClick={layout.stop}>{t`This one will do`}</Button>
                  </>
                ) : (
                  <Button onClick={layout.again}>{t`Look again`}</Button>
                )}
              </div>
            </div>
            {inTheWay === null ? null : (
              <div className="mt-2">
                <Notice look="caution" role="status">
                  <span className="text-body">{inTheWay}</span>
                </Notice>
              </div>
            )}
            <div className="mt-3 flex min-h-[22rem] flex-1 items-start lg:min-h-0">
              <RollPicture
                request={request}
                nested={nested}
                nameOf={nameOf}
                keeps={keeps}
                onPut={searching ? undefined : put}
              />
            </div>
            {worthKeeping === null ? null : (
              <label className="flex min-h-11 items-center gap-3 text-body">
                <input
                  type="checkbox"
                  checked={keep}
                  onChange={(event) => setKeep(event.target.checked)}
                  className="size-6 accent-petrol"
                />
                {t`Put by what is left: ${length(worthKeeping.lengthMm, 0)} by ${length(worthKeeping.widthMm, 0)}`}
              </label>
            )}
            <p className="text-body text-quiet">
              {searching
                ? t`The roll begins at the left. Pieces can be moved by hand once a layout is taken.`
                : t`Drag a piece to move it: it goes close up to its neighbours. Or choose one by Tab, move it with the arrows, turn it with R.`}
            </p>
          </>
        )}
      </section>
      <aside className="flex min-h-0 flex-col border-t border-hair bg-paper lg:border-l lg:border-t-0">
        <div className="min-h-0 flex-1 overflow-y-auto">
          <RollChoice film={film} check={check} sources={sources} chosen={source} onChoose={setChosen} />
          <PiecesToCut
            film={film}
            counts={counts}
            onCount={(id, n) => setCounts((before) => ({ ...before, [id]: n }))}
          />
        </div>
        <CutIt
          bundle={bundle}
          practice={practice}
          film={film}
          source={source}
          request={request}
          nested={nested}
          keeps={keeps}
          onTake={layout.stop}
        />
      </aside>
    </div>
  )
}

/** The lot that the kit of the job is of: the likeliest, where the shop keeps no book of its rolls. */
const lotInKit = ({ film }: FilmToCut, pieces: JobBundle['pieces']) =>
  pieces.find(({ filmId }) => filmId === film.id)?.lot ?? ''
