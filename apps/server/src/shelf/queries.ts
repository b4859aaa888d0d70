import { type Film, filmDoc, formDoc, type Piece, pieceDoc } from '@truelay/contract'
import { inArray } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { films, forms, pieces } from './table.ts'

export const readForms = async ({ read }: Database, ids: readonly string[]) =>
  (
    await read
      .select()
      .from(forms)
      .where(inArray(forms.id, [...ids]))
  ).map((row) => formDoc.parse(row.document))

export const readFilms = async ({ read }: Database, ids: readonly string[]): Promise<Film[]> =>
  (
    await read
      .select()
      .from(films)
      .where(inArray(films.id, [...ids]))
  ).map((row) => filmDoc.parse(row.document))

export const readPieces = async ({ read }: Database, ids: readonly string[]): Promise<Piece[]> =>
  (
    await read
      .select()
      .from(pieces)
      .where(inArray(pieces.id, [...ids]))
  ).map((row) => pieceDoc.parse(row.document))
