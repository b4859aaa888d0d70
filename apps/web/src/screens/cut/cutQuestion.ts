import {
  type ArrivedPiece,
  type CutDone,
  type Film,
  isOffRoll,
  type JobBundle,
  type Part,
  type PartId,
  type Piece,
} from '@truelay/contract'
import type { NestRequest } from '@truelay/core/nest'
import { drawnSheet, mayTurnOnRoll } from '@truelay/core/plan'
import type { Practice } from '@truelay/core/practice'
import type { CutSource } from './cutSources.ts'
import type { FilmToCut, ToCut } from './toCut.ts'

interface Cuttable {
  readonly bundle: JobBundle
  readonly arrived: readonly ArrivedPiece[]
  readonly cuts: readonly CutDone[]
  readonly practice: Practice
  /** Parts that are to be laid again, with another piece. */
  readonly awaited?: readonly PartId[]
}

/** The pieces and sheets of a job's parts, film by film, less what has been counted or cut already. */
export function filmsToCut({ bundle, arrived, cuts, practice, awaited = [] }: Cuttable): FilmToCut[] {
  const { films, parts, pieces } = bundle
  return films.flatMap((film) => {
    const own = parts.filter(({ filmId }) => filmId === film.id)
    const preCut = pieces.filter(
      (piece) => piece.filmId === film.id && parts.some((part) => part.pieceId === piece.id && !isOffRoll(part)),
    )
    const toCut = [
      ...preCut.map((piece) => {
        const again = own.filter((part) => part.pieceId === piece.id && awaited.includes(part.id)).length
        return pieceToCut({ ...piece, count: piece.count + again }, arrived)
      }),
      ...own.filter(isOffRoll).flatMap((part) => sheetToCut(part, film, bundle, cuts, practice)),
    ]
    return toCut.length === 0 ? [] : [{ film, pieces: toCut }]
  })
}

function pieceToCut({ id, name, count, pattern }: Piece, arrived: readonly ArrivedPiece[]): ToCut {
  const there = arrived.find(({ pieceId }) => pieceId === id)?.arrived ?? 0
  const { outline, cutOuts } = pattern
  const marks = pattern.marks.map(({ at }) => at)
  return { id, name, outline, cutOuts, marks, lacking: Math.max(0, count - there), of: { pieceId: id } }
}

/** Nobody cuts a sheet to the millimetre. */
const upTo10 = (mm: number) => 10 * Math.ceil(mm / 10)

function sheetToCut(
  part: Part,
  film: Film,
  { forms }: JobBundle,
  cuts: readonly CutDone[],
  practice: Practice,
): ToCut[] {
  const form = forms.find(({ id }) => id === part.formId)
  const sheet = form === undefined ? null : drawnSheet({ form, film, pattern: null }, 'from the roll', practice)
  if (sheet === null) return []
  const [along, across] = [upTo10(sheet.lengthMm), upTo10(sheet.widthMm)]
  const isCut = cuts.some(({ state, sheets = [] }) => state === 'cut' && sheets.includes(part.id))
  return [
    {
      id: `sheet-${part.id}`,
      name: part.name,
      outline: [
        [0, 0],
        [along, 0],
        [along, across],
        [0, across],
      ],
      cutOuts: [],
      marks: [],
      lacking: isCut ? 0 : 1,
      of: { sheetOf: part.id },
    },
  ]
}

/** The pieces of other jobs beside those of one, where they are of the same film and lacking. Sheets are each job's own. */
export function together(
  film: FilmToCut,
  others: readonly Pick<Cuttable, 'bundle' | 'arrived' | 'practice'>[],
): FilmToCut {
  const more = others.flatMap(({ bundle, arrived, practice }) =>
    filmsToCut({ bundle, arrived, cuts: [], practice })
      .filter((of) => of.film.id === film.film.id)
      .flatMap(({ pieces }) => pieces.filter(({ lacking, of }) => lacking > 0 && 'pieceId' in of))
      .map(
        (piece): ToCut => ({
          ...piece,
          id: `${bundle.job.id} ${piece.id}`,
          forJob: { id: bundle.job.id, number: bundle.job.number },
        }),
      ),
  )
  return more.length === 0 ? film : { ...film, pieces: [...film.pieces, ...more] }
}

/** Clear film lies in any quarter turn; tint and prints have a direction, and may only stand on their heads. */
const turnsOf = (film: Film) => (mayTurnOnRoll(film) ? [0, 90, 180, 270] : [0, 180])

/** What the roll is asked for: the chosen counts of each piece. */
export function cutQuestion(
  { film, pieces }: FilmToCut,
  counts: Readonly<Record<string, number>>,
  practice: Practice,
  { widthMm, lengthMm, spoilt }: Pick<CutSource, 'widthMm' | 'lengthMm' | 'spoilt'>,
  /** Vehicle by vehicle along the roll: easier to sort, at the price of some film. */
  byVehicle = false,
): NestRequest {
  return {
    rollWidthMm: widthMm,
    ...(lengthMm === null ? {} : { rollLengthMm: lengthMm }),
    ...(spoilt.length === 0 ? {} : { spoilt }),
    gapMm: practice.cutGap,
    borderMm: practice.cutBorder,
    pieces: pieces.flatMap(({ id, name, outline, cutOuts, lacking, forJob }) => {
      const count = counts[id] ?? lacking
      return count === 0
        ? []
        : [
            {
              id,
              name,
              count,
              outline,
              cutOuts,
              turns: turnsOf(film),
              ...(byVehicle ? { together: forJob?.id ?? 'own' } : {}),
            },
          ]
    }),
  }
}
