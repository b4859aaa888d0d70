import { type NewPerson, type Person, type PersonChange, roles, type Shop, worksHere } from '@truelay/contract'
import { name } from '@truelay/core/say'
import { useState } from 'react'
import { useSessionQuery } from '../../remote/api.ts'
import { useAllowNewPinMutation, useSignInNamesQuery } from '../../remote/signInApi.ts'
import { useAddPersonMutation, useChangePersonMutation, usePeopleQuery } from '../../remote/shopApi.ts'
import { Button } from '../../ui/Button.tsx'
import { dayText } from '../../ui/clockText.ts'
import { Field, SelectInput, TextInput } from '../../ui/Field.tsx'
import { KeptText } from '../../ui/KeptText.tsx'
import { roleWords } from '../../ui/roleWords.ts'
import { useWords } from '../../ui/words.ts'
import { HoursFields } from './HoursFields.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

const nobody: NewPerson = { name: '', role: 'installer' }

/** Everybody who works here, and who did. */
export function PeopleList({ shop }: { readonly shop: Shop }) {
  const t = useWords()
  const { data: people = [] } = usePeopleQuery()
  const [add, adding] = useAddPersonMutation()
  const [change, changing] = useChangePersonMutation()
  const [draft, setDraft] = useState(nobody)
  const error = adding.error ?? changing.error
  const here = people.filter(worksHere)
  const left = people.filter((p) => !worksHere(p))
  const begin = async () => {
    const outcome = await add({ ...draft, name: draft.name.trim() })
    if (outcome.data !== undefined) setDraft(nobody)
  }
  return (
    <ForRole least="lead" quietly>
      <section aria-labelledby="people-title" className="mt-6 border-t border-hair pt-4">
        <h2 id="people-title" className="label-strong text-lead">{t`People`}</h2>
        <WhatFailed error={error} className="mt-2" />
        <ul>
          {here.map((one) => (
            <PersonRow
              key={one.id}
              person={one}
              shop={shop}
              onChange={(more) => void change({ id: one.id, change: more })}
            />
          ))}
        </ul>
        <form
          className="mt-3 flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault()
            if (draft.name.trim() !== '') void begin()
          }}
        >
          <div className="w-64">
            <Field label={t`Somebody new`}>
              <TextInput
                value={draft.name}
                maxLength={60}
                onChange={(event) => setDraft({ ...draft, name: event.target.value })}
              />
            </Field>
          </div>
          <RoleChoice
            label={t`What somebody new does`}
            value={draft.role}
            onChange={(role) => setDraft({ ...draft, role })}
          />
          <Button type="submit" disabled={draft.name.trim() === ''}>{t`Begins to work here`}</Button>
        </form>
        {left.length === 0 ? null : (
          <details className="mt-4">
            <summary className="label-strong min-h-11 cursor-pointer text-body">{t`${left.length} who have left`}</summary>
            <ul>
              {left.map((one) => (
                <li key={one.id} className="flex flex-wrap items-center gap-4 border-b border-hair py-2 text-body">
                  <span className="font-bold">{one.name}</span>
                  <span className="text-quiet">{t`left on ${name(dayText(one.leftAt ?? ''))}`}</span>
                  <Button
                    look="quiet"
                    className="ml-auto"
                    onClick={() => void change({ id: one.id, change: { leftAt: null } })}
                  >{t`${one.name} is back`}</Button>
                </li>
              ))}
            </ul>
          </details>
        )}
      </section>
    </ForRole>
  )
}

interface PersonRowProps {
  readonly person: Person
  readonly shop: Shop
  readonly onChange: (change: PersonChange) => void
}

function PersonRow({ person, shop, onChange }: PersonRowProps) {
  const t = useWords()
  const [ownHours, setOwnHours] = useState<'shown' | 'hidden'>('hidden')
  return (
    <li className="border-b border-hair py-2.5">
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-64">
          <KeptText
            label={t`Name`}
            value={person.name}
            maxLength={60}
            needed
            onCommit={(called) => onChange({ name: called })}
          />
        </div>
        <RoleChoice label={t`What ${person.name} does`} value={person.role} onChange={(role) => onChange({ role })} />
        <Button
          look="quiet"
          aria-expanded={ownHours === 'shown'}
          onClick={() => setOwnHours(ownHours === 'shown' ? 'hidden' : 'shown')}
        >
          {person.hours === null ? t`Works the hours of the shop` : t`Has hours of their own`}
        </Button>
        <NewPin person={person} />
        <Button
          look="quiet"
          className="ml-auto"
          onClick={() => onChange({ leftAt: new Date().toISOString() })}
        >{t`${person.name} has left`}</Button>
      </div>
      {ownHours === 'hidden' ? null : (
        <div className="mt-2 pl-4">
          <HoursFields hours={person.hours ?? shop.hours} onChange={(hours) => onChange({ hours })} />
          {person.hours === null ? null : (
            <Button look="quiet" onClick={() => onChange({ hours: null })}>{t`The hours of the shop again`}</Button>
          )}
        </div>
      )}
    </li>
  )
}

/** A lead's word that somebody may choose a PIN; nothing where nobody has to sign in. */
function NewPin({ person }: { readonly person: Person }) {
  const t = useWords()
  const { data: session } = useSessionQuery()
  const needed = session?.needed === true
  const { data: names = [] } = useSignInNamesQuery(undefined, { skip: !needed })
  const [allow] = useAllowNewPinMutation()
  const state = names.find(({ id }) => id === person.id)?.pin
  if (!needed || state === undefined) return null
  if (state === 'to choose')
    return <span className="flex min-h-11 items-center text-body text-quiet">{t`may choose a PIN now`}</span>
  return (
    <Button look={state === 'locked' ? 'caution' : 'quiet'} onClick={() => void allow(person.id)}>
      {state === 'none'
        ? t`Let ${person.name} choose a PIN`
        : state === 'locked'
          ? t`Locked: let ${person.name} choose a new PIN`
          : t`Let ${person.name} choose a new PIN`}
    </Button>
  )
}

interface RoleChoiceProps {
  readonly label: string
  readonly value: Person['role']
  readonly onChange: (role: Person['role']) => void
}

function RoleChoice({ label, value, onChange }: RoleChoiceProps) {
  const t = useWords()
  return (
    <SelectInput
      aria-label={label}
      value={value}
      className="max-w-40"
      onChange={(event) => onChange(event.target.value as Person['role'])}
    >
      {roles.map((role) => (
        <option key={role} value={role}>
          {t(roleWords[role])}
        </option>
      ))}
    </SelectInput>
  )
}
