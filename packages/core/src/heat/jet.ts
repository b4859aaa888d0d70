import type { Jet } from './heatTypes.ts'

/** A gun as one works with it: how hot the air leaves it, how far away it is held, how wide it warms. */
export interface GunHeld {
  readonly outletC: number
  readonly distanceMm: number
  /** Across the warmed spot at that distance. */
  readonly spotMm: number
}

/** How a jet of hot air thins out and hands over its heat; figures of practice. */
export interface JetFigures {
  /** Distance at which half of the air's excess over the room is left, mm. */
  readonly reachMm: number
  /** In the middle of the spot at `atMm`, W/(m²·K). */
  readonly hWm2K: number
  readonly atMm: number
}

export const usualJet: JetFigures = { reachMm: 150, hWm2K: 130, atMm: 90 }

/** What readings say about one gun, as factors on the usual figures. */
export interface GunFactors {
  /** On how much hotter than the room its air arrives. */
  readonly gas: number
  /** On how well it hands its heat over. */
  readonly h: number
}

export const unmeasured: GunFactors = { gas: 1, h: 1 }

/**
 * The jet where it meets the surface. The air's excess over the room falls as 1 / (1 + distance / reach), as a free jet mixes with
 * room air; the coefficient falls with the root of the distance (round impinging jets, Martin 1977, in the range of small guns).
 */
export function jetOf(gun: GunHeld, ambientC: number, factors = unmeasured, figures = usualJet): Jet {
  const left = 1 / (1 + gun.distanceMm / figures.reachMm)
  return {
    gasC: ambientC + factors.gas * left * (gun.outletC - ambientC),
    hWm2K: factors.h * figures.hWm2K * Math.sqrt(figures.atMm / gun.distanceMm),
    spotMm: gun.spotMm,
  }
}
