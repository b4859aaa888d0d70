import { type OrderPractice, orderDefaults, type RehearsalOptions } from '../lay/index.ts'
import type { CarryReadings } from '../pieces/index.ts'
import type { Practice } from '../practice/index.ts'

/** The shop's figures as a rehearsal takes them. */
export const rehearsalOptions = (practice: Practice): Partial<RehearsalOptions> => ({
  settleAheadWetMm: practice.settleAheadWet,
  settleAheadDryMm: practice.settleAheadDry,
  anchorRadiusMm: practice.anchorRadius,
})

/** The shop's figures as the schools take them. */
export const orderPractice = (practice: Practice): OrderPractice => ({
  ...orderDefaults,
  releaseMm: practice.releaseLength,
  smallMm: practice.orderSmallPart,
  worthShare: practice.orderWorth / 100,
})

/** How well a line is carried from piece to piece: it is read, measured up and seen as the shop does. */
export const carryReadings = (practice: Practice): CarryReadings => ({
  gapMm: practice.gapReading,
  upMm: practice.measureUp,
  sightMm: practice.sightLength,
  seenMm: practice.lineSeen,
})

/** From how far apart the form and its readings may still be that another reading is worth taking, mm: three times how well one is read. */
export const bowEnoughMm = (practice: Pick<Practice, 'bowReading'>): number => 3 * practice.bowReading
