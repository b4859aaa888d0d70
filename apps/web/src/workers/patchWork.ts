import type { GunTask } from '@truelay/core/exercises'

/** Where the gun points, and how far away it is held. */
export interface GunPlace {
  readonly xMm: number
  readonly yMm: number
  readonly distanceMm: number
}

/** A patch as it is now. */
export interface PatchFrame {
  readonly surfaceC: Float32Array<ArrayBuffer>
  readonly across: number
  readonly down: number
  /** Where the gun points; null while it is put down. */
  readonly spotC: number | null
  /** The hottest that any spot has been. */
  readonly hottestC: number
  /** Of the place that is to be heated, the share that has been warm enough. */
  readonly reached: number
}

export type ToPatch =
  | { readonly kind: 'open'; readonly task: GunTask }
  /** Null = put down. */
  | { readonly kind: 'gun'; readonly gun: GunPlace | null }
  | { readonly kind: 'end' }

export type FromPatch =
  | { readonly kind: 'frame'; readonly frame: PatchFrame }
  | { readonly kind: 'ended'; readonly hottestC: Float64Array; readonly across: number }
