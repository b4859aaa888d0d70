import {
  type Film,
  type FilmId,
  type Form,
  isOffRoll,
  type Job,
  type Kit,
  type Part,
  type Piece,
} from '@truelay/contract'
import { signedArea } from '@truelay/core/geometry'
import { drawnSheet, mayTurnOnRoll } from '@truelay/core/plan'
import { type Practice, practiceWith } from '@truelay/core/practice'
import { type FilmWish, leastRunMm } from '@truelay/core/stock'
import { readSheetLots } from '../cuts/queries.ts'
import type { Database } from '../database/openDatabase.ts'
import { readProgress } from '../fit/queries.ts'
import { readOpenJobs, readPartsOf } from '../jobs/queries.ts'
import { readArrivedOf } from '../kitCheck/queries.ts'
import { readFilms, readForms, readKits, readPieces } from '../shelf/queries.ts'
import { readShop } from '../shop/queries.ts'

/** What an open job needs of a film, with the number that people call it by. */
export interface JobsFilmWish extends FilmWish {
  readonly filmId: FilmId
  readonly number: string
}

interface Shelf {
  readonly pieces: readonly Piece[]
  readonly kits: readonly Kit[]
  readonly films: readonly Film[]
  readonly forms: readonly Form[]
  readonly practice: Practice
}

/**
 * The film that open jobs still need: sheets that nobody has cut, and pieces that are not counted yet and do not come cut in a box. Parts
 * that nobody has measured ask for none, as nobody knows how much.
 */
export async function readFilmWishes(database: Database): Promise<JobsFilmWish[]> {
  const jobs = await readOpenJobs(database)
  const ids = jobs.map(({ id }) => id)
  const partsOf = await readPartsOf(database, ids)
  const parts = jobs.flatMap(({ id }) => partsOf(id))
  const [shelf, progressOf, arrivedOf, sheetLots] = await Promise.all([
    shelfOf(database, parts),
    readProgress(
      database,
      parts.map(({ id }) => id),
    ),
    readArrivedOf(database, ids),
    readSheetLots(database, ids),
  ])
  return jobs.flatMap((job) => {
    const waiting = partsOf(job.id).filter(({ id }) => progressOf(id).state === 'waiting')
    const offRoll = waiting.filter((part) => isOffRoll(part) && !sheetLots.has(part.id))
    const preCut = waiting.filter((part) => !isOffRoll(part))
    const lacking = new Map(
      shelf.pieces
        .filter(({ id }) => preCut.some(({ pieceId }) => pieceId === id))
        .map((piece) => [piece, piece.count - (arrivedOf(job.id, piece.id)?.arrived ?? 0)]),
    )
    return [...sheetWishes(job, offRoll, shelf), ...pieceWishes(job, lacking, shelf)]
  })
}

/** A sheet takes its length of the roll for itself. */
const sheetWishes = (job: Job, parts: readonly Part[], { films, forms, practice }: Shelf): JobsFilmWish[] =>
  parts.flatMap(({ formId, formVersion, filmId }) => {
    const form = forms.find(({ id, version }) => id === formId && version === formVersion)
    const film = films.find(({ id }) => id === filmId)
    const sheet =
      form === undefined || film === undefined
        ? null
        : drawnSheet({ form, film, pattern: null }, 'from the roll', practice)
    return sheet === null ? [] : [{ ...wishOf(job, filmId), piecesMm2: 0, leastMm: sheet.ofRollMm }]
  })

/** The pieces of a job that are of one film lie together. */
function pieceWishes(job: Job, lacking: ReadonlyMap<Piece, number>, { films, kits, practice }: Shelf): JobsFilmWish[] {
  const wishes = new Map<FilmId, JobsFilmWish>()
  for (const [{ kitId, filmId, pattern }, count] of lacking) {
    const film = films.find(({ id }) => id === filmId)
    if (count <= 0 || film === undefined || kits.find(({ id }) => id === kitId)?.comesCut === true) continue
    const before = wishes.get(filmId)
    const ownMm2 = areaOf(pattern.outline) - pattern.cutOuts.reduce((sum, hole) => sum + areaOf(hole), 0)
    const runMm = leastRunMm(pattern.outline, mayTurnOnRoll(film), practice.rollWidth) ?? 0
    wishes.set(filmId, {
      ...wishOf(job, filmId),
      piecesMm2: (before?.piecesMm2 ?? 0) + count * ownMm2,
      leastMm: Math.max(before?.leastMm ?? 0, runMm + 2 * practice.cutBorder),
    })
  }
  return [...wishes.values()]
}

const wishOf = ({ id, number, arrivedAt }: Job, filmId: FilmId) => ({ jobId: id, number, at: arrivedAt, filmId })
const areaOf = (polygon: Piece['pattern']['outline']) => Math.abs(signedArea(polygon))

async function shelfOf(database: Database, parts: readonly Part[]): Promise<Shelf> {
  const [shop, pieces, films, forms] = await Promise.all([
    readShop(database),
    readPieces(
      database,
      parts.flatMap(({ pieceId }) => (pieceId === null ? [] : [pieceId])),
    ),
    readFilms(
      database,
      parts.map(({ filmId }) => filmId),
    ),
    readForms(
      database,
      parts.flatMap(({ formId, formVersion }) =>
        formId === null || formVersion === null ? [] : [{ id: formId, version: formVersion }],
      ),
    ),
  ])
  const kits = await readKits(
    database,
    pieces.map(({ kitId }) => kitId),
  )
  return { pieces, kits, films, forms, practice: practiceWith(shop.practice) }
}
