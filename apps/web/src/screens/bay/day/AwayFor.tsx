import type { Person } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { addDays, addHours, endOfDay } from 'date-fns'
import { Button } from '../../../ui/Button.tsx'
import { useWords } from '../../../ui/words.ts'
import { WhatFailed } from '../../frame/WhatFailed.tsx'
import { awayWords, useWishes, withAway } from './useWishes.ts'

interface AwayForProps {
  readonly person: Person
  readonly now: Date
  readonly onClose: () => void
}

/** Somebody is ill, or called away: for how long. The plan goes on without them. */
export function AwayFor({ person, now, onClose }: AwayForProps) {
  const t = useWords()
  const { wishes, wish, isLoading, error } = useWishes()
  const away = wishes.away.find(({ personId, until }) => personId === person.id && new Date(until) > now)
  const spans = [
    { until: addHours(now, 1), says: say`for an hour` },
    { until: endOfDay(now), says: say`today` },
    { until: endOfDay(addDays(now, 1)), says: say`tomorrow as well` },
  ]
  const set = async (until: Date | null) => {
    await wish(
      withAway(wishes, person.id, until?.toISOString() ?? null),
      until === null ? say`${name(person.name)} is here.` : awayWords(person.name, until, now),
    )
    onClose()
  }
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2 border-l-8 border-amber bg-amber-tint px-4 py-2">
      <p className="mr-2 text-lead font-bold">{t`${person.name} is not here`}</p>
      {spans.map(({ until, says }) => (
        <Button key={t(says)} disabled={isLoading} onClick={() => void set(until)}>
          {t(says)}
        </Button>
      ))}
      {away === undefined ? null : (
        <Button look="go" disabled={isLoading} onClick={() => void set(null)}>{t`Here again`}</Button>
      )}
      <Button look="quiet" onClick={onClose}>{t`Close`}</Button>
      <WhatFailed error={error} />
    </div>
  )
}
