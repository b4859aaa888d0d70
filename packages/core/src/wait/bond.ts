import type { Climate } from './climate.ts'
import { waitFactor } from './waitFactor.ts'
import type { Practice } from '../practice/index.ts'

/** Share of the final bond at the end of the two waits that are known. */
const atGrab = 0.25
const atFull = 0.95

/**
 * Share of the final bond, 0 to 1, after so many minutes of ordinary air: a stretched exponential through a quarter at initial grab
 * and 95 % at full bond. Fast at first, then slow, as adhesives wet out.
 */
export function bondAfter(minutes: number, practice: Pick<Practice, 'waitInitialGrab' | 'waitFullBond'>): number {
  if (minutes <= 0) return 0
  const { waitInitialGrab: grab, waitFullBond: full } = practice
  const logOf = (share: number) => -Math.log(1 - share)
  const power = Math.log(logOf(atFull) / logOf(atGrab)) / Math.log(full / grab)
  return 1 - Math.exp(-logOf(atFull) * (minutes / full) ** power)
}

/** A stretch of time in one climate. */
export interface Stay {
  readonly minutes: number
  readonly climate: Climate
}

/** Minutes of ordinary air that count alike: each stay shortened by its factor, so that cold hours count less. */
export const ordinaryMinutes = (stays: readonly Stay[]) =>
  stays.reduce((sum, stay) => sum + stay.minutes / waitFactor('fullBond', stay.climate), 0)

/** Share of the final bond after stays in one climate after another. */
export const bondOver = (stays: readonly Stay[], practice: Practice) => bondAfter(ordinaryMinutes(stays), practice)
