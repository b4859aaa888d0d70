import { done, type Result } from '../result/index.ts'
import { count, name, paragraph, percent, say, type Sentence } from '../say/index.ts'
import { type LampLight, lampLight, underLaw } from './lampLight.ts'

/** What the light of a lamp passes besides one layer of film, and how dark it is wished. */
export interface LightChoice {
  /** What the lens itself lets through: 1 = clear, less where it is smoked or keeps an old tint. */
  readonly lensShare: number
  readonly layers: FilmLayers
  /** The most light that may be left for the look that is wished; null = no wish. */
  readonly mostShare: number | null
  /** Other lamps or reflectors beside it do their share. */
  readonly otherLamps: boolean
}

export const filmLayers = [1, 2, 3] as const
export type FilmLayers = (typeof filmLayers)[number]

/** A clear lens with one layer of film, and nobody who wished for a shade. */
export const plainLens: LightChoice = { lensShare: 1, layers: 1, mostShare: null, otherLamps: true }

/** A film that is at hand for a lens. */
export interface Grade {
  readonly name: string
  readonly transmission: number
}

/** One way to a shade. */
export interface Shade {
  readonly grade: Grade
  readonly layers: FilmLayers
  /** Light that is left, share of the bare lamp. */
  readonly outputRatio: number
}

export interface LensLightRequest {
  readonly film: Grade
  readonly choice: LightChoice
  /** Films that could be taken instead. */
  readonly grades: readonly Grade[]
  /** What a lamp without others beside it keeps at least, share. */
  readonly leastAlone: number
}

/** Every film at hand in one layer, two or three, lightest first; of two that leave as much the one with fewer layers first. */
export const shadesOf = (grades: readonly Grade[], lensShare: number): Shade[] =>
  grades
    .flatMap((grade) =>
      filmLayers.map((layers) => ({ grade, layers, outputRatio: lensShare * grade.transmission ** layers })),
    )
    .sort((a, b) => b.outputRatio - a.outputRatio || a.layers - b.layers)

/** The most light that may be left: what is wished, but never so little that a lamp without others beside it cannot do its work. */
export const mostLight = (
  { mostShare, otherLamps }: Pick<LightChoice, 'mostShare' | 'otherLamps'>,
  leastAlone: number,
): number | null => (mostShare === null || otherLamps ? mostShare : Math.max(mostShare, leastAlone))

/** The lightest shade that is as dark as wished; null where none is, or nothing is wished. */
export function lightestShade({ choice, grades, leastAlone }: Omit<LensLightRequest, 'film'>): Shade | null {
  const most = mostLight(choice, leastAlone)
  if (most === null) return null
  return shadesOf(grades, choice.lensShare).find((shade) => shade.outputRatio <= most + hair) ?? null
}

const hair = 1e-9

/**
 * Light left behind the film of a part on its lens: lens and layers multiply. The words say whether it is as dark as wished, and which
 * film is the lightest that is. Can be refused: what `lampLight` finds.
 */
export function lensLight(request: LensLightRequest): Result<LampLight> {
  const { film, choice } = request
  const lens = choice.lensShare < 1 ? [{ transmission: choice.lensShare }] : []
  const light = lampLight({ layers: [...lens, ...Array.from({ length: choice.layers }, () => film)] })
  if (!light.ok) return light
  return done({
    ...light.value,
    ...underLaw(
      paragraph(
        choice.lensShare < 1 && say`The lens itself lets ${percent(100 * choice.lensShare)} through.`,
        choice.layers > 1 && say`Film in ${count(choice.layers)} layers.`,
        light.value.left,
        wishWords(request, light.value.outputRatio),
        aloneWords(request, light.value.outputRatio),
      ),
    ),
  })
}

function wishWords(request: LensLightRequest, ratio: number): Sentence | false {
  const most = mostLight(request.choice, request.leastAlone)
  if (most === null) return false
  const wished = percent(100 * most)
  const lightest = lightestShade(request)
  if (ratio > most + hair)
    return lightest === null
      ? say`Lighter than wished, ${wished} at most, and no film at hand is darker.`
      : say`Lighter than wished, ${wished} at most: ${shadeWords(lightest)} is the lightest that is dark enough.`
  return lightest === null || lightest.outputRatio <= ratio + hair
    ? say`As dark as wished, ${wished} at most, and the lightest that is.`
    : say`Darker than it need be for ${wished} at most: ${shadeWords(lightest)} is dark enough.`
}

function aloneWords({ choice, leastAlone }: LensLightRequest, ratio: number): Sentence | false {
  if (choice.otherLamps || ratio >= leastAlone - hair) return false
  return say`No other lamp shines beside it: ${percent(100 * leastAlone)} at least is kept then.`
}

/** "Duskglass in 2 layers, 38 %" */
export const shadeWords = ({ grade, layers, outputRatio }: Shade): Sentence =>
  layers === 1
    ? say`${name(grade.name)}, ${percent(100 * outputRatio)},`
    : say`${name(grade.name)} in ${count(layers)} layers, ${percent(100 * outputRatio)},`
