import type { PartProgress } from '@truelay/contract'
import { Link } from 'react-router'
import { clockText } from '../../../ui/clockText.ts'
import { wayToPart } from '../../../ui/wayToPart.ts'
import { useWords } from '../../../ui/words.ts'
import type { PersonLane } from './dayLanes.ts'

interface WorkListsProps {
  readonly lanes: readonly PersonLane[]
  readonly parts: ReadonlyMap<string, PartProgress>
  readonly now: Date
}

/** The day of each person as a list: what is still to come, the next on top. */
export function WorkLists({ lanes, parts, now }: WorkListsProps) {
  const t = useWords()
  return (
    <div className="grid gap-x-8 gap-y-4 pt-1 sm:grid-cols-2 lg:grid-cols-3">
      {lanes.map(({ person, bars }) => {
        const left = bars.filter(({ works }) => new Date(works.at(-1)?.endAt ?? 0) > now)
        return (
          <section key={person.id} aria-label={t`List of ${person.name}`}>
            <h3 className="text-lead font-bold">{person.name}</h3>
            {left.length === 0 ? <p className="text-body text-quiet">{t`nothing more`}</p> : null}
            <ol>
              {left.map(({ works }) => {
                const [first] = works
                const part = parts.get(first?.partId ?? '')
                if (first === undefined || part === undefined) return null
                return (
                  <li key={first.id} className="border-t border-hair">
                    <Link
                      to={wayToPart(part)}
                      className="flex min-h-11 items-baseline gap-3 py-1.5 leading-snug hover:underline"
                    >
                      <strong className="shrink-0 text-lead">{clockText(first.startAt)}</strong>
                      <span className="min-w-0 text-body">
                        {part.name} {first.says === null ? null : <span className="text-quiet">{t(first.says)}</span>}
                      </span>
                    </Link>
                  </li>
                )
              })}
            </ol>
          </section>
        )
      })}
    </div>
  )
}
