import type { Vec2 } from '../geometry/index.ts'
import { say, type Sentence } from '../say/index.ts'

/** What a walk-round can find, in the order in which they are offered. */
export const findingKinds = [
  'coating',
  'repaint',
  'chip',
  'scratch',
  'dent',
  'swirls',
  'previous film',
  'sprayed tint',
  'cracked lens',
  'crazed lens',
  'casting marks',
  'out of true',
  'loose trim',
  'rust',
] as const
export type FindingKind = (typeof findingKinds)[number]

/** One finding on the part that is being planned. */
export interface FoundOnPart {
  readonly kind: FindingKind
  /** Across and down the part as seen straight on, 0 to 1. */
  readonly at: Vec2
  readonly sizeMm?: number | null | undefined
}

export interface RoomClimate {
  readonly temperatureC: number
  readonly humidityPercent: number
}

/** What a kind of finding means, said before the liner is peeled. */
export interface FindingMeaning {
  readonly says: Sentence
  /** What follows for the plan, in one line. */
  readonly follows: Sentence
  /** Whether it concerns lenses only, or trim only; left out = any part. */
  readonly only?: 'lens' | 'paint' | undefined
}

export const findingMeanings: Readonly<Record<FindingKind, FindingMeaning>> = {
  coating: {
    says: say`water-repelling coating`,
    follows: say`Film does not stick to it: strip it first, and check that water no longer beads.`,
  },
  repaint: {
    says: say`repainted`,
    follows: say`Mask with low-tack tape, no pull on the edges; paint may lift, and a film warranty may not hold.`,
    only: 'paint',
  },
  chip: {
    says: say`stone chip`,
    follows: say`It stays visible under clear film: touch it up first, or leave it on record.`,
  },
  scratch: { says: say`scratch`, follows: say`It stays visible under clear film: leave it on record.` },
  dent: { says: say`dent`, follows: say`Film follows it or bridges it: leave it on record.` },
  swirls: {
    says: say`swirls in the gloss`,
    follows: say`Clear film shows everything beneath it: offer a correction before it is covered.`,
    only: 'paint',
  },
  'previous film': { says: say`film from before`, follows: say`Take it off warm and flat, and its glue too.` },
  'sprayed tint': {
    says: say`sprayed-on tint`,
    follows: say`It comes off with solvent before film goes on.`,
    only: 'lens',
  },
  'cracked lens': {
    says: say`cracked lens`,
    follows: say`No heat, no alcohol; ask the customer whether it is to be covered at all.`,
    only: 'lens',
  },
  'crazed lens': {
    says: say`crazed lens`,
    follows: say`No heat, no alcohol; crazing stays visible: ask the customer.`,
    only: 'lens',
  },
  'casting marks': {
    says: say`casting marks from the mould`,
    follows: say`They look like bubbles later: shown at the last look, so that nobody chases them.`,
    only: 'lens',
  },
  'out of true': {
    says: say`body out of true`,
    follows: say`The kit was cut for a truer body: wider gaps allowed, and a dry check comes first.`,
    only: 'paint',
  },
  'loose trim': { says: say`loose trim`, follows: say`Fix it or take it off before film goes near it.` },
  rust: {
    says: say`rust`,
    follows: say`Film does not hold on rust and hides it: have it treated first, or leave it bare.`,
  },
}
