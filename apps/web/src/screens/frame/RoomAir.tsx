import { percent, say, type Sentence, temperature } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { JobBundle } from '@truelay/contract'
import { Thermometer } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import { Quantity } from '../../ui/Quantity.tsx'
import { useNow } from '../../ui/useNow.ts'
import { type Air, useAir } from '../../bench/useAir.ts'
import { ageWords } from '../../ui/ageWords.ts'
import { deviceStateWords } from '../../ui/deviceStateWords.ts'

const EnterAir = lazy(async () => ({ default: (await import('./EnterAir.tsx')).EnterAir }))

const sourceWords: Readonly<Record<Air['source'], Sentence>> = {
  sensor: say`sensor`,
  entered: say`entered`,
  job: say`noted with the job`,
}

/** The air in the room, where it comes from and how old it is; a press enters it by hand. */
export function RoomAir({ job }: { readonly job: Pick<JobBundle['job'], 'room' | 'arrivedAt'> }) {
  const t = useWords()
  const air = useAir(job)
  const now = useNow(15_000)
  const [open, setOpen] = useState(false)
  const trouble = air.sensor !== null && air.sensor.state !== 'fresh' && air.sensor.state !== 'none'
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className="flex min-h-11 items-center gap-2.5 px-2 text-left hover:bg-petrol-tint"
        aria-label={t`Room air: ${temperature(air.temperatureC, Number.isInteger(air.temperatureC) ? 0 : 1)}, ${percent(air.humidityPercent)}, ${sourceWords[air.source]}. Change it.`}
      >
        <Thermometer size={20} className={trouble ? 'text-amber' : 'text-petrol'} aria-hidden="true" />
        <span className="leading-tight">
          <span className="block whitespace-nowrap font-sans text-body font-bold text-ink">
            <Quantity of={temperature(air.temperatureC, 1)} />{' '}
            <span className="pl-1">{Math.round(air.humidityPercent)} %</span>
          </span>
          <span className={`block whitespace-nowrap text-note leading-tight ${trouble ? 'text-amber' : 'text-quiet'}`}>
            {trouble ? t`sensor ${deviceStateWords[air.sensor?.state ?? 'none']}, ` : ''}
            {air.source === 'job' ? t(sourceWords.job) : t`${sourceWords[air.source]}, ${ageWords(air.at, now)}`}
          </span>
        </span>
      </button>
      {open ? (
        <Suspense>
          <EnterAir air={air} now={now} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  )
}
