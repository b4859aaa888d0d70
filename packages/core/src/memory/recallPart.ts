import type { Practice } from '../practice/index.ts'
import type { FitFact, OffsetReading } from './fitFact.ts'
import { type Estimated, mixedModel } from './mixedModel.ts'

/** What is about to be fitted, and by whom. */
export interface AboutToFit {
  readonly modelId: string
  readonly slot: string
  readonly pieceId: string | null
  /** Null: whichever vehicle. */
  readonly body: string | null
  /** Null: whoever lays it. */
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
 * What earlier fits of a shop say about a part that is about to be fitted. The offset is a mixed model over all measured fits: of the piece
 * (the same on all bodies), of the body (on this vehicle only) and of the hand (of this person on all kits).
 */
export function recallPart(facts: readonly FitFact[], about: AboutToFit, practice: KnownFigures): PartKnown {
  const here = facts.filter(({ modelId, slot }) => modelId === about.modelId && slot === about.slot)
  return {
    fits: here.length,
    offset: about.pieceId === null ? null : offsetOf(facts, { ...about, pieceId: about.pieceId }, practice),
    fingers: countedOf(here.flatMap((fact) => [...new Set(fact.fingersAt)])).map(([place, times]) => ({
      place,
      times,
    })),
    faults: countedOf(here.flatMap((fact) => [...new Set(fact.faults)])).map(([fault, times]) => ({ fault, times })),
    laidAgain: here.reduce((sum, fact) => sum + fact.laidAgain, 0),
    pace: paceOf(facts, about),
  }
}

function countedOf(words: readonly string[]): [string, number][] {
  const counts = new Map<string, number>()
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])
}

function offsetOf(
  facts: readonly FitFact[],
  about: AboutToFit & { readonly pieceId: string },
  practice: KnownFigures,
): KnownOffset | null {
  const measured = facts.filter((fact) => fact.pieceId === about.pieceId && fact.offset !== null).length
  if (measured === 0) return null
  const of = (dimension: Dimension, unit: number) => dimensionOf(facts, about, dimension, unit, practice)
  const [x, y, turn] = [of('xMm', 1), of('yMm', 1), of('turnDeg', degPerMm)]
  const mostMm = Math.max(Math.abs(x.sum.mean), Math.abs(y.sum.mean), Math.abs(turn.sum.mean) / degPerMm)
  const implausible = mostMm > practice.offsetMost
  const worth = (sum: Estimated, unit: number) =>
    Math.abs(sum.mean) >= practice.offsetLeast * unit && (sum.low > 0 || sum.high < 0)
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
    implausible,
  }
}

/** One of the three ways in which a piece is off. `unit`: what a millimetre is in it. */
function dimensionOf(
  facts: readonly FitFact[],
  about: AboutToFit & { readonly pieceId: string },
  dimension: Dimension,
  unit: number,
  practice: KnownFigures,
): { readonly sum: Estimated; readonly cause: OffsetCause | null } {
  const read = facts.flatMap((fact) => {
    const reading: OffsetReading | null = fact.offset?.[dimension] ?? null
    return reading === null || fact.pieceId === null ? [] : [{ fact, reading, pieceId: fact.pieceId }]
  })
  const piece = indexed([about.pieceId, ...read.map((r) => r.pieceId)])
  const body = indexed([about.body ?? '', ...read.map((r) => r.fact.body)])
  const hand = indexed([about.hand ?? '', ...read.map((r) => r.fact.hand)])
  const scales = [practice.offsetPiece, practice.offsetBody, practice.offsetHand]
  const one = (factor: number) => [{ factor, level: 0 }]
  const { asked } = mixedModel({
    y: read.map((r) => r.reading.value),
    sigma: read.map((r) => Math.max(r.reading.sigma, 1e-3 * unit)),
    factors: [piece, body, hand].map(({ of, levels }, f) => ({
      of: of.slice(1),
      levels,
      scale: (scales[f] ?? 1) * unit,
    })),
    noiseScale: practice.offsetNoise * unit,
    asked: [about.hand === null ? one(0) : [0, 2].map((factor) => ({ factor, level: 0 })), one(0), one(1), one(2)],
  })
  const [sum, ...parts] = asked
  const none: Estimated = { mean: 0, low: 0, high: 0 }
  const sure = parts.map((part) => (part.low > 0 || part.high < 0 ? Math.abs(part.mean) : 0))
  const largest = sure.indexOf(Math.max(...sure))
  return { sum: sum ?? none, cause: (sure[largest] ?? 0) > 0 ? (offsetCauses[largest] ?? null) : null }
}

/** Each name with a number from 0 on, in the order in which they come. */
function indexed(names: readonly string[]): { readonly of: number[]; readonly levels: number } {
  const numbers = new Map<string, number>()
  const of = names.map((name) => {
    const known = numbers.get(name) ?? numbers.size
    numbers.set(name, known)
    return known
  })
  return { of, levels: numbers.size }
}

/** How fast fits go against their plans: by place and by hand, on a scale on which half and double are as far apart. */
function paceOf(facts: readonly FitFact[], about: AboutToFit): Estimated | null {
  const read = facts.flatMap((fact) => (fact.pace === null ? [] : [{ fact, pace: fact.pace }]))
  if (read.length < 2) return null
  const place = indexed([`${about.modelId} ${about.slot}`, ...read.map(({ fact }) => `${fact.modelId} ${fact.slot}`)])
  const hand = indexed([about.hand ?? '', ...read.map(({ fact }) => fact.hand)])
  const [sum] = mixedModel({
    y: read.map(({ pace }) => Math.log(pace)),
    sigma: read.map(() => paceSigma),
    factors: [
      { of: place.of.slice(1), levels: place.levels, scale: paceScale },
      { of: hand.of.slice(1), levels: hand.levels, scale: paceScale },
    ],
    noiseScale: paceScale,
    asked: [(about.hand === null ? [0] : [0, 1]).map((factor) => ({ factor, level: 0 }))],
  }).asked
  return sum === undefined ? null : { mean: Math.exp(sum.mean), low: Math.exp(sum.low), high: Math.exp(sum.high) }
}

/** The middle of some twenty steps is known to about a tenth. */
const paceSigma = 0.1
/** Hands and places ordinarily differ by a quarter. */
const paceScale = 0.25
