import type { PartId } from '@truelay/contract'
import { Link } from 'react-router'
import { useWaitBell } from '../../bench/useWaitBell.ts'
import { useBayQuery } from '../../remote/api.ts'
import { countText } from '../../ui/clockText.ts'
import { goBackTo } from '../../ui/goBackTo.ts'
import { wayToPart } from '../../ui/wayToPart.ts'
import { useWords } from '../../ui/words.ts'

interface GoBackProps {
  /** The part that is worked at here: its own clock stands below; null where none is. */
  readonly partId: PartId | null
  readonly now: Date
}

/** While one works at a part, or at none: another one that cannot wait any longer, with a bell and the way there. */
export function GoBack({ partId, now }: GoBackProps) {
  const t = useWords()
  const { data: bay } = useBayQuery(undefined, { pollingInterval: 30_000 })
  const parts = bay?.jobs.flatMap((one) => one.parts) ?? []
  const others = goBackTo(parts.filter((part) => part.partId !== partId))
  useWaitBell(
    others.map(({ part, near }) => ({
      id: `${part.partId} by ${part.mustBy}`,
      until: near,
      words: t`${part.name}: ${part.nextStep}`,
    })),
    now,
  )
  const [first] = others.filter(({ near }) => near <= now)
  if (first === undefined) return null
  const left = first.by.getTime() - now.getTime()
  return (
    <Link
      to={wayToPart(first.part)}
      className="flex min-h-14 shrink-0 flex-wrap items-center gap-x-4 border-l-8 border-amber bg-amber-tint px-6 py-1.5 text-head text-amber-ink"
    >
      <strong>
        {left > 0
          ? t`Back to ${first.part.name}: ${countText(left)} left`
          : t`Back to ${first.part.name}: ${countText(-left)} over its time`}
      </strong>
      <span className="text-lead">{first.part.nextStep === null ? '' : t(first.part.nextStep)}</span>
    </Link>
  )
}
