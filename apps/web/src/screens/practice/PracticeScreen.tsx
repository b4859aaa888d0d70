import {
  type ExerciseKind,
  exerciseKinds,
  exerciseWords,
  mastered,
  nextUp,
  type Standing,
  standingOf,
} from '@truelay/core/exercises'
import { say } from '@truelay/core/say'
import { CalendarClock, CircleHelp, Flame, FlaskConical, Layers, Ruler, Spline } from 'lucide-react'
import type { ComponentType } from 'react'
import { Link } from 'react-router'
import { usePersonHere } from '../../bench/usePersonHere.ts'
import { useBayQuery } from '../../remote/api.ts'
import { useExercisesQuery } from '../../remote/exerciseApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { shortDayText } from '../../ui/clockText.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Heading, Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { WhoField } from '../frame/WhoField.tsx'
import { LevelMarks } from './LevelMarks.tsx'

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
  if (bay === undefined || runs === undefined) {
    const wrong = error ?? bayError
    return wrong === undefined ? <Busy text={t`Opening practice`} /> : <Failed {...failureOf(wrong)} />
  }
  if (person === undefined)
    return <Failed sentence={say`Nobody works in this shop yet.`} fix={say`Add a person on the Shop screen first.`} />
  const standings = nextUp(runs.filter((run) => run.personId === person.id))
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
      <section aria-labelledby="team" className="px-6 py-5">
        <Heading id="team">{t`How far everybody is`}</Heading>
        <p className="text-body text-quiet">{t`Practice alone lets nobody at a customer’s vehicle: the lead watches, and decides.`}</p>
        <table className="mt-2 w-full max-w-4xl text-left text-body">
          <thead>
            <tr className="label border-b border-ink/50 text-note text-quiet">
              <th scope="col" className="py-1 font-normal">{t`person`}</th>
              {exerciseKinds.map((kind) => (
                <th key={kind} scope="col" className="font-normal">
                  {t(exerciseWords[kind].name)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {here.map((p) => (
              <tr key={p.id} className="border-b border-hair">
                <th scope="row" className="py-2 font-semibold">
                  {p.name}
                </th>
                {exerciseKinds.map((kind) => {
                  const standing = standingOf(
                    kind,
                    runs.filter((run) => run.personId === p.id),
                  )
                  return (
                    <td key={kind}>
                      {standing.times === 0 ? (
                        <span className="text-quiet">–</span>
                      ) : (
                        <LevelMarks level={standing.level} best={standing.best} />
                      )}
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  )
}

interface OneExerciseProps {
  readonly standing: Standing
  readonly personId: string
  /** What is best done now. */
  readonly first: boolean
}

function OneExercise({ standing, personId, first }: OneExerciseProps) {
  const t = useWords()
  const { kind, level, best, times, dueAt } = standing
  const { name, opens } = exerciseWords[kind]
  const Icon = exerciseIcons[kind]
  const due = dueAt === null || Date.parse(dueAt) <= Date.now()
  return (
    <article
      className={`grid grid-cols-[3.5rem_1fr] items-center gap-x-5 gap-y-3 border-b border-hair px-6 py-5 lg:grid-cols-[3.5rem_1fr_14rem_12rem] ${first ? 'bg-petrol-tint' : 'bg-paper'}`}
    >
      <span className="flex size-14 items-center justify-center border-2 border-petrol text-petrol">
        <Icon size={30} />
      </span>
      <div>
        <h2 className="text-title font-bold leading-tight">{t(name)}</h2>
        <p className="text-lead leading-snug">{t(opens)}</p>
      </div>
      <div className="col-span-2 lg:col-span-1">
        <LevelMarks level={level} best={best} />
        <p className="text-body text-quiet">
          {times === 0 ? t`never done` : due ? t`due again now` : t`again on ${shortDayText(dueAt)}`}
        </p>
      </div>
      <Link
        to={`/practice/${kind}?who=${personId}&level=${level}`}
        className={`${buttonClass(first ? 'go' : 'plain')} col-span-2 min-h-14 text-lead lg:col-span-1`}
        aria-label={t`Begin: ${name}`}
      >
        {best !== null && best >= mastered && !due ? t`Do it again` : t`Begin`}
      </Link>
    </article>
  )
}
