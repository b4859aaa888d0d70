import type { JobBundle, JobId, Part } from '@truelay/contract'
import type { Database } from '../database/openDatabase.ts'
import { readAllFilms, readFilms, readForms, readKits, readPieces, readPiecesOfKits } from '../shelf/queries.ts'
import { readPeople } from '../shop/people.ts'
import { readShop } from '../shop/queries.ts'
import { readFindings, readSignOff } from '../walkRound/queries.ts'
import { readJob, readParts, readSets } from '../jobs/queries.ts'

const given = <T>(ids: readonly (T | null)[]): T[] => [...new Set(ids.filter((id) => id !== null))]

/** A job with everything its parts need. */
export async function readBundle(database: Database, id: JobId): Promise<JobBundle> {
  const [job, parts, sets] = await Promise.all([readJob(database, id), readParts(database, id), readSets(database, id)])
  return bundleOf(database, { job, parts, sets })
}

/** The same of a job that may not be kept anywhere. */
export async function bundleOf(
  database: Database,
  { job, parts, sets }: Pick<JobBundle, 'job' | 'parts' | 'sets'>,
): Promise<JobBundle> {
  const used = await readPieces(database, given(parts.map((p) => p.pieceId)))
  const kits = await readKits(database, given(used.map((p) => p.kitId)))
  const filmsUsed = new Set(parts.map((p) => p.filmId))
  const [shop, people, forms, shelf, worn, inKits, findings, signOff] = await Promise.all([
    readShop(database),
    readPeople(database),
    readForms(
      database,
      parts.flatMap((p) => formOf(p)),
    ),
    readAllFilms(database),
    readFilms(database, [...filmsUsed]),
    readPiecesOfKits(
      database,
      kits.map((k) => k.id),
    ),
    readFindings(database, job.id),
    readSignOff(database, job.id),
  ])
  const pieces = [...new Map([...inKits, ...used].map((piece) => [piece.id, piece])).values()]
  // Besides its own, every film that could tint a lens: another may leave more light.
  const offered = shelf.filter((film) => filmsUsed.has(film.id) || film.transmission !== undefined)
  const films = [...offered, ...worn.filter((film) => !offered.some(({ id }) => id === film.id))]
  return { job, shop, people, parts, sets, forms, films, pieces, kits, findings, signOff }
}

const formOf = ({ formId, formVersion }: Part) =>
  formId === null || formVersion === null ? [] : [{ id: formId, version: formVersion }]
