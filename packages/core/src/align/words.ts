import { angle, length, list, name, say, type Sentence } from '../say/index.ts'
import { radFromDeg } from '../units/index.ts'
import type { Correction } from './correction.ts'

/** What an installer calls the four ways of the drawing: "towards the windscreen". */
export interface DirectionWords {
  readonly right: string
  readonly left: string
  readonly up: string
  readonly down: string
}

export const plainDirections: DirectionWords = {
  right: 'the right',
  left: 'the left',
  up: 'the top',
  down: 'the bottom',
}

/** Less than this cannot be set by hand. */
const leastMoveMm = 0.05
const leastTurnDeg = 0.005

/** What has to be known of a correction to say it; with `farMm` a turn is told as what it moves there, with `sigma` nothing finer than was read. */
export type SaidCorrection = Pick<Correction, 'moveMm' | 'turnDeg'> & Partial<Pick<Correction, 'farMm' | 'sigma'>>

/** A correction as one would say it: "Turn the film clockwise, 1.2 mm at the far end, then move it 2.5 mm towards the windscreen." */
export function correctionWords(
  { moveMm, turnDeg, farMm, sigma }: SaidCorrection,
  directions: DirectionWords = plainDirections,
): Sentence {
  const [x, y] = moveMm
  // What the gaps do not determine is no better known when it is left out.
  const known = (of: number | undefined) => (of !== undefined && Number.isFinite(of) ? of : 0)
  const towards = (mm: number, sigmaMm: number, plus: string, minus: string) =>
    Math.abs(mm) >= Math.max(leastMoveMm, sigmaMm)
      ? say`${length(Math.abs(mm))} towards ${name(mm > 0 ? plus : minus)}`
      : null
  const ways = [
    towards(x, known(sigma?.moveMm[0]), directions.right, directions.left),
    towards(y, known(sigma?.moveMm[1]), directions.up, directions.down),
  ].filter((way) => way !== null)
  if (Math.abs(y) > Math.abs(x)) ways.reverse()
  const turn = Math.abs(turnDeg) >= Math.max(leastTurnDeg, known(sigma?.turnDeg)) ? turnWords(turnDeg, farMm) : null
  if (turn !== null && ways.length > 0) return say`Turn the film ${turn}, then move it ${list(ways)}.`
  if (turn !== null) return say`Turn the film ${turn}.`
  if (ways.length > 0) return say`Move the film ${list(ways)}.`
  const asked = Math.hypot(x, y) >= leastMoveMm || Math.abs(turnDeg) >= leastTurnDeg
  return asked ? say`What is left is less than a rule can tell: leave it.` : say`It sits right: leave it.`
}

function turnWords(turnDeg: number, farMm: number | undefined): Sentence {
  if (farMm !== undefined) {
    const by = length(Math.abs(radFromDeg(turnDeg)) * farMm)
    return turnDeg > 0 ? say`counter-clockwise, ${by} at the far end` : say`clockwise, ${by} at the far end`
  }
  const by = angle(Math.abs(turnDeg), Math.abs(turnDeg) < 0.1 ? 2 : 1)
  return turnDeg > 0 ? say`${by} counter-clockwise` : say`${by} clockwise`
}
