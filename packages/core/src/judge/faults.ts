import { say, type Sentence } from '../say/index.ts'

/** What can be wrong with film on a part, as installers name it. */
const faultTable = {
  fingers: say`fingers`,
  'air bubble': say`air bubble`,
  'water bubble': say`water bubble`,
  'dirt or hair': say`dirt or hair`,
  crease: say`crease`,
  'glue line': say`glue line`,
  'lifting edge': say`lifting edge`,
  bridging: say`bridging`,
  silvering: say`silvering`,
  'grabbed too early': say`grabbed too early`,
  'will not grab': say`will not grab`,
  'gap uneven': say`gap uneven`,
  'knife mark': say`knife mark`,
  'torn piece': say`torn piece`,
  'burnt film': say`burnt film`,
} as const satisfies Record<string, Sentence>

/** Faults after which the piece is no longer good: what becomes of it has to be said before the part is done. */
const spoiling = ['torn piece', 'burnt film'] as const satisfies readonly (keyof typeof faultTable)[]

export type FaultKind = keyof typeof faultTable
/** In the order in which they are offered. */
export const faultKinds = Object.keys(faultTable) as [FaultKind, ...FaultKind[]]
export const faultWords = (kind: FaultKind): Sentence => faultTable[kind]
export const spoils = (kind: FaultKind): boolean => spoiling.some((fault) => fault === kind)

const outcomeTable = {
  'customer takes it': say`the customer has seen it and takes it`,
  'laid again': say`it comes off and is laid again`,
} as const satisfies Record<string, Sentence>
/** What can become of a spoilt piece. */
export type SpoilOutcome = keyof typeof outcomeTable
export const spoilOutcomes = Object.keys(outcomeTable) as [SpoilOutcome, ...SpoilOutcome[]]
export const spoilOutcomeWords = (outcome: SpoilOutcome): Sentence => outcomeTable[outcome]
