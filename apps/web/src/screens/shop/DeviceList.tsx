import { useWords } from '../../ui/words.ts'
import { type DeviceAddresses, type DeviceKind, deviceAddresses, deviceKinds, deviceNames } from '@truelay/contract'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { useDevicesQuery, useLazyDeviceReadingQuery, useSaveDevicesMutation } from '../../remote/airApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Field, TextInput } from '../../ui/Field.tsx'
import { useNow } from '../../ui/useNow.ts'
import { ageWords } from '../../ui/ageWords.ts'
import { deviceStateWords } from '../../ui/deviceStateWords.ts'
import { ForRole } from '../frame/ForRole.tsx'

/** Where the shop's devices are asked, and how each is doing; without them the app asks the person. */
export function DeviceList() {
  const t = useWords()
  const { data: devices } = useDevicesQuery()
  if (devices === undefined) return null
  return (
    <ForRole least="lead" quietly>
      <section aria-labelledby="devices-title" className="mt-6 border-t border-hair pt-4">
        <h2 id="devices-title" className="label-strong text-lead">{t`Devices`}</h2>
        <p className="text-body text-quiet">{t`Without them the app asks you. Each reading shows its age and where it comes from.`}</p>
        <ul>
          {deviceNames.map((kind) => (
            <li key={kind} aria-label={t(deviceKinds[kind].label)} className="border-b border-hair py-2.5">
              <Address kind={kind} devices={devices} />
              <Health kind={kind} />
              {kind === 'plotter' ? (
                <Link to="/shop/plotter" className="text-body text-petrol underline">{t`True the plotter`}</Link>
              ) : null}
            </li>
          ))}
        </ul>
      </section>
    </ForRole>
  )
}

function Health({ kind }: { readonly kind: DeviceKind }) {
  const t = useWords()
  const [ask, { data: is, isFetching }] = useLazyDeviceReadingQuery()
  const { aimed } = deviceKinds[kind]
  useEffect(() => {
    if (!aimed) void ask(kind)
  }, [aimed, kind, ask])
  const now = useNow(15_000)
  const trouble = is !== undefined && is.state !== 'fresh' && is.state !== 'none'
  return (
    <p className={`mt-1 text-body ${trouble ? 'text-amber' : 'text-quiet'}`}>
      {is === undefined
        ? t`Not asked yet.`
        : is.state === 'fresh'
          ? t`Well; measured ${ageWords(is.at ?? '', now)}.`
          : is.state === 'none'
            ? t(is.says)
            : t`${deviceStateWords[is.state]}: ${is.says}`}
      <Button
        look="quiet"
        className="ml-2 !text-note"
        disabled={isFetching}
        onClick={() => void ask(kind)}
      >{t`Ask it`}</Button>
    </p>
  )
}

function Address({ kind, devices }: { readonly kind: DeviceKind; readonly devices: DeviceAddresses }) {
  const t = useWords()
  const [save, { error }] = useSaveDevicesMutation()
  const [typed, setTyped] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | undefined>(undefined)
  const commit = () => {
    if (typed === null) return
    const next = deviceAddresses.safeParse({ ...devices, [kind]: typed.trim() === '' ? null : typed.trim() })
    if (!next.success) {
      setProblem(t`An address begins with http:// or https://; leave it empty where there is no device.`)
      return
    }
    setProblem(undefined)
    setTyped(null)
    void save(next.data)
  }
  return (
    <Field
      label={t(deviceKinds[kind].label)}
      problem={problem ?? (error === undefined ? undefined : t(failureOf(error).sentence))}
    >
      <TextInput
        value={typed ?? devices[kind] ?? ''}
        placeholder={t`not connected`}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={commit}
        onKeyDown={(e) => {
          if (e.key === 'Enter') commit()
        }}
      />
    </Field>
  )
}
