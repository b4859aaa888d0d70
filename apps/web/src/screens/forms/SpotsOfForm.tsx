import type { MeasuredSpot, SpotMiss } from '@truelay/core/form'
import { counted, length, name } from '@truelay/core/say'
import { Notice } from '../../ui/Notice.tsx'
import { useWords } from '../../ui/words.ts'

/** A target that the others miss by so many times its own sigma, and by so much, lies on something that is not drawn. */
const standsOut = { sigma: 6, mm: 1 } as const

/** Less than this is no difference for film. */
const readableMm = 0.1

/** Targets from photographs in place of readings: how sure each is, and what the form may be off between them. */
export function SpotsOfForm({
  spots,
  miss,
}: {
  readonly spots: readonly MeasuredSpot[]
  readonly miss: SpotMiss | null
}) {
  const t = useWords()
  const sigmas = spots.map(({ sigmaMm }) => sigmaMm)
  const worst = miss?.worst
  const own = spots.find((spot) => spot.name === worst?.name)?.sigmaMm ?? 0
  const draws = worst !== undefined && Math.abs(worst.missMm) > Math.max(standsOut.mm, standsOut.sigma * own)
  return (
    <div className="mb-2">
      <Notice look={draws ? 'caution' : 'good'}>
        <p className="text-body font-bold">
          {t`${counted(spots.length, 'One target', '# targets')} from photographs, heights sure to ${length(2 * Math.max(...sigmas), 1)}.`}
        </p>
        {miss === null || worst === undefined ? null : (
          <p className="text-body">
            {Math.abs(worst.missMm) < readableMm
              ? t`Without one of them the others find its place to within ${length(readableMm, 1)}.`
              : t`Without one of them the others miss its place by ${length(miss.rmsMm, 1)}, most at ${name(worst.name)}: ${length(Math.abs(worst.missMm), 1)}.`}
          </p>
        )}
        {draws ? (
          <p className="text-body">
            {t`Draw the body line or hollow that runs there (step 3), or stick more targets round it.`}
          </p>
        ) : null}
      </Notice>
    </div>
  )
}
