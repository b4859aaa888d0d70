import type { NewFilm } from '@truelay/contract'
import { type FilmType, filmTypes, filmTypeWords, usualFilmOf } from '@truelay/core/plan'
import { Choice } from '../../ui/Choice.tsx'
import { Field, TextInput } from '../../ui/Field.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useWords } from '../../ui/words.ts'

interface FilmFieldsProps {
  readonly film: NewFilm
  readonly onChange: (film: NewFilm) => void
}

/** A film by its name, its kind and what its box says; how it stretches begins with the usual of its kind. */
export function FilmFields({ film, onChange }: FilmFieldsProps) {
  const t = useWords()
  return (
    <div className="space-y-4">
      <Field label={t`Name of the film, as on its box`}>
        <TextInput
          value={film.name}
          maxLength={80}
          onChange={(event) => onChange({ ...film, name: event.target.value })}
        />
      </Field>
      <div className="flex flex-wrap gap-4">
        <Choice
          label={t`Kind of film`}
          value={film.type}
          onChange={(type: FilmType) => onChange({ name: film.name, ...usualFilmOf(type) })}
          options={filmTypes.map((value) => ({ value, text: t(filmTypeWords[value]) }))}
        />
        <Choice
          label={t`How it is laid`}
          value={film.laid}
          onChange={(laid) => onChange({ ...film, laid })}
          options={[
            { value: 'wet', text: t`laid wet` },
            { value: 'dry', text: t`laid dry` },
          ]}
        />
      </div>
      <div className="grid max-w-2xl grid-cols-2 gap-6 sm:grid-cols-3">
        <NumberField
          label={t`Thickness`}
          unit="µm"
          digits={0}
          value={film.thicknessUm}
          min={20}
          max={500}
          onCommit={(thicknessUm) => onChange({ ...film, thicknessUm })}
        />
        <NumberField
          label={t`Damaged from`}
          unit="°C"
          digits={0}
          value={film.damageC}
          min={60}
          max={200}
          onCommit={(damageC) => onChange({ ...film, damageC })}
        />
        {film.transmission === undefined ? null : (
          <NumberField
            label={t`Lets light through`}
            unit="%"
            digits={0}
            value={100 * film.transmission}
            min={1}
            max={100}
            onCommit={(percent) => onChange({ ...film, transmission: percent / 100 })}
          />
        )}
      </div>
    </div>
  )
}
