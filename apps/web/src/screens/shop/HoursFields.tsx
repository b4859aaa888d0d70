import type { WeekHours } from '@truelay/contract'
import { say, type Sentence } from '@truelay/core/say'
import { TextInput } from '../../ui/Field.tsx'
import { useWords } from '../../ui/words.ts'

const days: readonly Sentence[] = [
  say`Monday`,
  say`Tuesday`,
  say`Wednesday`,
  say`Thursday`,
  say`Friday`,
  say`Saturday`,
  say`Sunday`,
]
const fresh = { from: '08:00', to: '17:00' }

interface HoursFieldsProps {
  readonly hours: WeekHours
  readonly onChange: (hours: WeekHours) => void
}

/** When work is done, day by day; a day that is not ticked is closed. */
export function HoursFields({ hours, onChange }: HoursFieldsProps) {
  const t = useWords()
  const set = (day: number, next: WeekHours[number]) => onChange(hours.map((old, i) => (i === day ? next : old)))
  return (
    <ul className="max-w-xl">
      {days.map((day, i) => {
        const open = hours[i] ?? null
        const dayName = t(day)
        return (
          <li key={dayName} className="flex min-h-13 flex-wrap items-center gap-x-3 border-b border-hair py-1">
            <label className="flex min-h-11 w-32 items-center gap-3 text-body">
              <input
                type="checkbox"
                checked={open !== null}
                onChange={(event) => set(i, event.target.checked ? fresh : null)}
                className="size-5 accent-petrol"
              />
              {dayName}
            </label>
            {open === null ? (
              <span className="text-body text-quiet">{t`closed`}</span>
            ) : (
              <>
                <TextInput
                  type="time"
                  aria-label={t`${dayName}, from`}
                  value={open.from}
                  className="max-w-36"
                  onChange={(event) => set(i, { ...open, from: event.target.value })}
                />
                <span className="text-quiet">{t`to`}</span>
                <TextInput
                  type="time"
                  aria-label={t`${dayName}, until`}
                  value={open.to}
                  className="max-w-36"
                  onChange={(event) => set(i, { ...open, to: event.target.value })}
                />
              </>
            )}
          </li>
        )
      })}
    </ul>
  )
}
