import { temperature } from '@truelay/core/say'
import { useState } from 'react'
import type { Air } from '../../bench/useAir.ts'
import { useEnterRoomMutation } from '../../remote/airApi.ts'
import { ageWords } from '../../ui/ageWords.ts'
import { Button } from '../../ui/Button.tsx'
import { deviceStateWords } from '../../ui/deviceStateWords.ts'
import { Modal } from '../../ui/Modal.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from './WhatFailed.tsx'

/** The air as a thermometer and a hygrometer say it, entered by hand. */
export function EnterAir({
  air,
  now,
  onClose,
}: {
  readonly air: Air
  readonly now: Date
  readonly onClose: () => void
}) {
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
        <WhatFailed error={error} className="mt-4" />
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
