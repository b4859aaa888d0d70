import { jobId as jobIdSchema, type JobBundle, type Part } from '@truelay/contract'
import { useMemo } from 'react'
import { Link, useParams } from 'react-router'
import { useJobQuery } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { FitFinished } from './FitFinished.tsx'
import { FitRun } from './FitRun.tsx'
import { FitStart } from './FitStart.tsx'
import { useFit } from './useFit.ts'

const toBay = (
  <Link to="/" className={buttonClass('go')}>
    To the bay
  </Link>
)

/** The fit of one part, full screen. */
export function FitScreen() {
  const { jobId = '', partId = '' } = useParams()
  const id = useMemo(() => jobIdSchema.safeParse(jobId), [jobId])
  const { data: bundle, error } = useJobQuery(id.success ? id.data : jobIdSchema.parse('none'), { skip: !id.success })
  if (!id.success)
    return (
      <Failed sentence={`There is no such thing as a job "${jobId}".`} fix="Go to the bay and choose a vehicle there.">
        {toBay}
      </Failed>
    )
  if (bundle === undefined)
    return error === undefined ? <Busy text="Opening the fit" /> : <Failed {...failureOf(error)}>{toBay}</Failed>
  const part = bundle.parts.find((p) => p.id === partId)
  if (part === undefined)
    return (
      <Failed
        sentence={`There is no part "${partId}" in job ${bundle.job.number}.`}
        fix="Go to the bay and choose a part there."
      >
        {toBay}
      </Failed>
    )
  return <FitOfPart bundle={bundle} part={part} />
}

function FitOfPart({ bundle, part }: { readonly bundle: JobBundle; readonly part: Part }) {
  const { fit, error } = useFit(part.id, bundle.job.personId)
  if (fit === null)
    return error === undefined ? <Busy text="Opening the fit" /> : <Failed {...failureOf(error)}>{toBay}</Failed>
  const { state } = fit
  if (state.phase === 'not begun') return <FitStart bundle={bundle} part={part} happened={fit.happened} />
  if (state.phase === 'finished')
    return <FitFinished bundle={bundle} part={part} state={state} happened={fit.happened} />
  return (
    <FitRun
      bundle={bundle}
      part={part}
      state={state}
      happened={fit.happened}
      unsent={fit.unsent}
      away={fit.away}
      refusal={fit.refusal}
    />
  )
}
