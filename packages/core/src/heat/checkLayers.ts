import { type AnyFailure, failure, outOfRange } from '../result/index.ts'
import { figure, length, name, type Said, say, type Sentence } from '../say/index.ts'
import type { Layer } from './heatTypes.ts'

/** A figure with the range in which it makes sense, and how it is shown. */
export type Ranged = readonly [what: Sentence, as: (value: number) => Said, value: number, least: number, most: number]

/** The first figure that lies outside its range, as a failure; null where all is well. */
export function outside(figures: readonly Ranged[]): AnyFailure | null {
  const wrong = figures.find(([, , value, least, most]) => !(value >= least && value <= most))
  if (wrong === undefined) return null
  const [what, as, ...range] = wrong
  return outOfRange('HEAT_OUT_OF_RANGE', what, as, range)
}

/** What is wrong with a stack of layers, or null. */
export function layerProblem(layers: readonly Layer[]): AnyFailure | null {
  if (layers.length === 0) return failure('HEAT_NO_LAYER', {})
  const bare = (value: number) => figure(value, 3)
  const thin = (mm: number) => length(mm, 3)
  return outside(
    layers.flatMap((layer): Ranged[] => {
      const of = name(layer.name)
      return [
        [say`thickness of "${of}"`, thin, layer.thicknessMm, 0.001, 1000],
        [say`conductivity of "${of}" in W/(m·K)`, bare, layer.conductivityWmK, 0.005, 500],
        [say`density of "${of}" in kg/m³`, bare, layer.densityKgm3, 1, 25_000],
        [say`specific heat of "${of}" in J/(kg·K)`, bare, layer.specificHeatJkgK, 50, 10_000],
      ]
    }),
  )
}
