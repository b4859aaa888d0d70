import {
  bestWhat,
  causeWords,
  cureWords,
  markWhat,
  picturedLooks,
  picturedWords,
  whereItStands,
  type WhatTask,
} from '@truelay/core/exercises'
import { atStart, say, type Sentence } from '@truelay/core/say'
import { RadioGroup } from 'radix-ui'
import { z } from 'zod'
import { FaultPhoto } from '../../drawings/FaultPhoto.tsx'
import { Button } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { useWords } from '../../ui/words.ts'
import { useExerciseDraft } from './exerciseDraft.ts'
import type { ExerciseProps } from './exerciseProps.ts'
import { useExerciseTask } from './useExerciseTask.ts'

/** Film with something wrong with it: what, why, and what is still to be done. */
export function WhatExercise(props: ExerciseProps) {
  const t = useWords()
  const { seed, level, practice } = props
  const task = useExerciseTask((worker) => worker.what(seed, level, practice))
  if (task.phase === 'asked') return <Busy text={t`Laying the film`} />
  if (task.phase === 'refused') return <Failed sentence={task.failure.sentence} fix={task.failure.fix} />
  return <Asked {...props} task={task.value} />
}

const place = z.number().int().min(0).max(3).nullable()
const said = z.object({ name: place, cause: place, cure: place })

function Asked({ id, practice, done, onDone, task }: ExerciseProps & { readonly task: WhatTask }) {
  const t = useWords()
  const [answer, setAnswer] = useExerciseDraft<z.infer<typeof said>>(id, said, { name: null, cause: null, cure: null })
  const right = done ? bestWhat(task, practice) : null
  const answered = () => {
    const [name, cause, cure] = [
      task.names[answer.name ?? -1],
      task.causes[answer.cause ?? -1],
      task.cures[answer.cure ?? -1],
    ]
    return name === undefined || cause === undefined || cure === undefined ? null : { name, cause, cure }
  }
  const whole = answered()
  return (
    <div className="flex flex-1 flex-col gap-y-2.5 px-6 py-3">
      <div className="grid content-start gap-x-7 gap-y-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.6fr)]">
        <div>
          <FaultPhoto picture={task.picture} says={t(picturedLooks(task.shown))} />
          <p className="mt-2 text-lead font-semibold leading-snug">{t(whereItStands(task))}</p>
          {task.known.map((one) => (
            <p key={t(one)} className="text-body leading-snug">
              {t`${atStart(one)}.`}
            </p>
          ))}
        </div>
        <div className="flex flex-col gap-3">
          <Options
            legend={t`What is it?`}
            options={task.names.map((one) => say`${atStart(picturedWords(one))}`)}
            right={right === null ? null : task.names.indexOf(right.name)}
            value={answer.name}
            onChange={(name) => setAnswer({ ...answer, name })}
            look="text-lead"
          />
          <Options
            legend={t`Why, most likely?`}
            options={task.causes.map((one) => say`${atStart(causeWords(one))}`)}
            right={right === null ? null : task.causes.indexOf(right.cause)}
            value={answer.cause}
            onChange={(cause) => setAnswer({ ...answer, cause })}
            look="text-lead"
          />
        </div>
      </div>
      <Options
        legend={t`What is to be done now?`}
        options={task.cures.map(cureWords)}
        right={
          right === null ? null : task.cures.findIndex((one) => JSON.stringify(one) === JSON.stringify(right.cure))
        }
        value={answer.cure}
        onChange={(cure) => setAnswer({ ...answer, cure })}
        look="text-body"
      />
      {done ? null : (
        <Button
          look="go"
          className="min-h-14 self-start px-8 text-lead"
          disabled={whole === null}
          onClick={() => {
            if (whole !== null) onDone(markWhat(task, whole, practice))
          }}
        >
          {t`That is what I say`}
        </Button>
      )}
    </div>
  )
}

interface OptionsProps {
  readonly legend: string
  readonly options: readonly Sentence[]
  readonly value: number | null
  /** Which one is right, once it may be known. */
  readonly right: number | null
  readonly onChange: (value: number) => void
  readonly look: 'text-lead' | 'text-body'
}

/** One of four. */
function Options({ legend, options, value, right, onChange, look }: OptionsProps) {
  const t = useWords()
  return (
    <div>
      <h2 className="label-strong border-b-2 border-ink pb-0.5 text-lead">{legend}</h2>
      <RadioGroup.Root
        aria-label={legend}
        value={value === null ? '' : String(value)}
        disabled={right !== null}
        onValueChange={(next) => onChange(Number(next))}
        className="mt-1.5 grid gap-1.5 sm:grid-cols-2"
      >
        {options.map((option, i) => (
          <RadioGroup.Item
            key={t(option)}
            value={String(i)}
            className={`min-h-12 rounded-md border px-3 py-1.5 text-left leading-snug ${look} ${lookOf(i, value, right)}`}
          >
            {t(option)}
            {right === i ? <span className="label block text-note text-good">{t`right`}</span> : null}
            {right !== null && right !== i && value === i ? (
              <span className="label block text-note text-stop">{t`yours`}</span>
            ) : null}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  )
}

/** How one of four stands out: chosen while it is asked, right or wrongly chosen once that may be known. */
const lookOf = (i: number, value: number | null, right: number | null): string =>
  right === null
    ? 'border-ink/40 bg-paper data-[state=checked]:border-petrol data-[state=checked]:bg-petrol data-[state=checked]:text-on-petrol'
    : right === i
      ? 'border-2 border-good bg-paper font-semibold text-ink'
      : value === i
        ? 'border-2 border-stop bg-paper text-ink'
        : 'border-hair bg-paper text-quiet'
