import type { Slot } from '@truelay/core/vehicle'
import { SelectInput } from '../../ui/Field.tsx'

interface SlotSelectProps {
  readonly slots: readonly Slot[]
  readonly value: string
  readonly onChoose: (slot: Slot) => void
}

/** A place on the vehicle. */
export function SlotSelect({ slots, value, onChoose }: SlotSelectProps) {
  const choose = (id: string) => {
    const slot = slots.find((s) => s.id === id)
    if (slot !== undefined) onChoose(slot)
  }
  return (
    <SelectInput value={value} onChange={(event) => choose(event.target.value)}>
      {slots.some((slot) => slot.id === value) ? null : <option value={value}>{value}</option>}
      {slots.map((slot) => (
        <option key={slot.id} value={slot.id}>
          {slot.name}
        </option>
      ))}
    </SelectInput>
  )
}
