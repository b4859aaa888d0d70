import type { FormDoc } from '../form/index.ts'
import type { Practice } from '../practice/index.ts'
import { name, percent, say, type Sentence } from '../say/index.ts'
import { grabMinutes, slideMinutes, usualClimate } from '../wait/index.ts'
import type { FilmDoc } from './filmDoc.ts'
import type { FoundOnPart, RoomClimate } from './findings.ts'
import { strengthOf } from './solutionsFor.ts'
import { liquidPairs } from './liquidPairs.ts'
import type { LiquidPair } from './workChoices.ts'

/** A way of using liquids under this film on this part: what it changes, or why it cannot be. */
export interface LiquidOption extends LiquidPair {
  readonly says: Sentence
  /** What it is for. */
  readonly because: Sentence
  /** How long the film slides after it was sprayed, and until it holds; null where it is laid dry. */
  readonly slidesMinutes: number | null
  readonly grabsMinutes: number | null
  readonly refused: Sentence | null
}

/** Every way of using liquids on a part, with what it would do in the air of the room. */
export function liquidOptions(
  part: {
    readonly form: Pick<FormDoc, 'material'>
    readonly film: Pick<FilmDoc, 'laid' | 'name'>
    readonly found: readonly FoundOnPart[]
    readonly room: RoomClimate | undefined
  },
  practice: Practice,
): LiquidOption[] {
  const { room } = part
  const climate =
    room === undefined ? usualClimate : { roomC: room.temperatureC, humidityPercent: room.humidityPercent }
  return liquidPairs.map((pair) => {
    const refused = liquidRefused(pair, part, practice)
    const [slip, tack] = [strengthOf(pair.slip, practice), strengthOf(pair.tack, practice)]
    if (slip === null || tack === null) return { ...pair, slidesMinutes: null, grabsMinutes: null, refused }
    const under = {
      slip: { alcoholPercent: slip.alcoholPercent ?? 0, soapMlPerL: slip.soapMlPerL ?? 0 },
      tackAlcoholPercent: tack.alcoholPercent ?? 0,
      climate,
    }
    return {
      ...pair,
      slidesMinutes: slideMinutes(under, practice),
      grabsMinutes: grabMinutes(under, practice),
      refused,
    }
  })
}

/** Why a pair of liquids cannot be used there; null where it can. */
export function liquidRefused(
  { slip, tack }: LiquidPair,
  {
    form,
    film,
    found,
  }: {
    readonly form: Pick<FormDoc, 'material'>
    readonly film: Pick<FilmDoc, 'laid' | 'name'>
    readonly found: readonly FoundOnPart[]
  },
  practice: Practice,
): Sentence | null {
  const dry = slip === 'dry' && tack === 'dry'
  if (film.laid === 'dry' && !dry)
    return say`${name(film.name)} is made to be laid dry: liquid under it stops the adhesive for good.`
  if (film.laid === 'wet' && (slip === 'dry' || tack === 'dry'))
    return say`${name(film.name)} is made to be laid wet: dry it holds where it first touches.`
  const strongest = Math.max(...[slip, tack].map((school) => strengthOf(school, practice)?.alcoholPercent ?? 0))
  if (found.some((f) => f.kind === 'cracked lens' || f.kind === 'crazed lens') && strongest > 0)
    return say`No alcohol on this lens: it is damaged.`
  if (form.material === 'lens plastic' && strongest > practice.lensAlcohol)
    return say`${percent(strongest)} alcohol crazes lens plastic; at most ${percent(practice.lensAlcohol)} there.`
  return null
}
