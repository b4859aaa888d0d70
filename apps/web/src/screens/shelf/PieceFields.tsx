import { useWords } from '../../ui/words.ts'
import type { Form, Piece, Shelf } from '@truelay/contract'
import { Field, SelectInput, TextInput } from '../../ui/Field.tsx'
import { FilmField, KitField, SideField } from './BelongsTo.tsx'

/** A piece without its pattern, while it is typed. */
export interface PieceDraft {
  readonly name: string
  readonly side: Piece['side']
  readonly kitId: string
  readonly formId: string
  readonly filmId: string
  readonly lot: string
  readonly count: number
  readonly spares: number
}

interface PieceFieldsProps {
  readonly draft: PieceDraft
  readonly shelf: Shelf
  readonly forms: readonly Form[]
  readonly onChange: (draft: PieceDraft) => void
}

/** A part's piece is most likely of the kit, side and film of the one that the shelf has for it. */
function usualFor(formId: string, shelf: Shelf): Partial<PieceDraft> {
  const known = shelf.pieces.find((piece) => piece.formId === formId)
  if (known === undefined) return { formId }
  const { side, kitId, filmId, lot } = known
  return { formId, side, kitId, filmId, lot }
}

/** Where a pattern belongs: part, side, kit, film, lot. */
export function PieceFields({ draft, shelf, forms, onChange }: PieceFieldsProps) {
  const t = useWords()
  const set = (more: Partial<PieceDraft>) => onChange({ ...draft, ...more })
  return (
    <div className="space-y-3">
      <Field label={t`Name of the piece`}>
        <TextInput value={draft.name} maxLength={80} onChange={(event) => set({ name: event.target.value })} />
      </Field>
      <Field label={t`Covers`}>
        <SelectInput value={draft.formId} onChange={(event) => set(usualFor(event.target.value, shelf))}>
          {forms.map((form) => (
            <option key={form.id} value={form.id}>
              {form.name}
            </option>
          ))}
        </SelectInput>
      </Field>
      <SideField value={draft.side} onChoose={(side) => set({ side })} />
      <KitField shelf={shelf} value={draft.kitId} onChoose={(kitId) => set({ kitId })} />
      <FilmField shelf={shelf} value={draft.filmId} onChoose={(filmId) => set({ filmId })} />
      <Field label={t`Lot`}>
        <TextInput value={draft.lot} maxLength={40} onChange={(event) => set({ lot: event.target.value })} />
      </Field>
    </div>
  )
}
