import type { WeekHours } from '@truelay/contract'
import { say, type Sentence } from '@truelay/core/say'
import { X } from 'lucide-react'
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
const freshPause = { from: '12:00', to: '12:30' }

interface HoursFieldsProps {
  readonly hours: WeekHours
  readonly onChange: (hours: WeekHours) => void
}

/** When work is done, day by day; a day that is not ticked is closed. */
export function HoursFields({ hours, onChange }: HoursFieldsProps) {
  const t = useWords()
  const set = (day: number, next: WeekHours[number]) => onChange(hours.map((old, i) => (i === day ? next : old)))
  return (
    <ul className="max-w-3xl">
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
                <TimeInput
                  label={t`${dayName}, from`}
                  value={open.from}
                  onChange={(time) => set(i, { ...open, from: time })}
                />
                <span className="text-quiet">{t`to`}</span>
                <TimeInput
                  label={t`${dayName}, until`}
                  value={open.to}
                  onChange={(time) => set(i, { ...open, to: time })}
                />
                <Pause
                  day={dayName}
                  hours={open}
                  onChange={(pause) => set(i, pause === undefined ? withoutPause(open) : { ...open, pause })}
                />
              </>
            )}
          </li>
        )
      })}
    </ul>
  )
}

interface TimeInputProps {
  readonly label: string
  readonly value: string
  readonly onChange: (time: string) => void
}

const TimeInput = ({ label, value, onChange }: TimeInputProps) => (
  <TextInput
    type="time"
    aria-label={label}
    value={value}
    className="max-w-36"
    onChange={(event) => onChange(event.target.value)}
  />
)

type Hours = NonNullable<WeekHours[number]>
const withoutPause = ({ from, to }: Hours): Hours => ({ from, to })

interface PauseProps {
  readonly day: string
  readonly hours: Hours
  readonly onChange: (pause: Hours['pause']) => void
}

/** The break of a day: nothing is planned into it. */
function Pause({ day, hours: { from, to, pause }, onChange }: PauseProps) {
  const t = useWords()
  if (pause === undefined)
    return (
      <button
        type="button"
        aria-label={t`${day}, with a break`}
        onClick={() => onChange(freshPause)}
        className="label-strong min-h-11 px-2 text-body text-petrol underline underline-offset-4"
      >{t`break`}</button>
    )
  return (
    <span className="flex flex-wrap items-center gap-x-3">
      <span className="text-quiet">{t`break`}</span>
      <TimeInput
        label={t`${day}, break from`}
        value={pause.from}
        onChange={(time) => onChange({ ...pause, from: time })}
      />
      <span className="text-quiet">{t`to`}</span>
      <TimeInput
        label={t`${day}, break until`}
        value={pause.to}
        onChange={(time) => onChange({ ...pause, to: time })}
      />
      <button
        type="button"
        aria-label={t`${day}, no break`}
        onClick={() => onChange(undefined)}
        className="inline-flex size-11 items-center justify-center text-petrol"
      >
        <X size={20} aria-hidden="true" />
      </button>
      {from <= pause.from && pause.from < pause.to && pause.to <= to ? null : (
        <span
          role="alert"
          className="text-body text-amber-ink"
        >{t`It has to end after it begins, within the hours.`}</span>
      )}
    </span>
  )
}
