import type { FilmId, KitId, Piece, Shelf } from '@truelay/contract'
import { pieceSides, sideWords } from '@truelay/core/stock'
import { Field, SelectInput } from '../../ui/Field.tsx'
import { useWords } from '../../ui/words.ts'

interface SideFieldProps {
  readonly value: Piece['side']
  readonly onChoose: (side: Piece['side']) => void
}

/** On which side of the vehicle a piece lies. */
export function SideField({ value, onChoose }: SideFieldProps) {
  const t = useWords()
  return (
    <Field label={t`Side`}>
      <SelectInput value={value} onChange={(event) => onChoose(event.target.value as Piece['side'])}>
        {pieceSides.map((side) => (
          <option key={side} value={side}>
            {t(sideWords[side])}
          </option>
        ))}
      </SelectInput>
    </Field>
  )
}

interface FilmFieldProps {
  readonly shelf: Shelf
  readonly value: string
  readonly onChoose: (filmId: FilmId) => void
}

/** Of which film a piece is cut; one that is off the shelf stays chosen. */
export function FilmField({ shelf, value, onChoose }: FilmFieldProps) {
  const t = useWords()
  return (
    <Field label={t`Film`}>
      <SelectInput value={value} onChange={(event) => onChoose(event.target.value as FilmId)}>
        {value === '' || shelf.films.some((film) => film.id === value) ? null : (
          <option value={value}>{t`${value}, off the shelf`}</option>
        )}
        {shelf.films.map((film) => (
          <option key={film.id} value={film.id}>
            {film.name}
          </option>
        ))}
      </SelectInput>
    </Field>
  )
}

interface KitFieldProps {
  readonly shelf: Shelf
  readonly value: string
  readonly onChoose: (kitId: KitId) => void
}

/** In which kit a piece comes. */
export function KitField({ shelf, value, onChoose }: KitFieldProps) {
  const t = useWords()
  return (
    <Field label={t`Kit`}>
      <SelectInput value={value} onChange={(event) => onChoose(event.target.value as KitId)}>
        {shelf.kits.map((kit) => (
          <option key={kit.id} value={kit.id}>
            {kit.name}
          </option>
        ))}
      </SelectInput>
    </Field>
  )
}
