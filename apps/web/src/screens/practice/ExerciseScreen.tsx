import { personId, worksHere } from '@truelay/contract'
import {
  type ExerciseKind,
  exerciseKinds,
  type ExerciseLevel,
  exerciseLevels,
  exerciseWords,
  standingOf,
  type Verdict,
} from '@truelay/core/exercises'
import { practiceWith } from '@truelay/core/practice'
import { count, say } from '@truelay/core/say'
import { ArrowLeft } from 'lucide-react'
import { useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { useBayQuery, useSessionQuery } from '../../remote/api.ts'
import { useAddExerciseMutation, useExercisesQuery } from '../../remote/exerciseApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import type { ExerciseProps } from './exerciseProps.ts'
import { GapsExercise } from './GapsExercise.tsx'
import { GunExercise } from './GunExercise.tsx'
import { MeasureExercise } from './MeasureExercise.tsx'
import { MixExercise } from './MixExercise.tsx'
import { VerdictPanel } from './VerdictPanel.tsx'

const newSeed = () => crypto.getRandomValues(new Uint32Array(1))[0] ?? 1

/** One exercise from its opening sentence to its verdict. Its seed and level stand in the address, so the same can be done again. */
export function ExerciseScreen() {
  const t = useWords()
  const { kind: wished } = useParams()
  const [search, setSearch] = useSearchParams()
  const { data: bay, error: bayError } = useBayQuery()
  const { data: session } = useSessionQuery()
  const { data: runs, error } = useExercisesQuery()
  const [add, { error: notKept }] = useAddExerciseMutation()
  const [fresh] = useState(newSeed)
  const [again, setAgain] = useState(0)
  const [verdict, setVerdict] = useState<Verdict | null>(null)
  const kind = exerciseKinds.find((one) => one === wished)
  if (kind === undefined)
    return <Failed sentence={say`There is no such exercise.`} fix={say`Choose one under Practice.`} />
  if (bay === undefined || runs === undefined) {
    const wrong = error ?? bayError
    return wrong === undefined ? <Busy text={t`Opening practice`} /> : <Failed {...failureOf(wrong)} />
  }
  const here = bay.people.filter(worksHere)
  const person = here.find((p) => p.id === (search.get('who') ?? session?.person?.id)) ?? here[0]
  const reached = standingOf(
    kind,
    runs.filter((run) => run.personId === person?.id),
  ).level
  const level = exerciseLevels.find((one) => String(one) === search.get('level')) ?? reached
  const seed = seedOf(search.get('seed')) ?? fresh
  const words = exerciseWords[kind]
  // A fit that waits meanwhile; nothing outside the app.
  const from = fitOf(search.get('from'))
  const begin = (next: { readonly seed: number; readonly level: ExerciseLevel }) => {
    setVerdict(null)
    setAgain((n) => n + 1)
    const address = new URLSearchParams({ seed: String(next.seed), level: String(next.level) })
    if (person !== undefined) address.set('who', person.id)
    if (from !== null) address.set('from', from)
    setSearch(address, { replace: true })
  }
  const finish = (came: Verdict) => {
    setVerdict(came)
    if (person === undefined) return
    void add({
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      personId: personId.parse(person.id),
      kind,
      level,
      seed,
      share: came.share,
    })
  }
  return (
    <div className="flex min-h-full flex-col">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-hair bg-paper px-4 py-2.5">
        <Link
          to={from ?? '/practice'}
          aria-label={from === null ? t`All exercises` : t`Back to the part`}
          className="label flex min-h-11 min-w-11 items-center justify-center gap-1.5 text-body text-quiet hover:text-petrol"
        >
          <ArrowLeft size={24} aria-hidden />
          {from === null ? null : t`Back to the part`}
        </Link>
        <Title look="bar">{t`${words.name}, level ${count(level)}`}</Title>
        <p className="min-w-72 flex-1 text-lead leading-snug">{t(words.opens)}</p>
        {person === undefined ? null : <span className="text-body text-quiet">{person.name}</span>}
      </header>
      <Exercise
        key={`${kind} ${seed} ${level} ${again}`}
        kind={kind}
        seed={seed}
        level={level}
        practice={practiceWith(bay.shop.practice)}
        done={verdict !== null}
        onDone={finish}
      />
      <WhatFailed error={notKept} className="px-6 py-2" />
      {verdict === null ? null : (
        <VerdictPanel
          verdict={verdict}
          words={words}
          onAgain={() => begin({ seed, level })}
          onAnother={() => begin({ seed: newSeed(), level: reached })}
        />
      )}
    </div>
  )
}

const fitOf = (address: string | null): string | null =>
  address !== null && /^\/jobs\/[\w-]+\/fit\/[\w-]+$/.test(address) ? address : null

const seedOf = (text: string | null): number | null =>
  text !== null && /^\d{1,10}$/.test(text) && Number(text) <= 0xffffffff ? Number(text) : null

const exercises: Readonly<Record<ExerciseKind, (props: ExerciseProps) => React.ReactNode>> = {
  gaps: GapsExercise,
  mix: MixExercise,
  gun: GunExercise,
  measure: MeasureExercise,
}

function Exercise({ kind, ...props }: ExerciseProps & { readonly kind: ExerciseKind }) {
  const Of = exercises[kind]
  return <Of {...props} />
}
