import { length } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { GunProfile, GunReadingKept, Shop } from '@truelay/contract'
import { type PartMaterial, materialWords } from '@truelay/core/form'
import { practiceWith } from '@truelay/core/practice'
import { useState } from 'react'
import { useLazyInfraredQuery, useRoomQuery } from '../../remote/airApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Field, SelectInput } from '../../ui/Field.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'

interface ReadGunProps {
  readonly shop: Shop
  readonly gun: GunProfile
  readonly onRead: (reading: GunReadingKept) => void
}

const backings: readonly PartMaterial[] = [
  'painted plastic',
  'painted steel',
  'painted aluminium',
  'lens plastic',
  'gloss trim',
  'glass',
]

/** One reading: so many passes over film on a scrap, then the thermometer at once. */
export function ReadGun({ shop, gun, onRead }: ReadGunProps) {
  const t = useWords()
  const practice = practiceWith(shop.practice)
  const { data: room } = useRoomQuery()
  const [ask, { data: infrared, isFetching }] = useLazyInfraredQuery()
  const [setting, setSetting] = useState(gun.settings[Math.min(2, gun.settings.length - 1)]?.name ?? '')
  const [material, setMaterial] = useState<PartMaterial>('painted plastic')
  const [distanceMm, setDistance] = useState(90)
  const [passes, setPasses] = useState(6)
  const [passSeconds, setPassSeconds] = useState(1)
  const [typedC, setTypedC] = useState<number | null>(null)
  const read = infrared?.state === 'fresh' ? (infrared.value?.surfaceC ?? null) : null
  const surfaceC = typedC ?? read
  const ambientC = room?.now?.temperatureC ?? 20
  const strokeMm = practice.heatStroke
  const tooCold = surfaceC !== null && surfaceC < ambientC + 3
  const take = () => {
    if (surfaceC === null || tooCold) return
    onRead({
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      setting,
      distanceMm,
      speedMmS: strokeMm / passSeconds,
      strokeMm,
      passes,
      material,
      filmUm: 180,
      ambientC,
      surfaceC,
      source: typedC === null ? 'thermometer' : 'typed',
    })
    setTypedC(null)
  }
  return (
    <section aria-labelledby="read-title">
      <h2
        id="read-title"
        className="label-strong border-b-2 border-ink pb-1 text-lead"
      >{t`Read it with the thermometer`}</h2>
      <ol className="mt-2 list-decimal pl-6 text-body leading-snug">
        <li>{t`Film on a scrap, not warmed for ten minutes.`}</li>
        <li>{t`Strokes of ${length(strokeMm)}, moving all the time, ${passes} passes.`}</li>
        <li>{t`Thermometer on the middle at once, a hand away; note the highest figure.`}</li>
      </ol>
      <div className="mt-4 grid grid-cols-2 gap-x-6 gap-y-4">
        <Field label={t`Setting`}>
          <SelectInput value={setting} onChange={(e) => setSetting(e.target.value)}>
            {gun.settings.map((s) => (
              <option key={s.name} value={s.name}>
                {s.name}
              </option>
            ))}
          </SelectInput>
        </Field>
        <Field label={t`Scrap of`}>
          <SelectInput value={material} onChange={(e) => setMaterial(e.target.value as PartMaterial)}>
            {backings.map((b) => (
              <option key={b} value={b}>
                {t(materialWords[b])}
              </option>
            ))}
          </SelectInput>
        </Field>
        <NumberField
          label={t`Distance`}
          unit="mm"
          digits={0}
          value={distanceMm}
          min={40}
          max={300}
          onCommit={setDistance}
        />
        <NumberField
          label={t`Seconds for one pass`}
          unit="s"
          digits={1}
          value={passSeconds}
          min={0.2}
          max={3}
          onCommit={setPassSeconds}
        />
        <NumberField
          label={t`Passes`}
          unit=""
          digits={0}
          value={passes}
          min={1}
          max={60}
          onCommit={(n) => setPasses(Math.round(n))}
        />
        <NumberField
          unit="°C"
          label={t`It reads`}
          digits={1}
          value={surfaceC ?? ambientC}
          min={-20}
          max={300}
          onCommit={setTypedC}
        />
      </div>
      {infrared !== undefined && infrared.state !== 'fresh' ? (
        <div className="mt-3">
          <Notice look="caution" role="status">
            <strong>{t`Thermometer:`} </strong>
            {t`${infrared.says} Type what it shows.`}
          </Notice>
        </div>
      ) : null}
      {tooCold ? (
        <div className="mt-3">
          <Notice
            look="caution"
            role="status"
          >{t`That is hardly above the room: it says nothing about the gun. Warm the scrap first, and read at once.`}</Notice>
        </div>
      ) : null}
      <div className="mt-4 flex flex-wrap gap-3">
        <Button
          onClick={() => {
            setTypedC(null)
            void ask()
          }}
          disabled={isFetching}
        >{t`Ask the thermometer`}</Button>
        <Button look="go" onClick={take} disabled={surfaceC === null || tooCold}>{t`Keep this reading`}</Button>
      </div>
      <p className="mt-3 text-note leading-snug text-quiet">{t`Two factors by least squares over all readings, held by what is usual for such guns: how hot its air arrives and how well it hands the heat over. A second reading at another pace or distance tells the two apart.`}</p>
      <div className="mt-3">
        <Notice look="caution">{t`Hot film and hot nozzle burn. Never still, never at a person, away from alcohol vapour.`}</Notice>
      </div>
    </section>
  )
}
