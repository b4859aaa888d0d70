import { Link } from 'react-router'
import { useWaitBell } from '../../bench/useWaitBell.ts'
import { useBayQuery } from '../../remote/api.ts'
import { countText } from '../../ui/clockText.ts'
import { useWords } from '../../ui/words.ts'

interface WaitMeanwhileProps {
  /** The address of a fit that waits. */
  readonly fit: string
  readonly now: Date
}

/** How long the part still dries from which one came here, with its bell; once it is ready, the way back is not to be missed. */
export function WaitMeanwhile({ fit, now }: WaitMeanwhileProps) {
  const t = useWords()
  const { data: bay } = useBayQuery(undefined, { pollingInterval: 30_000 })
  const part = bay?.jobs.flatMap((one) => one.parts).find(({ jobId, partId }) => fit === `/jobs/${jobId}/fit/${partId}`)
  const readyAt = part?.readyAt == null ? null : new Date(part.readyAt)
  useWaitBell(
    part === undefined || readyAt === null
      ? []
      : [{ id: `${part.partId} ${part.readyAt}`, until: readyAt, words: t`${part.name}: ${part.nextStep}` }],
    now,
  )
  if (part === undefined) return null
  const left = readyAt === null ? 0 : readyAt.getTime() - now.getTime()
  return (
    <Link
      to={fit}
      className={`flex min-h-14 flex-wrap items-center gap-x-4 border-l-8 px-6 py-1.5 text-head ${left > 0 ? 'border-petrol bg-petrol-tint' : 'border-amber bg-amber-tint text-amber-ink'}`}
    >
      <strong>{left > 0 ? t`${part.name}: ${countText(left)} left` : t`${part.name} is ready: go back`}</strong>
      <span className="text-lead">{part.nextStep === null ? '' : t(part.nextStep)}</span>
    </Link>
  )
}
