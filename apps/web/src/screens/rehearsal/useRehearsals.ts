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
  | { readonly phase: 'found'; readonly found: FoundOrder }
  | { readonly phase: 'refused'; readonly failure: AnyFailure }

const tries = 40

/** A stage in a worker, rehearsals on it by choice, and a search that can be stopped. */
export function useRehearsals(question: RehearsalQuestion, chosen: LayOrder | null) {
  const [stage, setStage] = useState<Answer<RehearsalStage>>(asked)
  const [known, setKnown] = useState<Partial<Record<OrderChoice, ShownRehearsal>>>({})
  const [search, setSearch] = useState<SearchState>({ phase: 'idle' })
  const worker = useRef<OpenRehearsalWorker | null>(null)

  useEffect(() => {
    const opened = openRehearsalWorker()
    worker.current = opened
    let current = true
    setStage(asked)
    setKnown({})
    setSearch({ phase: 'idle' })
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

  const look = useCallback(async () => {
    const opened = worker.current
    if (opened === null) return
    setSearch({ phase: 'looking', news: { share: 0, tried: 0, best: null } })
    const result = await opened.search(tries, (news) => setSearch({ phase: 'looking', news }))
    if (worker.current !== opened) return
    if (!result.ok) {
      setSearch(
        result.failure.code === 'WORK_STOPPED' ? { phase: 'idle' } : { phase: 'refused', failure: result.failure },
      )
      return
    }
    const { best } = result.value
    if (best.order.made === 'by search') setKnown((before) => ({ ...before, found: best }))
    setSearch({ phase: 'found', found: result.value })
  }, [])

  const stop = useCallback(() => void worker.current?.stopSearch(), [])
  return { stage, known, search, ask, look, stop }
}
