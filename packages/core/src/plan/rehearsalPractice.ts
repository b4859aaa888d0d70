import { type OrderPractice, orderDefaults, type RehearsalOptions } from '../lay/index.ts'
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
})
