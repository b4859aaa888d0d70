/**
 * Anderson acceleration of a fixed-point iteration x -> g(x): combines the last few steps so that the residual
 * g(x) - x is least (D. Anderson 1965; Peng et al., "Anderson acceleration for geometry optimization and physics
 * simulation", 2018). The caller guards it: when the energy rises, fall back to the plain step and `reset`.
 */
export function andersonMixer(length: number, memory: number) {
  const dF = Array.from({ length: memory }, () => new Float64Array(length))
  const dG = Array.from({ length: memory }, () => new Float64Array(length))
  const gram = new Float64Array(memory * memory)
  const lastF = new Float64Array(length)
  const lastG = new Float64Array(length)
  let stored = 0
  let column = 0
  let first = true

  return {
    reset() {
      stored = 0
      column = 0
      first = true
    },
    /** Given x and g(x), writes the accelerated next x to `out` (which may be `x`). */
    next(x: Float64Array, g: Float64Array, out: Float64Array): void {
      const f = new Float64Array(length)
      for (let i = 0; i < length; i++) f[i] = g[i]! - x[i]!
      if (first) {
        first = false
        lastF.set(f)
        lastG.set(g)
        out.set(g)
        return
      }
      const df = dF[column]!
      const dg = dG[column]!
      for (let i = 0; i < length; i++) {
        df[i] = f[i]! - lastF[i]!
        dg[i] = g[i]! - lastG[i]!
      }
      lastF.set(f)
      lastG.set(g)
      stored = Math.min(stored + 1, memory)
      for (let j = 0; j < stored; j++) {
        const d = dot(df, dF[j]!)
        gram[column * memory + j] = d
        gram[j * memory + column] = d
      }
      const right = Float64Array.from({ length: stored }, (_, j) => dot(dF[j]!, f))
      const theta = solveSmall(gram, memory, right, stored)
      column = (column + 1) % memory
      out.set(g)
      if (theta === null) return
      for (let j = 0; j < stored; j++) {
        const t = theta[j]!
        const d = dG[j]!
        for (let i = 0; i < length; i++) out[i]! -= t * d[i]!
      }
    },
  }
}

export function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!
  return sum
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
