import type { LayOrder, SchoolName } from '@truelay/core/lay'
import type { AnyFailure } from '@truelay/core/result'
import { useCallback, useEffect, useRef, useState } from 'react'
import { type Answer, asked } from '../../workers/answer.ts'
import { type OpenRehearsalWorker, openRehearsalWorker } from '../../workers/openRehearsalWorker.ts'
import type {
  FoundOrder,
  RehearsalQuestion,
  RehearsalStage,
  SearchNews,
  ShownRehearsal,
} from '../../workers/rehearsalWork.ts'

/** What one side shows: a school, the order that was chosen for the fit, or the one that a search found. */
export type OrderChoice = SchoolName | 'chosen' | 'found'

export type SearchState =
  | { readonly phase: 'idle' }
  | { readonly phase: 'looking'; readonly news: SearchNews }
  /** With how often it was looked for. */
  | { readonly phase: 'found'; readonly found: FoundOrder; readonly times: number }
  | { readonly phase: 'refused'; readonly failure: AnyFailure }

const tries = 40

/** A stage in a worker, rehearsals on it by choice, and a search that can be stopped. */
export function useRehearsals(question: RehearsalQuestion, chosen: LayOrder | null) {
  const [stage, setStage] = useState<Answer<RehearsalStage>>(asked)
  const [known, setKnown] = useState<Partial<Record<OrderChoice, ShownRehearsal>>>({})
  const [search, setSearch] = useState<SearchState>({ phase: 'idle' })
  const worker = useRef<OpenRehearsalWorker | null>(null)
  /** What the searches on this stage have found, which each goes beyond. */
  const before = useRef<{ readonly found: FoundOrder; readonly times: number } | null>(null)

  useEffect(() => {
    const opened = openRehearsalWorker()
    worker.current = opened
    let current = true
    setStage(asked)
    setKnown({})
    setSearch({ phase: 'idle' })
    before.current = null
    void opened.open(question).then((result) => {
      if (!current) return
      setStage(result.ok ? { phase: 'known', value: result.value } : { phase: 'refused', failure: result.failure })
    })
    return () => {
      current = false
      opened.close()
      worker.current = null
    }
  }, [question])

  /** Rehearses a choice unless it is known already. */
  const ask = useCallback(
    async (choice: OrderChoice) => {
      const opened = worker.current
      if (opened === null || choice === 'found') return
      if (choice === 'chosen' && chosen === null) return
      const shown =
        choice === 'chosen' && chosen !== null
          ? await opened.inOrder(chosen)
          : await opened.bySchool(choice as SchoolName)
      if (worker.current !== opened) return
      if (shown.ok) setKnown((before) => ({ ...before, [choice]: shown.value }))
      else setStage({ phase: 'refused', failure: shown.failure })
    },
    [chosen],
  )

  const getReady = useCallback(() => void worker.current?.getReady(), [])

  const look = useCallback(async () => {
    const opened = worker.current
    if (opened === null) return
    setSearch({ phase: 'looking', news: { share: 0, tried: 0, best: null } })
    const times = (before.current?.times ?? 0) + 1
    const result = await opened.search({ tries, seed: times }, (news) => setSearch({ phase: 'looking', news }))
    if (worker.current !== opened) return
    if (!result.ok) {
      setSearch(
        result.failure.code !== 'WORK_STOPPED'
          ? { phase: 'refused', failure: result.failure }
          : before.current === null
            ? { phase: 'idle' }
            : { phase: 'found', ...before.current },
      )
      return
    }
    const found = betterOf(before.current?.found ?? null, result.value)
    before.current = { found, times }
    const { best } = found
    if (best.order.made === 'by search') setKnown((others) => ({ ...others, found: best }))
    setSearch({ phase: 'found', found, times })
  }, [])

  const stop = useCallback(() => void worker.current?.stopSearch(), [])
  return { stage, known, search, ask, getReady, look, stop }
}

/** The order with less trouble, with what all searches have tried. */
function betterOf(before: FoundOrder | null, now: FoundOrder): FoundOrder {
  if (before === null) return now
  const { trouble } = before.best.rehearsal.figures
  return { ...(now.best.rehearsal.figures.trouble < trouble ? now : before), tried: before.tried + now.tried }
}
