import { type FirstShop, gunId, type NewPerson, roles, usualHours, usualPlaces } from '@truelay/contract'
import { usualGun } from '@truelay/core/heat'
import { usualFilmOf } from '@truelay/core/plan'
import { metricUnits } from '@truelay/core/units'
import { Plus, X } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import { useNavigate } from 'react-router'
import { useOpenShopMutation } from '../../remote/shopApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Field, SelectInput, TextInput } from '../../ui/Field.tsx'
import { roleWords } from '../../ui/roleWords.ts'
import { Heading, Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { FilmFields } from '../shelf/FilmFields.tsx'
import { HoursFields } from '../shop/HoursFields.tsx'
import { PlaceFields } from '../shop/PlaceFields.tsx'
import { UnitFields } from '../shop/UnitFields.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'

const firstGun = () => ({
  id: gunId.parse('gun-1'),
  name: 'Gun 1',
  settings: [...usualGun.gun.settings],
  spotMm: usualGun.gun.spotMm,
  readings: [],
})

/** The first screen of an empty folder: one page, of which only the name and somebody who leads are needed. */
export function OpeningScreen() {
  const t = useWords()
  const navigate = useNavigate()
  const [open, { error, isLoading }] = useOpenShopMutation()
  const [name, setName] = useState('')
  const [units, setUnits] = useState<FirstShop['units']>(metricUnits)
  const [people, setPeople] = useState<readonly NewPerson[]>([{ name: '', role: 'lead' }])
  const [places, setPlaces] = useState([...usualPlaces])
  const [hours, setHours] = useState(usualHours)
  const [film, setFilm] = useState({ name: '', ...usualFilmOf('paint film') })
  const [hasGun, setHasGun] = useState<'yes' | 'no'>('yes')
  const named = people.filter((p) => p.name.trim() !== '')
  const missing =
    name.trim() === ''
      ? t`Give the shop a name.`
      : named.length === 0
        ? t`Name at least one person.`
        : named.some((p) => p.role === 'lead')
          ? null
          : t`Make one of the people a lead.`
  const submit = async () => {
    const outcome = await open({
      name: name.trim(),
      units,
      places,
      hours,
      people: named,
      film: film.name.trim() === '' ? null : { ...film, name: film.name.trim() },
      gun: hasGun === 'yes' ? firstGun() : null,
    })
    if (outcome.data !== undefined) void navigate('/')
  }
  return (
    <main className="h-full overflow-auto">
      <form
        className="mx-auto max-w-3xl px-6 pt-8 pb-28"
        onSubmit={(event) => {
          event.preventDefault()
          if (missing === null) void submit()
        }}
      >
        <Title look="far">{t`Open the shop`}</Title>
        <p className="mt-2 text-body text-quiet">{t`A name and somebody who leads are enough to begin. The rest stands as it is in most shops; all of it can be changed later. To look around first, stop this and start the demo shop with “./truelay demo”.`}</p>

        <Part title={t`Name of the shop`}>
          <TextInput
            aria-label={t`Name of the shop`}
            value={name}
            maxLength={80}
            className="min-h-14 text-lead font-bold"
            onChange={(event) => setName(event.target.value)}
          />
        </Part>
        <Part title={t`Who works here`}>
          <PeopleFields people={people} onChange={setPeople} />
        </Part>
        <Part title={t`Units`}>
          <UnitFields units={units} onChange={(more) => setUnits({ ...units, ...more })} />
        </Part>
        <Part title={t`The film that is fitted most`} hint={t`Without a name none is put on the shelf yet.`}>
          <FilmFields film={film} onChange={setFilm} />
        </Part>
        <Part
          title={t`Heat gun`}
          hint={t`It begins with what such guns usually do; a few readings with a thermometer make it yours.`}
        >
          <Choice
            label={t`Heat gun`}
            value={hasGun}
            onChange={setHasGun}
            options={[
              { value: 'yes', text: t`one with four settings` },
              { value: 'no', text: t`later` },
            ]}
          />
        </Part>
        <Later title={t`Places: ${places.map((p) => p.name).join(', ')}`}>
          <PlaceFields places={places} onChange={setPlaces} />
        </Later>
        <Later title={t`Opening hours`}>
          <HoursFields hours={hours} onChange={setHours} />
        </Later>

        <div className="fixed inset-x-0 bottom-0 z-10 border-t border-hair bg-paper px-6 py-4">
          <div className="mx-auto flex max-w-3xl flex-wrap items-center gap-5">
            <Button
              type="submit"
              look="go"
              disabled={missing !== null || isLoading}
              className="min-h-14 px-8 text-lead"
            >{t`Open the shop`}</Button>
            {missing === null ? null : <span className="text-body text-quiet">{missing}</span>}
            <WhatFailed error={error} />
          </div>
        </div>
      </form>
    </main>
  )
}

interface PartProps {
  readonly title: string
  readonly hint?: string
  readonly children: ReactNode
}

function Part({ title, hint, children }: PartProps) {
  return (
    <section className="mt-7 border-t border-hair pt-4">
      <Heading>{title}</Heading>
      {hint === undefined ? null : <p className="text-body text-quiet">{hint}</p>}
      <div className="mt-3">{children}</div>
    </section>
  )
}

/** What stands right for most, folded away. */
function Later({ title, children }: PartProps) {
  return (
    <details className="mt-7 border-t border-hair pt-4">
      <summary className="min-h-11 cursor-pointer text-head font-bold">{title}</summary>
      <div className="mt-3">{children}</div>
    </details>
  )
}

interface PeopleFieldsProps {
  readonly people: readonly NewPerson[]
  readonly onChange: (people: readonly NewPerson[]) => void
}

function PeopleFields({ people, onChange }: PeopleFieldsProps) {
  const t = useWords()
  const set = (at: number, more: Partial<NewPerson>) =>
    onChange(people.map((one, i) => (i === at ? { ...one, ...more } : one)))
  return (
    <>
      <ul className="space-y-2">
        {people.map((one, i) => (
          <li key={i} className="flex items-end gap-3">
            <div className="flex-1">
              <Field label={t`Name of person ${i + 1}`}>
                <TextInput value={one.name} maxLength={60} onChange={(event) => set(i, { name: event.target.value })} />
              </Field>
            </div>
            <SelectInput
              aria-label={t`What person ${i + 1} does`}
              value={one.role}
              className="max-w-40"
              onChange={(event) => set(i, { role: event.target.value as NewPerson['role'] })}
            >
              {roles.map((role) => (
                <option key={role} value={role}>
                  {t(roleWords[role])}
                </option>
              ))}
            </SelectInput>
            <button
              type="button"
              aria-label={t`Leave out person ${i + 1}`}
              disabled={people.length === 1}
              onClick={() => onChange(people.filter((_, other) => other !== i))}
              className="flex size-11 shrink-0 items-center justify-center text-quiet hover:text-stop disabled:opacity-40"
            >
              <X size={20} />
            </button>
          </li>
        ))}
      </ul>
      <Button className="mt-3" onClick={() => onChange([...people, { name: '', role: 'installer' }])}>
        <Plus size={18} aria-hidden="true" /> {t`Another person`}
      </Button>
    </>
  )
}
