import { type NestFailure, nestFailure, type NestResult } from './nestFailures.ts'
import { nestTrouble } from './nestTrouble.ts'
import type { Nested, NestPiece, NestPlacement, NestRequest } from './request.ts'
import { shorterLayouts } from './shorterLayouts.ts'

export interface NestOptions {
  readonly seed?: number
  /** How much may be tried. The same effort gives the same layout on every machine. */
  readonly effort: number
  /** Whether to go on; the best so far stands when not. */
  readonly goOn?: () => boolean
  /** Called with every layout that is better than the one before. */
  readonly onBetter?: (nested: Nested) => void
}

/** Effort that takes about a second of one processor, on the safe side. */
export const effortPerSecond = 0.8e9
/** More than this is not worth while for so few copies: times the square of their number. */
const worthWhile = 0.08e9

/**
 * Lays pieces out on a roll so that little of it is used. Pieces of one vehicle that are kept together have a stretch of the roll to themselves,
 * one vehicle after the other.
 * @returns the layout, or what is wrong: nothing to cut, a piece that crosses itself or has no room, a roll with too little film
 */
export function nestPieces(request: NestRequest, options: NestOptions): NestResult<Nested> {
  const trouble = nestTrouble(request)
  if (trouble !== null) return refused(trouble)
  const stretches = stretchesOf(request.pieces.filter(({ count }) => count > 0))
  const done: Nested[] = []
  for (const pieces of stretches) {
    const share = copiesIn(pieces) / copiesIn(request.pieces)
    const startMm = done.reduce((sum, { usedLengthMm }) => sum + usedLengthMm, 0)
    const effort = Math.min(share * options.effort, worthWhile * copiesIn(pieces) ** 2)
    const onBetter =
      options.onBetter === undefined
        ? undefined
        : (nested: Nested) => options.onBetter?.(joined([...done, nested], request))
    const limits = { seed: options.seed ?? 1, effort, goOn: options.goOn ?? (() => true), onBetter }
    done.push(shorterLayouts({ ...request, pieces, spoilt: later(request, startMm) }, limits))
  }
  const nested = joined(done, request)
  const leftMm = request.rollLengthMm ?? Infinity
  return nested.usedLengthMm > leftMm + 1e-6
    ? refused(nestFailure('NEST_TOO_LONG', { neededMm: nested.usedLengthMm, leftMm }))
    : { ok: true, value: nested }
}

const refused = (failure: NestFailure) => ({ ok: false as const, failure })

/** Pieces that are cut for one vehicle, vehicle by vehicle; those of none share a stretch. */
function stretchesOf(pieces: readonly NestPiece[]): NestPiece[][] {
  const stretches = new Map<string | undefined, NestPiece[]>()
  for (const piece of pieces) stretches.set(piece.together, [...(stretches.get(piece.together) ?? []), piece])
  return [...stretches.values()]
}

const copiesIn = (pieces: readonly NestPiece[]) => pieces.reduce((sum, { count }) => sum + count, 0)

/** The spoilt stretches as they lie from a later beginning. */
const later = ({ spoilt = [] }: NestRequest, fromMm: number) =>
  spoilt.filter(([, to]) => to > fromMm).map(([from, to]) => [from - fromMm, to - fromMm] as const)

function joined(parts: readonly Nested[], { rollWidthMm }: NestRequest): Nested {
  const placements: NestPlacement[] = []
  let [startMm, areaMm2] = [0, 0]
  for (const part of parts) {
    for (const placed of part.placements) placements.push({ ...placed, xMm: placed.xMm + startMm })
    areaMm2 += part.utilisation * part.usedLengthMm * rollWidthMm
    startMm += part.usedLengthMm
  }
  return { usedLengthMm: startMm, utilisation: areaMm2 / (startMm * rollWidthMm), placements }
}
