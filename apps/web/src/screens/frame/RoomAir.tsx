import { wholeFailure } from '@truelay/core/result'
import { percent, say, type Sentence, temperature } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { JobBundle } from '@truelay/contract'
import { Thermometer } from 'lucide-react'
import { useState } from 'react'
import { useEnterRoomMutation } from '../../remote/airApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useNow } from '../../ui/useNow.ts'
import { type Air, useAir } from '../../bench/useAir.ts'
import { ageWords } from '../../ui/ageWords.ts'
import { deviceStateWords } from '../../ui/deviceStateWords.ts'

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
      {open ? <EnterAir air={air} now={now} onClose={() => setOpen(false)} /> : null}
    </>
  )
}

function EnterAir({ air, now, onClose }: { readonly air: Air; readonly now: Date; readonly onClose: () => void }) {
  const t = useWords()
  const [temperatureC, setTemperatureC] = useState(air.temperatureC)
  const [humidityPercent, setHumidity] = useState(air.humidityPercent)
  const [enter, { error }] = useEnterRoomMutation()
  const { sensor } = air
  return (
    <Modal open title={t`Air in the room`} onClose={onClose} actions={<Button onClick={onClose}>{t`Close`}</Button>}>
      <div className="mt-4 overflow-y-auto">
        {sensor === null || sensor.state === 'none' ? (
          <p className="text-body text-quiet">{t`No room sensor is connected. Read a thermometer and a hygrometer.`}</p>
        ) : sensor.state === 'fresh' ? (
          <p className="text-body">{t`The sensor measured ${temperature(sensor.value?.temperatureC ?? 0)} and ${Math.round(sensor.value?.humidityPercent ?? 0)} % ${ageWords(sensor.at ?? '', now)}. While it is fresh it counts before what is entered here.`}</p>
        ) : (
          <Notice look="caution" role="status">
            <strong>{t`Room sensor ${deviceStateWords[sensor.state]}.`}</strong>{' '}
            {t`${sensor.says} Enter what a thermometer and a hygrometer say; it counts until the sensor is well again.`}
          </Notice>
        )}
        <div className="mt-5 grid max-w-xl grid-cols-2 gap-8">
          <NumberField
            unit="°C"
            label={t`Temperature`}
            digits={1}
            value={temperatureC}
            min={-10}
            max={50}
            onCommit={setTemperatureC}
          />
          <NumberField
            label={t`Humidity`}
            unit="%"
            digits={0}
            value={humidityPercent}
            min={0}
            max={100}
            onCommit={setHumidity}
          />
        </div>
        {error === undefined ? null : (
          <div className="mt-4">
            <Notice look="stop" role="alert">
              {t(wholeFailure(failureOf(error)))}
            </Notice>
          </div>
        )}
        <Button
          look="go"
          className="mt-6"
          onClick={() => {
            void enter({ temperatureC, humidityPercent })
              .unwrap()
              .then(onClose, () => {})
          }}
        >{t`This is the air now`}</Button>
      </div>
    </Modal>
  )
}
