import { type Place, type PlaceKind, placeKinds } from '@truelay/contract'
import { say, type Sentence } from '@truelay/core/say'
import { Plus, X } from 'lucide-react'
import { Button } from '../../ui/Button.tsx'
import { SelectInput, TextInput } from '../../ui/Field.tsx'
import { useWords } from '../../ui/words.ts'

const kindWords: Readonly<Record<PlaceKind, Sentence>> = {
  bay: say`bay`,
  'wash bay': say`wash bay`,
  bench: say`bench`,
}

interface PlaceFieldsProps {
  readonly places: readonly Place[]
  readonly onChange: (places: Place[]) => void
}

/** Where work is done: each place by its name and what it is for. */
export function PlaceFields({ places, onChange }: PlaceFieldsProps) {
  const t = useWords()
  const set = (at: number, more: Partial<Place>) =>
    onChange(places.map((place, i) => (i === at ? { ...place, ...more } : place)))
  const add = () => {
    const names = new Set(places.map((p) => p.name))
    let n = places.length + 1
    while (names.has(`Bay ${n}`)) n++
    onChange([...places, { name: `Bay ${n}`, kind: 'bay' }])
  }
  return (
    <div className="max-w-xl">
      <ul>
        {places.map((place, i) => (
          <li key={i} className="flex items-center gap-3 border-b border-hair py-1.5">
            <TextInput
              aria-label={t`Name of place ${i + 1}`}
              value={place.name}
              maxLength={20}
              onChange={(event) => set(i, { name: event.target.value })}
            />
            <SelectInput
              aria-label={t`What ${place.name} is`}
              value={place.kind}
              className="max-w-36"
              onChange={(event) => set(i, { kind: event.target.value as PlaceKind })}
            >
              {placeKinds.map((kind) => (
                <option key={kind} value={kind}>
                  {t(kindWords[kind])}
                </option>
              ))}
            </SelectInput>
            <button
              type="button"
              aria-label={t`Take away ${place.name}`}
              disabled={places.length === 1}
              onClick={() => onChange(places.filter((_, other) => other !== i))}
              className="flex size-11 shrink-0 items-center justify-center text-quiet hover:text-stop disabled:opacity-40"
            >
              <X size={20} />
            </button>
          </li>
        ))}
      </ul>
      <Button className="mt-3" onClick={add}>
        <Plus size={18} aria-hidden="true" /> {t`Another place`}
      </Button>
    </div>
  )
}
