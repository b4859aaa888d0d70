import type { JobBundle, KitCheck } from '@truelay/contract'
import type { Nested, NestRequest } from '@truelay/core/nest'
import type { Practice } from '@truelay/core/practice'
import { length } from '@truelay/core/say'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { useWho } from '../../bench/useWho.ts'
import { usePlotterQuery } from '../../remote/cutApi.ts'
import { Field, TextInput } from '../../ui/Field.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { useWords } from '../../ui/words.ts'
import { CutToFile } from './CutToFile.tsx'
import { cutOf } from './cutFiles.ts'
import type { FilmToCut } from './cutQuestion.ts'
import type { CutWork } from './cutWork.ts'
import { OnPlotter } from './OnPlotter.tsx'

interface CutItProps {
  readonly bundle: JobBundle
  readonly check: KitCheck
  readonly practice: Practice
  readonly film: FilmToCut
  readonly request: NestRequest
  /** Null while nothing is to be cut yet. */
  readonly nested: Nested | null
  /** The layout is taken as it is: nothing better is looked for any more. */
  readonly onTake: () => void
}

/** From the layout to cut pieces in the kit: on the connected plotter, or by a file. */
export function CutIt({ bundle: { job }, check, practice, film, request, nested, onTake }: CutItProps) {
  const t = useWords()
  const navigate = useNavigate()
  const who = useWho(job.personId)
  const { data: plotter } = usePlotterQuery()
  const [lot, setLot] = useState(film.pieces[0]?.piece.lot ?? '')
  const noLot = lot.trim() === ''
  const work: CutWork = {
    job,
    who,
    film,
    request,
    lot: lot.trim(),
    ready: nested !== null && !noLot,
    take: () => {
      if (nested === null) return null
      onTake()
      return cutOf(t`Job ${job.number}, ${film.film.name}`, request, nested, practice)
    },
    onCounted: () => void navigate(`/jobs/${job.id}/kit`),
  }
  const roll = plotter?.value ?? null
  return (
    <div className="border-t border-hair p-4">
      <Field
        label={t`Lot on the core of the roll`}
        problem={noLot ? t`Read it off the core: it goes on the record of every piece.` : undefined}
      >
        <TextInput value={lot} maxLength={40} onChange={(event) => setLot(event.target.value)} />
      </Field>
      {plotter === undefined || plotter.state === 'none' ? null : (
        <>
          <p className="mt-3 text-body text-quiet">
            {roll === null
              ? t`Plotter: ${plotter.says}`
              : t`In the plotter: ${length(roll.filmLeftMm, 0)} of film, ${length(roll.rollWidthMm, 0)} wide`}
          </p>
          {roll === null ? null : (
            <>
              {roll.rollWidthMm >= request.rollWidthMm ? null : (
                <Notice look="caution">
                  <span className="text-body">{t`The roll in the plotter is narrower than the one laid out here.`}</span>
                </Notice>
              )}
              {nested === null || roll.filmLeftMm >= nested.usedLengthMm ? null : (
                <Notice look="caution">
                  <span className="text-body">{t`The plotter has less film than this takes.`}</span>
                </Notice>
              )}
            </>
          )}
          <OnPlotter work={work} />
        </>
      )}
      <CutToFile work={work} check={check} first={plotter?.state === 'none'} />
    </div>
  )
}
