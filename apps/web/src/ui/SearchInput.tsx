import { Search } from 'lucide-react'
import { TextInput } from './Field.tsx'

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
  return (
    <div className="relative">
      <Search size={20} aria-hidden="true" className="pointer-events-none absolute top-3 left-3 text-quiet" />
      <TextInput
        type="search"
        aria-label={label}
        value={value}
        maxLength={most}
        placeholder={examples}
        className="pl-11"
        onChange={({ target }) => onChange(target.value)}
      />
    </div>
  )
}
