import { type ExerciseKind, exerciseWords, mastered, type NextUp } from '@truelay/core/exercises'
import { faultWords } from '@truelay/core/judge'
import { say } from '@truelay/core/say'
import { CalendarClock, CircleHelp, Flame, FlaskConical, Layers, Ruler, Spline } from 'lucide-react'
import type { ComponentType } from 'react'
import { Link } from 'react-router'
import { useNextUp } from '../../bench/useNextUp.ts'
import { usePersonHere } from '../../bench/usePersonHere.ts'
import { useBayQuery } from '../../remote/api.ts'
import { useExercisesQuery } from '../../remote/exerciseApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { shortDayText } from '../../ui/clockText.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { WhoField } from '../frame/WhoField.tsx'
import { LevelMarks } from './LevelMarks.tsx'
import { Team } from './Team.tsx'

const exerciseIcons: Readonly<Record<ExerciseKind, ComponentType<{ size: number }>>> = {
  lay: Layers,
  gaps: Ruler,
  mix: FlaskConical,
  gun: Flame,
  measure: Spline,
  what: CircleHelp,
  morning: CalendarClock,
}

/** What can be practised, what of it is due, and how far each person is. */
export function PracticeScreen() {
  const t = useWords()
  const { data: bay, error: bayError } = useBayQuery()
  const { data: runs, error } = useExercisesQuery()
  const { here, person, choose } = usePersonHere(bay?.people ?? [])
  const standings = useNextUp(person?.id) ?? []
  if (bay === undefined || runs === undefined) {
    const wrong = error ?? bayError
    return wrong === undefined ? <Busy text={t`Opening practice`} /> : <Failed {...failureOf(wrong)} />
  }
  if (person === undefined)
    return <Failed sentence={say`Nobody works in this shop yet.`} fix={say`Add a person on the Shop screen first.`} />
  return (
    <div>
      <header className="flex flex-wrap items-end justify-between gap-4 border-b border-hair bg-paper px-6 py-4">
        <div>
          <Title>{t`Practice`}</Title>
          <p className="text-lead text-quiet">{t`On film that costs nothing. What you do is worked out as it would be on a part.`}</p>
        </div>
        <WhoField label={t`who practises`} people={here} person={person} onChoose={choose} />
      </header>
      <ul>
        {standings.map((standing, i) => (
          <li key={standing.kind}>
            <OneExercise standing={standing} personId={person.id} first={i === 0} />
          </li>
        ))}
      </ul>
      <Team here={here} runs={runs} me={person} />
    </div>
  )
}

interface OneExerciseProps {
  readonly standing: NextUp
  readonly personId: string
  /** What is best done now. */
  readonly first: boolean
}

function OneExercise({ standing, personId, first }: OneExerciseProps) {
  const t = useWords()
  const { kind, level, best, times, dueAt, because } = standing
  const { name, opens } = exerciseWords[kind]
  const Icon = exerciseIcons[kind]
  const due = dueAt === null || Date.parse(dueAt) <= Date.now()
  return (
    <article
      className={`grid grid-cols-[3.5rem_1fr] items-center gap-x-5 gap-y-3 border-b border-hair px-6 lg:grid-cols-[3.5rem_1fr_14rem_12rem] ${first ? 'bg-petrol-tint py-5' : 'bg-paper py-2.5'}`}
    >
      <span className="flex size-14 items-center justify-center border-2 border-petrol text-petrol">
        <Icon size={30} />
      </span>
      <div>
        <h2 className={`${first ? 'text-title' : 'text-head'} font-bold leading-tight`}>{t(name)}</h2>
        <p className={`${first ? 'text-lead' : 'text-body'} leading-snug`}>{t(opens)}</p>
        {because === null ? null : (
          <p className="mt-0.5 text-body font-semibold text-amber-ink">
            {t`Since your fit of ${shortDayText(because.at)}: ${faultWords(because.fault)}.`}
          </p>
        )}
      </div>
      <div className="col-span-2 lg:col-span-1">
        <LevelMarks level={level} best={best} />
        <p className="text-body text-quiet">
          {times === 0 ? t`never done` : due ? t`due again now` : t`again on ${shortDayText(dueAt)}`}
        </p>
      </div>
      <Link
        to={`/practice/${kind}?who=${personId}&level=${level}`}
        className={`${buttonClass(first ? 'go' : 'plain')} col-span-2 text-lead lg:col-span-1 ${first ? 'min-h-14' : 'min-h-12'}`}
        aria-label={t`Begin: ${name}`}
      >
        {best !== null && best >= mastered && !due ? t`Do it again` : t`Begin`}
      </Link>
    </article>
  )
}
