import { longestRunMm, type CutAccount, type RollAccount } from './rollAccount.ts'

/** The film that a job still needs, of one kind. */
export interface FilmWish {
  readonly jobId: string
  /** When it is needed, ISO 8601. */
  readonly at: string
  /** Of the pieces themselves. */
  readonly piecesMm2: number
  /** The least that its longest piece takes along the roll. */
  readonly leastMm: number
}

/** What is left of a film for the jobs that are open. */
export interface FilmOutlook {
  /** On all rolls, without spoilt stretches. Offcuts are not counted: nobody knows what will fit on them. */
  readonly leftMm: number
  readonly needMm: number
  /** After all that is open; negative = so much is lacking. */
  readonly afterMm: number
  /** The first job for which there is not enough; null where there is enough for all. */
  readonly firstShort: { readonly jobId: string; readonly at: string; readonly lackingMm: number } | null
  readonly reorder: boolean
}

interface OutlookFigures {
  /** Share of the film that becomes pieces, 0 to 1. */
  readonly yieldShare: number
  /** Of which width a roll is where none is left. */
  readonly widthMm: number
  /** Less than this left over is ordered again. */
  readonly reserveMm: number
}

/**
 * Jobs take their film in the order of their times: each from the shortest roll that has all of it, else from as many as it takes.
 * A job takes the area of its pieces over the yield, and never less than its longest piece.
 */
export function filmOutlook(
  rolls: readonly (RollAccount & { readonly widthMm: number })[],
  wishes: readonly FilmWish[],
  { yieldShare, widthMm, reserveMm }: OutlookFigures,
): FilmOutlook {
  const stands = rolls
    .filter(({ gone }) => !gone)
    .map((roll) => ({ widthMm: roll.widthMm, leftMm: usableMm(roll), runMm: longestRunMm(roll) }))
  const leftMm = sum(stands.map((roll) => roll.leftMm))
  let needMm = 0
  let firstShort: FilmOutlook['firstShort'] = null
  for (const wish of [...wishes].sort((a, b) => a.at.localeCompare(b.at))) {
    const onWidth = (mm: number) => Math.max(wish.leastMm, wish.piecesMm2 / (yieldShare * mm))
    const whole = stands
      .filter((roll) => roll.leftMm >= onWidth(roll.widthMm) && roll.runMm >= wish.leastMm)
      .sort((a, b) => a.leftMm - b.leftMm)[0]
    if (whole !== undefined) {
      const takenMm = onWidth(whole.widthMm)
      take(whole, takenMm)
      needMm += takenMm
      continue
    }
    const lackingMm = takeFromMany(stands, wish, yieldShare, widthMm)
    needMm += onWidth(stands[0]?.widthMm ?? widthMm)
    if (lackingMm > 0 && firstShort === null) firstShort = { jobId: wish.jobId, at: wish.at, lackingMm }
  }
  const afterMm = leftMm - needMm
  return { leftMm, needMm, afterMm, firstShort, reorder: firstShort !== null || afterMm < reserveMm }
}

interface Standing {
  readonly widthMm: number
  leftMm: number
  runMm: number
}

/** What is lacking then, along a roll of the width named, mm. */
function takeFromMany(
  stands: readonly Standing[],
  { piecesMm2, leastMm }: FilmWish,
  yieldShare: number,
  widthMm: number,
): number {
  let lackingMm2 = Math.max(piecesMm2 / yieldShare, leastMm * (stands[0]?.widthMm ?? widthMm))
  for (const roll of [...stands].sort((a, b) => b.leftMm - a.leftMm)) {
    if (roll.runMm < leastMm || lackingMm2 <= 0) continue
    const takenMm = Math.min(roll.leftMm, lackingMm2 / roll.widthMm)
    take(roll, takenMm)
    lackingMm2 -= takenMm * roll.widthMm
  }
  return Math.max(0, lackingMm2) / (stands[0]?.widthMm ?? widthMm)
}

function take(roll: Standing, mm: number) {
  roll.leftMm -= mm
  roll.runMm = Math.min(roll.runMm, roll.leftMm)
}

const usableMm = ({ leftMm, spoilt }: RollAccount) => leftMm - sum(spoilt.map(([from, to]) => to - from))
const sum = (numbers: readonly number[]) => numbers.reduce((total, n) => total + n, 0)

/** So many cuts tell how much of the film becomes pieces. */
const leastCuts = 3

/** The share of the film that became pieces, 0 to 1; null where too few cuts tell. */
export function yieldOf(cuts: readonly Pick<CutAccount, 'filmMm2' | 'piecesMm2'>[]): number | null {
  const filmMm2 = sum(cuts.map((cut) => cut.filmMm2))
  return cuts.length < leastCuts || filmMm2 <= 0 ? null : sum(cuts.map((cut) => cut.piecesMm2)) / filmMm2
}
