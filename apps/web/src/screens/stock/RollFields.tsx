import type { Film, NewRoll } from '@truelay/contract'
import { useId } from 'react'
import { Field, SelectInput, TextInput } from '../../ui/Field.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useWords } from '../../ui/words.ts'

interface RollFieldsProps {
  readonly roll: NewRoll
  readonly films: readonly Film[]
  readonly money: string | undefined
  readonly onChange: (roll: NewRoll) => void
}

/** What stands on a roll when it comes. */
export function RollFields({ roll, films, money, onChange }: RollFieldsProps) {
  const t = useWords()
  const hint = useId()
  return (
    <div className="grid max-w-3xl gap-x-8 gap-y-5 sm:grid-cols-2">
      <Field label={t`Film`}>
        <SelectInput
          value={roll.filmId}
          onChange={(event) => onChange({ ...roll, filmId: event.target.value as NewRoll['filmId'] })}
        >
          {films.map((film) => (
            <option key={film.id} value={film.id}>
              {film.name}
            </option>
          ))}
        </SelectInput>
      </Field>
      <div>
        <Field label={t`Lot`}>
          <TextInput
            value={roll.lot}
            maxLength={40}
            aria-describedby={hint}
            onChange={(event) => onChange({ ...roll, lot: event.target.value })}
          />
        </Field>
        <p id={hint} className="mt-1 text-note text-quiet">{t`Read it off the core or the box.`}</p>
      </div>
      <NumberField
        label={t`Width`}
        unit="mm"
        digits={0}
        value={roll.widthMm}
        min={50}
        max={3000}
        onCommit={(widthMm) => onChange({ ...roll, widthMm })}
      />
      <NumberField
        label={t`Length`}
        unit="m"
        digits={1}
        value={roll.lengthMm / 1000}
        min={0.1}
        max={200}
        onCommit={(m) => onChange({ ...roll, lengthMm: 1000 * m })}
      />
      <div>
        <NumberField
          label={t`What it cost`}
          unit={money ?? ''}
          digits={2}
          value={roll.price ?? 0}
          min={0}
          max={1_000_000}
          onCommit={(price) => onChange({ ...roll, price: price === 0 ? null : price })}
        />
        <p className="mt-1 text-note text-quiet">{t`0: not said. With it every cut tells what its film cost.`}</p>
      </div>
    </div>
  )
}
