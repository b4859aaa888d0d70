import { signedArea } from '../geometry/index.ts'
import { effortPerSecond, nestPieces } from './nestPieces.ts'
import type { NestPiece, NestRequest } from './request.ts'

/** A look at whether pieces go together on the film that is left, not at how little of it they take. */
const effortForEach = 0.05 * effortPerSecond

/**
 * How many of each piece go on the film that is left, as far as a quick look tells: large ones first, each kept if it still fits beside those
 * before it. What does not go on this roll is for another.
 */
export function whatFits(request: NestRequest): Record<string, number> {
  const counts: Record<string, number> = Object.fromEntries(request.pieces.map(({ id }) => [id, 0]))
  const copies = request.pieces
    .flatMap((piece) => Array.from({ length: piece.count }, () => piece))
    .sort((a, b) => areaOf(b) - areaOf(a))
  for (const { id } of copies) {
    const one = { ...counts, [id]: (counts[id] ?? 0) + 1 }
    const pieces = request.pieces.flatMap((piece) => {
      const count = one[piece.id] ?? 0
      return count === 0 ? [] : [{ ...piece, count }]
    })
    if (nestPieces({ ...request, pieces }, { effort: effortForEach }).ok) counts[id] = one[id] ?? 0
  }
  return counts
}

const areaOf = ({ outline }: NestPiece) => Math.abs(signedArea(outline))
