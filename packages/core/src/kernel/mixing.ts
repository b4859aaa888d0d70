import { doubles, kernel, type Row } from './instance.ts'

/**
 * Anderson acceleration of a fixed-point iteration x -> x + step(x): combines the last few steps so that the one that is left
 * is least (D. Anderson 1965; Peng et al., "Anderson acceleration for geometry optimization and physics simulation",
 * 2018). The caller guards it: when the energy rises, go back to `plain` and `reset`.
 */
export interface Mixing {
  /** Where the last step ended that was told, unmixed: what to go back to. */
  readonly plain: Row<Float64Array>
  reset(): void
  /** Given x and its step, puts x where the next step should begin. */
  next(x: Row<Float64Array>, step: Row<Float64Array>): void
}

/** @param pairs half the length of x and step, which may be longer */
export function mixing(pairs: number, memory: number): Mixing {
  const k = kernel()
  const stepChanges = Array.from({ length: memory }, () => doubles(2 * pairs))
  const endChanges = Array.from({ length: memory }, () => doubles(2 * pairs))
  const lastStep = doubles(2 * pairs)
  const plain = doubles(2 * pairs)
  const gram = new Float64Array(memory * memory)
  const right = new Float64Array(memory)
  let stored = 0
  let column = 0
  let first = true

  return {
    plain,
    reset() {
      stored = 0
      column = 0
      first = true
    },
    next(x, step) {
      const change = stepChanges[column]!
      k.remember(pairs, x.at, step.at, lastStep.at, plain.at, change.at, endChanges[column]!.at)
      x.values.set(plain.values)
      if (first) {
        first = false
        return
      }
      stored = Math.min(stored + 1, memory)
      for (let j = 0; j < stored; j++) {
        const d = k.dot(pairs, change.at, stepChanges[j]!.at)
        gram[column * memory + j] = d
        gram[j * memory + column] = d
        right[j] = k.dot(pairs, stepChanges[j]!.at, step.at)
      }
      const shares = solveSmall(gram, memory, right, stored)
      column = (column + 1) % memory
      if (shares === null) return
      for (let j = 0; j < stored; j++) k.takeAway(pairs, x.at, shares[j]!, endChanges[j]!.at)
    },
  }
}

/** Cholesky of a small Gram matrix with a little ridge; null when it is not solvable. */
function solveSmall(gram: Float64Array, stride: number, right: Float64Array, n: number): Float64Array | null {
  const l = new Float64Array(n * n)
  let trace = 0
  for (let i = 0; i < n; i++) trace += gram[i * stride + i]!
  const ridge = 1e-12 * trace
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = gram[i * stride + j]! + (i === j ? ridge : 0)
      for (let k = 0; k < j; k++) sum -= l[i * n + k]! * l[j * n + k]!
      if (i === j) {
        if (!(sum > 0)) return null
        l[i * n + i] = Math.sqrt(sum)
      } else l[i * n + j] = sum / l[j * n + j]!
    }
  }
  const x = right.slice()
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < i; k++) x[i]! -= l[i * n + k]! * x[k]!
    x[i]! /= l[i * n + i]!
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k < n; k++) x[i]! -= l[k * n + i]! * x[k]!
    x[i]! /= l[i * n + i]!
  }
  return x
}
