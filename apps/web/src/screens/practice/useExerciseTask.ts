import { failure } from '@truelay/core/result'
import { say } from '@truelay/core/say'
import { useEffect, useState } from 'react'
import { type Answer, asked, known } from '../../workers/answer.ts'
import { openExerciseWorker } from '../../workers/openExerciseWorker.ts'

type Ask = ReturnType<typeof openExerciseWorker>['ask']

/** Something that takes longer than a frame to work out, from a worker; asked once, as long as the screen stands. */
export function useExerciseTask<T>(ask: (worker: Ask) => Promise<T>): Answer<T> {
  const [first] = useState(() => ask)
  const [answer, setAnswer] = useState<Answer<T>>(asked)
  useEffect(() => {
    let open = true
    const lost = () => {
      if (open) setAnswer({ phase: 'refused', failure: failure('WORKER_LOST', { work: say`exercise` }) })
    }
    const worker = openExerciseWorker(lost)
    void first(worker.ask).then((value) => {
      if (open) setAnswer(known(value))
    }, lost)
    return () => {
      open = false
      worker.close()
    }
  }, [first])
  return answer
}
