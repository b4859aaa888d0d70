import { counted as agreeing, name, say, type Sentence } from '../say/index.ts'

export const pieceSides = ['left', 'right', 'middle'] as const
export type PieceSide = (typeof pieceSides)[number]
export const sideWords: Readonly<Record<PieceSide, Sentence>> = {
  left: say`driver’s side`,
  right: say`passenger’s side`,
  middle: say`middle`,
}

/** A piece as the kit's manifest lists it. */
export interface ListedPiece {
  readonly id: string
  readonly name: string
  readonly side: PieceSide
  readonly count: number
  readonly spares: number
  readonly formId: string
}

export interface CountedPiece {
  readonly pieceId: string
  readonly arrived: number
}

/** How one piece stands after counting. */
export type PieceStanding =
  | { readonly standing: 'not counted' }
  | { readonly standing: 'all there'; readonly spares: number }
  | { readonly standing: 'spare missing'; readonly spares: number }
  | { readonly standing: 'missing'; readonly missing: number }
  | { readonly standing: 'extra'; readonly extra: number; readonly spares: number }

/** What was counted of a piece against its manifest. */
export function standingOf(
  piece: Pick<ListedPiece, 'id' | 'count' | 'spares'>,
  counted: readonly CountedPiece[],
): PieceStanding {
  const found = counted.find((c) => c.pieceId === piece.id)
  if (found === undefined) return { standing: 'not counted' }
  const { arrived } = found
  if (arrived < piece.count) return { standing: 'missing', missing: piece.count - arrived }
  const spares = arrived - piece.count
  if (spares > piece.spares) return { standing: 'extra', extra: spares - piece.spares, spares }
  return spares < piece.spares ? { standing: 'spare missing', spares } : { standing: 'all there', spares }
}

export interface StartingSide {
  readonly pieceId: string
  readonly words: Sentence
}

/** Where to start a pair: on the side that has a spare, since the first try is the risky one. */
export function startingSides(pieces: readonly ListedPiece[], counted: readonly CountedPiece[]): StartingSide[] {
  return pieces.flatMap((piece) => {
    if (piece.side === 'middle') return []
    const spares = sparesOf(piece, counted)
    if (spares === 0) return []
    const twin = pieces.find((other) => areTwins(piece, other))
    if (twin === undefined || sparesOf(twin, counted) >= spares) return []
    const bare = piece.name.replace(/,? (driver|passenger)[’']s side/, '')
    return [
      {
        pieceId: piece.id,
        words: say`${name(bare)}: start on the ${sideWords[piece.side]}. It has ${agreeing(spares, 'the spare', '# spares')}, and the first try is the risky one.`,
      },
    ]
  })
}

const sparesOf = (piece: ListedPiece, counted: readonly CountedPiece[]) => {
  const found = counted.find((c) => c.pieceId === piece.id)
  return found === undefined ? piece.spares : Math.max(0, found.arrived - piece.count)
}

const withoutSide = (id: string) => id.replace(/(left|right)/, '*')

/** Whether two pieces are the two sides of one shape. */
export const areTwins = (a: Pick<ListedPiece, 'id' | 'side'>, b: Pick<ListedPiece, 'id' | 'side'>) =>
  a.id !== b.id && a.side !== b.side && withoutSide(a.id) === withoutSide(b.id)
