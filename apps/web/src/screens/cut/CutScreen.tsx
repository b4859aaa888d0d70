import type { CutDone, JobBundle, KitCheck, Stock } from '@truelay/contract'
import { practiceWith } from '@truelay/core/practice'
import { say } from '@truelay/core/say'
import { useMemo } from 'react'
import { Link, useSearchParams } from 'react-router'
import { useBayQuery } from '../../remote/api.ts'
import { useCutsQuery } from '../../remote/cutApi.ts'
import { useStockQuery } from '../../remote/stockApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { useKitCheckQuery } from '../../remote/kitCheckApi.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Busy, Failed, NothingYet } from '../../ui/Failed.tsx'
import { useWords } from '../../ui/words.ts'
import { useJobContext } from '../job/JobFrame.tsx'
import { CutOfFilm } from './CutOfFilm.tsx'
import { filmsToCut } from './cutQuestion.ts'

/** What a job’s parts need, laid out on the roll, cut and counted in. */
export function CutScreen() {
  const t = useWords()
  const { bundle } = useJobContext()
  const { data: check, error: checkError } = useKitCheckQuery(bundle.job.id)
  const { data: cuts, error: cutsError } = useCutsQuery(bundle.job.id)
  const { data: stock, error: stockError } = useStockQuery()
  if (check === undefined || cuts === undefined || stock === undefined) {
    const error = checkError ?? cutsError ?? stockError
    return error === undefined ? <Busy text={t`Opening the kit`} /> : <Failed {...failureOf(error)} />
  }
  return <CutOfJob bundle={bundle} check={check} cuts={cuts} stock={stock} />
}

interface CutOfJobProps {
  readonly bundle: JobBundle
  readonly check: KitCheck
  readonly cuts: readonly CutDone[]
  readonly stock: Stock
}

function CutOfJob({ bundle, check, cuts, stock }: CutOfJobProps) {
  const t = useWords()
  const practice = useMemo(() => practiceWith(bundle.shop.practice), [bundle.shop.practice])
  const { data: bay } = useBayQuery()
  /** Parts that a spoilt piece left waiting for another one off the roll. */
  const awaited = useMemo(
    () =>
      bay?.jobs
        .find(({ job }) => job.id === bundle.job.id)
        ?.parts.filter(({ awaits }) => awaits === 'roll')
        .map(({ partId }) => partId) ?? [],
    [bay, bundle.job.id],
  )
  const films = useMemo(
    () => filmsToCut({ bundle, arrived: check.arrived, cuts, practice, awaited }),
    [bundle, check.arrived, cuts, practice, awaited],
  )
  // In the address, so that it is still chosen when the page is opened again.
  const [params, setParams] = useSearchParams()
  const chosen = params.get('film')
  const film =
    films.find((f) => f.film.id === chosen) ??
    films.find(({ pieces }) => pieces.some(({ lacking }) => lacking > 0)) ??
    films[0]
  if (film === undefined)
    return (
      <NothingYet
        sentence={say`No part of this job has a pattern that could be cut.`}
        next={say`Bring in a pattern for a part, or cut it from the roll on the vehicle.`}
      >
        <Link to={`/jobs/${bundle.job.id}/kit`} className={buttonClass('go')}>{t`To the kit`}</Link>
      </NothingYet>
    )
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      {films.length < 2 ? null : (
        <div className="border-b border-hair px-5 py-2">
          <Choice
            label={t`Film`}
            value={film.film.id}
            options={films.map((f) => ({ value: f.film.id, text: f.film.name }))}
            onChange={(id) => setParams({ film: id }, { replace: true })}
          />
        </div>
      )}
      <CutOfFilm key={film.film.id} bundle={bundle} check={check} practice={practice} film={film} stock={stock} />
    </div>
  )
}
