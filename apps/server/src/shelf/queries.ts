import { type Film, filmDoc, type Form, formDoc, type Kit, kitDoc, type Piece, pieceDoc } from '@truelay/contract'
import { desc, eq, inArray } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { usualHandling } from '@truelay/core/lay'
import { films, forms, kits, pieces } from './table.ts'

/** Forms in the versions asked for. */
export async function readForms(
  { read }: Database,
  wanted: readonly { readonly id: string; readonly version: number }[],
): Promise<Form[]> {
  const rows = await read
    .select()
    .from(forms)
    .where(
      inArray(
        forms.id,
        wanted.map((w) => w.id),
      ),
    )
  return rows
    .filter((row) => wanted.some((w) => w.id === row.id && w.version === row.version))
    .map((row) => formDoc.parse(row.document))
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

export const readFilms = async ({ read }: Database, ids: readonly string[]): Promise<Film[]> =>
  (
    await read
      .select()
      .from(films)
      .where(inArray(films.id, [...ids]))
  ).map((row) => toFilm(row.document))

export const readAllFilms = async ({ read }: Database): Promise<Film[]> =>
  (await read.select().from(films)).map((row) => toFilm(row.document))

export const readPieces = async ({ read }: Database, ids: readonly string[]): Promise<Piece[]> =>
  (
    await read
      .select()
      .from(pieces)
      .where(inArray(pieces.id, [...ids]))
  ).map((row) => pieceDoc.parse(row.document))

export const readPiecesOfKits = async ({ read }: Database, ids: readonly string[]): Promise<Piece[]> =>
  (
    await read
      .select()
      .from(pieces)
      .where(inArray(pieces.kitId, [...ids]))
  ).map((row) => pieceDoc.parse(row.document))

export const readKits = async ({ read }: Database, ids: readonly string[]): Promise<Kit[]> =>
  (
    await read
      .select()
      .from(kits)
      .where(inArray(kits.id, [...ids]))
  ).map((row) => kitDoc.parse(row.document))

export const readAllKits = async ({ read }: Database): Promise<Kit[]> =>
  (await read.select().from(kits)).map((row) => kitDoc.parse(row.document))

/** A film as it was kept; figures that it was not asked for then take their usual value. */
const toFilm = (document: Film): Film =>
  filmDoc.parse({ ...document, handling: { ...usualHandling, ...document.handling } })
