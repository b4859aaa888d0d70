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

export interface WordOptions {
  readonly directions: DirectionWords
  /** Shows a length in the shop's unit. */
  readonly length: (lengthMm: number) => string
}

const inMm = (lengthMm: number) => `${lengthMm.toFixed(1)} mm`
export const plainWords: WordOptions = { directions: plainDirections, length: inMm }

/** Less than this cannot be set by hand. */
const leastMoveMm = 0.05
const leastTurnDeg = 0.005

/** A correction as one would say it: "Turn the film 0.2° clockwise, then move it 2.5 mm towards the windscreen." */
export function correctionWords(
  { moveMm, turnDeg }: Pick<Correction, 'moveMm' | 'turnDeg'>,
  { directions, length }: WordOptions = plainWords,
): string {
  const [x, y] = moveMm
  const ways = [
    Math.abs(x) >= leastMoveMm ? `${length(Math.abs(x))} towards ${x > 0 ? directions.right : directions.left}` : null,
    Math.abs(y) >= leastMoveMm ? `${length(Math.abs(y))} towards ${y > 0 ? directions.up : directions.down}` : null,
  ].filter((way) => way !== null)
  if (Math.abs(y) > Math.abs(x)) ways.reverse()
  const turn =
    Math.abs(turnDeg) >= leastTurnDeg
      ? `${degrees(Math.abs(turnDeg))} ${turnDeg > 0 ? 'counter-clockwise' : 'clockwise'}`
      : null
  if (turn !== null && ways.length > 0) return `Turn the film ${turn}, then move it ${ways.join(' and ')}.`
  if (turn !== null) return `Turn the film ${turn}.`
  if (ways.length > 0) return `Move the film ${ways.join(' and ')}.`
  return 'It sits right: leave it.'
}

const degrees = (turnDeg: number) => `${turnDeg.toFixed(turnDeg < 0.1 ? 2 : 1)}°`
