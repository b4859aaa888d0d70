import { doubles, inKernel, kernel } from './instance.ts'

/** What is the same for every stack in a step of one length; see `heat/slab.ts`, which makes it. */
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
  readonly hWm2K: Float64Array
  readonly gasC: Float64Array
}

/**
 * Steps `rows` rows of stacks side by side, `across` (even) in each; `t` holds them row after row, in each depth by depth, and is
 * changed in place. Gives what came in through all surfaces, in the unit of `shareOfEnds` times the air's.
 */
export function stepStacks(t: Float64Array, rows: number, across: number, step: StackStep, air: AirOverStacks): number {
  if (across % 2 !== 0) throw new RangeError('stacks are stepped two at a time')
  const slices = step.capacity.length
  return inKernel(() => {
    const laid = (values: Float64Array) => {
      const row = doubles(values.length)
      row.values.set(values)
      return row
    }
    const temperature = laid(t)
    const [hWm2K, gasC] = [laid(air.hWm2K), laid(air.gasC)]
    const [capacity, conductance] = [laid(step.capacity), laid(step.conductance)]
    const [up, inverse, down] = [laid(step.up), laid(step.inverse), laid(step.down)]
    const [middle, right] = [doubles(across * slices), doubles(across * slices)]
    const [flow, atStart] = [doubles(across), doubles(across)]
    // Nothing comes up from below the last slice, whatever stands there.
    right.values.fill(0)
    const came = kernel().stepStacks(
      rows,
      across / 2,
      slices,
      step.weight,
      step.shareOfEnds,
      step.fromMiddle,
      step.surfacePivot,
      temperature.at,
      hWm2K.at,
      gasC.at,
      capacity.at,
      conductance.at,
      up.at,
      inverse.at,
      down.at,
      middle.at,
      right.at,
      flow.at,
      atStart.at,
    )
    t.set(temperature.values)
    return came
  })
}
