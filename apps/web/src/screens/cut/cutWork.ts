import { type CutDraft, type Job, offcutId, type PersonId } from '@truelay/contract'
import type { Nested, NestRequest } from '@truelay/core/nest'
import type { FreeRectangle } from '@truelay/core/stock'
import type { Cut } from '@truelay/formats/cutFile'
import type { FilmToCut } from './toCut.ts'
import type { CutSource } from './cutSources.ts'

/** What both ways of cutting need: on the plotter, and by a file. */
export interface CutWork {
  readonly job: Job
  readonly film: FilmToCut
  readonly ready: boolean
  /** The way of the knife for the layout as it stands, and what is told of it; nothing better is looked for after that. */
  readonly take: () => { readonly cut: Cut; readonly draft: Omit<CutDraft, 'file'> } | null
  readonly onCounted: () => void
}

interface ToTell {
  readonly id: string
  readonly who: PersonId
  readonly film: FilmToCut
  readonly source: CutSource
  readonly request: NestRequest
  readonly nested: Nested
  /** What is put by of it. */
  readonly keeps: FreeRectangle | null
}

/** What is told of a cut, whoever makes it. */
export function draftOf({ id, who, film, source, request, nested, keeps }: ToTell): Omit<CutDraft, 'file'> {
  const chosen = request.pieces.flatMap(({ id: asked, count }) => {
    const known = film.pieces.find((piece) => piece.id === asked)
    return known === undefined ? [] : [{ of: known.of, forJob: known.forJob, count }]
  })
  return {
    id,
    filmId: film.film.id,
    lot: source.lot.trim(),
    personId: who,
    rollWidthMm: request.rollWidthMm,
    usedLengthMm: nested.usedLengthMm,
    pieces: chosen.flatMap(({ of, forJob, count }) =>
      'pieceId' in of ? [{ pieceId: of.pieceId, count, ...(forJob === undefined ? {} : { jobId: forJob.id }) }] : [],
    ),
    sheets: chosen.flatMap(({ of }) => ('sheetOf' in of ? [of.sheetOf] : [])),
    piecesMm2: nested.utilisation * nested.usedLengthMm * request.rollWidthMm,
    ...(source.roll === null
      ? {}
      : {
          from: {
            ...source.roll,
            keeps:
              keeps === null
                ? null
                : {
                    offcutId: offcutId.parse(crypto.randomUUID()),
                    widthMm: keeps.widthMm,
                    lengthMm: keeps.lengthMm,
                  },
          },
        }),
  }
}
