import { ToggleGroup } from 'radix-ui'

interface ChoiceProps<V extends string> {
  readonly label: string
  readonly value: V
  readonly options: readonly { readonly value: V; readonly text: string; readonly disabled?: boolean }[]
  readonly onChange: (value: V) => void
}

/** One of a few words, side by side. */
export function Choice<V extends string>({ label, value, options, onChange }: ChoiceProps<V>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => {
        if (next !== '') onChange(next as V)
      }}
      className="inline-flex max-w-full flex-wrap rounded-md border border-ink/40 bg-paper"
    >
      {options.map((option, i) => (
        <ToggleGroup.Item
          key={option.value}
          value={option.value}
          disabled={option.disabled ?? false}
          className={`label-strong min-h-11 whitespace-nowrap px-4 text-body ${i > 0 ? 'border-l border-ink/40' : ''} data-[state=on]:bg-petrol data-[state=on]:text-on-petrol disabled:text-quiet/70`}
        >
          {option.text}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  )
}
