import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import type { Shop } from '@truelay/contract'
import { wholeFailure } from '@truelay/core/result'
import { useChangeShopMutation } from '../../remote/shopApi.ts'
import { useShopQuery } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
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
import { TradeFigures } from './TradeFigures.tsx'
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
      <TradeFigures shop={shop} onChange={(practice) => change({ practice })} />
    </div>
  )
}
