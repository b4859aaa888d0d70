export interface FingerRow {
  readonly label: string
  readonly mmPer100: number
}

/** How much film is left over along each edge, as bars. */
export function FingerBars({
  rows,
  unit,
  show,
}: {
  readonly rows: readonly FingerRow[]
  readonly unit: string
  readonly show: (mm: number) => string
}) {
  const t = useWords()
  const most = Math.max(1, ...rows.map((r) => r.mmPer100))
  return (
    <dl className="grid grid-cols-[auto_1fr_auto] items-center gap-x-2 gap-y-0.5 text-note">
      {rows.map((row) => (
        <div key={row.label} className="contents">
          <dt>{row.label}</dt>
          <dd aria-hidden="true" className="h-2.5">
            <span
              className="block h-full bg-violet"
              style={{ width: `${Math.max(row.mmPer100 > 0.04 ? 3 : 0, (100 * row.mmPer100) / most)}%` }}
            />
          </dd>
          <dd className="text-right font-semibold">{row.mmPer100 > 0.04 ? show(row.mmPer100) : t`none`}</dd>
        </div>
      ))}
      <div className="sr-only">
        <dt>{t`unit`}</dt>
        <dd>{unit}</dd>
      </div>
    </dl>
  )
}
import { useWords } from '../ui/words.ts'
