import type { AskedPromise } from '@truelay/contract'
import { addMinutes, startOfHour } from 'date-fns'
import { useLazyEarliestPromiseQuery } from '../../remote/dayApi.ts'
import { Button } from '../../ui/Button.tsx'
import { whenWords } from '../../ui/minutesWords.ts'
import { useNow } from '../../ui/useNow.ts'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'

interface EarliestPromiseProps {
  readonly asked: AskedPromise
  /** What is about to be promised, as it is typed. */
  readonly dueAt: string
  readonly onTake: (at: Date) => void
}

/** Nobody promises to the minute. */
const roundedMinutes = 10

const rounded = (at: Date): Date => {
  const hour = startOfHour(at)
  const over = Math.ceil((at.getTime() - hour.getTime()) / 60_000 / roundedMinutes) * roundedMinutes
  return addMinutes(hour, over)
}

/** Before it is promised: when it would be ready beside all that the shop has to do, so that nine of ten days keep it. */
export function EarliestPromise({ asked, dueAt, onTake }: EarliestPromiseProps) {
  const t = useWords()
  const now = useNow(60_000)
  const [ask, { data, error, isFetching, originalArgs }] = useLazyEarliestPromiseQuery()
  const arrives = new Date(asked.arrivesAt)
  const may = asked.parts.length > 0 && asked.personId !== '' && !Number.isNaN(arrives.getTime())
  const request = may ? { ...asked, arrivesAt: arrives.toISOString() } : null
  const isOfThis = JSON.stringify(request) === JSON.stringify(originalArgs)
  const sure = isOfThis && data?.sureAt != null ? rounded(new Date(data.sureAt)) : null
  return (
    <div className="border-l-5 border-petrol bg-petrol-tint px-3 py-2">
      {isFetching ? (
        <p role="status" className="text-body">{t`Looking through the plan of the day: some seconds`}</p>
      ) : sure === null ? (
        <>
          <p className="text-body">
            {isOfThis && data !== undefined
              ? t`No plan was found with it.`
              : may
                ? t`When can it be promised for?`
                : t`Tap the parts first: then the plan can say when it would be ready.`}
          </p>
          <Button
            className="mt-1"
            disabled={request === null}
            onClick={() => request !== null && void ask(request)}
          >{t`Ask the plan`}</Button>
        </>
      ) : (
        <div role="status">
          <p className="text-lead font-bold">{t`${whenWords(sure, now)}, kept on 9 of 10 days`}</p>
          {data?.readyAt == null ? null : (
            <p className="text-body text-quiet">{t`Ready about ${whenWords(new Date(data.readyAt), now)}, beside all else that is taken in.`}</p>
          )}
          {(data?.unknown ?? 0) === 0 ? null : (
            <p className="text-body text-amber-ink">{t`${data?.unknown} of its parts cannot be planned: add time for them.`}</p>
          )}
          {new Date(dueAt).getTime() === sure.getTime() ? null : (
            <Button look="go" className="mt-1" onClick={() => onTake(sure)}>{t`Promise that`}</Button>
          )}
        </div>
      )}
      <WhatFailed error={error} />
    </div>
  )
}
