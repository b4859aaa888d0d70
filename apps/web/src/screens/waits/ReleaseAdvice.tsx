import type { Job } from '@truelay/contract'
import type { Practice } from '@truelay/core/practice'
import { type Climate, releaseAt } from '@truelay/core/wait'
import { inWords, showTemperature } from '@truelay/core/units'
import { useMemo, useState } from 'react'
import { useForecastQuery } from '../../remote/airApi.ts'
import { Notice } from '../../ui/Notice.tsx'
import { TemperatureField } from '../../ui/TemperatureField.tsx'
import { useUnits } from '../../ui/units.ts'
import { useNow } from '../../ui/useNow.ts'
import { ageWords } from '../today/ageWords.ts'
import { whenWords } from './minutesWords.ts'

interface ReleaseAdviceProps {
  readonly job: Job
  readonly room: Climate
  readonly finishedAt: Date
  readonly practice: Practice
}

const stateWords = { fresh: '', late: 'late', silent: 'silent', nonsense: 'unusable', none: 'not connected' } as const

/** When the vehicle may go outside, by the forecast; without one, by the coldest temperature that is typed. */
export function ReleaseAdvice({ job, room, finishedAt, practice }: ReleaseAdviceProps) {
  const { data: forecast } = useForecastQuery(undefined, { pollingInterval: 600_000 })
  const now = useNow(30_000)
  const units = useUnits()
  const [expectedC, setExpectedC] = useState(8)
  const usable = forecast !== undefined && (forecast.state === 'fresh' || forecast.state === 'late')
  const hours = useMemo(
    () =>
      usable
        ? forecast.hours.map((h) => ({ at: new Date(h.at), temperatureC: h.temperatureC }))
        : Array.from({ length: 120 }, (_, hour) => ({
            at: new Date(finishedAt.getTime() + hour * 3_600_000),
            temperatureC: expectedC,
          })),
    [usable, forecast, finishedAt, expectedC],
  )
  const release = releaseAt({ finishedAt, room, forecast: hours }, practice, (c) =>
    inWords(showTemperature(c, units.temperature)),
  )
  const dueAt = new Date(job.dueAt)
  return (
    <section aria-labelledby="release-title">
      <h2 id="release-title" className="text-[24px] font-bold leading-tight">
        Out of the shop
      </h2>
      {release.ok ? (
        <>
          <p className="mt-1 text-[46px] font-bold leading-none" data-testid="release">
            {whenWords(release.value.at, now)}
          </p>
          <p className="mt-1.5 text-[19px] leading-snug">
            <strong className="inline-block first-letter:uppercase">{release.value.kind}</strong>.{' '}
            {release.value.because}
          </p>
          {release.value.at > dueAt ? (
            <div className="mt-2">
              <Notice look="caution">
                Promised for {whenWords(dueAt, now)}: tell the customer, or warm the room until then.
              </Notice>
            </div>
          ) : null}
        </>
      ) : (
        <Notice look="stop" role="alert">
          {release.failure.sentence} {release.failure.fix}
        </Notice>
      )}
      {usable ? (
        <p className="mt-2 text-[15px] text-quiet">
          Forecast of {forecast.at === null ? '' : ageWords(forecast.at, now)}
          {forecast.state === 'late' ? `. ${forecast.says} Look outside before you hand it over.` : '.'}
        </p>
      ) : (
        <div className="mt-3">
          <Notice look="caution" role="status">
            <strong>Forecast {stateWords[forecast?.state ?? 'none']}.</strong> {forecast?.says ?? ''} Type the coldest
            that is expected outside.
          </Notice>
          <div className="mt-3 w-56">
            <TemperatureField
              label="Coldest outside over the next day"
              valueC={expectedC}
              minC={-30}
              maxC={45}
              onCommitC={setExpectedC}
            />
          </div>
        </div>
      )}
    </section>
  )
}
