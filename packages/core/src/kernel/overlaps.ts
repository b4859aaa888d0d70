import { bytes, doubles, ints, kernel, type Row } from './instance.ts'

/** A shape as its overlaps with others are reckoned: its box, and circles that stand in for it. */
export interface StandIn {
  readonly minX: number
  readonly minY: number
  readonly maxX: number
  readonly maxY: number
  /** x, y, radius of each circle. */
  readonly poles: Float64Array
  /** Longest way across it. */
  readonly acrossMm: number
  /** How much it counts beside another. */
  readonly rootMm: number
}

/** Copies of shapes that lie in a plane, and what their overlaps count; lives in the kernel's scope in which it was made. */
export interface Overlaps {
  /** Where each copy lies. */
  readonly x: Float64Array
  readonly y: Float64Array
  /** How much each pair of copies counts, row by row. */
  readonly weight: Float64Array
  /** As which shape a copy lies. */
  lie(copy: number, shape: number): void
  /** What two shapes count at a distance: 0 where their boxes lie apart, negative where that is for their sides to say. */
  pairLoss(a: number, b: number, dx: number, dy: number): number
  /** What the overlaps of a copy would count if it lay as a shape at a place, as far as circles tell; ends where that is `enough`. */
  lossAt(copy: number, shape: number, x: number, y: number, enough: number): number
  /** Of the last `lossAt`: how many copies were left for sides to say, which, and what each would count; how many groups of circles were looked at. */
  readonly told: Int32Array
  readonly unsure: Int32Array
  readonly unsureLoss: Float64Array
}

const recordBytes = 64
const groupBytes = 48
/** Where a circle lies that is none. */
const far = 1e9

/** @param size how many copies there are; each lies as shape 0 at first */
export function overlaps(shapes: readonly StandIn[], size: number): Overlaps {
  const k = kernel()
  const records = shapes.map(recordOf)
  const [x, y, weight] = [doubles(size), doubles(size), doubles(size * size)]
  const [shapeOf, told, unsure, unsureLoss] = [ints(size), ints(2), ints(size), doubles(size)]
  for (const row of [x, y]) row.values.fill(0)
  weight.values.fill(1)
  shapeOf.values.fill(records[0]?.at ?? 0)
  const lying = shapeOf.values
  return {
    x: x.values,
    y: y.values,
    weight: weight.values,
    told: told.values,
    unsure: unsure.values,
    unsureLoss: unsureLoss.values,
    lie: (copy, shape) => {
      lying[copy] = records[shape]!.at
    },
    pairLoss: (a, b, dx, dy) => k.pairLoss(records[a]!.at, records[b]!.at, dx, dy),
    lossAt: (copy, shape, atX, atY, enough) =>
      k.lossAt(
        size,
        copy,
        records[shape]!.at,
        atX,
        atY,
        enough,
        shapeOf.at,
        x.at,
        y.at,
        weight.at,
        unsure.at,
        unsureLoss.at,
        told.at,
      ),
  }
}

/** See packages/core/kernel/overlaps.ts for how it is laid out. */
function recordOf({ minX, minY, maxX, maxY, poles, acrossMm, rootMm }: StandIn): Row<Uint8Array> {
  const circles = poles.length / 3
  const groups = Math.ceil(circles / 4)
  const row = bytes(recordBytes + groups * groupBytes)
  const { buffer, byteOffset } = row.values
  new Float64Array(buffer, byteOffset, 6).set([minX, minY, maxX, maxY, acrossMm, rootMm])
  new Int32Array(buffer, byteOffset + 48, 2).set([circles, groups])
  const numbers = new Float32Array(buffer, byteOffset + recordBytes, groups * 12)
  for (let i = 0; i < 4 * groups; i++) {
    const at = 12 * (i >> 2) + (i & 3)
    const [cx, cy, r] = i < circles ? [poles[3 * i]!, poles[3 * i + 1]!, poles[3 * i + 2]!] : [far, far, 0]
    numbers[at] = cx
    numbers[at + 4] = cy
    numbers[at + 8] = r
  }
  return row
}
