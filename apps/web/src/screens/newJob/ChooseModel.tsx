import { counted } from '@truelay/core/say'
import { Heading, Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import type { VehicleModel } from '@truelay/contract'
import { type BodyKind, bodyKinds, bodyKindWords, bodyPlan } from '@truelay/core/vehicle'
import { useMemo, useState } from 'react'
import { VehicleSheet } from '../../drawings/VehicleSheet.tsx'
import { useAddModelMutation } from '../../remote/vehiclesApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Field, TextInput } from '../../ui/Field.tsx'
import { holdsWords } from '../../ui/holdsWords.ts'
import { SearchInput } from '../../ui/SearchInput.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'

interface ChooseModelProps {
  readonly models: readonly VehicleModel[]
  readonly onChoose: (model: VehicleModel) => void
}

/** So many models are found by looking; more are looked for by a word. */
const seenAtOnce = 6

/** Which vehicle: from the list, or a new model with a name and a kind. */
export function ChooseModel({ models, onChoose }: ChooseModelProps) {
  const t = useWords()
  const [typed, setTyped] = useState('')
  const sought = typed.trim()
  const found = models.filter((model) => holdsWords(sought, [model.name, t(bodyKindWords[model.kind])]))
  return (
    <div className="mx-auto max-w-5xl p-6">
      <p className="label text-note text-quiet">{t`New job`}</p>
      <Title>{t`Which vehicle has come?`}</Title>
      {models.length <= seenAtOnce ? null : (
        <div className="mt-3 max-w-md">
          <SearchInput
            label={t`Look for a model`}
            examples={t`name or kind, as estate`}
            value={typed}
            most={80}
            onChange={setTyped}
          />
        </div>
      )}
      {found.length > 0 || models.length === 0 ? null : (
        <p className="mt-4 leading-snug">{t`No model has “${sought}” in its name. Add it below.`}</p>
      )}
      <ul className="mt-4 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {found.map((model) => (
          <li key={model.id}>
            <ModelCard model={model} onChoose={onChoose} />
          </li>
        ))}
      </ul>
      <NewModelForm
        key={found.length === 0 ? sought : ''}
        called={found.length === 0 ? sought : ''}
        onMade={onChoose}
      />
    </div>
  )
}

function ModelCard({
  model,
  onChoose,
}: {
  readonly model: VehicleModel
  readonly onChoose: ChooseModelProps['onChoose']
}) {
  const t = useWords()
  const plan = useMemo(() => bodyPlan(model.kind), [model.kind])
  const measured = model.parts.filter((part) => part.formId !== null).length
  return (
    <button
      type="button"
      onClick={() => onChoose(model)}
      className="flex w-full flex-col border border-ink/40 bg-paper p-3 text-left hover:border-petrol hover:bg-petrol-tint"
    >
      <span className="pointer-events-none block h-40" aria-hidden="true">
        <VehicleSheet plan={plan} covered={[]} marks={[]} chosenSlot={null} chosenMark={null} />
      </span>
      <span className="mt-2 text-lead font-bold leading-tight">{model.name}</span>
      <span className="text-body text-quiet">
        {t(bodyKindWords[model.kind])},{' '}
        {measured === 0 ? t`nothing measured yet` : t`${counted(measured, '# part', '# parts')} measured`}
      </span>
    </button>
  )
}

interface NewModelFormProps {
  /** What it is called, where that is known already. */
  readonly called: string
  readonly onMade: (model: VehicleModel) => void
}

function NewModelForm({ called, onMade }: NewModelFormProps) {
  const t = useWords()
  const [name, setName] = useState(called)
  const [kind, setKind] = useState<BodyKind>('city hatch')
  const [addModel, { error, isLoading }] = useAddModelMutation()
  const make = async () => {
    const outcome = await addModel({ name: name.trim(), kind })
    if (outcome.data !== undefined) onMade(outcome.data)
  }
  return (
    <section aria-labelledby="new-model" className="mt-6 border-t border-hair pt-4">
      <Heading id="new-model">{t`Not in the list`}</Heading>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <div className="w-72">
          <Field label={t`Name of the model`}>
            <TextInput value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
          </Field>
        </div>
        <Choice
          label={t`Kind of vehicle`}
          value={kind}
          options={bodyKinds.map((value) => ({ value, text: t(bodyKindWords[value]) }))}
          onChange={setKind}
        />
        <Button
          look="go"
          disabled={name.trim() === '' || isLoading}
          onClick={() => void make()}
        >{t`Add this model`}</Button>
      </div>
      <p className="mt-2 text-body text-quiet">{t`It starts with every part that such a vehicle has. Measure a part when you first need it.`}</p>
      <WhatFailed error={error} className="mt-2" />
    </section>
  )
}
