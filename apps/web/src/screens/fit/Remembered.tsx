import type { JobBundle, Part } from '@truelay/contract'
import { fingerWords, heatWords, offsetWords, paceWords, pullWords } from '@truelay/core/memory'
import type { PartPlan } from '@truelay/core/plan'
import { Link } from 'react-router'
import { beginsThere, useRecallPart } from '../../bench/useRecallPart.ts'
import { useShift } from '../../bench/useShift.ts'
import { useWords } from '../../ui/words.ts'

interface RememberedProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly plan: PartPlan
}

/** What earlier fits of this part have taught, read before the liner is peeled. */
export function Remembered({ bundle, part, plan }: RememberedProps) {
  const t = useWords()
  const known = useRecallPart(bundle, part)
  const shift = useShift(part)
  if (known === null || known.fits === 0) return null
  const { offset } = known
  const toBegin = offset !== null && (offset.implausible || (offset.begin !== null && !beginsThere(offset, shift)))
  const took = paceWords(
    known,
    plan.steps.reduce((sum, step) => sum + step.minutes, 0),
  )
  const told = [
    ...fingerWords(known, plan.edges),
    ...pullWords(known),
    ...heatWords(known),
    ...(took === null ? [] : [took]),
  ]
  if (!toBegin && told.length === 0) return null
  return (
    <section
      aria-label={t`From earlier fits`}
      className="mt-3 max-w-4xl border-l-8 border-petrol bg-petrol-tint px-4 py-2 text-lead leading-snug"
    >
      {toBegin ? (
        <p className="font-bold">
          {t(offsetWords(offset, plan.directions))}{' '}
          <Link
            to={`/jobs/${bundle.job.id}/lay-sheets/${part.id}`}
            className="inline-flex min-h-11 items-center text-petrol underline"
          >{t`Begin with that, on the lay sheet`}</Link>
        </p>
      ) : null}
      {told.map((words) => (
        <p key={t(words)}>{t(words)}</p>
      ))}
    </section>
  )
}
