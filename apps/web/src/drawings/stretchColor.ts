/** A colour as red, green, blue from 0 to 1. */
export type Rgb = readonly [number, number, number]

const tooMuch: readonly Rgb[] = [
  [0.97, 0.965, 0.95],
  [0.74, 0.68, 0.86],
  [0.38, 0.24, 0.62],
]
const stretched: readonly Rgb[] = [
  [0.97, 0.965, 0.95],
  [0.98, 0.72, 0.4],
  [0.76, 0.32, 0.03],
]

/**
 * Violet for too much film, chalk for film at rest, orange for stretched film.
 *
 * @param value signed departure from rest, ratio: -0.01 = 1 % too much, 0.02 = 2 % stretched
 * @param full departure that takes the full colour
 */
export function stretchColor(value: number, full: number): Rgb {
  const row = value < 0 ? tooMuch : stretched
  const t = Math.min(1, Math.abs(value) / full) * (row.length - 1)
  const i = Math.min(row.length - 2, Math.floor(t))
  const [a, b] = [row[i] ?? row[0], row[i + 1] ?? row[0]]
  if (a === undefined || b === undefined) return [1, 1, 1]
  const f = t - i
  return [a[0] + (b[0] - a[0]) * f, a[1] + (b[1] - a[1]) * f, a[2] + (b[2] - a[2]) * f]
}

export const cssColor = ([r, g, b]: Rgb) => `rgb(${Math.round(255 * r)} ${Math.round(255 * g)} ${Math.round(255 * b)})`

/** The departure that matters more: stretch over rest, or lack of it. */
export const signedStretch = (most: number, least: number) => (most - 1 >= 1 - least ? most - 1 : least - 1)

/** A round figure for the end of the scale that holds nearly all of the film. */
export function scaleEnd(stretch: Float64Array): number {
  const values = Array.from({ length: stretch.length / 2 }, (_, t) =>
    Math.abs(signedStretch(stretch[2 * t] ?? 1, stretch[2 * t + 1] ?? 1)),
  ).sort((a, b) => a - b)
  const most = values[Math.floor(0.99 * (values.length - 1))] ?? 0.01
  return [0.005, 0.0075, 0.01, 0.015, 0.02, 0.03, 0.05, 0.08, 0.1, 0.15, 0.2].find((end) => most <= end) ?? 0.3
}
