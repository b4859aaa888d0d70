import { type DeviceKind, type Devices, devices as devicesSchema } from '@truelay/contract'
import { useState } from 'react'
import {
  useDevicesQuery,
  useForecastQuery,
  useLazyInfraredQuery,
  useRoomQuery,
  useSaveDevicesMutation,
} from '../../remote/airApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Field, TextInput } from '../../ui/Field.tsx'
import { useNow } from '../../ui/useNow.ts'
import { ageWords } from '../today/ageWords.ts'

const names: Record<DeviceKind, string> = {
  room: 'Room sensor',
  infrared: 'Infra-red thermometer',
  forecast: 'Forecast outside',
}
const kinds: readonly DeviceKind[] = ['room', 'infrared', 'forecast']

/** Where the shop's devices are asked, and how each is doing; without them the app asks the person. */
export function DeviceList() {
  const { data: devices } = useDevicesQuery()
  const { data: room } = useRoomQuery(undefined, { pollingInterval: 15_000 })
  const { data: forecast } = useForecastQuery()
  const [askInfrared, { data: infrared }] = useLazyInfraredQuery()
  const now = useNow(15_000)
  if (devices === undefined) return null
  const health = { room: room?.sensor, infrared, forecast }
  return (
    <section aria-labelledby="devices-title" className="mt-6 border-t border-hair pt-4">
      <h2 id="devices-title" className="label-strong text-[20px]">
        Devices
      </h2>
      <p className="text-[16px] text-quiet">
        Without them the app asks you. Each reading shows its age and where it comes from.
      </p>
      <ul>
        {kinds.map((kind) => {
          const is = health[kind]
          return (
            <li key={kind} aria-label={names[kind]} className="border-b border-hair py-2.5">
              <Address kind={kind} devices={devices} />
              <p
                className={`mt-1 text-[16px] ${is !== undefined && is.state !== 'fresh' && is.state !== 'none' ? 'text-amber' : 'text-quiet'}`}
              >
                {is === undefined
                  ? 'Not asked yet.'
                  : is.state === 'fresh'
                    ? `Well; measured ${ageWords(is.at ?? '', now)}.`
                    : `${is.state === 'none' ? '' : `${is.state}: `}${is.says}`}
                {kind === 'infrared' ? (
                  <Button look="quiet" className="ml-2 !min-h-8 !text-[15px]" onClick={() => void askInfrared()}>
                    Ask it
                  </Button>
                ) : null}
              </p>
            </li>
          )
        })}
      </ul>
    </section>
  )
}

function Address({ kind, devices }: { readonly kind: DeviceKind; readonly devices: Devices }) {
  const [save, { error }] = useSaveDevicesMutation()
  const [typed, setTyped] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | undefined>(undefined)
  const commit = () => {
    if (typed === null) return
    const next = devicesSchema.safeParse({ ...devices, [kind]: typed.trim() === '' ? null : typed.trim() })
    if (!next.success) {
      setProblem('An address begins with http:// or https://; leave it empty where there is no device.')
      return
    }
    setProblem(undefined)
    setTyped(null)
    void save(next.data)
  }
  return (
    <Field label={names[kind]} problem={problem ?? (error === undefined ? undefined : failureOf(error).sentence)}>
      <TextInput
        value={typed ?? devices[kind] ?? ''}
        placeholder="not connected"
        onChange={(e) => setTyped(e.target.value)}
        onBlur={commit}
        onKeyDown={(e) => {
          if (e.key === 'Enter') commit()
        }}
      />
    </Field>
  )
}
