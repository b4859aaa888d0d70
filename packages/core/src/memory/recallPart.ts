import type { Practice } from '../practice/index.ts'
import type { FitFact, OffsetReading, PullMade } from './fitFact.ts'
import { indexed } from './indexed.ts'
import { type Estimated, mixedModel } from './mixedModel.ts'
import { recallPaces } from './recallPaces.ts'

/** What is about to be fitted, and by whom. */
export interface AboutToFit {
  readonly modelId: string
  readonly slot: string
  readonly pieceId: string | null
  /** Null: whichever vehicle. */
  readonly body: string | null
  /** Null: whoever has laid it most often. */
  readonly hand: string | null
}

/** To what a shift is put down. */
export const offsetCauses = ['piece', 'body', 'hand'] as const
export type OffsetCause = (typeof offsetCauses)[number]

export interface KnownOffset {
  /** How the film will have to be moved and turned from where the pattern has it, by this hand. */
  readonly xMm: Estimated
  readonly yMm: Estimated
  readonly turnDeg: Estimated
  /** Fits of this piece that were measured. */
  readonly measured: number
  /** To what most of it is put down; null where nothing stands out. */
  readonly cause: OffsetCause | null
  /** What to begin with; null where it is too little or too unsure to begin otherwise, or more than a piece can be off. */
  readonly begin: { readonly xMm: number; readonly yMm: number; readonly turnDeg: number } | null
  /** It looks as if it were worth it, but too few fits say so. */
  readonly unsure: boolean
  /** It is more than a piece can be off: something else is wrong. */
  readonly implausible: boolean
}

export interface PartKnown {
  /** Earlier fits at this place of this model. */
  readonly fits: number
  readonly offset: KnownOffset | null
  /** Where fingers came, how often of those fits; the most frequent first. */
  readonly fingers: readonly { readonly place: string; readonly times: number }[]
  /** Faults that were seen, how often of those fits. */
  readonly faults: readonly { readonly fault: string; readonly times: number }[]
  readonly laidAgain: number
  /** By how much the thermometer ordinarily was off its plan after the passes, °C, by the use of heat: the middle of the fits that read it. */
  readonly heat: readonly { readonly use: string; readonly offC: number; readonly fits: number }[]
  /** Where film had to be pulled otherwise than planned, in how many of the fits that told; the most frequent first. */
  readonly pulls: readonly {
    readonly place: string
    readonly needed: Exclude<PullMade, 'as planned'>
    readonly times: number
    readonly told: number
  }[]
  /** Faults that were put right, in how many of those fits. */
  readonly cured: readonly { readonly fault: string; readonly times: number }[]
  /** Real minutes over planned ones to be expected; null where nothing tells. */
  readonly pace: Estimated | null
}

type Dimension = 'xMm' | 'yMm' | 'turnDeg'
type KnownFigures = Pick<
  Practice,
  'offsetPiece' | 'offsetBody' | 'offsetHand' | 'offsetNoise' | 'offsetLeast' | 'offsetMost' | 'gapReading'
>

/** A turn is worth so many mm at the far end of an ordinary piece: about 400 mm from its middle. */
const armMm = 400
const degPerMm = 180 / Math.PI / armMm
/** Half a millimetre is what a hand sets. */
const rounded = (mm: number) => Math.round(2 * mm) / 2

/**
 * What earlier fits of a shop say about parts that are about to be fitted, in their order. The offset is a mixed model over all measured fits: of
 * the piece (the same on all bodies), of the body (on this vehicle only) and of the hand (of this person on all kits).
 */
export function recallParts(
  facts: readonly FitFact[],
  about: readonly AboutToFit[],
  practice: KnownFigures,
): PartKnown[] {
  const here = about.map(({ modelId, slot }) => facts.filter((fact) => fact.modelId === modelId && fact.slot === slot))
  const laying = about.map(({ pieceId, body, hand }, i) => ({
    pieceId: pieceId ?? '',
    body: body ?? '',
    hand: hand ?? countedOf((here[i] ?? []).map((fact) => fact.hand))[0]?.[0] ?? '',
  }))
  const dimensions = {
    xMm: dimensionOf(facts, laying, 'xMm', 1, practice),
    yMm: dimensionOf(facts, laying, 'yMm', 1, practice),
    turnDeg: dimensionOf(facts, laying, 'turnDeg', degPerMm, practice),
  }
  const paces = recallPaces(
    facts,
    about.map(({ modelId, slot }, i) => ({ modelId, slot, hand: laying[i]?.hand ?? '' })),
  )
  return about.map(({ pieceId }, i) => {
    const own = here[i] ?? []
    const measured = facts.filter((fact) => fact.pieceId === pieceId && fact.offset !== null).length
    const [xMm, yMm, turnDeg] = [dimensions.xMm[i], dimensions.yMm[i], dimensions.turnDeg[i]]
    return {
      fits: own.length,
      offset:
        pieceId === null || measured === 0 || xMm === undefined || yMm === undefined || turnDeg === undefined
          ? null
          : offsetOf(xMm, yMm, turnDeg, measured, practice),
      fingers: countedOf(own.flatMap((fact) => [...new Set(fact.fingersAt)])).map(([place, times]) => ({
        place,
        times,
      })),
      faults: countedOf(own.flatMap((fact) => [...new Set(fact.faults)])).map(([fault, times]) => ({ fault, times })),
      heat: heatOf(own),
      pulls: pullsOf(own),
      cured: countedOf(own.flatMap((fact) => [...new Set(fact.cured ?? [])])).map(([fault, times]) => ({
        fault,
        times,
      })),
      laidAgain: own.reduce((sum, fact) => sum + fact.laidAgain, 0),
      pace: paces?.[i] ?? null,
    }
  })
}

/** The same of one part. */
export function recallPart(facts: readonly FitFact[], about: AboutToFit, practice: KnownFigures): PartKnown {
  const [known] = recallParts(facts, [about], practice)
  if (known === undefined) throw new RangeError('one part is asked for, none is known')
  return known
}

function countedOf(words: readonly string[]): [string, number][] {
  const counts = new Map<string, number>()
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])
}

/** Of each use of heat the middle reading of every fit, and of those the middle. */
function heatOf(facts: readonly FitFact[]): PartKnown['heat'] {
  const uses = [...new Set(facts.flatMap((fact) => (fact.heat ?? []).map(({ use }) => use)))]
  return uses.map((use) => {
    const ofFits = facts.flatMap((fact) => {
      const own = (fact.heat ?? []).filter((read) => read.use === use).map(({ offC }) => offC)
      return own.length === 0 ? [] : [middleOf(own)]
    })
    return { use, offC: middleOf(ofFits), fits: ofFits.length }
  })
}

function pullsOf(facts: readonly FitFact[]): PartKnown['pulls'] {
  const told = facts.flatMap((fact) => fact.pulls ?? [])
  return [...new Set(told.map(({ place }) => place))]
    .flatMap((place) => {
      const own = told.filter((pull) => pull.place === place)
      return (['less', 'more'] as const).map((needed) => ({
        place,
        needed,
        times: own.filter((pull) => pull.needed === needed).length,
        told: own.length,
      }))
    })
    .filter(({ times }) => times > 0)
    .sort((a, b) => b.times - a.times)
}

function middleOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length >> 1
  return ((sorted[sorted.length % 2 === 0 ? half - 1 : half] ?? 0) + (sorted[half] ?? 0)) / 2
}

/** A piece, on a body, by a hand. */
interface Laying {
  readonly pieceId: string
  readonly body: string
  readonly hand: string
}

interface Shifted {
  /** If this hand lays this piece. */
  readonly sum: Estimated
  readonly cause: OffsetCause | null
}

function offsetOf(x: Shifted, y: Shifted, turn: Shifted, measured: number, practice: KnownFigures): KnownOffset {
  const mostMm = Math.max(Math.abs(x.sum.mean), Math.abs(y.sum.mean), Math.abs(turn.sum.mean) / degPerMm)
  const implausible = mostMm > practice.offsetMost
  const large = (sum: Estimated, unit: number) => Math.abs(sum.mean) >= practice.offsetLeast * unit
  const worth = (sum: Estimated, unit: number) => large(sum, unit) && (sum.low > 0 || sum.high < 0)
  const begin = {
    xMm: worth(x.sum, 1) ? rounded(x.sum.mean) : 0,
    yMm: worth(y.sum, 1) ? rounded(y.sum.mean) : 0,
    turnDeg: worth(turn.sum, degPerMm) ? Math.round(100 * turn.sum.mean) / 100 : 0,
  }
  const nothing = begin.xMm === 0 && begin.yMm === 0 && begin.turnDeg === 0
  return {
    xMm: x.sum,
    yMm: y.sum,
    turnDeg: turn.sum,
    measured,
    cause: Math.abs(x.sum.mean) >= Math.abs(y.sum.mean) ? x.cause : y.cause,
    begin: nothing || implausible ? null : begin,
    unsure: nothing && (large(x.sum, 1) || large(y.sum, 1) || large(turn.sum, degPerMm)),
    implausible,
  }
}

/** One of the three ways in which pieces are off, for each that is asked about. `unit`: what a millimetre is in it. */
function dimensionOf(
  facts: readonly FitFact[],
  about: readonly Laying[],
  dimension: Dimension,
  unit: number,
  practice: KnownFigures,
): Shifted[] {
  const read = facts.flatMap((fact) => {
    const reading: OffsetReading | null = fact.offset?.[dimension] ?? null
    return reading === null || fact.pieceId === null ? [] : [{ fact, reading, pieceId: fact.pieceId }]
  })
  const factors = [
    {
      scale: practice.offsetPiece,
      ...indexed(
        about.map((a) => a.pieceId),
        read.map((r) => r.pieceId),
      ),
    },
    {
      scale: practice.offsetBody,
      ...indexed(
        about.map((a) => a.body),
        read.map((r) => r.fact.body),
      ),
    },
    {
      scale: practice.offsetHand,
      ...indexed(
        about.map((a) => a.hand),
        read.map((r) => r.fact.hand),
      ),
    },
  ]
  const term = (factor: number, i: number) => ({ factor, level: factors[factor]?.asked[i] ?? 0 })
  const { asked } = mixedModel({
    y: read.map((r) => r.reading.value),
    sigma: read.map((r) => Math.max(r.reading.sigma, 1e-3 * unit)),
    factors: factors.map(({ of, levels, scale }) => ({ of, levels, scale: scale * unit })),
    noiseScale: practice.offsetNoise * unit,
    asked: about.flatMap((_, i) => [[term(0, i), term(2, i)], [term(0, i)], [term(1, i)], [term(2, i)]]),
  })
  return about.map((_, i) => {
    const [sum, ...parts] = asked.slice(4 * i, 4 * i + 4)
    const sure = parts.map((part) => (part.low > 0 || part.high < 0 ? Math.abs(part.mean) : 0))
    const largest = sure.indexOf(Math.max(...sure))
    return {
      sum: sum ?? { mean: 0, low: 0, high: 0 },
      cause: (sure[largest] ?? 0) > 0 ? (offsetCauses[largest] ?? null) : null,
    }
  })
}
