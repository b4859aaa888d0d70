import { sentence } from '@truelay/core/say'
import { z } from 'zod'
import { moment, personId } from './ids.ts'
import { person } from './person.ts'

/** What a person types to be known: digits, as they are quick with a wet thumb. */
export const pin = z.string().regex(/^\d{4,12}$/)

/** Who is at a screen, as the server knows it. */
export const session = z.strictObject({
  /** Off where the server listens on its own machine only. */
  needed: z.boolean(),
  /** The screen is on the server's own machine. */
  desk: z.boolean(),
  /** The screen belongs to the shop; a person can sign in on it. */
  paired: z.boolean(),
  person: person.nullable(),
})
export type Session = z.infer<typeof session>

/** How somebody stands with their PIN: whoever may choose one does so when they next sign in. */
export const pinStates = ['set', 'to choose', 'none', 'locked'] as const

/** Somebody who can sign in. */
export const signInName = z.strictObject({ id: personId, name: z.string(), pin: z.enum(pinStates) })
export type SignInName = z.infer<typeof signInName>

export const signInDraft = z.strictObject({ personId, pin })
export type SignInDraft = z.infer<typeof signInDraft>

/** A new PIN; whoever has one says the present one with it. */
export const pinChoice = z.strictObject({ personId, pin, before: pin.nullable() })
export type PinChoice = z.infer<typeof pinChoice>

/** What a tablet needs to be taken into the shop; good once and for a short while. */
export const pairingOffer = z.strictObject({
  code: z.string(),
  until: moment,
  /** Where the app answers on the shop's network. */
  addresses: z.array(z.url()),
  /** Where a tablet gets the certificate of this server, without one yet. */
  certificateAt: z.array(z.url()),
  /** Of that certificate (SHA-256), to be compared. */
  fingerprint: z.string(),
})
export type PairingOffer = z.infer<typeof pairingOffer>

export const pairDraft = z.strictObject({
  code: z.string().trim().min(1).max(20),
  /** What the tablet is called in the shop. */
  name: z.string().trim().min(1).max(40),
})
export type PairDraft = z.infer<typeof pairDraft>

export const tablet = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  pairedAt: moment,
  /** When somebody last signed in on it. */
  seenAt: moment.nullable(),
})
export type Tablet = z.infer<typeof tablet>

/** A change to what the shop keeps: who, from where, when, and what. */
export const change = z.strictObject({
  id: z.number().int(),
  at: moment,
  /** Null where nobody had to sign in. */
  by: z.string().nullable(),
  /** The tablet; null = the server's own machine. */
  from: z.string().nullable(),
  what: sentence,
})
export type Change = z.infer<typeof change>

export const changesOnPage = 50
export const changeList = z.strictObject({ changes: z.array(change), older: z.boolean() })
export type ChangeList = z.infer<typeof changeList>
