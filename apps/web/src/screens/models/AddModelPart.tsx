import type { ModelPart } from '@truelay/contract'
import type { Slot } from '@truelay/core/vehicle'
import { useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { Field, TextInput } from '../../ui/Field.tsx'
import { useWords } from '../../ui/words.ts'
import { SlotSelect } from './SlotSelect.tsx'

interface AddModelPartProps {
  readonly slots: readonly Slot[]
  readonly nameProblem: (name: string) => string | null
  readonly onAdd: (part: ModelPart) => void
}

/** A part that vehicles of this kind do not all have: a second lamp, a sill strip, a badge. */
export function AddModelPart({ slots, nameProblem, onAdd }: AddModelPartProps) {
  const t = useWords()
  const [name, setName] = useState('')
  const [slot, setSlot] = useState(slots[0]?.id ?? '')
  const called = name.trim()
  const problem = called === '' ? null : nameProblem(called)
  return (
    <form
      className="mt-4 flex flex-wrap items-end gap-3 border-t border-hair pt-4"
      onSubmit={(event) => {
        event.preventDefault()
        if (called === '' || problem !== null) return
        onAdd({ name: called, slot, formId: null, pieceId: null, filmId: null })
        setName('')
      }}
    >
      <div className="w-72">
        <Field label={t`Another part`} problem={problem ?? undefined}>
          <TextInput value={name} maxLength={60} onChange={(event) => setName(event.target.value)} />
        </Field>
      </div>
      <div className="w-72">
        <Field label={t`Where on the vehicle`}>
          <SlotSelect slots={slots} value={slot} onChoose={(chosen) => setSlot(chosen.id)} />
        </Field>
      </div>
      <Button type="submit" disabled={called === '' || problem !== null}>{t`Add this part`}</Button>
    </form>
  )
}
