import { usualSchools } from '@truelay/core/plan'
import { useEffect, useMemo, useState } from 'react'
import { Busy, Failed } from '../../ui/Failed.tsx'
import type { RehearsalQuestion } from '../../workers/rehearsalWork.ts'
import { useJobContext } from '../job/JobFrame.tsx'
import { NotMeasured } from '../job/NotMeasured.tsx'
import { PartTabs } from '../job/PartTabs.tsx'
import { layQuestionOf } from '../laySheet/useLayQuestion.ts'
import { SheetViews } from '../laySheet/SheetViews.tsx'
import { OrderView } from './OrderView.tsx'
import { OrdersCompared } from './OrdersCompared.tsx'
import { Player } from './Player.tsx'
import { type OrderChoice, useRehearsals } from './useRehearsals.ts'

/** Two orders of laying side by side, before anything is peeled; and a search for a better one. */
export function RehearsalScreen() {
  const { bundle, part } = useJobContext()
  const asked = useMemo(() => layQuestionOf(bundle, part), [bundle, part])
  const { formId, formVersion, filmId } = part
  // biome-ignore lint/correctness/useExhaustiveDependencies: the same form and film are the same stage
  const question = useMemo<RehearsalQuestion | null>(
    () =>
      asked === null
        ? null
        : {
            form: asked.form,
            film: { handling: asked.film.handling, laid: asked.film.laid, patterned: asked.film.patterned },
            practice: asked.practice,
          },
    [formId, formVersion, filmId, asked === null],
  )
  const chosen = part.order ?? null
  const { stage, failure, known, search, ask, look, stop } = useRehearsals(question, chosen?.order ?? null)
  const usual = asked === null ? 'centre out' : usualSchools(asked.form, asked.film, asked.found).begin
  const [left, setLeft] = useState<OrderChoice>(chosen === null ? usual : 'chosen')
  const [right, setRight] = useState<OrderChoice>(usual === 'centre out' ? 'one end and follow' : 'centre out')
  const [at, setAt] = useState(1)

  useEffect(() => {
    if (stage === null) return
    for (const choice of [left, right]) if (known[choice] === undefined) void ask(choice)
  }, [stage, left, right, known, ask])
  const found = search.phase === 'found' ? search.found : null
  useEffect(() => {
    if (found === null) return
    setLeft(found.school.order.school)
    setRight('found')
    setAt(1)
  }, [found])

  if (asked === null)
    return (
      <>
        <PartTabs bundle={bundle} stage="lay-sheets">
          <SheetViews jobId={bundle.job.id} partId={part.id} />
        </PartTabs>
        <NotMeasured part={part} />
      </>
    )
  const [a, b] = [known[left] ?? null, known[right] ?? null]
  return (
    <>
      <PartTabs bundle={bundle} stage="lay-sheets">
        <SheetViews jobId={bundle.job.id} partId={part.id} />
      </PartTabs>
      {failure !== null ? (
        <Failed sentence={failure.sentence} fix={failure.fix} />
      ) : stage === null ? (
        <Busy text="Building the form and the film for it" />
      ) : (
        <div className="flex-1 lg:grid lg:min-h-0 lg:grid-cols-[1fr_336px]">
          <div className="min-w-0 lg:grid lg:min-h-0 lg:grid-rows-[1fr_auto]">
            <div className="grid h-[1000px] min-w-0 grid-rows-2 md:h-[520px] md:grid-cols-2 md:grid-rows-1 lg:h-auto lg:min-h-0">
              {(
                [
                  ['First order', left, setLeft, a],
                  ['Second order', right, setRight, b],
                ] as const
              ).map(([title, choice, choose, shown]) => (
                <OrderView
                  key={title}
                  title={title}
                  choice={choice}
                  onChoose={choose}
                  offered={{ chosen: chosen !== null, found: known.found !== undefined }}
                  surface={stage.surface}
                  form={asked.form}
                  shown={shown}
                  other={title === 'First order' ? b : a}
                  at={at}
                />
              ))}
            </div>
            <Player a={a} b={b} at={at} onAt={setAt} />
          </div>
          <OrdersCompared
            bundle={bundle}
            part={part}
            form={asked.form}
            patterned={asked.film.patterned ?? false}
            a={a}
            b={b}
            search={search}
            onLook={() => void look()}
            onStop={stop}
          />
        </div>
      )}
    </>
  )
}
