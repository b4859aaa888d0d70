import { name, say } from '@truelay/core/say'
import { z } from 'zod'
import { asIssue } from './failure.ts'

const id = <B extends string>(brand: B) =>
  z
    .string()
    .min(1)
    .max(64)
    .regex(/^[a-z0-9][a-z0-9-]*$/i)
    .brand<B, 'inout'>()
    .describe(brand)

export const jobId = id('JobId')
export const partId = id('PartId')
export const formId = id('FormId')
export const filmId = id('FilmId')
export const pieceId = id('PieceId')
export const personId = id('PersonId')
export const modelId = id('ModelId')
export const kitId = id('KitId')
/** A photo is named by what it shows: the SHA-256 of its file, so the same photo is kept once. */
export const photoId = z
  .string()
  .regex(/^[0-9a-f]{64}$/)
  .brand<'PhotoId', 'inout'>()
export const gunId = id('GunId')
export const batchId = id('BatchId')
export const rollId = id('RollId')
export const offcutId = id('OffcutId')
export type RollId = z.infer<typeof rollId>
export type OffcutId = z.infer<typeof offcutId>
export type GunId = z.infer<typeof gunId>
export type BatchId = z.infer<typeof batchId>
export type JobId = z.infer<typeof jobId>
export type PartId = z.infer<typeof partId>
export type FormId = z.infer<typeof formId>
export type FilmId = z.infer<typeof filmId>
export type PieceId = z.infer<typeof pieceId>
export type PersonId = z.infer<typeof personId>
export type ModelId = z.infer<typeof modelId>
export type KitId = z.infer<typeof kitId>
export type PhotoId = z.infer<typeof photoId>

const [firstYear, lastYear] = [1990, 2199]

/** A moment in ISO 8601 with its zone, in a year of which a calendar can still tell the days around it. */
export const moment = z.iso.datetime({ offset: true }).refine(
  (at) => {
    const year = new Date(at).getUTCFullYear()
    return year >= firstYear && year <= lastYear
  },
  asIssue(say`is in no year from ${name(`${firstYear}`)} to ${name(`${lastYear}`)}`),
)

/** A moment that is reckoned from another, and may lie past the last of those that are told. */
export const reckonedMoment = z.iso.datetime({ offset: true })
