import { correctionWords, type DirectionWords } from '../align/index.ts'
import {
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
} from '../say/index.ts'
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

/** "Fingers at the nose edge 3 of 4 times." */
export const fingerWords = ({ fits, fingers }: PartKnown): Sentence[] =>
  fingers.map(
    ({ place, times }) => say`Fingers at ${verbatim(place)}: ${count(times)} of ${counted(fits, '# time', '# times')}.`,
  )

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
