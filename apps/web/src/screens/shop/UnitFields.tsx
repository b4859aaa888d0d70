import type { Units } from '@truelay/contract'
import type { ReactNode } from 'react'
import { Choice } from '../../ui/Choice.tsx'
import { useWords } from '../../ui/words.ts'

interface UnitFieldsProps {
  readonly units: Units
  readonly onChange: (units: Partial<Units>) => void
}

/** In what lengths, temperatures and volumes are typed and read. */
export function UnitFields({ units, onChange }: UnitFieldsProps) {
  const t = useWords()
  return (
    <div className="flex flex-wrap gap-x-8 gap-y-4">
      <Setting label={t`Lengths`}>
        <Choice
          label={t`Unit of length`}
          value={units.length}
          onChange={(length) => onChange({ length })}
          options={[
            { value: 'mm', text: 'mm' },
            { value: 'in', text: t`inch` },
          ]}
        />
      </Setting>
      <Setting label={t`Temperatures`}>
        <Choice
          label={t`Unit of temperature`}
          value={units.temperature}
          onChange={(temperature) => onChange({ temperature })}
          options={[
            { value: 'C', text: '°C' },
            { value: 'F', text: '°F' },
          ]}
        />
      </Setting>
      <Setting label={t`Volumes`}>
        <Choice
          label={t`Unit of volume`}
          value={units.volume}
          onChange={(volume) => onChange({ volume })}
          options={[
            { value: 'mL', text: 'mL' },
            { value: 'fl oz', text: 'fl oz' },
          ]}
        />
      </Setting>
    </div>
  )
}

export function Setting({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <div>
      <p className="label pb-1 text-note text-quiet">{label}</p>
      {children}
    </div>
  )
}
