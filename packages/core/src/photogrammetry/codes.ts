/** Bits in the ring of a target. */
export const ringBits = 16
/** Targets that can be told apart. */
export const targetCodes = 120

/** Fewest and most bits that are white: a ring with hardly any of the other colour is found badly. */
const whiteBits = [4, 12] as const
/** Any two rings differ in so many bits at least, however they are turned: two bits read wrongly never make another target. */
const apart = 3

const all = (1 << ringBits) - 1

/** The ring turned by so many bits. */
export const turned = (ring: number, bits: number): number => ((ring << bits) | (ring >>> (ringBits - bits))) & all

/** How many bits of a ring are set. */
export function whiteOf(ring: number): number {
  let count = 0
  for (let left = ring; left !== 0; left &= left - 1) count++
  return count
}

/** Least number of bits in which two rings differ, over all turns. */
export function ringDistance(a: number, b: number): number {
  let least = ringBits
  for (let k = 0; k < ringBits; k++) least = Math.min(least, whiteOf(turned(a, k) ^ b))
  return least
}

/** The ring as it is written: of all its turns the least number. */
export function upright(ring: number): number {
  let least = ring
  for (let k = 1; k < ringBits; k++) least = Math.min(least, turned(ring, k))
  return least
}

/** The ring of each target, by its number. Chosen one after the other, each far enough from all before. */
export const rings: readonly number[] = chosen()

function chosen(): number[] {
  const found: number[] = []
  for (let ring = 0; ring <= all && found.length < targetCodes; ring++) {
    if (whiteOf(ring) < whiteBits[0] || whiteOf(ring) > whiteBits[1] || upright(ring) !== ring) continue
    if (found.every((other) => ringDistance(ring, other) >= apart)) found.push(ring)
  }
  return found
}

const numberOf = new Map(rings.map((ring, i) => [ring, i]))

/** The target whose ring that is, however it is turned; null where it is none, even if it is only one bit off. With two bits wrong it is never another target. */
export const targetOf = (ring: number): number | null => numberOf.get(upright(ring & all)) ?? null
