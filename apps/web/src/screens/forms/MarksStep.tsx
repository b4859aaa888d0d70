import { useWords } from '../../ui/words.ts'
import { Trash2 } from 'lucide-react'
import { Button } from '../../ui/Button.tsx'
import { TextInput } from '../../ui/Field.tsx'
import { freshName } from './editForm.ts'
import type { StepProps } from './stepProps.ts'
import { NumberCell } from './NumberCell.tsx'

/** Spots that a piece must meet; those that matter most weigh most. */
export function MarksStep({ form, onChange }: StepProps) {
  const t = useWords()
  return (
    <>
      <ul className="space-y-1">
        {form.marks.map((mark, i) => (
          <li key={`mark-${i}`} className="border border-hair p-2">
            <div className="grid grid-cols-[1fr_2.75rem] gap-2">
              <TextInput
                aria-label={t`Name of mark ${i + 1}`}
                value={mark.label}
                maxLength={60}
                onChange={(event) =>
                  onChange((now) => ({
                    ...now,
                    marks: now.marks.map((m, k) => (k === i ? { ...m, label: event.target.value } : m)),
                  }))
                }
              />
              <button
                type="button"
                aria-label={t`Remove ${mark.label}`}
                onClick={() => onChange((now) => ({ ...now, marks: now.marks.filter((_, k) => k !== i) }))}
                className="flex size-11 items-center justify-center text-quiet hover:text-stop"
              >
                <Trash2 size={18} />
              </button>
            </div>
            <NumberCell
              label={t`how much it matters`}
              unit="x"
              value={mark.weight}
              min={0.1}
              max={100}
              onCommit={(weight) =>
                onChange((now) => ({ ...now, marks: now.marks.map((m, k) => (k === i ? { ...m, weight } : m)) }))
              }
            />
          </li>
        ))}
      </ul>
      <Button
        className="mt-3 w-full"
        onClick={() =>
          onChange((now) => {
            const name = freshName('mark', now.marks)
            return { ...now, marks: [...now.marks, { name, label: name, at: [0, 0], weight: 1 }] }
          })
        }
      >{t`Add a mark, then drag it to its place`}</Button>
    </>
  )
}
