import type { Film, Form, Kit, Piece } from '@truelay/contract'
import { and, desc, eq, inArray, isNull, sql } from 'drizzle-orm'
import { byName } from '../database/byName.ts'
import type { Database } from '../database/openDatabase.ts'
import { readEachStored, toStored } from '../database/stored.ts'
import { films, forms, kits, pieces } from './table.ts'

/** Forms in the versions asked for. */
export async function readForms(
  database: Database,
  wanted: readonly { readonly id: string; readonly version: number }[],
): Promise<Form[]> {
  const rows = await database.read
    .select()
    .from(forms)
    .where(
      inArray(
        forms.id,
        wanted.map((w) => w.id),
      ),
    )
  return readEachStored(
    database,
    'form',
    rows.filter((row) => wanted.some((w) => w.id === row.id && w.version === row.version)),
  )
}

export async function newestVersionOf({ read }: Database, id: string): Promise<number | null> {
  const [row] = await read
    .select({ version: forms.version })
    .from(forms)
    .where(eq(forms.id, id))
    .orderBy(desc(forms.version))
    .limit(1)
  return row?.version ?? null
}

export const readFilms = async (database: Database, ids: readonly string[]): Promise<Film[]> =>
  readEachStored(
    database,
    'film',
    await database.read
      .select()
      .from(films)
      .where(inArray(films.id, [...ids])),
  )

/** What the films are called: of each, and all of it as one text. */
export interface FilmNames {
  readonly of: (id: string) => string
  readonly text: string
}

export async function readFilmNames({ read }: Pick<Database, 'read'>): Promise<FilmNames> {
  const rows = await read
    .select({
      id: films.id,
      name: sql<
        string | null
      >`case when json_valid(document) then coalesce(json_extract(document, '$.doc.name'), json_extract(document, '$.name')) end`,
    })
    .from(films)
  const names = new Map(rows.map(({ id, name }) => [id, name ?? '']))
  return { of: (id) => names.get(id) ?? '', text: JSON.stringify([...names]) }
}

/** The films on the shelf. */
export const readAllFilms = async (database: Database): Promise<Film[]> =>
  readEachStored(database, 'film', await database.read.select().from(films).where(isNull(films.removedAt)))

/** Pieces by their ids, on the shelf or not any more. */
export const readPieces = async (database: Database, ids: readonly string[]): Promise<Piece[]> =>
  readEachStored(
    database,
    'piece',
    await database.read
      .select()
      .from(pieces)
      .where(inArray(pieces.id, [...ids])),
  )

/** The pieces on the shelf that belong to some kits. */
export const readPiecesOfKits = async (database: Database, ids: readonly string[]): Promise<Piece[]> =>
  readEachStored(
    database,
    'piece',
    await database.read
      .select()
      .from(pieces)
      .where(and(inArray(pieces.kitId, [...ids]), isNull(pieces.removedAt))),
  )

export const readKits = async (database: Database, ids: readonly string[]): Promise<Kit[]> =>
  readEachStored(
    database,
    'kit',
    await database.read
      .select()
      .from(kits)
      .where(inArray(kits.id, [...ids])),
  )

/** The kits on the shelf, by name. */
export const readAllKits = async (database: Database): Promise<Kit[]> =>
  readEachStored(database, 'kit', await database.read.select().from(kits).where(isNull(kits.removedAt))).sort(byName)

export const saveKit = (database: Database, document: Kit): Promise<Kit> =>
  database.write(async (db) => {
    const stored = { document: toStored('kit', document), removedAt: null }
    await db
      .insert(kits)
      .values({ id: document.id, ...stored })
      .onConflictDoUpdate({ target: kits.id, set: stored })
    return document
  })

export const saveFilm = (database: Database, document: Film): Promise<Film> =>
  database.write(async (db) => {
    await db
      .update(films)
      .set({ document: toStored('film', document) })
      .where(eq(films.id, document.id))
    return document
  })

export const savePieceDoc = (database: Database, document: Piece): Promise<Piece> =>
  database.write(async (db) => {
    const stored = { kitId: document.kitId, document: toStored('piece', document), removedAt: null }
    await db
      .insert(pieces)
      .values({ id: document.id, ...stored })
      .onConflictDoUpdate({ target: pieces.id, set: stored })
    return document
  })

/** The newest version of a form that is not removed; null where there is none. */
export async function standingVersionOf({ read }: Database, id: string): Promise<number | null> {
  const [row] = await read
    .select({ version: forms.version })
    .from(forms)
    .where(and(eq(forms.id, id), isNull(forms.removedAt)))
    .orderBy(desc(forms.version))
    .limit(1)
  return row?.version ?? null
}

/** A piece that is on the shelf; null where it is not. */
export async function standingPiece({ read }: Database, id: string): Promise<string | null> {
  const [row] = await read
    .select({ id: pieces.id })
    .from(pieces)
    .where(and(eq(pieces.id, id), isNull(pieces.removedAt)))
  return row?.id ?? null
}
