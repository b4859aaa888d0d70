import type { PartMaterial } from '../form/index.ts'

/** Slower than this is as good as holding still, mm/s. */
export const slowestMmS = 50

export const readingSources = ['typed', 'thermometer'] as const

/** One thermometer reading as it is kept with its gun: over film on a scrap of a known material. */
export interface KeptReading {
  readonly id: string
  readonly at: string
  readonly setting: string
  readonly distanceMm: number
  readonly speedMmS: number
  readonly strokeMm: number
  readonly passes: number
  readonly material: PartMaterial
  readonly filmUm: number
  readonly ambientC: number
  readonly surfaceC: number
  readonly source: (typeof readingSources)[number]
}
