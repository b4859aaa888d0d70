import { length, list, name, paragraph, say, type Sentence } from '../say/index.ts'

/** A piece of a row whose upper line has to run through, in the order in which they stand side by side. */
export interface RowPiece {
  readonly id: string
  readonly name: string
  readonly lengthMm: number
  /** Marks and openings by which it can be placed on its own. */
  readonly openings: number
}

/** How well a hand reads and sights; standard deviations. */
export interface CarryReadings {
  /** A gap between two films, mm. */
  readonly gapMm: number
  /** Measured up from the lower edge of the part, mm. */
  readonly upMm: number
  /** Length of the neighbour's line along which the next one is sighted, mm. */
  readonly sightMm: number
  /** Off by more than this an eye sees a step in the line, mm. */
  readonly seenMm: number
}

/** Half a graduation of a rule; a tape held at an edge; a hand's length of line; what shows at two metres. */
export const carryDefaults: CarryReadings = { gapMm: 0.25, upMm: 0.5, sightMm: 250, seenMm: 1.5 }

/** How one piece of a row is placed, and how sure its line then is. */
export interface CarriedPiece {
  readonly id: string
  readonly name: string
  /** Where it stands in the row, 1 for the first. */
  readonly place: number
  readonly placed: 'datum' | 'carried' | 'carried and measured up'
  /** Of the line at the end next to the piece before, and at its far end; mm, one standard deviation. */
  readonly nearSigmaMm: number
  readonly farSigmaMm: number
  /** Where to measure up from the lower edge: distances from the end next to the datum, mm. */
  readonly measureAtMm: readonly number[]
}

export interface LineCarry {
  readonly datum: string
  /** In the order of laying: the datum, then outward from it. */
  readonly pieces: readonly CarriedPiece[]
  readonly worstSigmaMm: number
  /** The same if nothing but the datum were measured up: how the error grows along the row. */
  readonly unmeasuredSigmaMm: number
  readonly words: Sentence
}

/** Measuring up is done this far in from an end, mm. */
const fromEndMm = 40

/**
 * Which piece of a row goes on first, and where the others have to be measured up so that the line runs through.
 * The datum is measured up at both ends. A carried piece meets its neighbour's line (reading of a gap) and its direction is
 * sighted along that line, so that its far end is off by the sighting error times its length over the sighted length; these
 * errors add up as independent ones do. Where the far end would be off by more than an eye sees (twice its standard deviation), it
 * is measured up instead. The best datum needs the fewest measurements, then leaves the least error, with and without them, then has most openings.
 *
 * @param given the kit's own datum: it is kept, and a better one is only named
 */
export function carryLine(
  row: readonly RowPiece[],
  readings: CarryReadings = carryDefaults,
  given: string | null = null,
): LineCarry | null {
  if (row.length < 2) return null
  const tried = row.map((datum, i) => ({
    datum,
    i,
    ...carryFrom(datum, sidesOf(row, i), readings, true),
    bare: carryFrom(datum, sidesOf(row, i), readings, false).worst,
  }))
  tried.sort(
    (a, b) =>
      a.measured - b.measured ||
      a.worst - b.worst ||
      a.bare - b.bare ||
      b.datum.openings - a.datum.openings ||
      a.i - b.i,
  )
  const best = tried.find((t) => t.datum.id === given) ?? tried[0]
  if (best === undefined) return null
  const better = tried[0]
  const measured = best.pieces.filter((p) => p.placed === 'carried and measured up')
  return {
    datum: best.datum.id,
    pieces: best.pieces.map((p) => ({ ...p, place: row.findIndex((r) => r.id === p.id) + 1 })),
    worstSigmaMm: best.worst,
    unmeasuredSigmaMm: best.bare,
    words: paragraph(
      say`${name(best.datum.name)} first: measure up at both of its ends.`,
      measured.length === 0
        ? say`The others take their line from it.`
        : measured.length === row.length - 1
          ? say`Measure up again at the far end of every other piece, or the line may be off by ${length(2 * best.bare)} at the end.`
          : say`Measure up again at the far end of ${list(measured.map((p) => p.name))}, or the line may be off by ${length(2 * best.bare)} at the end.`,
      better !== undefined &&
        better.datum.id !== best.datum.id &&
        say`From ${name(better.datum.name)} the error would run less far: ${length(2 * better.bare)}.`,
    ),
  }
}

/** The pieces on either side of the datum, from it outward. */
const sidesOf = (row: readonly RowPiece[], datum: number) => [row.slice(0, datum).reverse(), row.slice(datum + 1)]

function carryFrom(datum: RowPiece, sides: readonly (readonly RowPiece[])[], r: CarryReadings, measuring: boolean) {
  const pieces: Omit<CarriedPiece, 'place'>[] = [
    {
      id: datum.id,
      name: datum.name,
      placed: 'datum',
      nearSigmaMm: r.upMm,
      farSigmaMm: r.upMm,
      measureAtMm: [fromEndMm, datum.lengthMm - fromEndMm],
    },
  ]
  let measured = 0
  let worst = r.upMm
  for (const side of sides) {
    let end = r.upMm ** 2
    let slope = (Math.SQRT2 * r.upMm) / datum.lengthMm
    for (const piece of side) {
      const near = end + r.gapMm ** 2
      // Its direction: that of the neighbour's line, and how well it was sighted along it.
      const sighted = slope ** 2 + (Math.SQRT2 * r.gapMm) ** 2 / r.sightMm ** 2
      const far = near + sighted * piece.lengthMm ** 2
      const measure = measuring && 2 * Math.sqrt(far) > r.seenMm
      if (measure) measured++
      const farEnd = measure ? Math.min(far, r.upMm ** 2) : far
      pieces.push({
        id: piece.id,
        name: piece.name,
        placed: measure ? 'carried and measured up' : 'carried',
        nearSigmaMm: Math.sqrt(near),
        farSigmaMm: Math.sqrt(farEnd),
        measureAtMm: measure ? [piece.lengthMm - fromEndMm] : [],
      })
      worst = Math.max(worst, Math.sqrt(near), Math.sqrt(farEnd))
      slope = measure ? Math.sqrt(near + farEnd) / piece.lengthMm : Math.sqrt(sighted)
      end = farEnd
    }
  }
  return { pieces, measured, worst }
}

/** Rows among the places of a vehicle: places that are numbered on one side, "lower-1-left", "lower-2-left". */
export function rowsOf<P extends { readonly slot: string }>(parts: readonly P[]): P[][] {
  const rows = new Map<string, { number: number; part: P }[]>()
  for (const part of parts) {
    const match = /^(.+)-(\d+)-(left|right)$/.exec(part.slot)
    if (match === null) continue
    const key = `${match[1]} ${match[3]}`
    rows.set(key, [...(rows.get(key) ?? []), { number: Number(match[2]), part }])
  }
  return [...rows.values()]
    .filter((row) => row.length >= 2)
    .map((row) => row.sort((a, b) => a.number - b.number).map(({ part }) => part))
}

/** The line of every row among some pieces that have a place on the vehicle; the kit's rules may name its datum. */
export const carryRows = (
  pieces: readonly (RowPiece & { readonly slot: string })[],
  rules: readonly { readonly first: string; readonly next: string }[] = [],
  readings: CarryReadings = carryDefaults,
): LineCarry[] =>
  rowsOf(pieces).flatMap((row) => {
    // The piece that the kit's rules put before all others of the row is its datum.
    const leads = (id: string) => rules.filter((r) => r.first === id && row.some((p) => p.id === r.next)).length
    const given = row.find((p) => leads(p.id) === row.length - 1)
    return carryLine(row, readings, given?.id ?? null) ?? []
  })
