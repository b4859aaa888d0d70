import { makeMeasure, markMeasure, readLine, unsureAfter } from '@truelay/core/exercises'
import { count, length } from '@truelay/core/say'
import { useState } from 'react'
import { z } from 'zod'
import { LinesOnPart } from '../../drawings/LinesOnPart.tsx'
import { Button } from '../../ui/Button.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useWords } from '../../ui/words.ts'
import { useExerciseDraft } from './exerciseDraft.ts'
import type { ExerciseProps } from './exerciseProps.ts'

/** A part of which a line or two are read: where the straightedge goes next. */
export function MeasureExercise({ id, seed, level, done, onDone }: ExerciseProps) {
  const t = useWords()
  const [task] = useState(() => makeMeasure(seed, level))
  const line = z
    .number()
    .int()
    .min(0)
    .max(task.lines.length - 1)
  const [picked, setPicked] = useExerciseDraft<readonly number[]>(id, z.array(line).max(task.picks), [])
  const left = task.picks - picked.length
  const read = [...task.given, ...picked]
  const pick = (line: number) => setPicked([...picked, line])
  // How unsure it is under each line is shown where one learns to see it, and at the end.
  const unsure = level === 1 || done ? unsureAfter(task, picked) : null
  return (
    <div className="grid flex-1 content-start gap-x-8 gap-y-4 px-6 py-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div>
        <div className="h-72 lg:h-[min(66vh,36rem)]">
          <LinesOnPart task={task} read={read} unsureMm={unsure} onPick={left > 0 && !done ? pick : null} />
        </div>
        <p className="text-center text-body text-quiet">
          {unsure === null
            ? t`Lines in full are read. Under the others nobody knows yet.`
            : t`Lines in full are read. The wider an amber line, the less sure is the surface under it.`}
        </p>
      </div>
      <div>
        <p className="text-title font-bold leading-tight">
          {left > 0 ? t`${count(left)} more readings` : t`All readings are done`}
        </p>
        <fieldset disabled={done || left === 0} className="mt-2">
          <legend className="text-lead">{t`Where does the straightedge go next?`}</legend>
          <div className="mt-2 grid grid-cols-5 gap-2">
            {task.lines.map((line, i) => (
              <Button
                key={`${line.from} ${line.to}`}
                className="min-h-14 text-head"
                disabled={read.includes(i)}
                aria-label={t`Line ${count(i + 1)}`}
                onClick={() => pick(i)}
              >
                {i + 1}
              </Button>
            ))}
          </div>
        </fieldset>
        <h2 className="label-strong mt-5 border-b-2 border-ink pb-1 text-lead">{t`Read so far`}</h2>
        <ol className="text-lead">
          {read.map((line) => (
            <li key={line} className="flex justify-between gap-3 border-b border-hair py-1.5">
              <span>{t`Line ${count(line + 1)}`}</span>
              <strong>
                <Quantity of={length(readLine(task, line).sagittaMm, 1)} />
              </strong>
            </li>
          ))}
        </ol>
        {done ? null : (
          <div className="mt-4 flex flex-wrap gap-3">
            <Button
              look="go"
              className="min-h-14 px-8 text-lead"
              disabled={left > 0}
              onClick={() => onDone(markMeasure(task, picked))}
            >
              {t`That is the form`}
            </Button>
            {picked.length === 0 ? null : (
              <Button look="quiet" onClick={() => setPicked(picked.slice(0, -1))}>
                {t`Take the last back`}
              </Button>
            )}
          </div>
        )}
      </div>
    </div>
  )
}
