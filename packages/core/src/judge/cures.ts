import { say, type Sentence } from '../say/index.ts'
import type { CauseId } from './causeIds.ts'
import type { CureStepId } from './cureStepIds.ts'
import type { FaultKind } from './faults.ts'

/** One way to put a fault right; where a cause is named, it is for that cause. */
export interface CureWay {
  readonly cause?: CauseId
  readonly steps: readonly CureStepId[]
}

const relaid: readonly CureWay[] = [
  { steps: ['lift there', 'flood with tack', 'relax', 'lay by hand', 'firm pass', 'press out'] },
  { steps: ['lift there', 'flood with water', 'relax', 'lay by hand', 'firm pass', 'press out'] },
  { steps: ['lift dry', 'relax', 'lay by hand', 'press dry'] },
]
const setAgain: readonly CureWay[] = [
  { steps: ['lift there', 'wet again', 'set to mark', 'firm pass', 'press out'] },
  { steps: ['lift dry', 'set to mark', 'press dry'] },
]
const cleanedOut: readonly CureWay[] = [
  { steps: ['lift there', 'rinse', 'wet again', 'firm pass', 'press out'] },
  { steps: ['lift dry', 'pick it off', 'press dry'] },
]
const heldDown: readonly CureWay[] = [
  { cause: 'wait cut short', steps: ['let it grab', 'press out', 'warm and press'] },
  { cause: 'too little heat', steps: ['post-heat', 'seal'] },
  { steps: ['flush edge', 'press out', 'warm and press', 'seal'] },
  { steps: ['flush edge', 'press out', 'let it grab'] },
  { steps: ['warm and press', 'seal'] },
  { steps: ['warm and press'] },
  { steps: ['press by hand'] },
]

/** Ways to put each fault right, the best first; the first of which every step can be done where the work stands is taken. */
export const cureWays: Readonly<Record<FaultKind, readonly CureWay[]>> = {
  fingers: [
    { steps: ['lift there', 'flood with tack', 'pull out', 'firm pass', 'press out'] },
    { steps: ['lift there', 'flood with water', 'pull out', 'firm pass', 'press out'] },
    { steps: ['warm and lift', 'pull out', 'press dry'] },
    { steps: ['lift dry', 'pull out', 'press dry'] },
    { steps: ['saw along', 'warm and press'] },
    { steps: ['warm and press'] },
    { steps: ['saw along'] },
  ],
  crease: relaid,
  'overheated wrinkle': [
    { steps: ['let it cool', 'lift there', 'wet again', 'lay by hand', 'firm pass'] },
    { steps: ['let it cool', 'lift dry', 'lay by hand', 'press dry'] },
  ],
  'stuck to itself': [{ steps: ['pull apart wet'] }, { steps: ['pull apart dry'] }],
  'air bubble': [
    { steps: ['lift there', 'wet again', 'firm pass', 'press out'] },
    { steps: ['prick', 'press dry'] },
    { steps: ['lift dry', 'press dry'] },
    { steps: ['leave it days'] },
  ],
  'water bubble': [
    { steps: ['firm pass', 'press out'] },
    { steps: ['draw out', 'press out'] },
    { steps: ['lift dry', 'press dry'] },
  ],
  haze: [
    { steps: ['firm pass', 'leave it days'] },
    { steps: ['leave it days'] },
    { steps: ['firm pass', 'press out'] },
  ],
  silvering: [
    { steps: ['lift there', 'wet again', 'firm pass', 'press out'] },
    { steps: ['warm and press'] },
    { steps: ['lift dry', 'press dry'] },
  ],
  'dirt or hair': cleanedOut,
  'dust under film': cleanedOut,
  fingerprint: [{ steps: ['lift there', 'rinse', 'firm pass', 'press out'] }, { steps: ['leave it days'] }],
  'glue line': [...relaid, { steps: ['warm and press'] }],
  'stop line': [
    { steps: ['lift there', 'wet again', 'firm pass', 'press out'] },
    { steps: ['warm and press'] },
    { steps: ['lift dry', 'press dry'] },
  ],
  'lifting edge': heldDown,
  'lifting after the cut': heldDown,
  bridging: [
    { steps: ['lift there', 'wet again', 'warm from the deepest', 'press out'] },
    { steps: ['warm from the deepest', 'post-heat'] },
    { steps: ['warm from the deepest'] },
    { steps: ['lift there', 'wet again', 'lay by hand', 'press out'] },
    { steps: ['lift dry', 'lay by hand', 'press dry'] },
  ],
  'knife mark': [],
  'jagged cut': [{ steps: ['trim the rag'] }],
  'uncut bridge': [{ steps: ['cut the thread'] }],
  'gap uneven': setAgain,
  'off its mark': setAgain,
  'chrome showing': [...setAgain, { steps: ['cover strip'] }],
  'colour seam showing': [...setAgain, { steps: ['cover strip'] }],
  'pattern warped': relaid,
  'grabbed too early': [
    { cause: 'too little soap', steps: ['fresh slip', 'lift there', 'wet again', 'set to mark'] },
    { steps: ['lift there', 'wet again', 'set to mark'] },
    { steps: ['lift dry', 'set to mark', 'press dry'] },
  ],
  'will not grab': [
    { cause: 'coating beneath', steps: ['lift there', 'clean there', 'wet again', 'firm pass'] },
    { cause: 'not clean', steps: ['lift there', 'clean there', 'wet again', 'firm pass'] },
    { cause: 'not clean', steps: ['lift dry', 'wash there', 'press dry'] },
    { cause: 'tack too weak', steps: ['fresh tack', 'flush edge', 'press out', 'let it grab'] },
    { steps: ['flush edge', 'press out', 'let it grab'] },
    { steps: ['press out', 'let it grab'] },
    { steps: ['let it grab'] },
  ],
  'torn piece': [],
  'burnt film': [],
  'lens crazed': [],
}

/** Whether film may be handed over with it. */
export const canBeLeft = (fault: FaultKind): boolean => leftWords[fault] !== null

/** What the customer is told where it is left as it is; null where it cannot be left. */
export const leftWords: Readonly<Record<FaultKind, Sentence | null>> = {
  fingers: say`Small folds stay at the edge. They do no harm; dirt may gather there, and they can be pressed again with heat.`,
  crease: say`A fold stays visible. It does no harm to the film's work.`,
  'overheated wrinkle': say`Fine waves stay visible there. The film protects as before.`,
  'stuck to itself': null,
  'air bubble': say`Small bubbles stay for some days; those that do not go by themselves are looked at again.`,
  'water bubble': say`A pocket of water stays for some days and shrinks; it is looked at again. Press nothing.`,
  haze: say`It is milky until the water has gone, which takes some days.`,
  silvering: say`A silver spot stays visible. It does no harm.`,
  'dirt or hair': say`A speck stays under the film. It does no harm and does not grow.`,
  'dust under film': say`Fine points stay under the film, seen from near by. They do no harm.`,
  fingerprint: say`A print stays visible under some light, fainter with time.`,
  'glue line': say`Fine lines stay visible under some light, fainter with time.`,
  'stop line': say`A line stays visible under some light, fainter with time.`,
  'lifting edge': null,
  'lifting after the cut': null,
  bridging: say`The film spans a hollow there. It may lift with time: it is looked at again.`,
  'knife mark': say`A mark stays beside the cut; it was shown to you.`,
  'jagged cut': say`The edge is not quite straight there. It holds.`,
  'uncut bridge': null,
  'gap uneven': say`The margin is not the same all along. It holds as it is.`,
  'off its mark': say`The film does not meet its mark there. It holds as it is.`,
  'chrome showing': say`A line of bright metal stays beside the film.`,
  'colour seam showing': say`A line of the colour beneath stays visible.`,
  'pattern warped': say`The lines of the print bend there.`,
  'grabbed too early': say`It holds where it lies.`,
  'will not grab': null,
  'torn piece': say`The film is torn there. It protects elsewhere; the tear is open to dirt.`,
  'burnt film': say`The film is dull there. It protects elsewhere.`,
  'lens crazed': say`The lens itself has fine cracks. Film neither mends nor hides them.`,
}
