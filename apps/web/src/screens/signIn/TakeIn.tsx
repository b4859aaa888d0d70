import { useState } from 'react'
import { usePairMutation } from '../../remote/signInApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Field, TextInput } from '../../ui/Field.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'

/** A code that was read as a picture stands behind the address, where it is not sent to any server. */
const codeInAddress = () => decodeURIComponent(window.location.hash.slice(1))

/** A tablet that does not belong to the shop yet: the code from the desk, and what the tablet is called. */
export function TakeIn({ onTakenIn }: { readonly onTakenIn: () => void }) {
  const t = useWords()
  const [pair, { error, isLoading }] = usePairMutation()
  const [code, setCode] = useState(codeInAddress)
  const [name, setName] = useState('')
  const submit = async () => {
    if ((await pair({ code, name: name.trim() })).error !== undefined) return
    window.history.replaceState(null, '', window.location.pathname)
    onTakenIn()
  }
  return (
    <form
      className="flex flex-col gap-5"
      onSubmit={(event) => {
        event.preventDefault()
        if (code.trim() !== '' && name.trim() !== '') void submit()
      }}
    >
      <Title look="far">{t`Take this screen into the shop`}</Title>
      <p className="text-body text-quiet">{t`At the desk a lead opens Shop, Tablets, and reads out the code that stands there. It is good for ten minutes.`}</p>
      <Field label={t`Code from the desk`}>
        <TextInput
          value={code}
          maxLength={20}
          autoCapitalize="characters"
          className="min-h-14 max-w-72 text-title tracking-widest"
          onChange={(event) => setCode(event.target.value)}
        />
      </Field>
      <Field label={t`What this screen is called, such as Tablet bay 1`}>
        <TextInput
          value={name}
          maxLength={40}
          className="min-h-14 max-w-96 text-lead"
          onChange={(event) => setName(event.target.value)}
        />
      </Field>
      <WhatFailed error={error} />
      <p>
        <Button
          type="submit"
          look="go"
          className="min-h-14"
          disabled={isLoading || code.trim() === '' || name.trim() === ''}
        >
          {t`Take it in`}
        </Button>
      </p>
    </form>
  )
}
