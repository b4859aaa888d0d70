import type { GunTask } from '@truelay/core/exercises'

/** Where the gun points, and how far away it is held. */
export interface GunPlace {
  readonly xMm: number
  readonly yMm: number
  readonly distanceMm: number
}

export type ToPatch =
  | { readonly kind: 'open'; readonly task: GunTask }
  /** Null = put down. */
  | { readonly kind: 'gun'; readonly gun: GunPlace | null }
  | { readonly kind: 'end' }

export type FromPatch =
  | { readonly kind: 'opened'; readonly across: number; readonly down: number }
  | { readonly kind: 'frame'; readonly surfaceC: Float32Array<ArrayBuffer>; readonly ms: number }
  | { readonly kind: 'ended'; readonly hottestC: Float64Array; readonly across: number }
