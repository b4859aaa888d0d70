import type { FilmId, FormId, ModelPart, PieceId } from '@truelay/contract'
import type { Slot } from '@truelay/core/vehicle'
import { Trash2 } from 'lucide-react'
import { useShelfQuery } from '../../remote/shelfApi.ts'
import { useFormsQuery } from '../../remote/vehiclesApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Field, SelectInput } from '../../ui/Field.tsx'
import { KeptText } from '../../ui/KeptText.tsx'
import { useWords } from '../../ui/words.ts'
import { SlotSelect } from './SlotSelect.tsx'
import { partColumns } from './partColumns.ts'

interface PartRowProps {
  readonly part: ModelPart
  readonly slots: readonly Slot[]
  /** Why a name cannot be that of this part, or null. */
  readonly nameProblem: (name: string) => string | null
  readonly onChange: (more: Partial<ModelPart>) => void
  readonly onRemove: () => void
}

/** One part of a model: what it begins with, and, opened, what it is called and where it sits. */
export function PartRow({ part, slots, nameProblem, onChange, onRemove }: PartRowProps) {
  const t = useWords()
  const { data: forms = [] } = useFormsQuery()
  const { data: shelf } = useShelfQuery()
  const pieces = shelf?.pieces.filter((p) => p.formId === part.formId || p.id === part.pieceId) ?? []
  return (
    <li className={`grid items-start gap-y-1 border-t border-hair py-1.5 ${partColumns}`}>
      <details className="sm:max-lg:col-span-3">
        <summary className="flex min-h-11 cursor-pointer items-center text-body font-bold leading-tight underline decoration-hair underline-offset-4">
          {part.name}
        </summary>
        <div className="space-y-2 pb-3">
          <KeptText
            label={t`Called`}
            value={part.name}
            maxLength={60}
            needed
            problemOf={nameProblem}
            onCommit={(name) => onChange({ name })}
          />
          <Field label={t`Where it sits`}>
            <SlotSelect
              slots={slots}
              value={part.slot}
              onChoose={(slot) => onChange({ slot: slot.id, within: undefined })}
            />
          </Field>
          <Button look="quiet" aria-label={t`Take ${part.name} off the model`} onClick={onRemove}>
            <Trash2 size={18} aria-hidden="true" /> {t`Take it off the model`}
          </Button>
        </div>
      </details>
      <SelectInput
        aria-label={t`Form of ${part.name}`}
        value={part.formId ?? ''}
        onChange={(event) => onChange({ formId: (event.target.value as FormId) || null, pieceId: null })}
      >
        <option value="">{t`not measured yet`}</option>
        {forms.map((form) => (
          <option key={form.id} value={form.id}>
            {form.name}
          </option>
        ))}
      </SelectInput>
      <SelectInput
        aria-label={t`Piece for ${part.name}`}
        value={part.pieceId ?? ''}
        onChange={(event) => onChange({ pieceId: (event.target.value as PieceId) || null })}
      >
        <option value="">{t`from the roll`}</option>
        {pieces.map((piece) => (
          <option key={piece.id} value={piece.id}>
            {piece.name}
          </option>
        ))}
      </SelectInput>
      <SelectInput
        aria-label={t`Film for ${part.name}`}
        value={part.filmId ?? ''}
        onChange={(event) => onChange({ filmId: (event.target.value as FilmId) || null })}
      >
        <option value="">{t`the usual film`}</option>
        {shelf?.films.map((film) => (
          <option key={film.id} value={film.id}>
            {film.name}
          </option>
        ))}
      </SelectInput>
    </li>
  )
}
