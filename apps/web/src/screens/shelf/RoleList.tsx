import { say, type Sentence } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { PatternReading, Role } from '@truelay/formats/pattern'
import { SelectInput } from '../../ui/Field.tsx'

const roleWords: Readonly<Record<Role, Sentence>> = {
  outline: say`outline`,
  'cut-out': say`cut-out`,
  mark: say`mark`,
  'leave out': say`leave out`,
}
const roles = Object.keys(roleWords) as Role[]

/** What the shapes of each layer are; a wrong guess is put right here. */
export function RoleList({
  layers,
  onRole,
}: {
  readonly layers: PatternReading['layers']
  readonly onRole: (layer: string, role: Role) => void
}) {
  const t = useWords()
  return (
    <section aria-label={t`Layers`} className="mt-5">
      <h2 className="label text-body text-quiet">{t`Layers of the drawing`}</h2>
      <ul>
        {layers.map(({ layer, role, shapes }) => (
          <li key={layer} className="grid grid-cols-[1fr_8.125rem] items-center gap-2 py-1">
            <span className="min-w-0 truncate text-body">
              {layer === '' ? t`no layer` : layer} <span className="text-quiet">{shapes}</span>
            </span>
            <SelectInput
              aria-label={t`Layer ${layer === '' ? t`without a name` : layer} is`}
              value={role}
              onChange={(event) => onRole(layer, event.target.value as Role)}
            >
              {roles.map((choice) => (
                <option key={choice} value={choice}>
                  {t(roleWords[choice])}
                </option>
              ))}
            </SelectInput>
          </li>
        ))}
      </ul>
    </section>
  )
}
