interface TapRowProps<T> {
  /** What the row is called, read aloud; and what stands before it. */
  readonly label: string
  readonly before: string
  readonly choices: readonly { readonly value: T; readonly words: string; readonly usual: boolean }[]
  readonly chosen: T | undefined
  readonly onTap: (value: T) => void
}

/** A question of a step that is answered with one tap; the usual answer stands out. */
export function TapRow<T extends string | number>({ label, before, choices, chosen, onTap }: TapRowProps<T>) {
  return (
    <section aria-label={label} className="mt-2 flex flex-wrap items-center gap-1.5">
      <span className="label text-body text-quiet">{before}</span>
      {choices.map(({ value, words, usual }) => (
        <button
          key={value}
          type="button"
          aria-pressed={value === chosen}
          onClick={() => onTap(value)}
          className={`min-h-12 min-w-14 border px-3 text-body ${value === chosen ? 'border-petrol bg-petrol text-on-petrol' : usual ? 'border-2 border-ink/60 bg-paper font-bold' : 'border-ink/40 bg-paper'}`}
        >
          {words}
        </button>
      ))}
    </section>
  )
}
