import { Title } from '../../ui/Title.tsx'
import { typedIn } from '../../ui/typedIn.ts'
import { useUnits } from '../../ui/units.ts'
import { useWords } from '../../ui/words.ts'
import type { Shop } from '@truelay/contract'
import { practiceGroups, type PracticeChange, type PracticeKey, practiceTable } from '@truelay/core/practice'
import { wholeFailure } from '@truelay/core/result'
import { useState } from 'react'
import { useChangeShopMutation } from '../../remote/shopApi.ts'
import { useShopQuery } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { TextInput } from '../../ui/Field.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { BackupList } from './BackupList.tsx'
import { DeviceList } from './DeviceList.tsx'
import { Guns } from './Guns.tsx'
import { PeopleList } from './PeopleList.tsx'
import { TabletList } from './TabletList.tsx'
import { TheShop } from './TheShop.tsx'
import { Setting, UnitFields } from './UnitFields.tsx'
import { ForRole } from '../frame/ForRole.tsx'

/** The shop's settings: units, theme, and every figure of the trade with its range and its reason. */
export function ShopScreen() {
  const t = useWords()
  const { data: shop, error } = useShopQuery()
  if (shop === undefined)
    return error === undefined ? <Busy text={t`Opening the shop`} /> : <Failed {...failureOf(error)} />
  return <Settings shop={shop} />
}

function Settings({ shop }: { readonly shop: Shop }) {
  const t = useWords()
  const [change, { error }] = useChangeShopMutation()
  const failure = error === undefined ? null : failureOf(error)
  const { units } = shop
  return (
    <div className="mx-auto max-w-[68.75rem] px-7 py-6">
      <Title>{shop.name}</Title>
      {failure === null ? null : (
        <div className="mt-3">
          <Notice look="stop" role="alert">
            {t(wholeFailure(failure))}
          </Notice>
        </div>
      )}
      <TheShop shop={shop} onChange={change} />
      <PeopleList shop={shop} />
      <TabletList />
      <ForRole least="installer" quietly>
        <section aria-labelledby="units-title" className="mt-6 border-t border-hair pt-4">
          <h2 id="units-title" className="label-strong text-lead">{t`Units and light`}</h2>
          <div className="mt-3 flex flex-wrap gap-x-8 gap-y-4">
            <UnitFields units={units} onChange={(more) => change({ units: more })} />
            <Setting label={t`Money`}>
              <TextInput
                aria-label={t`What money is called here`}
                defaultValue={shop.money ?? ''}
                maxLength={6}
                onBlur={({ target: { value } }) => {
                  if (value.trim() !== (shop.money ?? '')) change({ money: value.trim() })
                }}
                className="max-w-24"
              />
            </Setting>
            <Setting label={t`Screen`}>
              <Choice
                label={t`Theme`}
                value={shop.theme}
                onChange={(theme) => change({ theme })}
                options={[
                  { value: 'day', text: t`Daylight` },
                  { value: 'bay', text: t`Dark bay` },
                ]}
              />
            </Setting>
          </div>
        </section>
        <section aria-labelledby="stock-title" className="mt-6 border-t border-hair pt-4">
          <h2 id="stock-title" className="label-strong text-lead">{t`On the shelf`}</h2>
          <div className="mt-2 w-56">
            <NumberField
              label={t`Alcohol stock`}
              unit="%"
              digits={0}
              value={shop.stockAlcoholPercent}
              min={1}
              max={100}
              onCommit={(stockAlcoholPercent) => change({ stockAlcoholPercent })}
            />
          </div>
        </section>
      </ForRole>
      <Guns shop={shop} onChange={change} />
      <DeviceList />
      <BackupList />
      <ForRole least="lead">
        {practiceGroups.map(({ name, title, keys }) => (
          <section key={name} aria-labelledby={`group-${name}`} className="mt-6 border-t border-hair pt-4">
            <h2 id={`group-${name}`} className="label-strong text-lead">
              {t(title)}
            </h2>
            <ul className="mt-1">
              {keys.map((key) => (
                <PracticeRow key={key} name={key} shop={shop} onChange={(practice) => change({ practice })} />
              ))}
            </ul>
          </section>
        ))}
      </ForRole>
    </div>
  )
}

interface PracticeRowProps {
  readonly name: PracticeKey
  readonly shop: Shop
  readonly onChange: (change: PracticeChange) => void
}

function PracticeRow({ name, shop, onChange }: PracticeRowProps) {
  const t = useWords()
  const figure = practiceTable[name]
  const own = shop.practice[name]
  const [key, setKey] = useState(0)
  const digits = figure.unit === 'ratio' ? 3 : Number.isInteger(figure.value) && figure.value >= 10 ? 0 : 2
  const typing = typedIn(useUnits(), figure.unit, digits)
  const text = (x: number) => String(Number(typing.shown(x).toFixed(typing.digits)))
  return (
    <li className="grid items-end gap-x-6 border-b border-hair py-2.5 md:grid-cols-[14.375rem_1fr_auto]">
      <NumberField
        key={key}
        label={t(figure.label)}
        unit={figure.unit === 'ratio' ? t`ratio` : figure.unit}
        digits={digits}
        value={own ?? figure.value}
        min={figure.min}
        max={figure.max}
        onCommit={(value) => onChange({ [name]: value })}
      />
      <p className="leading-snug">
        {t(figure.reason)}{' '}
        <span className="text-quiet">{t`Usual ${text(figure.value)}, range ${text(figure.min)} to ${text(figure.max)}.`}</span>
      </p>
      {own === undefined ? (
        <span />
      ) : (
        <Button
          look="quiet"
          onClick={() => {
            onChange({ [name]: null })
            setKey(key + 1)
          }}
        >{t`Back to usual`}</Button>
      )}
    </li>
  )
}
