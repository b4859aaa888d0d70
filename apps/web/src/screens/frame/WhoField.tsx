import type { Person } from '@truelay/contract'
import { Field, SelectInput } from '../../ui/Field.tsx'

interface WhoFieldProps {
  readonly label: string
  readonly people: readonly Person[]
  readonly person: Person
  readonly onChoose: (id: string) => void
}

/** Whose hands are at this screen. */
export const WhoField = ({ label, people, person, onChoose }: WhoFieldProps) => (
  <div className="w-40">
    <Field label={label}>
      <SelectInput value={person.id} onChange={(event) => onChoose(event.target.value)}>
        {people.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
          </option>
        ))}
      </SelectInput>
    </Field>
  </div>
)
