import type { CarriedPiece, SetMode } from '../pieces/index.ts'

/** Where a part stands among those that are fitted with it. */
export interface SetPlace {
  readonly mode: SetMode
  /** 1 for the first. */
  readonly place: number
  readonly of: number
  /** What was laid before it, and what comes after it; null at the ends. */
  readonly before: string | null
  readonly next: string | null
  /** Film of the others, for what is mixed once: area, mm², and length of edge, mm. */
  readonly others: { readonly areaMm2: number; readonly edgeMm: number }
}

/** How a part of a row gets its line, and from which part. */
export interface LinePlace extends Pick<CarriedPiece, 'placed' | 'nearSigmaMm' | 'farSigmaMm' | 'measureAtMm'> {
  readonly from: string | null
  /** Joints of the row, over which a body that is not true is shared out. */
  readonly joints: number
}

export const isFirstOfSet = (set: SetPlace | null) => set === null || set.place === 1
export const isLastOfSet = (set: SetPlace | null) => set === null || set.place === set.of
