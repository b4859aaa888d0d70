import { gapsAfter, makeGaps, markGaps, type SaidMove } from '@truelay/core/exercises'
import { useState } from 'react'
import { z } from 'zod'
import { GapRule } from '../../drawings/GapRule.tsx'
import { GapsPicture } from '../../drawings/GapsPicture.tsx'
import { Button } from '../../ui/Button.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useWords } from '../../ui/words.ts'
import { useExerciseDraft } from './exerciseDraft.ts'
import type { ExerciseProps } from './exerciseProps.ts'

const saidMove = z.object({ rightMm: z.number(), upMm: z.number(), clockwiseMm: z.number() })

/** A piece that lies off: its gaps under a rule, and the move that is said of it. */
export function GapsExercise({ id, seed, level, practice, done, onDone }: ExerciseProps) {
  const t = useWords()
  const [task] = useState(() => makeGaps(seed, level))
  const [said, setSaid] = useExerciseDraft<SaidMove>(id, saidMove, { rightMm: 0, upMm: 0, clockwiseMm: 0 })
  const gaps = done ? gapsAfter(task, said) : task.gaps
  return (
    <div className="grid flex-1 gap-x-6 gap-y-4 px-6 py-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)]">
      <div>
        <div className="h-64 lg:h-[min(58vh,34rem)]">
          <GapsPicture part={task.part} gaps={gaps} />
        </div>
        <p className="text-center text-body text-quiet">
          {done
            ? t`As it lies after your move. Gaps are drawn ten times as wide.`
            : t`Gaps are drawn ten times as wide.`}
        </p>
      </div>
      <div>
        <div className="grid grid-cols-2 gap-2">
          {gaps.map((gap, i) => (
            <GapRule key={i} number={i + 1} gapMm={gap.gapMm} wantedMm={gap.wantedMm} told={done} />
          ))}
        </div>
        <fieldset disabled={done} className="mt-3">
          <legend className="label-strong text-lead">{t`Move the piece`}</legend>
          <div className="mt-1 grid grid-cols-3 items-end gap-5">
            <NumberField
              label={t`to the right`}
              unit="mm"
              digits={1}
              min={-30}
              max={30}
              value={said.rightMm}
              onCommit={(rightMm) => setSaid({ ...said, rightMm })}
            />
            <NumberField
              label={t`upward`}
              unit="mm"
              digits={1}
              min={-30}
              max={30}
              value={said.upMm}
              onCommit={(upMm) => setSaid({ ...said, upMm })}
            />
            <NumberField
              label={t`clockwise, at its corners`}
              unit="mm"
              digits={1}
              min={-30}
              max={30}
              value={said.clockwiseMm}
              onCommit={(clockwiseMm) => setSaid({ ...said, clockwiseMm })}
            />
          </div>
          <p className="mt-1 text-body text-quiet">{t`To the left, downward and the other way round are written with a minus.`}</p>
          {done ? null : (
            <Button
              look="go"
              className="mt-3 min-h-14 px-8 text-lead"
              onClick={() => onDone(markGaps(task, said, practice))}
            >
              {t`Move it`}
            </Button>
          )}
        </fieldset>
      </div>
    </div>
  )
}
