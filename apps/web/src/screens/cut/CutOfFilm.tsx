import type { JobBundle, JobId, KitCheck, Stock } from '@truelay/contract'
import type { Practice } from '@truelay/core/practice'
import { useMemo, useState } from 'react'
import { Failed } from '../../ui/Failed.tsx'
import { useWords } from '../../ui/words.ts'
import { type JobToCut, useJobsToCutQuery } from '../../remote/cutApi.ts'
import { cutQuestion, together } from './cutQuestion.ts'
import { CutWhatFits } from './CutWhatFits.tsx'
import { FilmSoFar } from './FilmSoFar.tsx'
import { LaidOut } from './LaidOut.tsx'
import { OtherJobs } from './OtherJobs.tsx'
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

const noJobs: readonly JobToCut[] = []

/** The pieces of one film on its roll: looked for, changed by hand, cut, counted in. */
export function CutOfFilm({ bundle, check, practice, film: ownFilm, stock }: CutOfFilmProps) {
  const t = useWords()
  const [withJobs, setWithJobs] = useState<readonly JobId[]>([])
  const [byVehicle, setByVehicle] = useState(false)
  const { data: others = noJobs } = useJobsToCutQuery(withJobs, { skip: withJobs.length === 0 })
  const film = useMemo(
    () =>
      together(
        ownFilm,
        others
          .filter(({ bundle: other }) => withJobs.includes(other.job.id))
          .map((other) => ({ bundle: other.bundle, arrived: other.check.arrived, practice })),
      ),
    [ownFilm, others, withJobs, practice],
  )
  const [counts, setCounts] = useState<Readonly<Record<string, number>>>({})
  const [chosen, setChosen] = useState<CutSource | null>(null)
  const sources = useMemo(() => sourcesOf(film.film.id, stock), [film, stock])
  const source =
    (chosen?.roll === null ? chosen : sources.find(({ key }) => key === chosen?.key)) ??
    usualSource(sources, film.pieces, practice.cutYield / 100) ??
    anotherRoll(practice.rollWidth, lotInKit(film, bundle.pieces))
  const { widthMm, lengthMm, spoilt } = source
  const request = useMemo(
    () => cutQuestion(film, counts, practice, { widthMm, lengthMm, spoilt }, byVehicle && withJobs.length > 0),
    [film, counts, practice, widthMm, lengthMm, spoilt, byVehicle, withJobs],
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
  const otherJobs =
    stock.films.find(({ filmId }) => filmId === film.film.id)?.jobs.filter(({ jobId }) => jobId !== bundle.job.id) ?? []
  return (
    <div className="flex min-h-0 flex-1 flex-col lg:grid lg:grid-cols-[1fr_23.75rem]">
      <section aria-label={t`On the roll`} className="flex min-h-0 min-w-0 flex-col p-5">
        {failure !== null ? (
          <Failed sentence={failure.sentence} fix={failure.fix}>
            {lengthMm === null ? null : <CutWhatFits request={request} onCounts={setCounts} />}
          </Failed>
        ) : nested === null ? (
          <p className="text-lead text-quiet" role="status">
            {searching
              ? t`Laying the pieces out`
              : t`Nothing is left to cut of this film. Add a piece to cut one more.`}
          </p>
        ) : (
          <LaidOut
            request={request}
            nested={nested}
            layout={layout}
            nameOf={nameOf}
            worthKeeping={worthKeeping}
            keep={keep}
            onKeep={setKeep}
          />
        )}
      </section>
      <aside className="flex min-h-0 flex-col border-t border-hair bg-paper lg:border-l lg:border-t-0">
        <div className="min-h-0 flex-1 overflow-y-auto">
          <RollChoice film={film} check={check} sources={sources} chosen={source} onChoose={setChosen} />
          <OtherJobs
            jobs={otherJobs}
            chosen={withJobs}
            byVehicle={byVehicle}
            onChoose={setWithJobs}
            onByVehicle={setByVehicle}
          />
          <PiecesToCut
            film={film}
            counts={counts}
            onCount={(id, n) => setCounts((before) => ({ ...before, [id]: n }))}
          />
          <FilmSoFar jobId={bundle.job.id} money={bundle.shop.money} />
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
