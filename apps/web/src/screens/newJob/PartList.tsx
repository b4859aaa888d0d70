import { Heading } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import type { Film, FilmId, ModelPart, NewJob } from '@truelay/contract'
import { filmDoubt } from '@truelay/core/plan'
import { X } from 'lucide-react'
import { SelectInput } from '../../ui/Field.tsx'
import { isLensSlot } from '../job/partsOfModel.ts'

type Parts = NewJob['parts']

interface PartListProps {
  readonly parts: Parts
  readonly choices: readonly ModelPart[]
  readonly films: readonly Film[]
  readonly onChange: (parts: Parts) => void
  readonly onToggle: (slot: string) => void
  readonly problem: boolean
}

/** A film that is meant for something else is asked about. */
function Doubt({ part, film }: { readonly part: Parts[number]; readonly film: Film | undefined }) {
  const t = useWords()
  const material = isLensSlot(part.slot) ? 'lens plastic' : 'painted steel'
  const doubt = film === undefined ? null : filmDoubt({ name: part.name, material }, film)
  return doubt === null ? null : (
    <p role="status" className="mt-1 border-l-5 border-amber bg-amber-tint px-3 py-1.5 text-body leading-snug">
      {t(doubt)}
    </p>
  )
}

/** What is to be covered, each with its film. */
export function PartList({ parts, choices, films, onChange, onToggle, problem }: PartListProps) {
  const t = useWords()
  const left = [...new Map(choices.map((part) => [part.slot, part])).values()].filter(
    (part) => !parts.some((p) => p.slot === part.slot),
  )
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4">
      <Heading>
        {parts.length === 0 ? t`Nothing chosen yet` : `${parts.length} ${parts.length === 1 ? t`part` : t`parts`}`}
      </Heading>
      {problem ? (
        <p role="alert" className="text-body text-stop">{t`Choose at least one part to be covered.`}</p>
      ) : null}
      <ul className="mt-1">
        {parts.map((part) => (
          <li key={`${part.slot}-${part.name}`} className="border-b border-hair py-2">
            <div className="flex items-start justify-between gap-2">
              <span className="pt-1 text-body font-bold leading-tight">{part.name}</span>
              <button
                type="button"
                aria-label={t`Leave out ${part.name}`}
                onClick={() => onChange(parts.filter((p) => p !== part))}
                className="flex size-11 shrink-0 items-center justify-center text-quiet hover:text-stop"
              >
                <X size={20} />
              </button>
            </div>
            <SelectInput
              aria-label={t`Film for ${part.name}`}
              value={part.filmId}
              onChange={(event) =>
                onChange(parts.map((p) => (p === part ? { ...p, filmId: event.target.value as FilmId } : p)))
              }
            >
              {films.map((film) => (
                <option key={film.id} value={film.id}>
                  {film.name}
                </option>
              ))}
            </SelectInput>
            <Doubt part={part} film={films.find((film) => film.id === part.filmId)} />
          </li>
        ))}
      </ul>
      {left.length === 0 ? null : (
        <details className="mt-3">
          <summary className="label-strong cursor-pointer py-2 text-body text-petrol">{t`All parts by name`}</summary>
          <ul>
            {left.map((part) => (
              <li key={part.slot}>
                <button
                  type="button"
                  onClick={() => onToggle(part.slot)}
                  className="min-h-11 w-full border-b border-hair text-left text-body hover:text-petrol"
                >
                  {part.name}
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  )
}
