import { length } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { SpotMiss, SuggestedReading } from '@truelay/core/form'
import type { AnyFailure } from '@truelay/core/result'
import { Trash2 } from 'lucide-react'
import { Button } from '../../ui/Button.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { useShown } from '../../ui/Quantity.tsx'
import { freshName } from './editForm.ts'
import { SpotsOfForm } from './SpotsOfForm.tsx'
import type { StepProps } from './stepProps.ts'
import { NumberCell } from './NumberCell.tsx'

interface BowStepProps extends StepProps {
  readonly failure: AnyFailure | null
  readonly next: SuggestedReading | null
  /** A newer outline or reading is still worked out: `next` may lie beside the part. */
  readonly behind: boolean
  /** How well spots from photographs agree with each other. */
  readonly miss: SpotMiss | null
}

/** The straightedge readings, and where to lay it next. */
export function BowStep({ form, onChange, chosen, onChoose, failure, next, behind, miss }: BowStepProps) {
  const t = useWords()
  const shown = useShown()
  const { spots = [] } = form
  const place = (at: readonly [number, number]) => at.map((mm) => shown(length(mm, 0)).figure).join(', ')
  if (form.relief !== undefined)
    return (
      <p className="text-body">{t`This part was scanned: its heights are known everywhere, to within ${length(form.relief.errorMm)}. Readings are not needed.`}</p>
    )
  const named = (name: string) =>
    failure !== null && Object.values(failure.facts as Record<string, unknown>).includes(name)
  const add = () => {
    const chord = next ?? { name: 'reading', from: [-100, 0] as const, to: [100, 0] as const }
    onChange((now) => ({
      ...now,
      bow: [
        ...now.bow,
        { name: freshName(chord.name, now.bow), from: [...chord.from], to: [...chord.to], sagittaMm: 0 },
      ],
    }))
    onChoose({ reading: form.bow.length })
  }
  return (
    <>
      {spots.length === 0 ? null : <SpotsOfForm spots={spots} miss={miss} />}
      {failure === null ? (
        <Notice look={next === null ? 'good' : 'caution'}>
          {next === null ? (
            form.bow.length + spots.length === 0 ? (
              t`Finish the outline first.`
            ) : (
              <>
                <strong className="text-body">{t`Enough is known.`}</strong>{' '}
                {spots.length === 0
                  ? t`More readings make it surer still.`
                  : t`A reading over the longest span checks the photographs.`}
              </>
            )
          ) : (
            <>
              <strong className="text-body">{t`Next: ${next.name}.`}</strong>{' '}
              {t`From ${place(next.from)} to ${place(next.to)}, gap read in the middle.`}{' '}
              {next.unsureMm === null ? null : t`The part is unsure by ${length(next.unsureMm)} there.`}
            </>
          )}
        </Notice>
      ) : null}
      <Button look="go" onClick={add} disabled={behind && next !== null} className="mt-2 w-full">
        {next === null ? t`Add a reading` : t`Lay it there`}
      </Button>
      <ol className="mt-3 space-y-1">
        {form.bow.map((reading, i) => (
          <li
            key={`reading-${i}`}
            onPointerEnter={() => onChoose({ reading: i })}
            onFocus={() => onChoose({ reading: i })}
            className={`border p-2 ${named(reading.name) ? 'border-stop bg-stop-tint' : 'border-hair'} ${chosen.reading === i ? 'bg-paper' : ''}`}
          >
            {/* Beside its name where there is room; below it in the narrow column, so that the name is read whole. */}
            <div className="grid grid-cols-[1fr_5.75rem_2.75rem] lg:grid-cols-[1fr_3.25rem_2.75rem] items-end gap-x-2">
              <input
                aria-label={t`Name of reading ${i + 1}`}
                value={reading.name}
                maxLength={60}
                onChange={(event) =>
                  onChange((now) => ({
                    ...now,
                    bow: now.bow.map((r, k) => (k === i ? { ...r, name: event.target.value } : r)),
                  }))
                }
                className="min-h-11 w-full min-w-0 lg:col-span-2 bg-transparent text-body font-bold"
              />
              <div className="lg:col-span-2 lg:col-start-2 lg:row-start-2">
                <NumberCell
                  label={t`gap`}
                  value={reading.sagittaMm}
                  min={-500}
                  max={1000}
                  onCommit={(sagittaMm) =>
                    onChange((now) => ({ ...now, bow: now.bow.map((r, k) => (k === i ? { ...r, sagittaMm } : r)) }))
                  }
                />
              </div>
              <button
                type="button"
                aria-label={t`Remove ${reading.name}`}
                onClick={() => onChange((now) => ({ ...now, bow: now.bow.filter((_, k) => k !== i) }))}
                className="flex size-11 lg:col-start-3 lg:row-start-1 items-center justify-center text-quiet hover:text-stop"
              >
                <Trash2 size={18} />
              </button>
              <p className="col-span-3 text-note leading-snug text-quiet lg:col-span-1 lg:col-start-1 lg:row-start-2">
                {t`from ${place(reading.from)} to ${place(reading.to)}`}
                {named(reading.name) ? t`. Measure this one again.` : ''}
              </p>
            </div>
          </li>
        ))}
      </ol>
    </>
  )
}
