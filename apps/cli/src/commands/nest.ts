import { performance } from 'node:perf_hooks'
import { nestRequest } from '@truelay/contract'
import { effortPerSecond, nestPieces } from '@truelay/core/nest'
import { readDocument, valueOrBadInput } from '../input.ts'

const figure = (mm: number) => Math.round(mm * 1e4) / 1e4

/** `nest PIECES.json` */
export function nest(file: string | undefined) {
  const { seconds, seed, ...request } = readDocument(file, nestRequest)
  const began = performance.now()
  const spentMs = () => performance.now() - began
  let outOfTime = false
  // The effort decides, so that the answer is the same everywhere; the clock only stops a slow machine.
  const goOn = () => {
    outOfTime ||= spentMs() > 1000 * seconds
    return !outOfTime
  }
  const nested = valueOrBadInput(nestPieces(request, { seed, effort: seconds * effortPerSecond, goOn }))
  return {
    usedLengthMm: figure(nested.usedLengthMm),
    utilisation: nested.utilisation,
    solveMs: Math.round(spentMs()),
    stoppedByClock: outOfTime,
    placements: nested.placements.map(({ xMm, yMm, ...placed }) => ({ ...placed, xMm: figure(xMm), yMm: figure(yMm) })),
  }
}
