import { Search, X } from 'lucide-react'
import { TextInput } from './Field.tsx'
import { useWords } from './words.ts'

interface SearchInputProps {
  /** What is looked for here, said aloud. */
  readonly label: string
  /** What one may type, as examples. */
  readonly examples: string
  readonly value: string
  readonly most: number
  readonly onChange: (text: string) => void
}

/** A field into which one types what one looks for. */
export function SearchInput({ label, examples, value, most, onChange }: SearchInputProps) {
  const t = useWords()
  return (
    <div className="relative">
      <Search size={20} aria-hidden="true" className="pointer-events-none absolute top-3 left-3 text-quiet" />
      <TextInput
        type="search"
        aria-label={label}
        value={value}
        maxLength={most}
        placeholder={examples}
        className="px-11 [&::-webkit-search-cancel-button]:appearance-none"
        onChange={({ target }) => onChange(target.value)}
      />
      {value === '' ? null : (
        <button
          type="button"
          aria-label={t`Show everything again`}
          onClick={() => onChange('')}
          className="absolute inset-y-0 right-0 grid w-11 place-items-center text-quiet hover:text-ink"
        >
          <X size={20} />
        </button>
      )}
    </div>
  )
}
