import type { DayPlan, PartProgress } from '@truelay/contract'
import { minutes } from '@truelay/core/say'
import { Link } from 'react-router'
import { wayToPart } from '../../../ui/wayToPart.ts'
import { useWords } from '../../../ui/words.ts'

interface OverdueProps {
  readonly plan: DayPlan
  readonly parts: ReadonlyMap<string, PartProgress>
}

/** Film that has waited longer than it may: it comes before everything else. */
export function Overdue({ plan, parts }: OverdueProps) {
  const t = useWords()
  const rows = (plan.overdue ?? []).flatMap(({ partId, minutes: over }) => {
    const part = parts.get(partId)
    return part === undefined ? [] : [{ part, over }]
  })
  if (rows.length === 0) return null
  return (
    <ul className="mb-2 space-y-1" aria-label={t`Waited too long`}>
      {rows.map(({ part, over }) => (
        <li key={part.partId}>
          <Link
            to={wayToPart(part)}
            className="flex min-h-12 flex-wrap items-center gap-x-3 border-l-8 border-amber bg-amber-tint px-4 text-lead font-bold text-amber-ink"
          >
            {t`${part.name}: ${minutes(over)} over its time. Go there first.`}
            <span className="font-normal">{part.nextStep === null ? '' : t(part.nextStep)}</span>
          </Link>
        </li>
      ))}
    </ul>
  )
}
