import { useWords } from '../../ui/words.ts'
import { isSmallPart } from '@truelay/core/lay'
import { usualSchools } from '@truelay/core/plan'
import { useEffect, useMemo, useState } from 'react'
import { Busy, Failed } from '../../ui/Failed.tsx'
import type { RehearsalQuestion } from '../../workers/rehearsalWork.ts'
import { useSheet } from '../laySheet/SheetFrame.tsx'
import { OrderView } from './OrderView.tsx'
import { OrdersCompared } from './OrdersCompared.tsx'
import { Player } from './Player.tsx'
import { besides, type Sides, sidesAfter } from './sidesAfter.ts'
import { type OrderChoice, useRehearsals } from './useRehearsals.ts'

/** Two orders of laying side by side, before anything is peeled; and a search for a better one. */
export function RehearsalScreen() {
  const t = useWords()
  const { bundle, part, question: asked } = useSheet()
  const { form, film } = asked.lay
  const { practice } = asked.work
  const question = useMemo<RehearsalQuestion>(() => ({ form, film, practice }), [form, film, practice])
  const chosen = part.order
  const { stage, known, search, ask, getReady, look, stop } = useRehearsals(question, chosen?.order ?? null)
  const usual = usualSchools(form, asked.work.film, asked.work.found).begin
  const [{ left, right }, setSides] = useState<Sides>({
    left: chosen === null ? usual : 'chosen',
    right: besides(usual),
  })
  const setLeft = (choice: OrderChoice) => setSides((sides) => ({ ...sides, left: choice }))
  const setRight = (choice: OrderChoice) => setSides((sides) => ({ ...sides, right: choice }))
  const [at, setAt] = useState(1)

  useEffect(() => {
    if (stage.phase !== 'known') return
    for (const choice of [left, right]) if (known[choice] === undefined) void ask(choice)
  }, [stage, left, right, known, ask])
  const found = search.phase === 'found' ? search.found : null
  useEffect(() => {
    if (found === null) return
    setSides((sides) => sidesAfter(found, sides))
    setAt(1)
  }, [found])

  const [a, b] = [known[left] ?? null, known[right] ?? null]
  const bothShown = a !== null && b !== null
  useEffect(() => {
    if (bothShown) getReady()
  }, [bothShown, getReady])
  if (stage.phase === 'refused') return <Failed sentence={stage.failure.sentence} fix={stage.failure.fix} />
  if (stage.phase === 'asked') return <Busy text={t`Building the form and the film for it`} />
  return (
    <div className="flex-1 lg:grid lg:min-h-0 lg:grid-cols-[1fr_21rem]">
      <div className="min-w-0 lg:grid lg:min-h-0 lg:grid-rows-[1fr_auto]">
        <div className="grid h-[62.5rem] min-w-0 grid-rows-2 md:h-[32.5rem] md:grid-cols-2 md:grid-rows-[auto_auto_minmax(0,1fr)_auto] lg:h-auto lg:min-h-0">
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
              form={form}
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
        form={form}
        patterned={asked.work.film.patterned ?? false}
        small={stage.phase === 'known' && isSmallPart(stage.value.surface, practice.orderSmallPart)}
        a={a}
        b={b}
        search={search}
        onLook={() => void look()}
        onStop={stop}
      />
    </div>
  )
}
