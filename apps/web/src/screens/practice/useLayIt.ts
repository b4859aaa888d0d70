import {
  anyHandOrder,
  type HandOrder,
  type LayTask,
  markLay,
  orderOfHand,
  placesToFix,
  randomOrders,
  type Verdict,
} from '@truelay/core/exercises'
import { usualHandling } from '@truelay/core/lay'
import { seededRandom } from '@truelay/core/numerics'
import type { Practice } from '@truelay/core/practice'
import type { AnyFailure, Result } from '@truelay/core/result'
import { useCallback, useEffect, useRef, useState } from 'react'
import { type Answer, asked, known } from '../../workers/answer.ts'
import { type OpenRehearsalWorker, openRehearsalWorker } from '../../workers/openRehearsalWorker.ts'
import type { RehearsalStage, ShownRehearsal } from '../../workers/rehearsalWork.ts'

const tries = 40

/** A part that nobody knows, with a worker that lays it as it is told and looks for the best order at the end. */
export function useLayIt(task: LayTask, practice: Practice) {
  const [stage, setStage] = useState<Answer<RehearsalStage>>(asked)
  /** How far it is being marked, 0 to 1; null while it is not. */
  const [marked, setMarked] = useState<number | null>(null)
  const worker = useRef<OpenRehearsalWorker | null>(null)
  const refuse = useCallback((failure: AnyFailure) => setStage({ phase: 'refused', failure }), [])

  useEffect(() => {
    const opened = openRehearsalWorker()
    worker.current = opened
    const film = { handling: usualHandling, laid: 'wet' } as const
    void opened.open({ form: task.form, film, practice }).then((result) => {
      if (worker.current !== opened) return
      if (result.ok) setStage(known(result.value))
      else refuse(result.failure)
    })
    return () => {
      worker.current = null
      opened.close()
    }
  }, [task, practice, refuse])

  /** Tells what came of a call, as long as the part is still on the screen. */
  const heard = useCallback(
    async <T>(call: (opened: OpenRehearsalWorker) => Promise<Result<T>>): Promise<T | null> => {
      const opened = worker.current
      if (opened === null) return null
      const result = await call(opened)
      if (worker.current !== opened) return null
      if (result.ok) return result.value
      refuse(result.failure)
      return null
    },
    [refuse],
  )

  const lay = useCallback(
    (hand: HandOrder, { surface }: RehearsalStage) =>
      heard((opened) => opened.inOrder(orderOfHand(task, surface, hand), hand.pulls)),
    [task, heard],
  )

  /** Against the best that is found and against chance, on the same mesh. */
  const mark = useCallback(
    async (mine: ShownRehearsal, { surface }: RehearsalStage): Promise<Verdict | null> => {
      setMarked(0)
      const chance = seededRandom(task.seed + 1)
      const places = placesToFix(task, surface).length
      const randomTrouble: number[] = []
      for (let i = 0; i < randomOrders; i++) {
        const any = anyHandOrder(task, places, chance)
        const laid = await heard((opened) => opened.inOrder(orderOfHand(task, surface, any)))
        if (laid === null) return null
        randomTrouble.push(laid.rehearsal.figures.trouble)
        setMarked((0.25 * (i + 1)) / randomOrders)
      }
      const found = await heard((opened) =>
        opened.search({ tries, seed: 1 }, (news) => setMarked(0.25 + 0.75 * news.share)),
      )
      setMarked(null)
      return found === null ? null : markLay(task, mine.rehearsal, { best: found.best.rehearsal, randomTrouble })
    },
    [task, heard],
  )
  return { stage, marked, lay, mark }
}
