import type { GunTask } from '@truelay/core/exercises'
import { useEffect, useRef } from 'react'
import type { FromPatch, GunPlace, PatchFrame, ToPatch } from '../../workers/patchWork.ts'

interface PatchListener {
  readonly onFrame: (frame: PatchFrame) => void
  readonly onEnded: (hottestC: Float64Array, across: number) => void
}

/** The heat of a patch, live in a worker as long as the screen stands. */
export function usePatch(task: GunTask, listener: PatchListener) {
  const worker = useRef<Worker | null>(null)
  const heard = useRef(listener)
  heard.current = listener
  useEffect(() => {
    const opened = new Worker(new URL('../../workers/patch.worker.ts', import.meta.url), { type: 'module' })
    worker.current = opened
    opened.addEventListener('message', ({ data }: MessageEvent<FromPatch>) => {
      if (data.kind === 'frame') heard.current.onFrame(data.frame)
      else heard.current.onEnded(data.hottestC, data.across)
    })
    opened.postMessage({ kind: 'open', task } satisfies ToPatch)
    return () => {
      opened.terminate()
      worker.current = null
    }
  }, [task])
  const send = (message: ToPatch) => worker.current?.postMessage(message)
  return {
    lead: (gun: GunPlace | null) => send({ kind: 'gun', gun }),
    end: () => send({ kind: 'end' }),
  }
}
