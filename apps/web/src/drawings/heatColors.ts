import type { Rgb } from './stretchColor.ts'

const row: readonly Rgb[] = [
  [0.9, 0.89, 0.86],
  [0.96, 0.76, 0.42],
  [0.8, 0.36, 0.1],
  [0.55, 0.1, 0.1],
]

/** From bench grey over amber to deep red, 0 = no heat, 1 = the most. */
export function heatColor(share: number): Rgb {
  const t = Math.min(1, Math.max(0, share)) * (row.length - 1)
  const i = Math.min(row.length - 2, Math.floor(t))
  const [a, b] = [row[i] ?? row[0], row[i + 1] ?? row[0]]
  if (a === undefined || b === undefined) return [1, 1, 1]
  const f = t - i
  return [a[0] + (b[0] - a[0]) * f, a[1] + (b[1] - a[1]) * f, a[2] + (b[2] - a[2]) * f]
}

/** Colours of vertices in the renderer's linear space. */
export function heatColors(share: Float64Array): Float32Array {
  const colors = new Float32Array(3 * share.length)
  share.forEach((value, v) => {
    heatColor(value).forEach((c, k) => {
      colors[3 * v + k] = c ** 2.2
    })
  })
  return colors
}
