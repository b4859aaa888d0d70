/** One layer of what lies under the gun. */
export interface Layer {
  readonly name: string
  readonly thicknessMm: number
  readonly conductivityWmK: number
  readonly densityKgm3: number
  readonly specificHeatJkgK: number
}

/** Air that washes over the surface: how hot it is and how well it hands its heat over. */
export interface Wash {
  readonly gasC: number
  readonly hWm2K: number
}

/** Hot air as it meets the surface below the gun. */
export interface Jet {
  /** In the middle of the spot. */
  readonly gasC: number
  readonly hWm2K: number
  /** Across the warmed spot. */
  readonly spotMm: number
}
