import type { JobId, Part } from '@truelay/contract'
import { sameSentence, type Sentence } from '@truelay/core/say'
import { Check } from 'lucide-react'
import { useState } from 'react'
import { useAcknowledgeLightMutation, useHandOverQuery } from '../../remote/handOverApi.ts'
import { Button } from '../../ui/Button.tsx'
import { dayText } from '../../ui/clockText.ts'
import { Field, TextInput } from '../../ui/Field.tsx'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'

interface LightReadProps {
  readonly part: Part
  readonly jobId: JobId
  /** What is to be read. */
  readonly says: Sentence
}

/** Who has read what is left of the light, by name; it counts for as long as it says the same. */
export function LightRead({ part, jobId, says }: LightReadProps) {
  const t = useWords()
  const { data } = useHandOverQuery(jobId)
  const [acknowledge, { error, isLoading }] = useAcknowledgeLightMutation()
  const [name, setName] = useState('')
  const read = data?.parts.find(({ partId }) => partId === part.id)?.acknowledged ?? null
  if (read !== null && sameSentence(read.says, says))
    return (
      <p role="status" className="mt-4 flex items-center gap-3 border-l-5 border-good bg-paper px-3.5 py-2.5 text-lead">
        <Check size={24} aria-hidden="true" className="shrink-0 text-good" />
        {t`${read.name} has read this on ${dayText(read.at)}.`}
      </p>
    )
  return (
    <form
      className="mt-4 border-l-5 border-petrol bg-petrol-tint px-4 py-3"
      onSubmit={(event) => {
        event.preventDefault()
        if (name.trim() !== '') void acknowledge({ id: part.id, name: name.trim(), says })
      }}
    >
      <p className="text-lead font-bold leading-snug">
        {read === null
          ? t`Whoever drives it reads this and gives a name.`
          : t`${read.name} has read something else: the light has been changed since.`}
      </p>
      <WhatFailed error={error} />
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <div className="min-w-48 flex-1">
          <Field label={t`Name of the owner or driver`}>
            <TextInput
              value={name}
              maxLength={80}
              autoComplete="off"
              onChange={(event) => setName(event.target.value)}
            />
          </Field>
        </div>
        <Button look="go" type="submit" disabled={name.trim() === '' || isLoading} className="min-h-13">
          {t`I have read this`}
        </Button>
      </div>
    </form>
  )
}
