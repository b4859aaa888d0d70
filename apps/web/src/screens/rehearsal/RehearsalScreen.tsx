import { useWords } from '../../ui/words.ts'
import { usualSchools } from '@truelay/core/plan'
import { useEffect, useMemo, useState } from 'react'
import { Busy, Failed } from '../../ui/Failed.tsx'
import type { RehearsalQuestion } from '../../workers/rehearsalWork.ts'
import { useJobContext } from '../job/JobFrame.tsx'
import { NotMeasured } from '../job/NotMeasured.tsx'
import { PartTabs } from '../job/PartTabs.tsx'
import { usePartQuestion } from '../laySheet/usePartQuestion.ts'
import { SheetViews } from '../laySheet/SheetViews.tsx'
import { OrderView } from './OrderView.tsx'
import { OrdersCompared } from './OrdersCompared.tsx'
import { Player } from './Player.tsx'
import { type OrderChoice, useRehearsals } from './useRehearsals.ts'

/** Two orders of laying side by side, before anything is peeled; and a search for a better one. */
export function RehearsalScreen() {
  const t = useWords()
  const { bundle, part } = useJobContext()
  const asked = usePartQuestion(bundle, part)
  const lay = asked?.lay ?? null
  const practice = asked?.work.practice ?? null
  const question = useMemo<RehearsalQuestion | null>(
    () => (lay === null || practice === null ? null : { form: lay.form, film: lay.film, practice }),
    [lay, practice],
  )
  const chosen = part.order
  const { stage, known, search, ask, look, stop } = useRehearsals(question, chosen?.order ?? null)
  const usual = asked === null ? 'centre out' : usualSchools(asked.lay.form, asked.work.film, asked.work.found).begin
  const [left, setLeft] = useState<OrderChoice>(chosen === null ? usual : 'chosen')
  const [right, setRight] = useState<OrderChoice>(usual === 'centre out' ? 'one end and follow' : 'centre out')
  const [at, setAt] = useState(1)

  useEffect(() => {
    if (stage.phase !== 'known') return
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
      {stage.phase === 'refused' ? (
        <Failed sentence={stage.failure.sentence} fix={stage.failure.fix} />
      ) : stage.phase === 'asked' ? (
        <Busy text={t`Building the form and the film for it`} />
      ) : (
        <div className="flex-1 lg:grid lg:min-h-0 lg:grid-cols-[1fr_336px]">
          <div className="min-w-0 lg:grid lg:min-h-0 lg:grid-rows-[1fr_auto]">
            <div className="grid h-[1000px] min-w-0 grid-rows-2 md:h-[520px] md:grid-cols-2 md:grid-rows-1 lg:h-auto lg:min-h-0">
              {(
                [
                  ['first', left, setLeft, a],
                  ['second', right, setRight, b],
                ] as const
              ).map(([place, choice, choose, shown]) => (
                <OrderView
                  key={place}
                  place={place}
                  choice={choice}
                  onChoose={choose}
                  offered={{ chosen: chosen !== null, found: known.found !== undefined }}
                  surface={stage.value.surface}
                  form={asked.lay.form}
                  shown={shown}
                  other={place === 'first' ? b : a}
                  at={at}
                />
              ))}
            </div>
            <Player a={a} b={b} at={at} onAt={setAt} />
          </div>
          <OrdersCompared
            bundle={bundle}
            part={part}
            form={asked.lay.form}
            patterned={asked.work.film.patterned ?? false}
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
