import { cellsOfPlace, type GunTask, gunAt, warmEnough } from '@truelay/core/exercises'
import { PatchMarch } from '@truelay/core/heat'
import type { FromPatch, GunPlace, ToPatch } from './patchWork.ts'

const frameMs = 1000 / 30
/** After a pause of the machine no more than this is caught up at once. */
const longestStepS = 0.1

interface Open {
  readonly task: GunTask
  readonly march: PatchMarch
  readonly place: readonly number[]
}
let open: Open | null = null
let gun: GunPlace | null = null
let before: GunPlace | null = null
let last = 0
let timer: ReturnType<typeof setInterval> | undefined

const tell = (message: FromPatch, transfer: Transferable[] = []) => postMessage(message, { transfer })

/** One frame: the gun from where it was to where it is. */
function frame({ task, march, place }: Open): void {
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
  const { across, down, hottestC } = march
  const surfaceC = Float32Array.from(march.surfaceC)
  const cell = (mm: number, most: number) => Math.min(most - 1, Math.max(0, Math.floor(mm / task.cellMm)))
  const spotC = gun === null ? null : (surfaceC[cell(gun.yMm, down) * across + cell(gun.xMm, across)] ?? null)
  const hottest = hottestC.reduce((most, hot) => Math.max(most, hot), task.ambientC)
  const reached = warmEnough(task, place, hottestC)
  tell({ kind: 'frame', frame: { surfaceC, across, down, spotC, hottestC: hottest, reached } }, [surfaceC.buffer])
}

/** Carries messages; the heat is the core's. */
addEventListener('message', ({ data }: MessageEvent<ToPatch>) => {
  if (data.kind === 'open') {
    const march = new PatchMarch(data.task)
    const opened = { task: data.task, march, place: cellsOfPlace(data.task, march.across, march.down) }
    open = opened
    last = performance.now()
    clearInterval(timer)
    timer = setInterval(() => frame(opened), frameMs)
  } else if (data.kind === 'gun') {
    gun = data.gun
    // Taken up elsewhere it does not sweep over what lies between.
    if (gun === null) before = null
  } else if (open !== null) {
    clearInterval(timer)
    tell({ kind: 'ended', hottestC: open.march.hottestC.slice(), across: open.march.across })
  }
})
