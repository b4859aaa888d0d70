import { type Film, filmDoc, filmId, idFromName, type NewFilm } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import type { Database } from '../database/openDatabase.ts'
import { toStored } from '../database/stored.ts'
import { Refused } from '../reply/reply.ts'
import { readAllFilms } from './queries.ts'
import { films } from './table.ts'

/** Puts a film on the shelf. */
export const addFilm = (database: Database, draft: NewFilm): Promise<Film> =>
  database.write(async (db, within) => {
    const known = await readAllFilms(within)
    if (known.some((film) => film.name.toLowerCase() === draft.name.trim().toLowerCase()))
      throw new Refused({
        code: 'FILM_EXISTS',
        sentence: say`"${name(draft.name)}" is on the shelf already.`,
        fix: say`Change its figures there, or give the new one another name.`,
      })
    const taken = new Set((await db.select({ id: films.id }).from(films)).map(({ id }) => id))
    const film = filmDoc.parse({ ...draft, name: draft.name.trim(), id: filmId.parse(idFromName(draft.name, taken)) })
    await db.insert(films).values({ id: film.id, document: toStored('film', film) })
    return film
  })
