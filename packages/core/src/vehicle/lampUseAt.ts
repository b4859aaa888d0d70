/** Places of lamps by which the driver sees, by the beginning of their names. */
const lightTheRoad = ['headlamp', 'fog-lamp']
const areSeen = ['tail-lamp', 'indicator', 'side-lamp', 'brake-lamp']

/** What the lamp at a place of the vehicle is for; null where no lamp is known there. */
export function lampUseAt(slot: string): 'lights the road' | 'is seen' | null {
  if (lightTheRoad.some((name) => slot.startsWith(name))) return 'lights the road'
  return areSeen.some((name) => slot.startsWith(name)) ? 'is seen' : null
}
