import { correctionWords, type DirectionWords } from '../align/index.ts'
import { count, counted, length, name, paragraph, say, type Sentence, verbatim } from '../say/index.ts'
import type { KnownOffset, OffsetCause, PartKnown } from './recallPart.ts'

const causeWords: Readonly<Record<OffsetCause, Sentence>> = {
  piece: say`It is the piece: the same on every body.`,
  body: say`It is this body: the kit fits others.`,
  hand: say`It is the hand: the same on every kit.`,
}

/** Which time it is, and what is known of where the piece sits. */
export function offsetWords(offset: KnownOffset, directions: DirectionWords): Sentence {
  const { xMm, yMm, turnDeg, begin, cause, implausible } = offset
  const main = Math.abs(xMm.mean) >= Math.abs(yMm.mean) ? xMm : yMm
  const sure = say`Surely between ${length(Math.min(Math.abs(main.low), Math.abs(main.high)))} and ${length(Math.max(Math.abs(main.low), Math.abs(main.high)))}.`
  if (implausible)
    return say`It had to be moved by ${length(Math.max(Math.abs(xMm.mean), Math.abs(yMm.mean)))}: more than a piece is off. Look whether it is the right piece, and the right side.`
  if (begin === null)
    return say`It sat where the plan has it, as far as ${counted(offset.measured, '# measured fit', '# measured fits')} can tell.`
  const moved = correctionWords(
    { moveMm: [xMm.mean, yMm.mean], turnDeg: begin.turnDeg === 0 ? 0 : turnDeg.mean },
    directions,
  )
  return paragraph(moved, sure, cause === null ? null : causeWords[cause])
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
