import { volume } from '@truelay/core/say'
import { mlFromFluidOunce, type UnitChoice } from '@truelay/core/units'
import { useWords } from '../../ui/words.ts'
import { Choice } from '../../ui/Choice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useUnits } from '../../ui/units.ts'

/** Usual bottles by the unit of the shop, the third of them the one that is mixed most. */
const bottlesMl: Readonly<Record<UnitChoice['volume'], readonly number[]>> = {
  mL: [250, 500, 1000, 2000],
  'fl oz': [8, 16, 32, 64].map(mlFromFluidOunce),
}

export const usualBottleMl = ({ volume }: UnitChoice): number => bottlesMl[volume][2] ?? 1000

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
  const sizes = bottlesMl[useUnits().volume]
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
          <NumberField
            label={t`or`}
            unit="mL"
            digits={0}
            value={valueMl}
            min={10}
            max={20_000}
            short
            onCommit={onValue}
          />
        </div>
      </div>
    </div>
  )
}
