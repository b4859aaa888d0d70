import type { Shop } from '@truelay/contract'
import { type PracticeKey, practiceKeys, practiceTable } from '@truelay/core/practice'
import { type ReactNode, useState } from 'react'
import { useChangeShopMutation, useShopQuery } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { DeviceList } from './DeviceList.tsx'
import { Guns } from './Guns.tsx'

/** The shop's settings: units, theme, and every figure of the trade with its range and its reason. */
export function ShopScreen() {
  const { data: shop, error } = useShopQuery()
  if (shop === undefined)
    return error === undefined ? <Busy text="Opening the shop" /> : <Failed {...failureOf(error)} />
  return <Settings shop={shop} />
}

function Settings({ shop }: { readonly shop: Shop }) {
  const [change, { error }] = useChangeShopMutation()
  const failure = error === undefined ? null : failureOf(error)
  const { units } = shop
  return (
    <div className="mx-auto max-w-[1100px] px-7 py-6">
      <h1 className="text-[30px] font-bold">{shop.name}</h1>
      {failure === null ? null : (
        <div className="mt-3">
          <Notice look="stop" role="alert">
            {failure.sentence} {failure.fix}
          </Notice>
        </div>
      )}
      <section aria-labelledby="units-title" className="mt-5 border-t border-hair pt-4">
        <h2 id="units-title" className="label-strong text-[20px]">
          Units and light
        </h2>
        <div className="mt-3 flex flex-wrap gap-x-8 gap-y-4">
          <Setting label="Lengths">
            <Choice
              label="Unit of length"
              value={units.length}
              onChange={(length) => change({ units: { length } })}
              options={[
                { value: 'mm', text: 'mm' },
                { value: 'in', text: 'inch' },
              ]}
            />
          </Setting>
          <Setting label="Temperatures">
            <Choice
              label="Unit of temperature"
              value={units.temperature}
              onChange={(temperature) => change({ units: { temperature } })}
              options={[
                { value: 'C', text: '°C' },
                { value: 'F', text: '°F' },
              ]}
            />
          </Setting>
          <Setting label="Volumes">
            <Choice
              label="Unit of volume"
              value={units.volume}
              onChange={(volume) => change({ units: { volume } })}
              options={[
                { value: 'mL', text: 'mL' },
                { value: 'fl oz', text: 'fl oz' },
              ]}
            />
          </Setting>
          <Setting label="Screen">
            <Choice
              label="Theme"
              value={shop.theme}
              onChange={(theme) => change({ theme })}
              options={[
                { value: 'day', text: 'Daylight' },
                { value: 'bay', text: 'Dark bay' },
              ]}
            />
          </Setting>
        </div>
      </section>
      <section aria-labelledby="stock-title" className="mt-6 border-t border-hair pt-4">
        <h2 id="stock-title" className="label-strong text-[20px]">
          On the shelf
        </h2>
        <div className="mt-2 w-56">
          <NumberField
            label="Alcohol stock"
            unit="%"
            digits={0}
            value={shop.stockAlcoholPercent}
            min={1}
            max={100}
            onCommit={(stockAlcoholPercent) => change({ stockAlcoholPercent })}
          />
        </div>
      </section>
      <Guns shop={shop} onChange={change} />
      <DeviceList />
      {groups.map((group) => (
        <section key={group} aria-labelledby={`group-${group}`} className="mt-6 border-t border-hair pt-4">
          <h2 id={`group-${group}`} className="label-strong text-[20px]">
            {groupWords[group]}
          </h2>
          <ul className="mt-1">
            {practiceKeys
              .filter((key) => practiceTable[key].group === group)
              .map((key) => (
                <PracticeRow key={key} name={key} shop={shop} onChange={(practice) => change({ practice })} />
              ))}
          </ul>
        </section>
      ))}
    </div>
  )
}

const groups = ['edges', 'cutting', 'liquids', 'waits', 'room', 'heat', 'lay', 'measuring'] as const
const groupWords: Record<(typeof groups)[number], string> = {
  edges: 'Edges',
  cutting: 'Cutting film',
  room: 'Room',
  liquids: 'Liquids',
  waits: 'Waits',
  heat: 'Heat',
  lay: 'Film',
  measuring: 'Measuring',
}

function Setting({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <div>
      <p className="label pb-1 text-[15px] text-quiet">{label}</p>
      {children}
    </div>
  )
}

interface PracticeRowProps {
  readonly name: PracticeKey
  readonly shop: Shop
  readonly onChange: (practice: Shop['practice']) => void
}

function PracticeRow({ name, shop, onChange }: PracticeRowProps) {
  const figure = practiceTable[name]
  const own = shop.practice[name]
  const [key, setKey] = useState(0)
  return (
    <li className="grid items-end gap-x-6 border-b border-hair py-2.5 md:grid-cols-[230px_1fr_auto]">
      <NumberField
        key={key}
        label={figure.label}
        unit={figure.unit}
        digits={figure.unit === 'ratio' ? 3 : Number.isInteger(figure.value) && figure.value >= 10 ? 0 : 2}
        value={own ?? figure.value}
        min={figure.min}
        max={figure.max}
        onCommit={(value) => onChange({ ...shop.practice, [name]: value })}
      />
      <p className="leading-snug">
        {figure.reason}{' '}
        <span className="text-quiet">
          Usual {figure.value}, range {figure.min} to {figure.max}.
        </span>
      </p>
      {own === undefined ? (
        <span />
      ) : (
        <Button
          look="quiet"
          onClick={() => {
            const { [name]: _, ...rest } = shop.practice
            onChange(rest)
            setKey(key + 1)
          }}
        >
          Back to usual
        </Button>
      )}
    </li>
  )
}
