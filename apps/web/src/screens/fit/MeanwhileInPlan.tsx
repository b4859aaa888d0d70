import { type PartId, type PersonId, worksHere } from '@truelay/contract'
import { minutes } from '@truelay/core/say'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { useWho } from '../../bench/useWho.ts'
import { useBayQuery } from '../../remote/api.ts'
import { useDayQuery } from '../../remote/dayApi.ts'
import { wayToPart } from '../../ui/wayToPart.ts'
import { useWords } from '../../ui/words.ts'
import { meanwhileOf } from './meanwhileOf.ts'

interface MeanwhileInPlanProps {
  readonly partId: PartId
  /** Whose job it is. */
  readonly personId: PersonId
  readonly now: Date
  /** When the wait is over. */
  readonly until: Date
  /** Offered where the plan has no work for them. */
  readonly children: ReactNode
}

/** What the plan of the day has for these hands while this part dries, with one tap; who else is free where the next step here needs two. */
export function MeanwhileInPlan({ partId, personId, now, until, children }: MeanwhileInPlanProps) {
  const t = useWords()
  const { data: day } = useDayQuery(undefined, { pollingInterval: 30_000 })
  const { data: bay } = useBayQuery()
  const who = useWho(personId)
  if (day === undefined || bay === undefined) return null
  if (day.plan === null) return children
  const { work, helpers } = meanwhileOf(day.plan, { partId, person: who, now, until })
  const part = bay.jobs.flatMap((one) => one.parts).find((one) => one.partId === work?.partId)
  const names = bay.people.filter((person) => worksHere(person) && helpers.includes(person.id)).map((one) => one.name)
  const left = Math.max(1, Math.round((until.getTime() - now.getTime()) / 60_000))
  return (
    <>
      {work === null || part === undefined ? (
        children
      ) : (
        <Link
          to={wayToPart(part)}
          className="flex min-h-18 flex-col justify-center border-l-8 border-petrol bg-petrol-tint px-6 py-2 hover:bg-film"
        >
          <strong className="text-head leading-tight">{t`${minutes(left)}: ${part.name}`}</strong>
          <span className="text-lead leading-tight">{t`by the plan of the day: ${work.says}`}</span>
        </Link>
      )}
      {names.length === 0 ? null : (
        <p className="border-l-8 border-hair px-6 text-lead">{t`The next step here needs two: ${names.join(', ')} comes to it.`}</p>
      )}
    </>
  )
}
