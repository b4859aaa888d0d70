import { describe, expect, test } from 'vitest'
import { seededRandom } from '../numerics/index.ts'
import { inKernel, layAcross, layAir, layStep, stacks, stepStacks } from './index.ts'
import type { StackStep } from './stacks.ts'

/** Solves A x = b by elimination with the largest pivots; small and dense. */
function solved(a: readonly (readonly number[])[], b: readonly number[]): number[] {
  const rows = a.map((row, i) => [...row, b[i]!])
  for (let k = 0; k < rows.length; k++) {
    const best = rows.slice(k).reduce((at, row, i) => (Math.abs(row[k]!) > Math.abs(rows[at]![k]!) ? k + i : at), k)
    ;[rows[k], rows[best]] = [rows[best]!, rows[k]!]
    for (let i = 0; i < rows.length; i++) {
      if (i === k) continue
      const share = rows[i]![k]! / rows[k]![k]!
      rows[i] = rows[i]!.map((x, j) => x - share * rows[k]![j]!)
    }
  }
  return rows.map((row, i) => row[rows.length]! / row[i]!)
}

const capacity = [300, 700, 500, 900]
const conductance = [2000, 400, 900]
const seconds = 0.3
const gamma = 2 - Math.SQRT2
const weight = (gamma / 2) * seconds
const fromMiddle = 1 / (gamma * (2 - gamma))
const shareOfEnds = (Math.SQRT2 / 4) * seconds

/** What flows between slices, as a matrix: symmetric, every row sums up to nothing. */
const flows = capacity.map((_, i) =>
  capacity.map((_, j) => {
    const [above, below] = [conductance[i - 1] ?? 0, conductance[i] ?? 0]
    return j === i ? above + below : j === i - 1 ? -above : j === i + 1 ? -below : 0
  }),
)
const times = (m: readonly (readonly number[])[], x: readonly number[]) =>
  m.map((row) => row.reduce((sum, r, j) => sum + r * x[j]!, 0))

interface Air {
  readonly hWm2K: number
  readonly gasC: number
}

/** TR-BDF2 as its two stages are written in books, with the air's exchange at the surface in the matrix. */
function denseStep(t: readonly number[], [start, middle, end]: readonly [Air, Air, Air]) {
  const implicit = ({ hWm2K }: Air) =>
    flows.map((row, i) => row.map((k, j) => weight * (k + (i + j === 0 ? hWm2K : 0)) + (i === j ? capacity[i]! : 0)))
  const came = ({ hWm2K, gasC }: Air, x: readonly number[]) => hWm2K * (gasC - x[0]!)
  const spread = times(flows, t)
  const first = t.map(
    (x, i) =>
      capacity[i]! * x +
      weight * ((i === 0 ? came(start, t) : 0) - spread[i]!) +
      (i === 0 ? weight * middle.hWm2K * middle.gasC : 0),
  )
  const between = solved(implicit(middle), first)
  const second = between.map(
    (x, i) =>
      capacity[i]! * (fromMiddle * x - (fromMiddle - 1) * t[i]!) + (i === 0 ? weight * end.hWm2K * end.gasC : 0),
  )
  const after = solved(implicit(end), second)
  return {
    after,
    came: shareOfEnds * (came(start, t) + came(middle, between)) + weight * came(end, after),
  }
}

/** Eliminated from the back upwards, as the kernel wants it. */
function eliminated(): StackStep {
  const last = capacity.length - 1
  const [up, inverse, down] = [0, 1, 2].map(() => new Float64Array(last + 1)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ]
  let pivot = capacity[last]! + weight * conductance[last - 1]!
  for (let i = last - 1; i >= 0; i--) {
    const below = weight * conductance[i]!
    inverse[i + 1] = 1 / pivot
    up[i] = below / pivot
    down[i + 1] = below / pivot
    pivot = capacity[i]! + below + weight * (conductance[i - 1] ?? 0) - below * up[i]!
  }
  return {
    weight,
    shareOfEnds,
    fromMiddle,
    surfacePivot: pivot,
    capacity: Float64Array.from(capacity),
    conductance: Float64Array.from(conductance),
    up,
    inverse,
    down,
  }
}

describe('stacks side by side', () => {
  const [rows, across, slices] = [2, 4, capacity.length]
  const draw = seededRandom(7)
  const start = Float64Array.from({ length: rows * across * slices }, () => 20 + 60 * draw())
  const airs = Array.from({ length: rows * across }, () =>
    [0, 1, 2].map(() => ({ hWm2K: 10 + 90 * draw(), gasC: 400 * draw() })),
  ) as [Air, Air, Air][]
  const over = (of: keyof Air) => [0, 1, 2].flatMap((when) => airs.map((air) => air[when]![of]))
  const air = { hWm2K: over('hWm2K'), gasC: over('gasC') }
  const stackOf = (t: Float64Array, stack: number) =>
    capacity.map((_, slice) => t[(Math.floor(stack / across) * slices + slice) * across + (stack % across)]!)

  test('step as each does by dense elimination, and what came in is stored', () => {
    const t = start.slice()
    const came = stepStacks(t, rows, across, eliminated(), air)
    let expected = 0
    airs.forEach((own, stack) => {
      const dense = denseStep(stackOf(start, stack), own)
      expected += dense.came
      for (const [slice, c] of stackOf(t, stack).entries()) expect(c).toBeCloseTo(dense.after[slice]!, 9)
    })
    expect(came).toBeCloseTo(expected, 6)
    const stored = (of: Float64Array) =>
      airs.reduce((sum, _, s) => sum + stackOf(of, s).reduce((all, c, i) => all + c * capacity[i]!, 0), 0)
    expect(stored(t) - stored(start)).toBeCloseTo(came, 6)
  })

  test('step on in the kernel as they do outside, with airs that change', () => {
    const outside = start.slice()
    const calm = { hWm2K: air.hWm2K.map(() => 10), gasC: air.gasC.map(() => 20) }
    for (const each of [air, calm, air]) stepStacks(outside, rows, across, eliminated(), each)
    inKernel(() => {
      const inside = stacks(rows, across, slices)
      inside.temperature.values.set(start)
      const [step, blown, still] = [layStep(eliminated()), layAir(air), layAir(calm)]
      for (const each of [blown, still, blown]) inside.step(step, each)
      expect(inside.temperature.values).toEqual(outside)
    })
  })

  test('heat goes from strip to strip as by dense elimination, at the depths that are named and nowhere else', () => {
    const strips = 3
    const depths = [1, 3]
    const stored = [5, 8, 13]
    const between = [4, 7]
    // (stored + flow) x = stored x before, eliminated from the last strip inwards.
    const sideways = depths.flatMap((depth) => {
      const [inward, inverse, outward] = [
        [0, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ] as number[][]
      let pivot = 1
      for (let i = strips - 1; i >= 0; i--) {
        const [out, back] = [between[i] ?? 0, between[i - 1] ?? 0]
        inward![i] = out / pivot
        pivot = stored[i]! + out + back - (out / pivot) * out
        inverse![i] = 1 / pivot
        outward![i] = back / pivot
      }
      return [depth, ...stored, ...inward!, ...inverse!, ...outward!]
    })
    const after = inKernel(() => {
      const row = stacks(1, across, slices)
      row.temperature.values.set(start.subarray(0, across * slices))
      row.handOn(layAcross({ strips, depths: depths.length, sideways: Float64Array.from(sideways) }))
      return row.temperature.values.slice()
    })
    const matrix = stored.map((own, i) =>
      stored.map((_, j) => {
        const [back, out] = [between[i - 1] ?? 0, between[i] ?? 0]
        return j === i ? own + back + out : j === i - 1 ? -back : j === i + 1 ? -out : 0
      }),
    )
    for (let slice = 0; slice < slices; slice++) {
      const before = Array.from(start.subarray(slice * across, (slice + 1) * across))
      const wanted = depths.includes(slice)
        ? [
            ...solved(
              matrix,
              stored.map((own, i) => own * before[i]!),
            ),
            before[strips]!,
          ]
        : before
      for (const [i, c] of wanted.entries()) expect(after[slice * across + i]).toBeCloseTo(c, 10)
    }
  })

  test('an odd number of them is refused', () => {
    expect(() => inKernel(() => stacks(1, 3, slices))).toThrow('two at a time')
  })
})
