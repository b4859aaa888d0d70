import type { RemovableKind } from '@truelay/contract'
import { name, say, type Sentence } from '@truelay/core/say'
import { Link } from 'react-router'
import { failureOf } from '../../remote/failureOf.ts'
import { useRemovedQuery, useRemoveThingMutation } from '../../remote/shelfApi.ts'
import { Button } from '../../ui/Button.tsx'
import { shortDayText } from '../../ui/clockText.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Title } from '../../ui/Title.tsx'
import { offerUndo } from '../../ui/undoOffer.ts'
import { useWords } from '../../ui/words.ts'
import { ForRole } from '../frame/ForRole.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'

const kindWords: Readonly<Record<RemovableKind, Sentence>> = {
  films: say`film`,
  pieces: say`piece`,
  kits: say`kit`,
  forms: say`form`,
  models: say`model`,
}

/** What was taken off the shelf and the lists, with the way back. */
export function RemovedScreen() {
  const t = useWords()
  const { data: removed, error } = useRemovedQuery()
  const [remove, { error: refused, isLoading }] = useRemoveThingMutation()
  if (removed === undefined)
    return error === undefined ? <Busy text={t`Opening the list`} /> : <Failed {...failureOf(error)} />
  const bringBack = async ({ kind, id, name: called }: (typeof removed)[number]) => {
    const outcome = await remove({ kind, id, removed: false })
    if (outcome.error === undefined)
      offerUndo({ said: say`${name(called)} is back.`, back: () => remove({ kind, id, removed: true }) })
  }
  return (
    <div className="mx-auto max-w-[68.75rem] px-7 py-6">
      <p className="label text-body">
        <Link to="/shelf" className="text-petrol underline">{t`Shelf`}</Link>
      </p>
      <Title>{t`Taken off`}</Title>
      <p className="text-body text-quiet">{t`Films, pieces, kits, forms and models that stand in no list any more. What was fitted with them keeps them.`}</p>
      <WhatFailed error={refused} className="mt-3" />
      {removed.length === 0 ? <p className="mt-6 text-lead">{t`Nothing was taken off.`}</p> : null}
      <ForRole least="installer">
        <ul className="mt-4">
          {removed.map((one) => (
            <li
              key={`${one.kind} ${one.id}`}
              className="grid items-center gap-x-6 gap-y-1 border-t border-hair py-2 sm:grid-cols-[1fr_8rem_12rem_auto]"
            >
              <span className="text-lead font-bold">{one.name}</span>
              <span className="text-body text-quiet">{t(kindWords[one.kind])}</span>
              <span className="text-body text-quiet">{t`since ${shortDayText(one.removedAt)}`}</span>
              <Button
                aria-label={t`Put ${one.name} back`}
                disabled={isLoading}
                onClick={() => void bringBack(one)}
              >{t`Put it back`}</Button>
            </li>
          ))}
        </ul>
      </ForRole>
    </div>
  )
}
