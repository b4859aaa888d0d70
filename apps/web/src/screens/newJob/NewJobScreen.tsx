import { Title } from '../../ui/Title.tsx'
import { say, type Sentence } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { zodResolver } from '@hookform/resolvers/zod'
import { newJob, type NewJob, type Shelf, type VehicleModel, type WeekHours, worksHere } from '@truelay/contract'
import { bodyPlan } from '@truelay/core/vehicle'
import { format } from 'date-fns'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useForm } from 'react-hook-form'
import { Link, useNavigate } from 'react-router'
import { VehicleSheet } from '../../drawings/VehicleSheet.tsx'
import { useAddJobMutation } from '../../remote/jobsApi.ts'
import { useBayQuery } from '../../remote/api.ts'
import { useModelsQuery } from '../../remote/vehiclesApi.ts'
import { useShelfQuery } from '../../remote/shelfApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed, NothingYet } from '../../ui/Failed.tsx'
import { Field, SelectInput, TextInput } from '../../ui/Field.tsx'
import { AskBeforeLeaving } from '../../ui/AskBeforeLeaving.tsx'
import { type JobDraft, jobDraft } from './jobDraft.ts'
import { ChooseModel } from './ChooseModel.tsx'
import { EarliestPromise } from './EarliestPromise.tsx'
import { PartList } from './PartList.tsx'
import { usualStay } from './usualStay.ts'
import { partsOfModel, usualFilm } from '../job/partsOfModel.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

const forInput = (date: Date) => format(date, "yyyy-MM-dd'T'HH:mm")
const words: Readonly<Record<string, Sentence>> = {
  customer: say`Say whose vehicle it is.`,
  plate: say`Number plate or fleet number: by this the vehicle is known again.`,
  dueAt: say`It must leave after it has come.`,
  year: say`A year such as 2024, or nothing.`,
}

/** Takes in a vehicle: whose, which, when, and what is to be covered with what. */
export function NewJobScreen() {
  const t = useWords()
  const { data: bay } = useBayQuery()
  const { data: models, error } = useModelsQuery()
  const { data: shelf } = useShelfQuery()
  const [left, setLeft] = useState(jobDraft.found)
  const [chosen, setModel] = useState<VehicleModel | null>(null)
  if (models === undefined || bay === undefined || shelf === undefined)
    return error === undefined ? <Busy text={t`Opening`} /> : <Failed {...failureOf(error)} />
  if (shelf.films.length === 0)
    return (
      <NothingYet
        sentence={say`There is no film on the shelf yet.`}
        next={say`Put one there first: a part is taken in with the film that it gets.`}
      >
        <Link to="/shelf/films/new" className={buttonClass('go')}>{t`A new film`}</Link>
      </NothingYet>
    )
  const model = chosen ?? models.find(({ id }) => id === left?.modelId) ?? null
  const anew = () => {
    jobDraft.forget()
    setLeft(null)
    setModel(null)
  }
  if (model === null) return <ChooseModel models={models} onChoose={setModel} />
  return (
    <JobForm
      key={`${model.id} ${left === null ? 'new' : 'left'}`}
      model={model}
      left={left?.modelId === model.id ? left : null}
      shelf={shelf}
      people={bay.people.filter(worksHere)}
      bays={bay.shop.places.map((place) => place.name)}
      hours={bay.shop.hours}
      onOther={anew}
    />
  )
}

interface JobFormProps {
  readonly model: VehicleModel
  readonly shelf: Shelf
  readonly people: readonly { readonly id: NewJob['personId']; readonly name: string; readonly role: string }[]
  readonly bays: readonly string[]
  readonly hours: WeekHours
  /** As it was left the last time. */
  readonly left: JobDraft | null
  readonly onOther: () => void
}

function JobForm({ model, shelf, people, bays, hours, left, onOther }: JobFormProps) {
  const t = useWords()
  const navigate = useNavigate()
  const [addJob, { error, isLoading }] = useAddJobMutation()
  const [parts, setParts] = useState<NewJob['parts']>(left?.parts ?? [])
  const stay = usualStay(new Date(), hours)
  const form = useForm({
    defaultValues: {
      customer: '',
      plate: '',
      colour: '',
      year: '',
      bay: bays[0] ?? '',
      personId: people[0]?.id ?? '',
      arrivesAt: forInput(stay.arrivesAt),
      dueAt: forInput(stay.dueAt),
      ...left?.typed,
    },
    resolver: async (typed, ...rest) => {
      const moment = (text: string) => (text === '' ? '' : new Date(text).toISOString())
      const candidate = {
        ...typed,
        modelId: model.id,
        year: typed.year.trim() === '' ? null : Number(typed.year),
        arrivesAt: moment(typed.arrivesAt),
        dueAt: moment(typed.dueAt),
        parts,
      }
      return zodResolver(newJob)(candidate as never, ...(rest as [never, never])) as never
    },
  })
  const { errors, isDirty } = form.formState
  const handedIn = useRef(false)
  const begun = () => !handedIn.current && (isDirty || parts.length > 0 || left !== null)
  const values = form.watch()
  const hasBegun = begun()
  useEffect(() => {
    if (hasBegun) jobDraft.keep({ modelId: model.id, typed: values, parts })
  }, [hasBegun, model.id, values, parts])
  const says = (name: keyof typeof errors) =>
    errors[name] === undefined ? undefined : t(words[name] ?? say`Check this.`)
  const plan = useMemo(() => bodyPlan(model.kind), [model.kind])
  const choices = useMemo(() => partsOfModel(model.parts, plan), [model, plan])
  const toggle = (slot: string) => {
    const here = choices.filter((part) => part.slot === slot)
    const isIn = (name: string) => parts.some((p) => p.slot === slot && p.name === name)
    setParts((before) =>
      here.every((part) => isIn(part.name))
        ? before.filter((p) => p.slot !== slot)
        : [
            ...before.filter((p) => p.slot !== slot),
            ...here.flatMap((part) => {
              const filmId = part.filmId ?? usualFilm(slot, shelf.films)
              return filmId === null ? [] : [{ slot, name: part.name, filmId }]
            }),
          ],
    )
  }
  const submit = form.handleSubmit(async (ready) => {
    const outcome = await addJob(ready as unknown as NewJob)
    if (outcome.data === undefined) return
    handedIn.current = true
    jobDraft.forget()
    void navigate(`/jobs/${outcome.data.id}/walk-round`)
  })
  return (
    <ForRole least="installer">
      <form onSubmit={(event) => void submit(event)} className="flex min-h-full flex-col lg:h-full lg:min-h-[43.75rem]">
        <header className="flex items-end justify-between gap-6 border-b border-hair bg-paper px-6 py-3">
          <div>
            <p className="label text-note text-quiet">{t`New job`}</p>
            <Title>{model.name}</Title>
          </div>
          <span className="flex flex-wrap items-center gap-4">
            {left === null ? null : (
              <>
                <span role="status" className="text-body text-amber-ink">{t`As you left it, not taken in yet.`}</span>
                <Button look="quiet" onClick={onOther}>{t`Begin anew`}</Button>
              </>
            )}
            <Button onClick={onOther}>{t`Another model`}</Button>
          </span>
        </header>
        <AskBeforeLeaving when={begun} onThrowAway={jobDraft.forget} />
        <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] lg:grid-cols-[20.625rem_minmax(0,1fr)_20.625rem]">
          <section
            aria-label={t`Whose and when`}
            className="space-y-3 overflow-y-auto border-b border-hair p-5 lg:border-b-0 lg:border-r"
          >
            <Field label={t`Customer`} problem={says('customer')}>
              <TextInput {...form.register('customer')} maxLength={80} />
            </Field>
            <Field label={t`Number plate or fleet number`} problem={says('plate')}>
              <TextInput {...form.register('plate')} maxLength={20} />
            </Field>
            <div className="grid grid-cols-[1fr_5.625rem] gap-3">
              <Field label={t`Colour`} problem={says('colour')}>
                <TextInput {...form.register('colour')} maxLength={40} />
              </Field>
              <Field label={t`Year`} problem={says('year')}>
                <TextInput {...form.register('year')} inputMode="numeric" maxLength={4} />
              </Field>
            </div>
            <Field label={t`Comes`} problem={says('arrivesAt')}>
              <TextInput type="datetime-local" {...form.register('arrivesAt')} />
            </Field>
            <Field label={t`Must leave`} problem={says('dueAt')}>
              <TextInput type="datetime-local" {...form.register('dueAt')} />
            </Field>
            <EarliestPromise
              asked={{
                modelId: model.id,
                bay: values.bay,
                personId: values.personId as NewJob['personId'],
                arrivesAt: values.arrivesAt,
                parts,
              }}
              dueAt={values.dueAt}
              onTake={(at) => form.setValue('dueAt', forInput(at), { shouldDirty: true })}
            />
            <div className="grid grid-cols-2 gap-3">
              <Field label={t`Who fits`}>
                <SelectInput {...form.register('personId')}>
                  {people.map((person) => (
                    <option key={person.id} value={person.id}>
                      {person.name}
                    </option>
                  ))}
                </SelectInput>
              </Field>
              <Field label={t`Where`}>
                <SelectInput {...form.register('bay')}>
                  {bays.map((bay) => (
                    <option key={bay}>{bay}</option>
                  ))}
                </SelectInput>
              </Field>
            </div>
          </section>
          <section aria-label={t`What is to be covered`} className="flex min-h-[26.25rem] min-w-0 flex-col lg:min-h-0">
            <p className="label px-5 pt-3 text-body text-quiet">{t`Tap every part that is to be covered.`}</p>
            <div className="min-h-0 flex-1 p-3">
              <VehicleSheet
                plan={plan}
                covered={parts.map((part) => ({
                  ...part,
                  outline: null,
                  measured: true,
                  within: choices.find((p) => p.slot === part.slot && p.name === part.name)?.within,
                }))}
                marks={[]}
                chosenSlot={null}
                chosenMark={null}
                onTap={(slot) => toggle(slot.id)}
              />
            </div>
          </section>
          <section
            aria-label={t`Parts of the job`}
            className="flex min-h-0 flex-col border-t border-hair bg-paper lg:border-l lg:border-t-0"
          >
            <PartList
              parts={parts}
              choices={choices}
              films={shelf.films}
              onChange={setParts}
              onToggle={toggle}
              problem={errors.root === undefined && form.formState.isSubmitted && parts.length === 0}
            />
            <div className="border-t border-hair p-4">
              <WhatFailed error={error} className="mb-3" />
              <Button
                type="submit"
                look="go"
                disabled={isLoading}
                className="min-h-14 w-full text-lead"
              >{t`Take it in`}</Button>
            </div>
          </section>
        </div>
      </form>
    </ForRole>
  )
}
