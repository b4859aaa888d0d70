import { angle, length, list, name, say, type Sentence } from '../say/index.ts'
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

/** A correction as one would say it: "Turn the film 0.2° clockwise, then move it 2.5 mm towards the windscreen." */
export function correctionWords(
  { moveMm, turnDeg }: Pick<Correction, 'moveMm' | 'turnDeg'>,
  directions: DirectionWords = plainDirections,
): Sentence {
  const [x, y] = moveMm
  const towards = (mm: number, plus: string, minus: string) =>
    Math.abs(mm) >= leastMoveMm ? say`${length(Math.abs(mm))} towards ${name(mm > 0 ? plus : minus)}` : null
  const ways = [towards(x, directions.right, directions.left), towards(y, directions.up, directions.down)].filter(
    (way) => way !== null,
  )
  if (Math.abs(y) > Math.abs(x)) ways.reverse()
  const turn = Math.abs(turnDeg) >= leastTurnDeg ? turnWords(turnDeg) : null
  if (turn !== null && ways.length > 0) return say`Turn the film ${turn}, then move it ${list(ways)}.`
  if (turn !== null) return say`Turn the film ${turn}.`
  if (ways.length > 0) return say`Move the film ${list(ways)}.`
  return say`It sits right: leave it.`
}

function turnWords(turnDeg: number): Sentence {
  const by = angle(Math.abs(turnDeg), Math.abs(turnDeg) < 0.1 ? 2 : 1)
  return turnDeg > 0 ? say`${by} counter-clockwise` : say`${by} clockwise`
}
