import { partId as partIdOf } from '@truelay/contract'
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
import { Link, Navigate, useParams, useSearchParams } from 'react-router'
import { usePersonHere } from '../../bench/usePersonHere.ts'
import { useBayQuery } from '../../remote/api.ts'
import { useAddExerciseMutation, useExercisesQuery } from '../../remote/exerciseApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Title } from '../../ui/Title.tsx'
import { useNow } from '../../ui/useNow.ts'
import { useWords } from '../../ui/words.ts'
import { GoBack } from '../fit/GoBack.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { forgetExercise } from './exerciseDraft.ts'
import type { ExerciseProps } from './exerciseProps.ts'
import { GapsExercise } from './GapsExercise.tsx'
import { GunExercise } from './GunExercise.tsx'
import { LayExercise } from './LayExercise.tsx'
import { MeasureExercise } from './MeasureExercise.tsx'
import { MixExercise } from './MixExercise.tsx'
import { MorningExercise } from './MorningExercise.tsx'
import { VerdictPanel } from './VerdictPanel.tsx'
import { WaitMeanwhile } from './WaitMeanwhile.tsx'
import { WhatExercise } from './WhatExercise.tsx'

const newSeed = () => crypto.getRandomValues(new Uint32Array(1))[0] ?? 1

/** One exercise from its opening sentence to its verdict. Its seed and level stand in the address, so the same can be done again. */
export function ExerciseScreen() {
  const t = useWords()
  const { kind: wished } = useParams()
  const [search, setSearch] = useSearchParams()
  const { data: bay, error: bayError } = useBayQuery()
  const { data: runs, error } = useExercisesQuery()
  const [add, { error: notKept }] = useAddExerciseMutation()
  const [again, setAgain] = useState(0)
  const [verdict, setVerdict] = useState<Verdict | null>(null)
  const { person } = usePersonHere(bay?.people ?? [], search.get('who'))
  const kind = exerciseKinds.find((one) => one === wished)
  if (kind === undefined)
    return <Failed sentence={say`There is no such exercise.`} fix={say`Choose one under Practice.`} />
  if (bay === undefined || runs === undefined) {
    const wrong = error ?? bayError
    return wrong === undefined ? <Busy text={t`Opening practice`} /> : <Failed {...failureOf(wrong)} />
  }
  const reached = standingOf(
    kind,
    runs.filter((run) => run.personId === person?.id),
  ).level
  const seed = seedOf(search.get('seed'))
  const level = exerciseLevels.find((one) => String(one) === search.get('level'))
  // Both stand in the address from the beginning: a page that is opened anew goes on with the same one, whatever level comes of it.
  if (seed === null || level === undefined)
    return <Navigate replace to={`?${addressOf(search, seed ?? newSeed(), level ?? reached)}`} />
  const exercise = `${kind} ${level} ${seed}`
  const words = exerciseWords[kind]
  // Where one came from a fit that waits; nothing outside the app.
  const from = fitOf(search.get('from'))
  const begin = (next: { readonly seed: number; readonly level: ExerciseLevel }) => {
    forgetExercise()
    setVerdict(null)
    setAgain((n) => n + 1)
    setSearch(addressOf(search, next.seed, next.level), { replace: true })
  }
  const finish = (came: Verdict) => {
    forgetExercise()
    setVerdict(came)
    if (person === undefined) return
    void add({
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      personId: person.id,
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
      <Clocks fit={from} />
      <Exercise
        key={`${exercise} ${again}`}
        id={exercise}
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

/** What follows the ? of an exercise. */
const addressOf = (search: URLSearchParams, seed: number, level: ExerciseLevel) =>
  new URLSearchParams({ ...Object.fromEntries(search), seed: String(seed), level: String(level) })

const seedOf = (text: string | null): number | null =>
  text !== null && /^\d{1,10}$/.test(text) && Number(text) <= 0xffffffff ? Number(text) : null

/** What dries meanwhile: the part from which one came, and any other that cannot wait longer. */
function Clocks({ fit }: { readonly fit: string | null }) {
  const now = useNow(1000)
  const partId = fit === null ? null : partIdOf.parse(fit.slice(fit.lastIndexOf('/') + 1))
  return (
    <>
      {fit === null ? null : <WaitMeanwhile fit={fit} now={now} />}
      <GoBack partId={partId} now={now} />
    </>
  )
}

const exercises: Readonly<Record<ExerciseKind, (props: ExerciseProps) => React.ReactNode>> = {
  lay: LayExercise,
  gaps: GapsExercise,
  mix: MixExercise,
  gun: GunExercise,
  measure: MeasureExercise,
  what: WhatExercise,
  morning: MorningExercise,
}

function Exercise({ kind, ...props }: ExerciseProps & { readonly kind: ExerciseKind }) {
  const Of = exercises[kind]
  return <Of {...props} />
}
