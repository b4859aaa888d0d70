import { boundsOf } from '@truelay/core/geometry'
import { length } from '@truelay/core/say'
import { CountStepper } from '../../ui/CountStepper.tsx'
import { useWords } from '../../ui/words.ts'
import type { FilmToCut } from './toCut.ts'

const mostOfOne = 20

/** Every piece of the film with its mark on the roll, and how many of it are cut. */
export function PiecesToCut({
  film: { film, pieces },
  counts,
  onCount,
}: {
  readonly film: FilmToCut
  readonly counts: Readonly<Record<string, number>>
  readonly onCount: (pieceId: string, count: number) => void
}) {
  const t = useWords()
  return (
    <section aria-label={t`Pieces to cut`} className="px-5 pt-4">
      <h2 className="label-strong text-body">{film.name}</h2>
      <ul className="mt-1">
        {pieces.map(({ id, name, lacking, of, outline, forJob }, i) => {
          const count = counts[id] ?? lacking
          const isSheet = 'sheetOf' in of
          const { min, max } = boundsOf(outline)
          return (
            <li key={id} className="grid grid-cols-[2rem_1fr_auto] items-center gap-x-2 border-t border-hair py-2">
              <span className="text-lead font-bold">{i + 1}</span>
              <span className="min-w-0 text-body leading-tight">
                <span className="font-bold">{name}</span>
                {forJob === undefined ? null : <span className="block">{t`job ${forJob.number}`}</span>}
                {isSheet ? (
                  <span className="block">{t`sheet ${length(max[0] - min[0], 0)} by ${length(max[1] - min[1], 0)}, off the roll`}</span>
                ) : null}
                <span className="block text-quiet">
                  {lacking === 0 ? t`all there` : lacking === 1 ? t`1 is lacking` : t`${lacking} are lacking`}
                </span>
              </span>
              <CountStepper
                of={forJob === undefined ? name : t`${name}, job ${forJob.number}`}
                count={count}
                most={isSheet ? 1 : mostOfOne}
                onCount={(n) => onCount(id, n)}
                testId={`cut-${id}`}
              />
            </li>
          )
        })}
      </ul>
    </section>
  )
}
