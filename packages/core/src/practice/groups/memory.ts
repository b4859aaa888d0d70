import { say } from '../../say/index.ts'
import { figures } from '../practiceFigure.ts'

/** What is ordinary between one fit and the next, before any fit has taught better. */
export const memory = figures(say`What fits teach`, {
  offsetPiece: {
    label: say`Pieces sit off their patterns by ordinarily`,
    unit: 'mm',
    value: 1.5,
    min: 0.3,
    max: 5,
    reason: say`Kits are drawn from one vehicle and cut on a plotter; two or three millimetres are met.`,
  },
  offsetBody: {
    label: say`Bodies differ from each other by ordinarily`,
    unit: 'mm',
    value: 1,
    min: 0.2,
    max: 5,
    reason: say`Gaps of panels are set to a millimetre or so; repaired bodies differ more.`,
  },
  offsetHand: {
    label: say`Hands differ from each other by ordinarily`,
    unit: 'mm',
    value: 0.7,
    min: 0.1,
    max: 3,
    reason: say`Who looks from above sets it lower.`,
  },
  offsetNoise: {
    label: say`The same piece, body and hand differ from time to time by`,
    unit: 'mm',
    value: 0.5,
    min: 0.1,
    max: 2,
    reason: say`As well as wet film is set down by eye.`,
  },
  offsetLeast: {
    label: say`To begin otherwise is worth it from`,
    unit: 'mm',
    value: 0.75,
    min: 0.25,
    max: 3,
    reason: say`Less than a hand sets.`,
  },
  offsetMost: {
    label: say`No piece is off by more than`,
    unit: 'mm',
    value: 12,
    min: 4,
    max: 40,
    reason: say`Beyond that it is another piece, another side or another model.`,
  },
})
