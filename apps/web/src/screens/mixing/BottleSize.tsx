import { volume } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { Choice } from '../../ui/Choice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'

const sizes = [250, 500, 1000, 2000] as const

/** How much to mix: a usual bottle, or any volume. */
export function BottleSize({
  label,
  valueMl,
  onValue,
}: {
  readonly label: string
  readonly valueMl: number
  readonly onValue: (ml: number) => void
}) {
  const t = useWords()
  return (
    <div>
      <p className="label pb-1 text-note text-quiet">{label}</p>
      <div className="flex flex-wrap items-end gap-4">
        <Choice
          label={label}
          value={String(valueMl)}
          onChange={(size) => onValue(Number(size))}
          options={sizes.map((ml) => ({ value: String(ml), text: t`${volume(ml)}` }))}
        />
        <div className="w-28">
          <NumberField label={t`or`} unit="mL" digits={0} value={valueMl} min={10} max={20_000} onCommit={onValue} />
        </div>
      </div>
    </div>
  )
}
