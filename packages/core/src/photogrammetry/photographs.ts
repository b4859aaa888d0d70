import type { Vec2 } from '../geometry/index.ts'
import type { Inner } from './camera.ts'

export interface Photograph {
  /** Targets by their number. */
  readonly seen: readonly { readonly target: number; readonly atPx: Vec2 }[]
}

/** A bar with a target at each end. */
export interface Bar {
  readonly targets: readonly [number, number]
  readonly lengthMm: number
}

export interface PhotoSet {
  readonly photographs: readonly Photograph[]
  /** What the maker of the camera says. */
  readonly inner: Inner
  /** Targets of the start plate with their places on it, mm. */
  readonly plate: ReadonlyMap<number, Vec2>
  /** The first that is seen gives the scale, the others check it. */
  readonly bars: readonly Bar[]
}
