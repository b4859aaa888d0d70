import { type AnyFailure, failure } from '../result/index.ts'
import type { Layer } from './heatTypes.ts'

/** The first figure that lies outside its range, as a failure; null where all is well. */
export function outside(
  figures: readonly (readonly [what: string, value: number, least: number, most: number])[],
): AnyFailure | null {
  const wrong = figures.find(([, value, least, most]) => !(value >= least && value <= most))
  if (wrong === undefined) return null
  const [what, value, least, most] = wrong
  return failure('HEAT_OUT_OF_RANGE', { what, value, least, most })
}

/** What is wrong with a stack of layers, or null. */
export function layerProblem(layers: readonly Layer[]): AnyFailure | null {
  if (layers.length === 0) return failure('HEAT_NO_LAYER', {})
  return outside(
    layers.flatMap((layer) => [
      [`thickness of "${layer.name}" in mm`, layer.thicknessMm, 0.001, 1000] as const,
      [`conductivity of "${layer.name}" in W/(m·K)`, layer.conductivityWmK, 0.005, 500] as const,
      [`density of "${layer.name}" in kg/m³`, layer.densityKgm3, 1, 25_000] as const,
      [`specific heat of "${layer.name}" in J/(kg·K)`, layer.specificHeatJkgK, 50, 10_000] as const,
    ]),
  )
}
