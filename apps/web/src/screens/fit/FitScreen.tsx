import { name, say } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { jobId as jobIdSchema, type JobBundle, type Part } from '@truelay/contract'
import { useMemo } from 'react'
import { useParams } from 'react-router'
import { useWho } from '../../bench/useWho.ts'
import { useJobQuery } from '../../remote/jobApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { ToBay } from '../../ui/ToBay.tsx'
import { DidNotCount } from './DidNotCount.tsx'
import { FitFinished } from './FitFinished.tsx'
import { FitRun } from './FitRun.tsx'
import { FitStart } from './FitStart.tsx'
import { type Fit, useFit } from './useFit.ts'

/** The fit of one part, full screen. */
export function FitScreen() {
  const t = useWords()
  const { jobId = '', partId = '' } = useParams()
  const id = useMemo(() => jobIdSchema.safeParse(jobId), [jobId])
  const { data: bundle, error } = useJobQuery(id.success ? id.data : jobIdSchema.parse('none'), { skip: !id.success })
  if (!id.success)
    return (
      <Failed
        sentence={say`There is no such thing as a job "${name(jobId)}".`}
        fix={say`Go to the bay and choose a vehicle there.`}
      >
        <ToBay />
      </Failed>
    )
  if (bundle === undefined)
    return error === undefined ? (
      <Busy text={t`Opening the fit`} />
    ) : (
      <Failed {...failureOf(error)}>
        <ToBay />
      </Failed>
    )
  const part = bundle.parts.find((p) => p.id === partId)
  if (part === undefined)
    return (
      <Failed
        sentence={say`There is no part "${name(partId)}" in job ${name(bundle.job.number)}.`}
        fix={say`Go to the bay and choose a part there.`}
      >
        <ToBay />
      </Failed>
    )
  return <FitOfPart key={part.id} bundle={bundle} part={part} />
}

function FitOfPart({ bundle, part }: { readonly bundle: JobBundle; readonly part: Part }) {
  const t = useWords()
  const who = useWho(bundle.job.personId)
  const { fit, error } = useFit(part.id, who)
  if (fit === null)
    return error === undefined ? (
      <Busy text={t`Opening the fit`} />
    ) : (
      <Failed {...failureOf(error)}>
        <ToBay />
      </Failed>
    )
  return (
    <div className="flex h-full flex-col">
      <DidNotCount late={fit.late} />
      <div className="min-h-0 flex-1">
        <FitAsItStands bundle={bundle} part={part} fit={fit} />
      </div>
    </div>
  )
}

interface FitAsItStandsProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly fit: Fit
}

function FitAsItStands({ bundle, part, fit }: FitAsItStandsProps) {
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
