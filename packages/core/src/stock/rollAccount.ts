import { boundsOf, type Polygon } from '../geometry/index.ts'

/** A roll as it came into the shop. */
export interface RollFacts {
  readonly widthMm: number
  readonly lengthMm: number
  /** What it cost, in the shop's money; null where nobody said. */
  readonly price: number | null
}

/** What happened to a roll, in its order. Film is taken off its loose end. */
export type RollEntry =
  /** Film was cut off the loose end, or an offcut was cut up; with how much of it became pieces. */
  | {
      readonly kind: 'cut'
      readonly cutId: string
      readonly lengthMm: number
      readonly piecesMm2: number
      readonly offcutId: string | null
    }
  /** Somebody measured what is left. */
  | { readonly kind: 'measured'; readonly leftMm: number }
  /** A stretch that no piece may lie on, from the loose end as it was then. */
  | { readonly kind: 'spoilt'; readonly fromMm: number; readonly toMm: number }
  /** A rectangle of a cut was put by. */
  | {
      readonly kind: 'offcut kept'
      readonly offcutId: string
      /** The cut that left it; null where it was found. */
      readonly cutId: string | null
      readonly widthMm: number
      readonly lengthMm: number
    }
  | { readonly kind: 'offcut gone'; readonly offcutId: string }
  /** Used up or thrown away: what was left is waste. */
  | { readonly kind: 'gone' }
  /** It was not gone after all. */
  | { readonly kind: 'back' }

/** A rectangle of film that was put by. Its width is what lay across the roll. */
export interface Offcut {
  readonly offcutId: string
  readonly widthMm: number
  readonly lengthMm: number
}

/** One cut with the film that went into it, less what was put by. */
export interface CutAccount {
  readonly cutId: string
  readonly filmMm2: number
  readonly piecesMm2: number
  /** In the shop's money; null where the roll has no price. */
  readonly cost: number | null
}

/** A roll as it stands after all that happened to it. */
export interface RollAccount {
  /** 0 where more was taken than the roll had: see `overdrawnMm`. */
  readonly leftMm: number
  /** Film that was cut off beyond what the roll had by its figures. */
  readonly overdrawnMm: number
  /** Of what is left, from the loose end as it is now; apart from each other, nearest first. */
  readonly spoilt: readonly (readonly [fromMm: number, toMm: number])[]
  readonly offcuts: readonly Offcut[]
  readonly cuts: readonly CutAccount[]
  readonly gone: boolean
}

/** Adds up what happened to a roll. Lengths in mm, areas in mm². */
export function rollAccount(roll: RollFacts, entries: readonly RollEntry[]): RollAccount {
  // Places are told from where the loose end was when the roll came.
  let looseMm = 0
  let endMm = roll.lengthMm
  let gone = false
  const spoilt: [number, number][] = []
  const offcuts = new Map<string, Offcut>()
  const cuts: { cutId: string; filmMm2: number; piecesMm2: number }[] = []
  for (const entry of entries)
    switch (entry.kind) {
      case 'cut': {
        const offcut = entry.offcutId === null ? undefined : offcuts.get(entry.offcutId)
        if (entry.offcutId !== null) offcuts.delete(entry.offcutId)
        else looseMm += entry.lengthMm
        cuts.push({
          cutId: entry.cutId,
          filmMm2: offcut === undefined ? entry.lengthMm * roll.widthMm : offcut.lengthMm * offcut.widthMm,
          piecesMm2: entry.piecesMm2,
        })
        break
      }
      case 'measured':
        endMm = looseMm + entry.leftMm
        gone = false
        break
      case 'spoilt':
        spoilt.push([looseMm + entry.fromMm, looseMm + entry.toMm])
        break
      case 'offcut kept': {
        const { offcutId, widthMm, lengthMm } = entry
        offcuts.set(offcutId, { offcutId, widthMm, lengthMm })
        const from = cuts.find(({ cutId }) => cutId === entry.cutId)
        if (from !== undefined) from.filmMm2 = Math.max(from.piecesMm2, from.filmMm2 - widthMm * lengthMm)
        break
      }
      case 'offcut gone':
        offcuts.delete(entry.offcutId)
        break
      case 'gone':
        gone = true
        break
      case 'back':
        gone = false
        break
    }
  const costPerMm2 = roll.price === null ? null : roll.price / (roll.widthMm * roll.lengthMm)
  return {
    leftMm: gone ? 0 : Math.max(0, endMm - looseMm),
    overdrawnMm: Math.max(0, looseMm - endMm),
    spoilt: joined(spoilt).flatMap(([from, to]) => {
      const [a, b] = [Math.max(0, from - looseMm), Math.min(endMm, to) - looseMm]
      return b > a && !gone ? [[a, b] as const] : []
    }),
    offcuts: [...offcuts.values()],
    cuts: cuts.map((cut) => ({ ...cut, cost: costPerMm2 === null ? null : cut.filmMm2 * costPerMm2 })),
    gone,
  }
}

/** Stretches that touch or overlap are one. */
function joined(stretches: readonly (readonly [number, number])[]): [number, number][] {
  const whole: [number, number][] = []
  for (const [from, to] of [...stretches].sort((a, b) => a[0] - b[0])) {
    const last = whole[whole.length - 1]
    if (last !== undefined && from <= last[1]) last[1] = Math.max(last[1], to)
    else whole.push([from, to])
  }
  return whole
}

/** The least that a piece takes along a roll in the turns that its film allows; null where it is wider than the roll in each. mm. */
export function leastRunMm(outline: Polygon, mayTurn: boolean, widthMm: number): number | null {
  const { min, max } = boundsOf(outline)
  const [along, across] = [max[0] - min[0], max[1] - min[1]]
  const runs = [...(across <= widthMm ? [along] : []), ...(mayTurn && along <= widthMm ? [across] : [])]
  return runs.length === 0 ? null : Math.min(...runs)
}

/** The longest run without a spoilt stretch: no piece longer than this goes on the roll, mm. */
export function longestRunMm({ leftMm, spoilt }: Pick<RollAccount, 'leftMm' | 'spoilt'>): number {
  const ends = [0, ...spoilt.map(([, to]) => to)]
  const starts = [...spoilt.map(([from]) => from), leftMm]
  return Math.max(...starts.map((start, i) => start - (ends[i] ?? 0)), 0)
}
