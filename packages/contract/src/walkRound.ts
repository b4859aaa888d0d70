import { findingKinds } from '@truelay/core/plan'
import { z } from 'zod'
import { jobId, moment, partId, personId, photoId } from './ids.ts'

const share = z.number().min(0).max(1)

/** A photo as it is kept: the whole and a small one, both turned the right way and without where they were taken. */
export const photo = z.strictObject({
  id: photoId,
  smallId: photoId,
  widthPx: z.number().int().min(1).max(4000),
  heightPx: z.number().int().min(1).max(4000),
})
export type Photo = z.infer<typeof photo>

export const findingKind = z.enum(findingKinds)

/** Something that was found on the vehicle before or during the work. */
export const finding = z.strictObject({
  /** Made by the tablet: sent twice, stored once. */
  id: z.uuid(),
  jobId,
  /** The part of the job that lies there; null elsewhere on the vehicle. */
  partId: partId.nullable(),
  slot: z.string().min(1).max(40),
  kind: findingKind,
  /** Across and down the part as seen straight on, 0 to 1. */
  at: z.tuple([share, share]),
  sizeMm: z.number().min(0).max(5000).nullable(),
  note: z.string().max(300),
  photos: z.array(photo).max(60),
  personId,
  foundAt: moment,
  /** Found after the customer had signed. */
  later: z.boolean(),
})
export type Finding = z.infer<typeof finding>
/** More findings than this are not taken of one vehicle. */
export const mostFindings = 500
export const findings = z.array(finding).max(mostFindings)

/** A finding as the tablet sends it; the server knows the job and whether it was signed. */
export const findingDraft = finding.omit({ jobId: true, later: true })
export type FindingDraft = z.infer<typeof findingDraft>

/** The customer has read the findings and signed on the screen. */
export const signOff = z.strictObject({
  name: z.string().trim().min(1).max(80),
  /** Strokes of the pen, each `[x, y, …]` in shares of the field; none = signed by the typed name. */
  strokes: z.array(z.array(z.number().min(-0.5).max(1.5)).min(2).max(4000)).max(200),
  signedAt: moment,
  /** Which findings the customer saw. */
  findingIds: z.array(z.uuid()).max(mostFindings),
})
export type SignOff = z.infer<typeof signOff>
export const signOffDraft = signOff.pick({ name: true, strokes: true })
export type SignOffDraft = z.infer<typeof signOffDraft>

/** What was found on the same vehicle before. */
export const earlierVisit = z.strictObject({
  jobId,
  number: z.string(),
  arrivedAt: moment,
  findings,
  parts: z.array(z.strictObject({ partId, name: z.string(), finished: z.boolean() })),
})
export const walkRound = z.strictObject({ findings, signOff: signOff.nullable(), earlier: z.array(earlierVisit) })
export type WalkRound = z.infer<typeof walkRound>
