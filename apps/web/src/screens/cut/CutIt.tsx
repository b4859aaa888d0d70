import type { JobBundle } from '@truelay/contract'
import type { Nested, NestRequest } from '@truelay/core/nest'
import type { Practice } from '@truelay/core/practice'
import type { FreeRectangle } from '@truelay/core/stock'
import { useNavigate } from 'react-router'
import { useWho } from '../../bench/useWho.ts'
import { usePlotterQuery } from '../../remote/cutApi.ts'
import { useWords } from '../../ui/words.ts'
import { CutToFile } from './CutToFile.tsx'
import { cutOf } from './cutFiles.ts'
import type { FilmToCut } from './toCut.ts'
import type { CutSource } from './cutSources.ts'
import { type CutWork, draftOf } from './cutWork.ts'
import { InPlotter } from './InPlotter.tsx'
import { OnPlotter } from './OnPlotter.tsx'

interface CutItProps {
  readonly bundle: JobBundle
  readonly practice: Practice
  readonly film: FilmToCut
  readonly source: CutSource
  readonly request: NestRequest
  /** Null while nothing is to be cut yet. */
  readonly nested: Nested | null
  /** What of the cut is put by. */
  readonly keeps: FreeRectangle | null
  /** The layout is taken as it is: nothing better is looked for any more. */
  readonly onTake: () => void
}

/** From the layout to cut pieces in the kit: on the connected plotter, or by a file. */
export function CutIt({ bundle: { job }, practice, film, source, request, nested, keeps, onTake }: CutItProps) {
  const t = useWords()
  const navigate = useNavigate()
  const who = useWho(job.personId)
  const { data: plotter } = usePlotterQuery()
  const work: CutWork = {
    job,
    film,
    ready: nested !== null && source.lot.trim() !== '',
    take: () => {
      if (nested === null) return null
      onTake()
      return {
        cut: cutOf(
          {
            title: t`Job ${job.number}, ${film.film.name}`,
            request,
            nested,
            marksOf: (id) => film.pieces.find((piece) => piece.id === id)?.marks ?? [],
          },
          practice,
        ),
        draft: draftOf({ id: crypto.randomUUID(), who, film, source, request, nested, keeps }),
      }
    },
    onCounted: () => void navigate(`/jobs/${job.id}/kit`),
  }
  return (
    <div className="border-t border-hair p-4">
      {plotter === undefined || plotter.state === 'none' ? null : (
        <>
          <InPlotter plotter={plotter} source={source} request={request} nested={nested} />
          <OnPlotter work={work} answers={plotter.value !== null} />
        </>
      )}
      <CutToFile work={work} first={plotter?.state === 'none'} />
    </div>
  )
}
