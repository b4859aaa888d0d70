import { bottleAfter, makeMix, markMix, type MixAct } from '@truelay/core/exercises'
import { type Ingredient, ingredientWords, strengthWords } from '@truelay/core/mix'
import { percent, volume } from '@truelay/core/say'
import { useState } from 'react'
import { z } from 'zod'
import { PouredBottle } from '../../drawings/PouredBottle.tsx'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useWords } from '../../ui/words.ts'
import { useExerciseDraft } from './exerciseDraft.ts'
import type { ExerciseProps } from './exerciseProps.ts'

const pourable = ['water', 'alcohol stock', 'soap'] as const

const ml = z.number().min(0)
const mixAct = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('pour'), what: z.enum(pourable), ml }),
  z.object({ kind: z.literal('pour off'), ml }),
])

/** A bottle to be mixed or put right by pouring; what is really in it is told at the end. */
export function MixExercise({ id, seed, level, done, onDone }: ExerciseProps) {
  const t = useWords()
  const [task] = useState(() => makeMix(seed, level))
  const [acts, setActs] = useExerciseDraft<readonly MixAct[]>(id, z.array(mixAct), [])
  const [what, setWhat] = useState<(typeof pourable)[number]>('water')
  const [ml, setMl] = useState(100)
  const [problem, setProblem] = useState<string | null>(null)
  const { bottle } = bottleAfter(task, acts)
  const act = (next: MixAct) => {
    const after = bottleAfter(task, [...acts, next])
    setProblem(after.problem === null ? null : t(after.problem))
    if (after.problem === null) setActs([...acts, next])
  }
  return (
    <div className="grid flex-1 gap-x-8 gap-y-4 px-6 py-4 lg:grid-cols-[16rem_minmax(0,1fr)] xl:grid-cols-[16rem_minmax(0,1fr)_20rem]">
      <figure className="flex flex-col items-center">
        <div className="h-72 lg:h-[26rem]">
          <PouredBottle volumeMl={bottle.volumeMl} bottleMl={task.bottleMl} />
        </div>
        <figcaption className="text-title font-bold">
          <Quantity of={volume(bottle.volumeMl)} />
        </figcaption>
      </figure>
      <div>
        <p className="text-title font-bold leading-tight">
          {t`At least ${volume(task.wantsMl)} of ${strengthWords(task.wants)}`}
        </p>
        <p className="mt-1 text-lead">
          {task.has.volumeMl === 0
            ? t`In an empty bottle of ${volume(task.bottleMl)}.`
            : t`In the bottle stand ${volume(task.has.volumeMl)} with ${strengthWords(task.has.strength)}: put them right.`}
        </p>
        <p className="text-lead">{t`The stock on the shelf has ${percent(task.stock.alcoholPercent)} alcohol.`}</p>
        <fieldset disabled={done} className="mt-5">
          <Choice
            label={t`What to pour`}
            value={what}
            onChange={setWhat}
            options={pourable.map((one: Ingredient & (typeof pourable)[number]) => ({
              value: one,
              text: t(ingredientWords[one]),
            }))}
          />
          <div className="mt-3 flex max-w-xl flex-wrap items-end gap-4">
            <div className="w-32">
              <NumberField
                label={t`how much`}
                unit="mL"
                digits={1}
                min={0.1}
                max={task.bottleMl}
                value={ml}
                onCommit={setMl}
              />
            </div>
            <Button
              className="min-h-14 flex-1 whitespace-nowrap text-lead"
              onClick={() => act({ kind: 'pour', what, ml })}
            >
              {t`Pour it in`}
            </Button>
            <Button
              className="min-h-14 flex-1 whitespace-nowrap text-lead"
              onClick={() => act({ kind: 'pour off', ml })}
            >
              {t`Pour it away`}
            </Button>
          </div>
          <div className="mt-2 flex flex-wrap gap-2">
            {[1, 5, 10, 50, 100].map((step) => (
              <Button key={step} look="quiet" onClick={() => setMl(step)}>
                <Quantity of={volume(step)} />
              </Button>
            ))}
          </div>
        </fieldset>
        {problem === null ? null : (
          <div className="mt-3">
            <Notice look="caution" role="alert">
              {problem}
            </Notice>
          </div>
        )}
        {done ? null : (
          <Button
            look="go"
            className="mt-5 min-h-14 px-8 text-lead"
            disabled={acts.length === 0}
            onClick={() => onDone(markMix(task, acts))}
          >
            {t`It is as it should be`}
          </Button>
        )}
      </div>
      <section aria-labelledby="poured" className="lg:col-start-2 xl:col-start-auto">
        <h2 id="poured" className="label-strong border-b-2 border-ink pb-1 text-lead">{t`Poured so far`}</h2>
        <ol className="text-lead">
          {acts.map((one, i) => (
            <li key={i} className="flex justify-between gap-3 border-b border-hair py-1.5">
              <span>{one.kind === 'pour' ? t(ingredientWords[one.what]) : t`poured away`}</span>
              <strong>
                <Quantity of={volume(one.ml)} />
              </strong>
            </li>
          ))}
        </ol>
        {acts.length === 0 ? <p className="py-2 text-body text-quiet">{t`Nothing yet.`}</p> : null}
        {acts.length === 0 || done ? null : (
          <Button look="quiet" onClick={() => setActs(acts.slice(0, -1))}>
            {t`Take the last back`}
          </Button>
        )}
      </section>
    </div>
  )
}
