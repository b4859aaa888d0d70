import { Title } from '../../ui/Title.tsx'
import { name, say, temperature, warmer } from '@truelay/core/say'
import { wholeFailure } from '@truelay/core/result'
import { length } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import {
  type GunChanged,
  type GunProfile,
  type GunReadingKept,
  gunId as gunIdSchema,
  type Shop,
} from '@truelay/contract'
import { calibrated, gunOnPart, heatStep, layersOf } from '@truelay/core/heat'
import { practiceWith } from '@truelay/core/practice'
import { Plus, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { useChangeShopMutation } from '../../remote/shopApi.ts'
import { useShopQuery } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Field, TextInput } from '../../ui/Field.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useNow } from '../../ui/useNow.ts'
import { ageWords } from '../../ui/ageWords.ts'
import { ReadGun } from './ReadGun.tsx'
import { RemoveGun } from './RemoveGun.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

/** One gun: its settings and nozzle, and what the thermometer says about it. */
export function GunScreen() {
  const t = useWords()
  const { gunId = '' } = useParams()
  const { data: shop, error } = useShopQuery()
  if (shop === undefined)
    return error === undefined ? <Busy text={t`Opening the gun`} /> : <Failed {...failureOf(error)} />
  const gun = shop.guns?.find((g) => g.id === gunIdSchema.safeParse(gunId).data)
  if (gun === undefined)
    return (
      <Failed sentence={say`There is no gun "${name(gunId)}".`} fix={say`Choose one on the Shop screen.`}>
        <Link to="/shop" className={buttonClass('go')}>{t`To the shop`}</Link>
      </Failed>
    )
  return <OneGun shop={shop} gun={gun} />
}

function OneGun({ shop, gun }: { readonly shop: Shop; readonly gun: GunProfile }) {
  const t = useWords()
  const [change, { error }] = useChangeShopMutation()
  const now = useNow(30_000)
  const save = (of: GunChanged) => void change({ guns: { [gun.id]: of } })
  const known = calibrated(gun)
  return (
    <ForRole least="installer">
      <div className="mx-auto max-w-[75rem] px-7 py-6">
        <p className="label text-body">
          <Link to="/shop" className="text-petrol underline">{t`Shop`}</Link>
        </p>
        <div className="flex flex-wrap items-baseline justify-between gap-x-6">
          <Title>{gun.name}</Title>
          <RemoveGun shop={shop} gun={gun} />
        </div>
        <WhatFailed error={error} />
        <div className="mt-4 grid gap-x-12 gap-y-6 lg:grid-cols-[1fr_1fr]">
          <section aria-labelledby="known-title">
            <h2
              id="known-title"
              className="label-strong border-b-2 border-ink pb-1 text-lead"
            >{t`What is known of it`}</h2>
            {known.ok ? (
              <>
                <p className="mt-2 text-figure font-bold leading-none" data-testid="gun-sure">
                  ± {Math.round(100 * known.value.riseSigma)} %
                </p>
                <p className="text-body">
                  {known.value.readings === 0
                    ? t`Never read: what is usual for its type. One reading on a scrap settles most of it.`
                    : t`From ${known.value.readings} ${known.value.readings === 1 ? t`reading` : t`readings`}: its air arrives ${percent(known.value.factors.gas)} the usual heat and hands over ${percent(known.value.factors.h)} as much.`}
                </p>
                <Example shop={shop} gun={gun} />
              </>
            ) : (
              <Notice look="stop" role="alert">
                {t(wholeFailure(known.failure))}
              </Notice>
            )}
            <h2 className="label-strong mt-6 border-b border-ink/40 pb-1 text-lead">{t`Readings`}</h2>
            {gun.readings.length === 0 ? <p className="text-body text-quiet">{t`None yet.`}</p> : null}
            <ul>
              {gun.readings.map((r, i) => (
                <Reading
                  key={r.id}
                  reading={r}
                  residualC={known.ok ? (known.value.residualC[i] ?? null) : null}
                  age={t(ageWords(r.at, now))}
                  onRemove={() => save({ unread: r.id })}
                />
              ))}
            </ul>
            <h2 className="label-strong mt-6 border-b border-ink/40 pb-1 text-lead">{t`Settings and nozzle`}</h2>
            <GunName
              key={gun.name}
              name={gun.name}
              taken={shop.guns.filter(({ id }) => id !== gun.id).map(({ name }) => name)}
              onName={(name) => save({ name })}
            />
            <ul>
              {gun.settings.map((s) => (
                <li key={s.name} className="grid grid-cols-[1fr_1fr_auto] items-start gap-5 border-b border-hair py-2">
                  <Field label={t`on the gun`}>
                    <TextInput
                      defaultValue={s.name}
                      onBlur={(e) => {
                        if (e.target.value !== '' && e.target.value !== s.name)
                          save({ settings: { [s.name]: { name: e.target.value } } })
                      }}
                    />
                  </Field>
                  <NumberField
                    unit="°C"
                    digits={0}
                    label={t`air at the nozzle, from its plate`}
                    value={s.outletC}
                    min={40}
                    max={800}
                    onCommit={(outletC) => save({ settings: { [s.name]: { outletC } } })}
                  />
                  <Button
                    look="quiet"
                    className="mt-5"
                    aria-label={t`Take setting ${s.name} away`}
                    disabled={gun.settings.length === 1}
                    onClick={() => save({ settings: { [s.name]: null } })}
                  >
                    <Trash2 size={18} aria-hidden="true" />
                  </Button>
                </li>
              ))}
            </ul>
            <div className="mt-3 flex flex-wrap items-end gap-6">
              <Button
                onClick={() => {
                  const last = gun.settings[gun.settings.length - 1]
                  const name = freeName(gun)
                  save({ more: [{ name, outletC: Math.min(800, (last?.outletC ?? 100) + 60) }] })
                }}
              >
                <Plus size={18} aria-hidden="true" /> {t`Another setting`}
              </Button>
              <div className="w-44">
                <NumberField
                  label={t`spot that it warms`}
                  unit="mm"
                  digits={0}
                  value={gun.spotMm}
                  min={20}
                  max={250}
                  onCommit={(spotMm) => save({ spotMm })}
                />
              </div>
            </div>
          </section>
          <ReadGun shop={shop} gun={gun} onRead={(reading) => save({ read: [reading] })} />
        </div>
      </div>
    </ForRole>
  )
}

interface GunNameProps {
  readonly name: string
  /** What the other guns are called. */
  readonly taken: readonly string[]
  readonly onName: (name: string) => void
}

/** What a gun is called; left empty it keeps its name. */
function GunName({ name, taken, onName }: GunNameProps) {
  const t = useWords()
  const [typed, setTyped] = useState(name)
  const wanted = typed.trim()
  const isTaken = taken.includes(wanted)
  const leave = () => {
    if (wanted === '') setTyped(name)
    else if (wanted !== name && !isTaken) onName(wanted)
  }
  return (
    <div className="max-w-80 border-b border-hair py-2">
      <Field label={t`what it is called`} problem={isTaken ? t`Another gun is called so.` : undefined}>
        <TextInput
          value={typed}
          maxLength={60}
          onChange={({ target }) => setTyped(target.value)}
          onBlur={leave}
          onKeyDown={({ key }) => {
            if (key === 'Enter') leave()
            if (key === 'Escape') setTyped(name)
          }}
        />
      </Field>
    </div>
  )
}

const percent = (factor: number) => `${Math.round(100 * factor)} % of`

function freeName({ settings }: GunProfile): string {
  for (let n = settings.length + 1; ; n++) if (!settings.some((s) => s.name === String(n))) return String(n)
}

/** What the readings change, on a part that everybody knows. */
function Example({ shop, gun }: { readonly shop: Shop; readonly gun: GunProfile }) {
  const t = useWords()
  const known = calibrated(gun)
  if (!known.ok) return null
  const practice = practiceWith(shop.practice)
  const layers = layersOf({ type: 'paint film', thicknessUm: 180 }, 'painted plastic')
  const on = gunOnPart(layers, { ...known.value, ambientC: 20, strokeMm: practice.heatStroke })
  if (!on.ok) return null
  const answer = heatStep(on.value, {
    leastC: practice.heatSoften - practice.heatSpread,
    mostC: practice.heatSoften + practice.heatSpread,
    damageC: practice.heatDamage,
    pressC: practice.heatPress,
    cutC: practice.heatCut,
  })
  return (
    <div className="mt-3 bg-petrol-tint px-4 py-3">
      <p className="label text-note text-quiet">{t`To soften film on a bumper at ${temperature(20)}`}</p>
      <p className="text-head font-bold leading-snug first-letter:uppercase" data-testid="gun-words">
        {t(answer.words)}
      </p>
      <p
        className="text-body"
        data-testid="gun-passes"
      >{t`${answer.passesRange[0]} to ${answer.passesRange[1]} passes`}</p>
    </div>
  )
}

function Reading({
  reading,
  residualC,
  age,
  onRemove,
}: {
  readonly reading: GunReadingKept
  readonly residualC: number | null
  readonly age: string
  readonly onRemove: () => void
}) {
  const t = useWords()
  return (
    <li className="flex items-center justify-between gap-4 border-b border-hair py-2 text-body">
      <span>
        <strong className="text-head">
          <Quantity of={temperature(reading.surfaceC)} />
        </strong>{' '}
        {t`after ${reading.passes} passes on ${reading.material}, setting ${reading.setting}, ${length(reading.distanceMm)} away`}
        <span className="block text-note text-quiet">
          {reading.source}, {age}
          {residualC === null
            ? ''
            : t`; the model is ${warmer(Math.abs(residualC))} ${residualC > 0 ? t`lower` : t`higher`}`}
        </span>
      </span>
      <Button look="quiet" aria-label={t`Take this reading away`} onClick={onRemove}>
        <Trash2 size={18} aria-hidden="true" />
      </Button>
    </li>
  )
}
