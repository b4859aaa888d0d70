import type { BodyKind } from './bodySizes.ts'

/** A place on a vehicle's side: from the front and above the ground, as shares of its length and height. */
export interface SideSlot {
  readonly id: string
  readonly name: string
  readonly from: number
  readonly to: number
  readonly low: number
  readonly high: number
}

const slot = (id: string, name: string, from: number, to: number, low: number, high: number): SideSlot => ({
  id,
  name,
  from,
  to,
  low,
  high,
})

/** The places on a side that kits cover, by kind of vehicle. */
export function sideSlots(kind: BodyKind): readonly SideSlot[] {
  if (kind === 'van')
    return [
      slot('wing', 'Front wing', 0.03, 0.19, 0.36, 0.5),
      slot('door-front', 'Front door', 0.21, 0.375, 0.22, 0.54),
      slot('mirror', 'Mirror cap', 0.185, 0.225, 0.57, 0.66),
      slot('door-rear', 'Sliding door', 0.385, 0.6, 0.22, 0.56),
      slot('side-panel', 'Side panel', 0.615, 0.9, 0.4, 0.6),
      slot('lower-1', 'Lower body 1, front wing', 0.045, 0.105, 0.135, 0.22),
      slot('lower-2', 'Lower body 2, front door', 0.235, 0.375, 0.125, 0.205),
      slot('lower-3', 'Lower body 3, sliding door', 0.385, 0.6, 0.125, 0.205),
      slot('lower-4', 'Lower body 4, quarter', 0.61, 0.685, 0.125, 0.205),
      slot('lower-5', 'Lower body 5, rear corner', 0.84, 0.975, 0.135, 0.22),
      slot('tail-lamp', 'Tail lamp', 0.962, 0.99, 0.3, 0.5),
    ]
  const long = kind !== 'city hatch'
  return [
    slot('wing', 'Front wing', 0.06, 0.27, 0.44, 0.57),
    slot('door-front', 'Front door', 0.285, long ? 0.535 : 0.56, 0.24, 0.615),
    slot('mirror', 'Mirror cap', 0.31, 0.36, 0.655, 0.73),
    slot('pillar-front', 'Front door pillar', long ? 0.525 : 0.545, long ? 0.545 : 0.57, 0.66, 0.93),
    slot('door-rear', 'Rear door', long ? 0.545 : 0.575, long ? 0.7 : 0.71, 0.26, 0.615),
    slot('pillar-rear', 'Rear door pillar', long ? 0.695 : 0.72, long ? 0.72 : 0.745, 0.66, 0.93),
    slot('trim', 'Window trim strip', 0.33, long ? 0.88 : 0.86, 0.62, 0.645),
    slot('quarter', 'Quarter', long ? 0.86 : 0.87, 0.955, 0.36, 0.62),
    slot('rocker', 'Rocker', 0.28, 0.7, 0.17, 0.225),
    slot('tail-lamp', 'Tail lamp, outer part', 0.955, 0.992, 0.5, 0.64),
  ]
}
