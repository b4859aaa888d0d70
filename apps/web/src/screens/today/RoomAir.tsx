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
import { TemperatureField } from '../../ui/TemperatureField.tsx'
import { useNow } from '../../ui/useNow.ts'
import { type Air, useAir } from './useAir.ts'
import { ageWords } from './ageWords.ts'

const sourceWords: Record<Air['source'], string> = {
  sensor: 'sensor',
  entered: 'entered',
  job: 'noted with the job',
}

/** The air in the room, where it comes from and how old it is; a press enters it by hand. */
export function RoomAir({ job }: { readonly job: Pick<JobBundle['job'], 'room' | 'arrivedAt'> }) {
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
        aria-label={`Room air: ${Math.round(air.temperatureC * 10) / 10} °C, ${Math.round(air.humidityPercent)} %, ${sourceWords[air.source]}. Change it.`}
      >
        <Thermometer size={20} className={trouble ? 'text-amber' : 'text-petrol'} aria-hidden="true" />
        <span className="leading-tight">
          <span className="block whitespace-nowrap font-sans text-[17px] font-bold text-ink">
            <Quantity temperatureC={air.temperatureC} digits={1} />{' '}
            <span className="pl-1">{Math.round(air.humidityPercent)} %</span>
          </span>
          <span
            className={`block whitespace-nowrap text-[13px] leading-tight ${trouble ? 'text-amber' : 'text-quiet'}`}
          >
            {trouble ? `sensor ${stateWords[air.sensor?.state ?? 'none']}, ` : ''}
            {sourceWords[air.source]}
            {air.source === 'job' ? '' : `, ${ageWords(air.at, now)}`}
          </span>
        </span>
      </button>
      {open ? <EnterAir air={air} now={now} onClose={() => setOpen(false)} /> : null}
    </>
  )
}

const stateWords = {
  fresh: 'well',
  late: 'late',
  silent: 'silent',
  nonsense: 'measures nonsense',
  none: 'not connected',
} as const

function EnterAir({ air, now, onClose }: { readonly air: Air; readonly now: Date; readonly onClose: () => void }) {
  const [temperatureC, setTemperatureC] = useState(air.temperatureC)
  const [humidityPercent, setHumidity] = useState(air.humidityPercent)
  const [enter, { error }] = useEnterRoomMutation()
  const { sensor } = air
  return (
    <Modal open title="Air in the room" onClose={onClose} actions={<Button onClick={onClose}>Close</Button>}>
      <div className="mt-4 overflow-y-auto">
        {sensor === null || sensor.state === 'none' ? (
          <p className="text-[17px] text-quiet">No room sensor is connected. Read a thermometer and a hygrometer.</p>
        ) : sensor.state === 'fresh' ? (
          <p className="text-[17px]">
            The sensor measured <Quantity temperatureC={sensor.value?.temperatureC ?? 0} digits={1} /> and{' '}
            {Math.round(sensor.value?.humidityPercent ?? 0)} % {ageWords(sensor.at ?? '', now)}. While it is fresh it
            counts before what is entered here.
          </p>
        ) : (
          <Notice look="caution" role="status">
            <strong>Room sensor {stateWords[sensor.state]}.</strong> {sensor.says} Enter what a thermometer and a
            hygrometer say; it counts until the sensor is well again.
          </Notice>
        )}
        <div className="mt-5 grid max-w-xl grid-cols-2 gap-8">
          <TemperatureField
            label="Temperature"
            digits={1}
            valueC={temperatureC}
            minC={-10}
            maxC={50}
            onCommitC={setTemperatureC}
          />
          <NumberField
            label="Humidity"
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
              {failureOf(error).sentence} {failureOf(error).fix}
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
        >
          This is the air now
        </Button>
      </div>
    </Modal>
  )
}
