import type { FilmId, JobBundle, ModelPart } from '@truelay/contract'
import { bodyPlan } from '@truelay/core/vehicle'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import { useModelsQuery } from '../../remote/vehiclesApi.ts'
import { useShelfQuery } from '../../remote/shelfApi.ts'
import { useAddPartMutation } from '../../remote/jobsApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Field, SelectInput } from '../../ui/Field.tsx'
import { useWords } from '../../ui/words.ts'
import { partsOfModel, usualFilm } from './partsOfModel.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'

const nameOf = (part: Pick<ModelPart, 'slot' | 'name'>) => `${part.slot}|${part.name}`

/** One more part of the vehicle, with the film that is usual for it. */
export function AddParts({ bundle }: { readonly bundle: JobBundle }) {
  const t = useWords()
  const { job, parts } = bundle
  const { data: models } = useModelsQuery()
  const { data: shelf } = useShelfQuery()
  const [add, { error, isLoading }] = useAddPartMutation()
  const [chosen, setChosen] = useState('')
  const model = models?.find((m) => m.id === job.vehicle.modelId)
  const films = shelf?.films ?? []
  const known = partsOfModel(model?.parts ?? [], bodyPlan(job.vehicle.kind))
  const taken = new Set(parts.map(nameOf))
  const left = known.filter((part) => !taken.has(nameOf(part)))
  const part = left.find((p) => nameOf(p) === chosen)
  const filmId: FilmId | null = part === undefined ? null : (part.filmId ?? usualFilm(part.slot, films))
  return (
    <div className="mt-4 border-t border-hair pt-3">
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-80">
          <Field label={t`One more part`}>
            <SelectInput value={chosen} onChange={(event) => setChosen(event.target.value)}>
              <option value="">{t`Choose a part`}</option>
              {left.map((p) => (
                <option key={nameOf(p)} value={nameOf(p)}>
                  {p.name}
                </option>
              ))}
            </SelectInput>
          </Field>
        </div>
        <Button
          disabled={part === undefined || filmId === null || isLoading}
          onClick={() => {
            if (part === undefined || filmId === null) return
            setChosen('')
            void add({ id: job.id, wish: { slot: part.slot, name: part.name, filmId } })
          }}
        >
          <Plus size={18} aria-hidden="true" /> {t`Cover it too`}
        </Button>
      </div>
      <WhatFailed error={error} className="mt-3" />
    </div>
  )
}
