import { type GunTask, gunAt } from '@truelay/core/exercises'
import { PatchMarch } from '@truelay/core/heat'
import type { FromPatch, GunPlace, ToPatch } from './patchWork.ts'

const frameMs = 1000 / 30
/** After a pause of the machine no more than this is caught up at once. */
const longestStepS = 0.1

let task: GunTask | null = null
let march: PatchMarch | null = null
let gun: GunPlace | null = null
let before: GunPlace | null = null
let last = 0
let timer: ReturnType<typeof setInterval> | undefined

const tell = (message: FromPatch, transfer: Transferable[] = []) => postMessage(message, { transfer })

/** One frame: the gun from where it was to where it is. */
function frame(): void {
  if (task === null || march === null) return
  const now = performance.now()
  const seconds = Math.min(longestStepS, (now - last) / 1000)
  last = now
  const from = before ?? gun
  march.step(
    seconds,
    gun === null || from === null
      ? null
      : { jet: gunAt(task, gun.distanceMm), from: [from.xMm, from.yMm], to: [gun.xMm, gun.yMm] },
  )
  before = gun
  const surfaceC = Float32Array.from(march.surfaceC)
  tell({ kind: 'frame', surfaceC, ms: performance.now() - now }, [surfaceC.buffer])
}

/** Carries messages; the heat is the core's. */
addEventListener('message', ({ data }: MessageEvent<ToPatch>) => {
  if (data.kind === 'open') {
    task = data.task
    march = new PatchMarch(task)
    tell({ kind: 'opened', across: march.across, down: march.down })
    last = performance.now()
    clearInterval(timer)
    timer = setInterval(frame, frameMs)
  } else if (data.kind === 'gun') {
    if (gun === null) before = null
    gun = data.gun
  } else if (march !== null) {
    clearInterval(timer)
    tell({ kind: 'ended', hottestC: march.hottestC.slice(), across: march.across })
  }
})
