import type { FilmInStock, Roll, RollLine } from '@truelay/contract'
import {
  area,
  counted,
  day,
  figure,
  filmLength,
  length,
  name,
  percent,
  say,
  type Sentence,
  verbatim,
} from '@truelay/core/say'

/** A sum in the shop's money; cents only where they tell. */
export const moneyWords = (sum: number, money: string | undefined): Sentence =>
  money === undefined || money === ''
    ? say`${figure(sum, sum >= 100 ? 0 : 2)}`
    : say`${figure(sum, sum >= 100 ? 0 : 2)} ${verbatim(money)}`

/** A roll as people call it: the number on the label in its core. */
export const rollWords = ({ id }: Pick<Roll, 'id'>): Sentence => say`Roll ${name(id.replace(/^r/, ''))}`

/** How far the film lasts, and what has to be done. */
export function outlookWords({ outlook, jobs }: FilmInStock): {
  readonly look: 'good' | 'caution' | 'stop'
  readonly says: Sentence
} {
  const { firstShort, needMm, afterMm } = outlook
  if (firstShort !== null) {
    const job = jobs.find(({ jobId }) => jobId === firstShort.jobId)
    return {
      look: 'stop',
      says: say`Lasts until ${day(firstShort.at)}: job ${name(job?.number ?? firstShort.jobId)} lacks ${filmLength(firstShort.lackingMm)}. Order it now.`,
    }
  }
  if (outlook.reorder)
    return {
      look: 'caution',
      says:
        jobs.length === 0
          ? say`Little is left. Order it again.`
          : say`Enough for ${counted(jobs.length, '# open job', '# open jobs')}, then ${filmLength(afterMm)} are left. Order it again.`,
    }
  return {
    look: 'good',
    says:
      jobs.length === 0
        ? say`No open job needs it.`
        : say`Enough for ${counted(jobs.length, '# open job', '# open jobs')}: they take about ${filmLength(needMm)}, ${filmLength(afterMm)} are left.`,
  }
}

/** The id of the roll whose core label that is; null where it is none. */
export const rollOfLabel = (text: string): string | null => /^TLR1\/(r\d+)\/./.exec(text.trim())?.[1] ?? null

/** From what the need was reckoned. */
export const yieldWords = ({ yieldShare, yieldIsOwn }: FilmInStock): Sentence =>
  yieldIsOwn
    ? say`Reckoned with ${percent(100 * yieldShare, 0)} of the film becoming pieces, as your cuts came out.`
    : say`Reckoned with ${percent(100 * yieldShare, 0)} of the film becoming pieces, until three cuts of yours tell.`

/** A line of the book of a roll. */
export function lineWords({ happened }: Pick<RollLine, 'happened'>): Sentence {
  switch (happened.kind) {
    case 'cut':
      return happened.offcutId === null
        ? say`${filmLength(happened.lengthMm)} cut off: ${area(happened.piecesMm2)} of pieces`
        : say`an offcut cut up: ${area(happened.piecesMm2)} of pieces`
    case 'measured':
      return say`measured: ${filmLength(happened.leftMm)} left`
    case 'spoilt':
      return say`spoilt: ${filmLength(happened.fromMm)} to ${filmLength(happened.toMm)} from its loose end`
    case 'offcut kept':
      return say`put by: ${length(happened.lengthMm, 0)} by ${length(happened.widthMm, 0)}`
    case 'offcut gone':
      return say`an offcut thrown away`
    case 'gone':
      return say`used up`
    case 'back':
      return say`not used up after all`
  }
}
