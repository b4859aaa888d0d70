import type { SignInName } from '@truelay/contract'
import { useState } from 'react'
import { api, tagTypes } from '../../remote/api.ts'
import {
  useChoosePinMutation,
  useSignInMutation,
  useSignInNamesQuery,
  useSignOutMutation,
} from '../../remote/signInApi.ts'
import { type Asked, known, turnedAway } from '../../remote/signInSlice.ts'
import { outbox, useAppDispatch } from '../../store/store.ts'
import { Button } from '../../ui/Button.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { PinPad } from './PinPad.tsx'
import { TakeIn } from './TakeIn.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'

/** In front of everything while nobody is known here: what was open beneath it stays as it was left. */
export function SignInScreen({ asks }: { readonly asks: Exclude<Asked, 'nothing'> }) {
  const dispatch = useAppDispatch()
  const goOn = () => {
    dispatch(known())
    dispatch(api.util.invalidateTags([...tagTypes]))
    outbox.sendNow()
  }
  return (
    <main className="fixed inset-0 z-50 overflow-auto bg-bench">
      <div className="mx-auto flex min-h-full max-w-3xl flex-col justify-center gap-6 px-6 py-8">
        {asks === 'to be taken in' ? (
          <TakeIn onTakenIn={() => dispatch(turnedAway('SIGN_IN'))} />
        ) : (
          <SignIn handingOver={asks === 'hand-over'} onIn={goOn} onBack={() => dispatch(known())} />
        )}
      </div>
    </main>
  )
}

interface SignInProps {
  readonly handingOver: boolean
  readonly onIn: () => void
  readonly onBack: () => void
}

function SignIn({ handingOver, onIn, onBack }: SignInProps) {
  const t = useWords()
  const { data: names = [] } = useSignInNamesQuery(undefined, {
    refetchOnMountOrArgChange: true,
    pollingInterval: 5000,
  })
  const [signOut] = useSignOutMutation()
  const [chosen, setChosen] = useState<SignInName | null>(null)
  const standing = names.find((one) => one.id === chosen?.id) ?? null
  if (standing !== null) return <ProveIt who={standing} onIn={onIn} onBack={() => setChosen(null)} />
  const leave = async () => {
    await signOut()
    onBack()
  }
  return (
    <>
      <Title look="far">{handingOver ? t`Who goes on here?` : t`Who is it?`}</Title>
      <ul className="grid gap-3 sm:grid-cols-2">
        {names.map((one) => (
          <li key={one.id}>
            <Button className="min-h-20 w-full justify-start text-title" onClick={() => setChosen(one)}>
              {one.name}
            </Button>
          </li>
        ))}
      </ul>
      {handingOver ? (
        <p className="flex flex-wrap gap-3">
          <Button onClick={onBack}>{t`Back, nothing changes`}</Button>
          <Button look="quiet" onClick={() => void leave()}>{t`Sign out, nobody goes on`}</Button>
        </p>
      ) : null}
    </>
  )
}

interface ProveItProps {
  readonly who: SignInName
  readonly onIn: () => void
  readonly onBack: () => void
}

function ProveIt({ who, onIn, onBack }: ProveItProps) {
  const t = useWords()
  const [signIn, signing] = useSignInMutation()
  const [choose, choosing] = useChoosePinMutation()
  const [first, setFirst] = useState<string | null>(null)
  const [unlike, setUnlike] = useState(false)
  const error = signing.error ?? choosing.error
  const isNew = who.pin === 'to choose'
  const onPin = async (pin: string) => {
    setUnlike(false)
    if (!isNew) {
      if ((await signIn({ personId: who.id, pin })).error === undefined) onIn()
    } else if (first === null) setFirst(pin)
    else {
      setFirst(null)
      if (pin !== first) setUnlike(true)
      else if ((await choose({ personId: who.id, pin, before: null })).error === undefined) onIn()
    }
  }
  return (
    <>
      <Title look="far">{who.name}</Title>
      {who.pin === 'none' ? (
        <Notice look="caution">{t`There is no PIN for this name yet. A lead allows one: Shop, People, beside the name.`}</Notice>
      ) : who.pin === 'locked' ? (
        <Notice look="stop">{t`Too many wrong PINs: this name is locked. A lead lets it choose a new one: Shop, People.`}</Notice>
      ) : (
        <PinPad
          key={first ?? 'first'}
          label={!isNew ? t`PIN` : first === null ? t`Choose a PIN of 4 to 12 digits` : t`The same once more`}
          done={!isNew ? t`In` : first === null ? t`Next` : t`Keep`}
          busy={signing.isLoading || choosing.isLoading}
          onPin={(pin) => void onPin(pin)}
        />
      )}
      {unlike ? (
        <Notice look="stop" role="alert">{t`The two were not alike: begin again.`}</Notice>
      ) : (
        <WhatFailed error={error} />
      )}
      <p>
        <Button look="quiet" onClick={onBack}>{t`Another name`}</Button>
      </p>
    </>
  )
}
