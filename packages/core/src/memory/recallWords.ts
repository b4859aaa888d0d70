import { correctionWords, type DirectionWords } from '../align/index.ts'
import {
  atStart,
  count,
  counted,
  length,
  minutes,
  name,
  paragraph,
  percent,
  say,
  type Sentence,
  verbatim,
  warmer,
} from '../say/index.ts'
import type { FitFact } from './fitFact.ts'
import type { Estimated } from './mixedModel.ts'
import type { KnownOffset, OffsetCause, PartKnown } from './recallPart.ts'

const causeWords: Readonly<Record<OffsetCause, Sentence>> = {
  piece: say`It is the piece: the same on every body.`,
  body: say`It is this body: the kit fits others.`,
  hand: say`It is the hand: the same on every kit.`,
}

/** Where a piece belongs by earlier fits, counted from its pattern, and how sure that is. */
export function offsetWords(offset: KnownOffset, directions: DirectionWords): Sentence {
  const { xMm, yMm, turnDeg, begin, cause, implausible, unsure, measured } = offset
  const fits = counted(measured, '# measured fit', '# measured fits')
  if (implausible)
    return say`It had to be moved by ${length(Math.max(Math.abs(xMm.mean), Math.abs(yMm.mean)))}: more than a piece is off. Look whether it is the right piece, and the right side.`
  if (begin === null)
    return unsure
      ? say`It may sit off its pattern, but ${fits} cannot tell yet: measure the gaps again this time.`
      : say`It sat where its pattern has it, as far as ${fits} can tell.`
  const moved = correctionWords(
    {
      moveMm: [begin.xMm === 0 ? 0 : xMm.mean, begin.yMm === 0 ? 0 : yMm.mean],
      turnDeg: begin.turnDeg === 0 ? 0 : turnDeg.mean,
    },
    directions,
  )
  const told = [begin.xMm === 0 ? null : xMm, begin.yMm === 0 ? null : yMm].filter((one) => one !== null)
  const main = told.sort((a, b) => Math.abs(b.mean) - Math.abs(a.mean))[0]
  return paragraph(
    moved,
    main === undefined ? say`That is counted from its pattern.` : sureWords(main),
    cause === null ? null : causeWords[cause],
  )
}

/** What is begun with lies on one side of nothing. */
function sureWords({ low, high }: Estimated): Sentence {
  const [least, most] = [Math.abs(low), Math.abs(high)].sort((a, b) => a - b)
  return say`That is counted from its pattern; nine times in ten it is ${length(least ?? 0)} to ${length(most ?? 0)}.`
}

/** "Fingers at the nose edge: 3 of 4 times."; with the edges of a plan also whether its lay would have had none there. */
export const fingerWords = (
  { fits, fingers }: Pick<PartKnown, 'fits' | 'fingers'>,
  edges: readonly { readonly label: string; readonly leftMmPer100: number }[] = [],
): Sentence[] =>
  fingers.map(({ place, times }) => {
    const said = say`Fingers at ${verbatim(place)}: ${count(times)} of ${counted(fits, '# time', '# times')}.`
    const left = edges.find(({ label }) => label === place)?.leftMmPer100
    return left !== undefined && left < hardlyMmPer100 && 2 * times >= fits
      ? paragraph(said, say`By the lay there should be none: pull a little further there.`)
      : said
  })
/** So little film left over lies down by itself. */
const hardlyMmPer100 = 0.2

/** Which time it is here. */
export const timesWords = ({ fits }: Pick<PartKnown, 'fits'>, part: string): Sentence =>
  fits === 0
    ? say`The first ${name(part)} of this model here: nothing is known of it yet.`
    : say`Fitted ${counted(fits, '# time', '# times')} here.`

/** How much longer or shorter it took than its plan says; null where that is not sure, or too little to plan otherwise. */
export function paceWords({ pace }: Pick<PartKnown, 'pace'>, planMinutes: number | null): Sentence | null {
  if (pace === null || (pace.low <= 1 && pace.high >= 1) || Math.abs(pace.mean - 1) < leastPace) return null
  const share = percent(Math.round(100 * Math.abs(pace.mean - 1)))
  const told =
    pace.mean > 1 ? say`It takes ${share} longer than its plan says.` : say`It takes ${share} less than its plan says.`
  return planMinutes === null ? told : say`${told} Reckon with ${minutes(Math.round(planMinutes * pace.mean))} of work.`
}
/** Less than a twentieth changes no plan of a day. */
const leastPace = 0.05

/** What the thermometer has shown against the plan, where it was clearly off at the least twice; a sentence for each use of heat. */
export function heatWords({ heat }: Pick<PartKnown, 'heat'>): Sentence[] {
  return heat
    .filter(({ offC, fits }) => fits >= fewestReadings && Math.abs(offC) >= leastOffC)
    .map(({ use, offC, fits }) => {
      const by = warmer(Math.round(Math.abs(offC)))
      const times = counted(fits, '# fit', '# fits')
      const said = heatUses[use] ?? say`heating`
      return offC < 0
        ? say`${atStart(said)}: the thermometer showed ${by} less than planned in ${times}. Give it a pass more, and read again.`
        : say`${atStart(said)}: the thermometer showed ${by} more than planned in ${times}. Give it a pass less, and read again.`
    })
}
/** Where film had to be pulled otherwise than planned in most of the fits that told, and at the least twice; a sentence for each place. */
export const pullWords = ({ pulls }: Pick<PartKnown, 'pulls'>): Sentence[] =>
  pulls
    .filter(({ times, told }) => times >= fewestPulls && 2 * times > told)
    .map(({ place, needed, times, told }) => {
      const often = say`${count(times)} of ${counted(told, '# time', '# times')}`
      return needed === 'more'
        ? say`The pull at ${verbatim(place)} needed more than planned ${often}: go a little past the mark.`
        : say`The pull at ${verbatim(place)} needed less than planned ${often}: stop short of the mark and look.`
    })
/** How far film had to be pulled in one fit. */
export const pullMadeWords = ({ place, needed }: NonNullable<FitFact['pulls']>[number]): Sentence =>
  needed === 'as planned'
    ? say`at ${verbatim(place)} as planned`
    : needed === 'more'
      ? say`at ${verbatim(place)} further than planned`
      : say`at ${verbatim(place)} less far than planned`
/** Once is chance. */
const fewestPulls = 2

/** One reading may be the thermometer's. */
const fewestReadings = 2
/** Less lies within what a hand-held thermometer is sure of. */
const leastOffC = 5
const heatUses: Readonly<Record<string, Sentence>> = {
  soften: say`softening`,
  seal: say`sealing`,
  'post-heat': say`post-heating`,
}

/** "2 fresh segments, 3240 mm cut". */
export function bladeUsedWords(strokes: readonly { readonly fresh: boolean; readonly cutMm: number }[]): Sentence {
  const fresh = strokes.filter((stroke) => stroke.fresh).length
  const cut = say`${length(strokes.reduce((sum, { cutMm }) => sum + cutMm, 0))} cut`
  return fresh === 0 ? cut : say`${counted(fresh, '# fresh segment', '# fresh segments')}, ${cut}`
}
