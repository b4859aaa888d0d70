import type { Practice } from '../practice/index.ts'
import { figure, minutes, percent, perLitre, say, type Sentence, temperature } from '../say/index.ts'
import { type Climate, usualClimate } from './climate.ts'
import { alcoholOverMixKpa, deficitKpa } from './vapour.ts'
import { waitFactor } from './waitFactor.ts'

/** What is under the film. */
export interface UnderFilm {
  readonly slip: { readonly alcoholPercent: number; readonly soapMlPerL: number }
  readonly tackAlcoholPercent: number
  readonly climate: Climate
  /** Of the part itself, where it was read; else the room. */
  readonly partC?: number | undefined
  readonly hardWater?: boolean | undefined
  /** Since the adhesive was last sprayed. */
  readonly minutesSinceWet?: number | undefined
}

const usualSoapMlPerL = 1.3
/** Clean water slides a little by itself: as much as so much soap, mL/L. */
const waterAlone = 0.15
/** Soap counts less and less. */
const soapPower = 0.6
/** Hard water binds this share of the soap. */
const boundByHardWater = 0.35
/** Alcohol that halves what soap does, per cent. */
const alcoholHalves = 12

const slides = (soapMlPerL: number) => ((waterAlone + soapMlPerL) / (waterAlone + usualSoapMlPerL)) ** soapPower
const drying = (climate: Climate, alcoholPercent: number) =>
  (0.15 +
    (1 - alcoholPercent / 100) * deficitKpa(climate.roomC, climate.humidityPercent) +
    alcoholOverMixKpa(climate.roomC, alcoholPercent)) /
  (0.15 + deficitKpa(usualClimate.roomC, usualClimate.humidityPercent))

/**
 * Minutes that film slides after it was sprayed. A rule of thumb through the shop's own figure for light slip at 20 °C and 50 %: more soap slides
 * longer (with its 0.6th power), alcohol spoils soap and dries, warmth and dry air dry.
 */
export function slideMinutes(under: UnderFilm, practice: Pick<Practice, 'waitWetFilm'>): number {
  const { slip, climate, partC, hardWater } = under
  const soap = slip.soapMlPerL * (hardWater ? 1 - boundByHardWater : 1)
  const at = { ...climate, roomC: partC ?? climate.roomC }
  const spoiled = 1 + slip.alcoholPercent / alcoholHalves
  return (practice.waitWetFilm * slides(soap)) / spoiled / drying(at, slip.alcoholPercent)
}

/** Minutes from the firm pass to a grab that holds: longer with soap that is left, with weak tack, in cold and damp. */
export function grabMinutes(under: UnderFilm, practice: Practice): number {
  const { slip, tackAlcoholPercent, climate, partC } = under
  const at = { ...climate, roomC: partC ?? climate.roomC }
  const left = 0.6 + 0.4 * (slip.soapMlPerL / usualSoapMlPerL) ** soapPower
  const flushed = 2 / (1 + Math.min(2, tackAlcoholPercent / practice.weakTackAlcohol))
  return practice.waitInitialGrab * waitFactor('initialGrab', at, tackAlcoholPercent) * left * flushed
}

export interface GrabAdvice {
  readonly cause: Sentence
  readonly change: Sentence
  /** By how much this one shortens the slide, or lengthens the grab. */
  readonly effect: number
}

const worth = 1.15

/** Why film grabs too early, or will not grab: each cause by what it does, the strongest first, and what to change. */
export function whyItGrabs(symptom: 'too early' | 'not at all', under: UnderFilm, practice: Practice): GrabAdvice[] {
  const usual: UnderFilm = {
    slip: { alcoholPercent: 0, soapMlPerL: practice.lightSlipSoap },
    tackAlcoholPercent: practice.weakTackAlcohol,
    climate: usualClimate,
  }
  const now = symptom === 'too early' ? slideMinutes(under, practice) : grabMinutes(under, practice)
  /** What it would be with one thing as usual, against what it is. */
  const effectOf = (change: Partial<UnderFilm>) => {
    const changed = { ...under, ...change }
    return symptom === 'too early' ? slideMinutes(changed, practice) / now : now / grabMinutes(changed, practice)
  }
  const { slip, climate } = under
  const partC = under.partC ?? climate.roomC
  const early: GrabAdvice[] = [
    {
      cause: say`Only ${perLitre(slip.soapMlPerL)} of soap.`,
      change: say`Bring the slip to ${perLitre(practice.lightSlipSoap)}; heavy slip for big pieces.`,
      effect: effectOf({ slip: { ...slip, soapMlPerL: practice.lightSlipSoap } }),
    },
    {
      cause: say`${percent(slip.alcoholPercent, 1)} alcohol in what it floats on: it spoils the soap and dries fast.`,
      change: say`Float it on slip without alcohol; keep the alcohol for the tack.`,
      effect: effectOf({ slip: { ...slip, alcoholPercent: 0 } }),
    },
    {
      cause: say`The part has ${temperature(partC)}.`,
      change: say`Cool it with a wet cloth, move it out of the sun, and spray again.`,
      effect: partC > 20 ? effectOf({ partC: 20 }) : 1,
    },
    {
      cause: say`Dry air, ${percent(climate.humidityPercent)}.`,
      change: say`Wet the floor and the part; spray again more often.`,
      effect: climate.humidityPercent < 50 ? effectOf({ climate: { ...climate, humidityPercent: 50 } }) : 1,
    },
    {
      cause: say`Hard water binds the soap.`,
      change: say`Mix with distilled water.`,
      effect: under.hardWater ? effectOf({ hardWater: false }) : 1,
    },
    {
      cause: say`${minutes(under.minutesSinceWet ?? 0)} since it was wet; it slides about ${figure(now, now < 10 ? 1 : 0)}.`,
      change: say`Spray it again before you lift it.`,
      effect: (under.minutesSinceWet ?? 0) / Math.max(0.1, now),
    },
  ]
  const late: GrabAdvice[] = [
    {
      cause: say`${perLitre(slip.soapMlPerL)} of soap: more than light slip.`,
      change: say`Flush with tack twice, and mix the next slip at ${perLitre(practice.lightSlipSoap)}.`,
      effect:
        slip.soapMlPerL > practice.lightSlipSoap
          ? effectOf({ slip: { ...slip, soapMlPerL: usual.slip.soapMlPerL } })
          : 1,
    },
    {
      cause: say`Tack of only ${percent(under.tackAlcoholPercent, 1)} does not flush the soap.`,
      change: say`Flush with ${percent(practice.weakTackAlcohol, 1)}; on bulk and edges up to ${percent(practice.strongTackAlcohol, 1)}.`,
      effect:
        under.tackAlcoholPercent < practice.weakTackAlcohol
          ? effectOf({ tackAlcoholPercent: practice.weakTackAlcohol })
          : 1,
    },
    {
      cause: say`The part has ${temperature(partC)}: the adhesive hardly flows.`,
      change: say`Warm the room or the part to ${temperature(20)}, and wait.`,
      effect: partC < 20 ? effectOf({ partC: 20 }) : 1,
    },
    {
      cause: say`Damp air, ${percent(climate.humidityPercent)}.`,
      change: say`Move the air, press the water out with a cloth over the squeegee, and wait.`,
      effect: climate.humidityPercent > 50 ? effectOf({ climate: { ...climate, humidityPercent: 50 } }) : 1,
    },
  ]
  return (symptom === 'too early' ? early : late)
    .filter((advice) => advice.effect > worth)
    .sort((a, b) => b.effect - a.effect)
}
