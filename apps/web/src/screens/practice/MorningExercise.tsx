import {
  bothHands,
  canBeGiven,
  type Given,
  type Hands,
  makeMorning,
  markMorning,
  morningStepWords,
  type MorningTask,
  type MorningWork,
  reallyOf,
  runMorning,
} from '@truelay/core/exercises'
import { atStart, minutes } from '@truelay/core/say'
import { useState } from 'react'
import { z } from 'zod'
import { MorningBoard, shadeOfVehicle } from '../../drawings/MorningBoard.tsx'
import { Button } from '../../ui/Button.tsx'
import { Failed } from '../../ui/Failed.tsx'
import { useWords } from '../../ui/words.ts'
import { useExerciseDraft } from './exerciseDraft.ts'
import type { ExerciseProps } from './exerciseProps.ts'
import { useExerciseTask } from './useExerciseTask.ts'

const leastSpan = 150

/** What was given in an order that can be kept; anything else is of another morning. */
const givenOf = (task: MorningTask) =>
  z
    .array(z.object({ work: z.string(), hands: z.literal(bothHands) }))
    .refine((all) => all.every((one, i) => canBeGiven(task, all.slice(0, i)).some((work) => work.id === one.work)))

/** Three vehicles, two people, one gun: the work is given in an order, the morning runs, and the scheduler's stands beside it. */
export function MorningExercise({ id, seed, level, done, onDone }: ExerciseProps) {
  const t = useWords()
  const [task] = useState(() => makeMorning(seed, level))
  const [given, setGiven] = useExerciseDraft<readonly Given[]>(id, givenOf(task), [])
  const best = useExerciseTask((worker) => worker.morning(task))
  const names: readonly [string, string] = [t`You`, t`Colleague`]
  if (best.phase === 'refused') return <Failed sentence={best.failure.sentence} fix={best.failure.fix} />
  const next = canBeGiven(task, given)
  const expected = runMorning(task, given)
  const really = reallyOf(task, seed)
  const planner = done && best.phase === 'known' ? runMorning(task, best.value, really) : null
  const mine = done ? runMorning(task, given, really) : expected
  const span = Math.max(leastSpan, mine.endsAt, planner?.endsAt ?? 0)
  return (
    <div className="flex flex-1 flex-col gap-5 px-6 py-4">
      <MorningBoard
        label={done ? t`As it came` : t`The morning`}
        task={task}
        morning={mine}
        names={names}
        span={span}
      />
      {planner === null ? null : (
        <MorningBoard label={t`The scheduler’s`} task={task} morning={planner} names={names} span={span} />
      )}
      {done ? null : (
        <>
          <div className="grid gap-4 md:grid-cols-3">
            {[0, 1, 2].map((vehicle) => (
              <Vehicle
                key={vehicle}
                vehicle={vehicle}
                works={task.works.filter((work) => work.vehicle === vehicle)}
                given={given}
                next={next}
                names={names}
                onGive={(work, hands) => setGiven([...given, { work, hands }])}
              />
            ))}
          </div>
          <div className="flex flex-wrap items-center gap-3">
            <Button
              look="go"
              className="min-h-14 px-8 text-lead"
              disabled={next.length > 0 || best.phase !== 'known'}
              onClick={() => {
                if (best.phase !== 'known') return
                const { share, says } = markMorning(task, seed, given, best.value)
                onDone({ share, says })
              }}
            >
              {t`Let the morning run`}
            </Button>
            {given.length === 0 ? null : (
              <Button look="quiet" onClick={() => setGiven(given.slice(0, -1))}>
                {t`Take the last back`}
              </Button>
            )}
            <p role="status" className="text-lead text-quiet">
              {next.length > 0
                ? t`${task.works.length - given.length} more to give`
                : t`By plan all is done after ${minutes(expected.endsAt)}.`}
            </p>
          </div>
        </>
      )}
    </div>
  )
}

interface VehicleProps {
  readonly vehicle: number
  readonly works: readonly MorningWork[]
  readonly given: readonly Given[]
  readonly next: readonly MorningWork[]
  readonly names: readonly [string, string]
  readonly onGive: (work: string, hands: Hands) => void
}

/** What one vehicle needs, part by part; what comes next can be given to one of the two. */
function Vehicle({ vehicle, works, given, next, names, onGive }: VehicleProps) {
  const t = useWords()
  const to = new Map(given.map((one) => [one.work, one.hands]))
  const parts = [...new Set(works.map((work) => work.part))]
  return (
    <section aria-label={t`Vehicle ${vehicle + 1}`}>
      <h2 className="flex items-center gap-2 border-b-2 border-ink pb-1 text-lead font-bold">
        <span className={`flex size-7 items-center justify-center text-body text-on-petrol ${shadeOfVehicle(vehicle)}`}>
          {vehicle + 1}
        </span>
        {t`Vehicle ${vehicle + 1}`}
      </h2>
      {parts.map((part) => (
        <ol key={part} className={part > 0 ? 'mt-2 border-t-2 border-ink/40' : ''}>
          {works
            .filter((work) => work.part === part)
            .map((work) => {
              const hands = to.get(work.id)
              const step = morningStepWords[work.step]
              return (
                <li key={work.id} className="flex min-h-12 flex-wrap items-center gap-x-2 border-b border-hair">
                  <span className={`min-w-36 flex-1 py-1 leading-tight ${hands === undefined ? '' : 'text-quiet'}`}>
                    <span className="text-lead">{t`${atStart(step)}`}</span>{' '}
                    <span className="text-body">{t`${minutes(work.minutes)}`}</span>
                    {work.waitMinutes === 0 ? null : (
                      <span className="block text-note text-quiet">{t`has to dry ${minutes(work.waitMinutes)} first`}</span>
                    )}
                    {work.gun ? <span className="block text-note text-amber-ink">{t`needs the gun`}</span> : null}
                  </span>
                  {hands !== undefined ? (
                    <span className="text-body text-quiet">{names[hands]}</span>
                  ) : next.includes(work) ? (
                    <span className="flex gap-2 pb-1">
                      {bothHands.map((one) => (
                        <Button
                          key={one}
                          aria-label={t`${step}, vehicle ${vehicle + 1}: ${names[one]}`}
                          onClick={() => onGive(work.id, one)}
                        >
                          {names[one]}
                        </Button>
                      ))}
                    </span>
                  ) : null}
                </li>
              )
            })}
        </ol>
      ))}
    </section>
  )
}
