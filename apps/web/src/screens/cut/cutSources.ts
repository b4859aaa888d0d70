import type { CountedRoll, FilmId, OffcutId, RollId, Stock } from '@truelay/contract'
import { signedArea } from '@truelay/core/geometry'
import type { SpoiltStretch } from '@truelay/core/nest'
import type { FilmToCut } from './toCut.ts'

/** Where the film of a cut comes from. */
export interface CutSource {
  readonly key: string
  readonly widthMm: number
  /** Null where nobody knows how much there is. */
  readonly lengthMm: number | null
  readonly spoilt: readonly SpoiltStretch[]
  readonly lot: string
  /** Null where the shop keeps no book of it. */
  readonly roll: { readonly rollId: RollId; readonly offcutId: OffcutId | null } | null
}

/** A roll of which the shop keeps no book: its width and lot are typed. */
export const anotherRoll = (widthMm: number, lot: string): CutSource => ({
  key: 'another',
  widthMm,
  lengthMm: null,
  spoilt: [],
  lot,
  roll: null,
})

/** The rolls of a film, the oldest first, then what was put by of them. */
export function sourcesOf(filmId: FilmId, { rolls }: Pick<Stock, 'rolls'>): CutSource[] {
  const own = rolls.filter(({ roll }) => roll.filmId === filmId)
  return [...own.filter(({ account }) => account.leftMm > 0).map(rollSource), ...own.flatMap(offcutSources)]
}

const rollSource = ({ roll, account }: CountedRoll): CutSource => ({
  key: roll.id,
  widthMm: roll.widthMm,
  lengthMm: account.leftMm,
  spoilt: account.spoilt,
  lot: roll.lot,
  roll: { rollId: roll.id, offcutId: null },
})

const offcutSources = ({ roll, account }: CountedRoll): CutSource[] =>
  account.offcuts.map(({ offcutId, widthMm, lengthMm }) => ({
    key: offcutId,
    widthMm,
    lengthMm,
    spoilt: [],
    lot: roll.lot,
    roll: { rollId: roll.id, offcutId },
  }))

/** The oldest roll that has enough by the usual yield, else the one that has most: film ages on the shelf. */
export function usualSource(
  sources: readonly CutSource[],
  pieces: FilmToCut['pieces'],
  yieldShare: number,
): CutSource | undefined {
  const piecesMm2 = pieces.reduce((sum, { outline, lacking }) => sum + lacking * Math.abs(signedArea(outline)), 0)
  const rolls = sources.filter(({ roll }) => roll?.offcutId === null)
  const mm2Of = ({ lengthMm, widthMm }: CutSource) => (lengthMm ?? 0) * widthMm
  return (
    rolls.find((roll) => mm2Of(roll) * yieldShare >= piecesMm2) ?? [...rolls].sort((a, b) => mm2Of(b) - mm2Of(a))[0]
  )
}
