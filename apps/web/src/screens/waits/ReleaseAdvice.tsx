import { Heading } from '../../ui/Title.tsx'
import { wholeFailure } from '@truelay/core/result'
import { useWords } from '../../ui/words.ts'
import type { Job } from '@truelay/contract'
import type { Practice } from '@truelay/core/practice'
import type { Climate, Release } from '@truelay/core/wait'
import { say, type Sentence } from '@truelay/core/say'
import { useState } from 'react'
import { useRelease } from '../../bench/useRelease.ts'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useNow } from '../../ui/useNow.ts'
import { ageWords } from '../../ui/ageWords.ts'
import { deviceStateWords } from '../../ui/deviceStateWords.ts'
import { whenWords } from '../../ui/minutesWords.ts'

interface ReleaseAdviceProps {
  readonly job: Job
  readonly room: Climate
  readonly finishedAt: Date
  readonly practice: Practice
}

const releaseWords: Readonly<Record<Release['kind'], Sentence>> = {
  'same day': say`same day`,
  'after a night indoors': say`after a night indoors`,
  later: say`later`,
}

/** When the vehicle may go outside, by the forecast; without one, by the coldest temperature that is typed. */
export function ReleaseAdvice({ job, room, finishedAt, practice }: ReleaseAdviceProps) {
  const t = useWords()
  const now = useNow(30_000)
  const [expectedC, setExpectedC] = useState(8)
  const { forecast, usable, release } = useRelease({ room, finishedAt, practice, expectedC })
  if (release === null) return null
  const dueAt = new Date(job.dueAt)
  return (
    <section aria-labelledby="release-title">
      <Heading id="release-title">{t`Out of the shop`}</Heading>
      {release.ok ? (
        <>
          <p className="mt-1 text-figure font-bold leading-none" data-testid="release">
            {whenWords(release.value.at, now)}
          </p>
          <p className="mt-1.5 text-lead leading-snug">
            <strong className="inline-block first-letter:uppercase">{t(releaseWords[release.value.kind])}</strong>.{' '}
            {t(release.value.because)}
          </p>
          {release.value.at > dueAt ? (
            <div className="mt-2">
              <Notice look="caution">{t`Promised for ${whenWords(dueAt, now)}: tell the customer, or warm the room until then.`}</Notice>
            </div>
          ) : null}
        </>
      ) : (
        <Notice look="stop" role="alert">
          {t(wholeFailure(release.failure))}
        </Notice>
      )}
      {usable !== null && forecast !== undefined ? (
        <p className="mt-2 text-note text-quiet">
          {forecast.at === null ? null : t`Forecast asked for ${ageWords(forecast.at, now)}.`}{' '}
          {forecast.state === 'late' ? t`${forecast.says} Look outside before you hand it over.` : null}
        </p>
      ) : (
        <div className="mt-3">
          <Notice look="caution" role="status">
            <strong>{t`Forecast ${deviceStateWords[forecast?.state ?? 'none']}.`}</strong>{' '}
            {t`${forecast?.says} Type the coldest that is expected outside.`}
          </Notice>
          <div className="mt-3 w-56">
            <NumberField
              unit="°C"
              digits={0}
              label={t`Coldest outside over the next day`}
              value={expectedC}
              min={-30}
              max={45}
              onCommit={setExpectedC}
            />
          </div>
        </div>
      )}
    </section>
  )
}
