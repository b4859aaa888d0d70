import type { Shop, ShopChange } from '@truelay/contract'
import { type ReactNode, useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { KeptText } from '../../ui/KeptText.tsx'
import { useWords } from '../../ui/words.ts'
import { HoursFields } from './HoursFields.tsx'
import { PlaceFields } from './PlaceFields.tsx'
import { ForRole } from '../frame/ForRole.tsx'

interface TheShopProps {
  readonly shop: Shop
  readonly onChange: (change: ShopChange) => void
}

/** What the shop is and says on its papers, where it works and when. */
export function TheShop({ shop, onChange }: TheShopProps) {
  const t = useWords()
  return (
    <ForRole least="lead">
      <section aria-labelledby="papers-title" className="mt-5 border-t border-hair pt-4">
        <h2 id="papers-title" className="label-strong text-lead">{t`On papers`}</h2>
        <div className="mt-3 grid gap-x-8 gap-y-4 md:grid-cols-2">
          <KeptText
            label={t`Name of the shop`}
            value={shop.name}
            maxLength={80}
            needed
            onCommit={(name) => onChange({ name })}
          />
          <KeptText
            label={t`Address, as it stands on papers`}
            value={shop.address}
            maxLength={300}
            lines={3}
            onCommit={(address) => onChange({ address })}
          />
          <KeptText
            label={t`What the shop promises, on the record of a job`}
            value={shop.warranty}
            maxLength={2000}
            lines={4}
            onCommit={(warranty) => onChange({ warranty })}
          />
          <KeptText
            label={t`The same for what lies flat (bonnet, roof), where it differs`}
            value={shop.warrantyLevel ?? ''}
            maxLength={2000}
            lines={4}
            onCommit={(warrantyLevel) => onChange({ warrantyLevel })}
          />
          <KeptText
            label={t`What local law says about tinted lenses, shown where light is taken away`}
            value={shop.lensRules}
            maxLength={1000}
            lines={4}
            onCommit={(lensRules) => onChange({ lensRules })}
          />
        </div>
      </section>
      <div className="grid gap-x-10 lg:grid-cols-2">
        <Drafted
          id="places"
          title={t`Places`}
          value={shop.places}
          onSave={(places) => onChange({ places })}
          fields={(places, set) => <PlaceFields places={places} onChange={set} />}
        />
        <Drafted
          id="hours"
          title={t`Opening hours`}
          value={shop.hours}
          onSave={(hours) => onChange({ hours })}
          fields={(hours, set) => <HoursFields hours={hours} onChange={set} />}
        />
      </div>
    </ForRole>
  )
}

interface DraftedProps<V> {
  readonly id: string
  readonly title: string
  readonly value: V
  readonly onSave: (value: V) => void
  readonly fields: (draft: V, set: (draft: V) => void) => ReactNode
}

/** Something of several fields that counts as one: changed as a draft, then saved or left as it was. */
function Drafted<V>({ id, title, value, onSave, fields }: DraftedProps<V>) {
  const t = useWords()
  const [draft, setDraft] = useState<V | null>(null)
  return (
    <section aria-labelledby={`${id}-title`} className="mt-6 border-t border-hair pt-4">
      <h2 id={`${id}-title`} className="label-strong text-lead">
        {title}
      </h2>
      <div className="mt-2">{fields(draft ?? value, setDraft)}</div>
      {draft === null ? null : (
        <div className="mt-3 flex gap-3">
          <Button
            look="go"
            onClick={() => {
              onSave(draft)
              setDraft(null)
            }}
          >{t`Save ${title}`}</Button>
          <Button look="quiet" onClick={() => setDraft(null)}>{t`Leave as it was`}</Button>
        </div>
      )}
    </section>
  )
}
