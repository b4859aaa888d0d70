import { done, type Result } from '../result/index.ts'
import { count, name, paragraph, percent, say, type Sentence } from '../say/index.ts'
import { type LampLight, type LampUse, lampLight, underLaw } from './lampLight.ts'

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
  readonly use?: LampUse | null | undefined
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

/**
 * The shade to take for a wish: the lightest that is as dark as wished. A lamp without others beside it keeps `leastAlone` whatever is wished:
 * where nothing that does is dark enough, the darkest that does. Null where there is none, or nothing is wished.
 */
export function shadeToTake({ choice, grades, leastAlone }: Omit<LensLightRequest, 'film' | 'use'>): Shade | null {
  const { mostShare, otherLamps, lensShare } = choice
  if (mostShare === null) return null
  const allowed = shadesOf(grades, lensShare).filter((shade) => otherLamps || shade.outputRatio >= leastAlone - hair)
  return (
    allowed.find((shade) => shade.outputRatio <= mostShare + hair) ?? (otherLamps ? null : (allowed.at(-1) ?? null))
  )
}

const hair = 1e-9

/**
 * Light left behind the film of a part on its lens: lens and layers multiply. The words say whether it is as dark as wished, and which
 * film is the lightest that is. Can be refused: what `lampLight` finds.
 */
export function lensLight(request: LensLightRequest): Result<LampLight> {
  const { film, choice } = request
  const lens = choice.lensShare < 1 ? [{ transmission: choice.lensShare }] : []
  const light = lampLight({ use: request.use, layers: [...lens, ...Array.from({ length: choice.layers }, () => film)] })
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
  const { mostShare } = request.choice
  if (mostShare === null) return false
  const wished = percent(100 * mostShare)
  const shade = shadeToTake(request)
  const darkEnough = ratio <= mostShare + hair
  if (shade !== null && shade.outputRatio > mostShare + hair)
    return say`Wished is ${wished} at most; ${shadeWords(shade)} is as dark as a lamp alone is made.`
  if (shade === null)
    return darkEnough
      ? say`As dark as wished, ${wished} at most.`
      : say`Lighter than wished, ${wished} at most, and no film at hand is darker.`
  if (!darkEnough)
    return say`Lighter than wished, ${wished} at most: ${shadeWords(shade)} is the lightest that is dark enough.`
  return shade.outputRatio <= ratio + hair
    ? say`As dark as wished, ${wished} at most, and the lightest that is.`
    : say`Darker than it need be for ${wished} at most: ${shadeWords(shade)} is dark enough.`
}

function aloneWords({ choice, grades, leastAlone }: LensLightRequest, ratio: number): Sentence | false {
  if (choice.otherLamps || ratio >= leastAlone - hair) return false
  const least = percent(100 * leastAlone)
  return shadesOf(grades, choice.lensShare).some((shade) => shade.outputRatio >= leastAlone - hair)
    ? say`No other lamp shines beside it: ${least} at least is kept then.`
    : say`No other lamp shines beside it: ${least} at least is kept then, and no film at hand leaves so much.`
}

/** "Duskglass in 2 layers, 38 %" */
export const shadeWords = ({ grade, layers, outputRatio }: Shade): Sentence =>
  layers === 1
    ? say`${name(grade.name)}, ${percent(100 * outputRatio)},`
    : say`${name(grade.name)} in ${count(layers)} layers, ${percent(100 * outputRatio)},`
