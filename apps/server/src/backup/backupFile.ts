import { z } from 'zod'

/** The names in a backup: one zip that holds all that a shop keeps. */
export const databaseName = 'truelay.sqlite'
export const noteName = 'backup.json'
export const photosName = 'photos'
/** A photo as it lies in the folder and in the zip: named by its own bytes. */
export const photoEntry = /^photos\/([0-9a-f]{2})\/(\1[0-9a-f]{62})\.jpg$/

/** What a backup says of itself. */
export const backupNote = z.strictObject({
  what: z.literal('True Lay backup'),
  version: z.literal(1),
  madeAt: z.iso.datetime(),
  /** SHA-256 of the database, hexadecimal. */
  database: z.string().regex(/^[0-9a-f]{64}$/),
  photos: z.number().int().min(0),
})
export type BackupNote = z.infer<typeof backupNote>
