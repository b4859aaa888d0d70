import { done, failure, type Result, refused } from '../result/index.ts'
import { type Measure, paragraph, percent, say, type Sentence } from '../say/index.ts'

/** What a lamp is for: with one the driver sees, by the other the vehicle is seen. */
export const lampUses = ['lights the road', 'is seen'] as const
export type LampUse = (typeof lampUses)[number]

export interface LightRequest {
  /** Left out: nobody has said what it is for. */
  readonly use?: LampUse | null | undefined
  /** Output of the bare lamp, candela; only to show the figure that is left. */
  readonly lampCandela?: number | undefined
  /** Films over the whole lens, each with the share of light it lets through. */
  readonly layers: readonly { readonly transmission: number }[]
  /** How many further layers of the last film lie on top of each other where pieces overlap. */
  readonly overlapLayers?: number | undefined
}

export interface LampLight {
  /** Light that is left, share of the bare lamp. */
  readonly outputRatio: number
  /** The same where pieces overlap. */
  readonly overlapRatio: number
  /** How far one still sees, share of the bare lamp. */
  readonly seeingDistanceRatio: number
  readonly outputCandela?: number
  /** What is left, in words. */
  readonly left: Sentence
  /** The same, and who decides whether that is allowed. */
  readonly words: Sentence
}

const law = say`Local law and the inspection decide whether that is allowed.`
/** What is left, with who decides about it. */
export const underLaw = (left: Sentence) => ({ left, words: paragraph(left, law) })

/**
 * Light left behind film: transmissions multiply (reflections between layers are ignored). Seeing distance goes with
 * the square root of the output, since light on an object falls with the square of its distance; haze and glare,
 * which make it worse, are left out. These are sums and no legal advice.
 * Can be refused: `LIGHT_NO_LAYER`, `LIGHT_OUT_OF_RANGE`.
 */
export function lampLight({ use = null, lampCandela, layers, overlapLayers = 0 }: LightRequest): Result<LampLight> {
  if (layers.length === 0) return refused(failure('LIGHT_NO_LAYER', {}))
  const wrong = layers.findIndex(({ transmission }) => !(transmission > 0 && transmission <= 1))
  if (wrong >= 0)
    return refused(failure('LIGHT_OUT_OF_RANGE', { layer: wrong + 1, transmission: layers[wrong]?.transmission ?? 0 }))
  const outputRatio = layers.reduce((product, { transmission }) => product * transmission, 1)
  const overlapRatio = outputRatio * (layers[layers.length - 1]?.transmission ?? 1) ** overlapLayers
  const seeingDistanceRatio = Math.sqrt(outputRatio)
  const of = (ratio: number) => percent(100 * ratio)
  return done({
    outputRatio,
    overlapRatio,
    seeingDistanceRatio,
    ...(lampCandela === undefined ? {} : { outputCandela: lampCandela * outputRatio }),
    ...underLaw(
      paragraph(
        leftWords(use, of(outputRatio), of(seeingDistanceRatio)),
        overlapLayers > 0 && say`Where pieces overlap only ${of(overlapRatio)} is left.`,
      ),
    ),
  })
}

function leftWords(use: LampUse | null, left: Measure, asFar: Measure): Sentence {
  switch (use) {
    case 'lights the road':
      return say`${left} of the light is left; the road is seen about ${asFar} as far.`
    case 'is seen':
      return say`${left} of the light is left; the vehicle is seen from about ${asFar} as far.`
    case null:
      return say`${left} of the light is left; it reaches, and is seen, about ${asFar} as far.`
  }
}
