import { doubles, inKernel, kernel, type Row } from './instance.ts'

/** What is the same for every stack in a step of one length; see `heat/slab.ts`, which makes it. Rows: one number a slice. */
export interface StackStep {
  readonly weight: number
  readonly shareOfEnds: number
  readonly fromMiddle: number
  readonly surfacePivot: number
  readonly capacity: Float64Array
  readonly conductance: Float64Array
  readonly up: Float64Array
  readonly inverse: Float64Array
  readonly down: Float64Array
}

/** Air over every stack at the start of a step, in between and at its end, one after the other. */
export interface AirOverStacks {
  readonly hWm2K: ArrayLike<number>
  readonly gasC: ArrayLike<number>
}

/** How heat goes from strip to strip of a row, at some depths, in a step of one length; see `heat/lane.ts`. */
export interface AcrossStep {
  readonly strips: number
  readonly depths: number
  /** For every depth its number, then stored, inward, inverse and outward of each strip. */
  readonly sideways: Float64Array
}

/** Where something was laid out in the kernel for stacks to be stepped with. */
export interface LaidStep {
  readonly step: number
}
export interface LaidAir {
  readonly air: number
}
export interface LaidAcross {
  readonly strips: number
  readonly depths: number
  readonly sideways: number
}

/** Stacks of slices in the kernel; live in the scope in which they were made. */
export interface Stacks {
  /** Row after row, in each depth by depth, in each depth stack by stack. */
  readonly temperature: Row<Float64Array>
  /** One step of all; what came in through all surfaces, in the unit of `shareOfEnds` times the air's. */
  step(step: LaidStep, air: LaidAir): number
  /** Heat from strip to strip of the first row. */
  handOn(across: LaidAcross): void
}

/** Lays rows out one behind the other, and gives where they begin. */
function laid(...rows: readonly ArrayLike<number>[]): number {
  const { at, values } = doubles(rows.reduce((sum, { length }) => sum + length, 0))
  let next = 0
  for (const row of rows) {
    values.set(row, next)
    next += row.length
  }
  return at
}

export function layStep(s: StackStep): LaidStep {
  const numbers = [s.weight, s.shareOfEnds, s.fromMiddle, s.surfacePivot]
  // Nothing is below the last slice: its conductance is asked for by nobody.
  return { step: laid(numbers, s.capacity, s.conductance, [0], s.up, s.inverse, s.down) }
}

export const layAir = ({ hWm2K, gasC }: AirOverStacks): LaidAir => ({ air: laid(hWm2K, gasC) })

export const layAcross = ({ strips, depths, sideways }: AcrossStep): LaidAcross => ({
  strips,
  depths,
  sideways: laid(sideways),
})

/** @param across how many stacks lie in a row: an even number */
export function stacks(rows: number, across: number, slices: number): Stacks {
  if (across % 2 !== 0) throw new RangeError('stacks are stepped two at a time')
  const k = kernel()
  const temperature = doubles(rows * across * slices)
  const scratch = doubles(2 * across * (slices + 1))
  // Nothing comes up from below the last slice, whatever stands there.
  scratch.values.fill(0)
  return {
    temperature,
    step: ({ step }, { air }) => k.stepStacks(rows, across / 2, slices, step, temperature.at, air, scratch.at),
    handOn: ({ strips, depths, sideways }) =>
      k.handOnAcross(depths, strips, across, sideways, scratch.at, temperature.at),
  }
}

/** Steps stacks that lie outside the kernel, `t` in the order of `Stacks.temperature`, changed in place. What came in, as `Stacks.step` says it. */
export function stepStacks(t: Float64Array, rows: number, across: number, step: StackStep, air: AirOverStacks): number {
  return inKernel(() => {
    const inside = stacks(rows, across, step.capacity.length)
    inside.temperature.values.set(t)
    const came = inside.step(layStep(step), layAir(air))
    t.set(inside.temperature.values)
    return came
  })
}
