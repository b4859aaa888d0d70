import { say, type Sentence } from '../say/index.ts'

interface Fault {
  readonly says: Sentence
  /** The piece is no longer good: what becomes of it has to be said before the part is done. */
  readonly spoils?: true
}

/** What can be wrong with film on a part, as installers name it. */
const faultTable = {
  fingers: { says: say`fingers` },
  crease: { says: say`crease` },
  'overheated wrinkle': { says: say`wrinkle from too much heat` },
  'stuck to itself': { says: say`film stuck to itself` },
  'air bubble': { says: say`air bubble` },
  'water bubble': { says: say`water bubble` },
  haze: { says: say`haze` },
  silvering: { says: say`silvering` },
  'dirt or hair': { says: say`dirt or hair` },
  'dust under film': { says: say`dust under the film` },
  fingerprint: { says: say`fingerprint` },
  'glue line': { says: say`glue line` },
  'stop line': { says: say`line where the laying stopped` },
  'lifting edge': { says: say`lifting edge` },
  'lifting after the cut': { says: say`lifting after the cut` },
  bridging: { says: say`bridging` },
  'knife mark': { says: say`knife mark` },
  'jagged cut': { says: say`jagged cut` },
  'uncut bridge': { says: say`uncut bridge` },
  'gap uneven': { says: say`gap uneven` },
  'off its mark': { says: say`too high or low at a reference` },
  'chrome showing': { says: say`chrome showing` },
  'colour seam showing': { says: say`colour seam showing` },
  'pattern warped': { says: say`pattern warped` },
  'grabbed too early': { says: say`grabbed too early` },
  'will not grab': { says: say`will not grab` },
  'torn piece': { says: say`torn piece`, spoils: true },
  'burnt film': { says: say`burnt film`, spoils: true },
  'lens crazed': { says: say`lens crazed` },
} as const satisfies Record<string, Fault>

export type FaultKind = keyof typeof faultTable
/** In the order in which they are offered. */
export const faultKinds = Object.keys(faultTable) as [FaultKind, ...FaultKind[]]
const of = (kind: FaultKind): Fault => faultTable[kind]
export const faultWords = (kind: FaultKind): Sentence => of(kind).says
export const spoils = (kind: FaultKind): boolean => of(kind).spoils === true

const settlingTable = {
  'put right': say`put right`,
  'was there': say`was there before`,
  'customer takes it': say`the customer has seen it and takes it`,
} as const satisfies Record<string, Sentence>
/** What became of a fault. */
export type FaultOutcome = keyof typeof settlingTable
export const faultOutcomes = Object.keys(settlingTable) as [FaultOutcome, ...FaultOutcome[]]
export const faultOutcomeWords = (outcome: FaultOutcome): Sentence => settlingTable[outcome]

const outcomeTable = {
  'customer takes it': say`the customer has seen it and takes it`,
  'laid again': say`it comes off and is laid again`,
} as const satisfies Record<string, Sentence>
/** What can become of a spoilt piece. */
export type SpoilOutcome = keyof typeof outcomeTable
export const spoilOutcomes = Object.keys(outcomeTable) as [SpoilOutcome, ...SpoilOutcome[]]
export const spoilOutcomeWords = (outcome: SpoilOutcome): Sentence => outcomeTable[outcome]

const sourceTable = {
  spare: say`it comes off and is laid again, with the spare of the kit`,
  roll: say`it comes off and is laid again, with a new piece off the roll`,
} as const satisfies Record<string, Sentence>
/** Where another piece comes from. */
export type PieceSource = keyof typeof sourceTable
export const pieceSources = Object.keys(sourceTable) as [PieceSource, ...PieceSource[]]
export const pieceSourceWords = (source: PieceSource): Sentence => sourceTable[source]
