import { idFromName, kitId, type Shelf } from '@truelay/contract'
import { useState } from 'react'
import { useModelsQuery } from '../../remote/vehiclesApi.ts'
import { useSaveKitMutation } from '../../remote/shelfApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Field, SelectInput, TextInput } from '../../ui/Field.tsx'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

/** A box that was cut here or came without a file: a name and the model it is for; its pieces are brought in afterwards. */
export function NewKit({ shelf }: { readonly shelf: Shelf }) {
  const t = useWords()
  const { data: models = [] } = useModelsQuery()
  const [called, setCalled] = useState('')
  const [model, setModel] = useState('')
  const [save, { error, isLoading }] = useSaveKitMutation()
  const modelId = models.find((m) => m.id === model)?.id ?? models[0]?.id
  const add = async () => {
    if (modelId === undefined) return
    const id = kitId.parse(idFromName(called, new Set(shelf.kits.map((k) => k.id))))
    const saved = await save({ id, name: called.trim(), modelId, rules: [], note: '' })
    if (saved.error === undefined) setCalled('')
  }
  return (
    <ForRole least="installer" quietly>
      <form
        aria-label={t`A new kit`}
        className="flex flex-wrap items-end gap-3 border-b border-hair px-6 py-4"
        onSubmit={(event) => {
          event.preventDefault()
          void add()
        }}
      >
        <div className="w-72">
          <Field label={t`A new kit`}>
            <TextInput value={called} maxLength={80} onChange={(event) => setCalled(event.target.value)} />
          </Field>
        </div>
        <div className="w-56">
          <Field label={t`For the model`}>
            <SelectInput value={modelId ?? ''} onChange={(event) => setModel(event.target.value)}>
              {models.map((m) => (
                <option key={m.id} value={m.id}>
                  {m.name}
                </option>
              ))}
            </SelectInput>
          </Field>
        </div>
        <Button
          type="submit"
          disabled={called.trim() === '' || modelId === undefined || isLoading}
        >{t`Put it on the shelf`}</Button>
        {modelId === undefined ? (
          <p className="text-body text-quiet">{t`A kit is for a model: take in a vehicle of it first.`}</p>
        ) : null}
        <WhatFailed error={error} />
      </form>
    </ForRole>
  )
}
