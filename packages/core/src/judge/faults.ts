import { say, type Sentence } from '../say/index.ts'

/** What one sees, sorted as the eye sorts it. */
export const faultGroups = ['folds', 'under the film', 'edge', 'place', 'grip', 'spoilt'] as const
export type FaultGroup = (typeof faultGroups)[number]
export const faultGroupWords: Readonly<Record<FaultGroup, Sentence>> = {
  folds: say`Folds`,
  'under the film': say`Under the film`,
  edge: say`Edges and cuts`,
  place: say`Where it lies`,
  grip: say`How it holds`,
  spoilt: say`Spoilt`,
}

interface Fault {
  readonly says: Sentence
  readonly group: FaultGroup
  /** What tells it from what looks alike. */
  readonly looks: Sentence
  /** The piece is no longer good: what becomes of it has to be said before the part is done. */
  readonly spoils?: true
}

/** What can be wrong with film on a part, as installers name it. */
const faultTable = {
  fingers: { says: say`fingers`, group: 'folds', looks: say`Short folds that stand up along an edge.` },
  crease: { says: say`crease`, group: 'folds', looks: say`One sharp fold that was pressed down.` },
  'overheated wrinkle': {
    says: say`wrinkle from too much heat`,
    group: 'folds',
    looks: say`Fine waves where the gun was.`,
  },
  'stuck to itself': { says: say`film stuck to itself`, group: 'folds', looks: say`Glue on glue.` },
  'air bubble': {
    says: say`air bubble`,
    group: 'under the film',
    looks: say`Round; it moves or springs back when pressed.`,
  },
  'water bubble': {
    says: say`water bubble`,
    group: 'under the film',
    looks: say`A pocket that runs ahead of the squeegee.`,
  },
  haze: { says: say`haze`, group: 'under the film', looks: say`Milky all over, no edge to it.` },
  silvering: {
    says: say`silvering`,
    group: 'under the film',
    looks: say`A silver line or patch where film does not touch.`,
  },
  'dirt or hair': {
    says: say`dirt or hair`,
    group: 'under the film',
    looks: say`A speck with a tent of film round it.`,
  },
  'dust under film': {
    says: say`dust under the film`,
    group: 'under the film',
    looks: say`Many fine points, as after a dusty day.`,
  },
  fingerprint: { says: say`fingerprint`, group: 'under the film', looks: say`Where the glue was held.` },
  'glue line': { says: say`glue line`, group: 'under the film', looks: say`Lines across the pull, as if combed.` },
  'stop line': {
    says: say`line where the laying stopped`,
    group: 'under the film',
    looks: say`One line along the stroke.`,
  },
  'lifting edge': { says: say`lifting edge`, group: 'edge', looks: say`A finger along it feels it.` },
  'lifting after the cut': { says: say`lifting after the cut`, group: 'edge', looks: say`The fresh cut stands off.` },
  bridging: { says: say`bridging`, group: 'edge', looks: say`Film spans a hollow.` },
  'knife mark': { says: say`knife mark`, group: 'edge', looks: say`A line beside the cut.` },
  'jagged cut': { says: say`jagged cut`, group: 'edge', looks: say`The edge is torn in steps.` },
  'uncut bridge': { says: say`uncut bridge`, group: 'edge', looks: say`The waste still hangs on a thread.` },
  'gap uneven': { says: say`gap uneven`, group: 'place', looks: say`Wider at one end than at the other.` },
  'off its mark': {
    says: say`too high or low at a reference`,
    group: 'place',
    looks: say`A corner, sensor or badge is not met.`,
  },
  'chrome showing': { says: say`chrome showing`, group: 'place', looks: say`Bright metal beside the film.` },
  'colour seam showing': {
    says: say`colour seam showing`,
    group: 'place',
    looks: say`Paint shows where film should end.`,
  },
  'pattern warped': { says: say`pattern warped`, group: 'place', looks: say`Lines of the print bend.` },
  'grabbed too early': { says: say`grabbed too early`, group: 'grip', looks: say`It no longer glides.` },
  'will not grab': { says: say`will not grab`, group: 'grip', looks: say`It floats off again.` },
  'torn piece': { says: say`torn piece`, group: 'spoilt', looks: say`A tear runs into it.`, spoils: true },
  'burnt film': { says: say`burnt film`, group: 'spoilt', looks: say`Dull, shrunk or holed by the gun.`, spoils: true },
  'lens crazed': { says: say`lens crazed`, group: 'spoilt', looks: say`Fine cracks in the lens itself.` },
} as const satisfies Record<string, Fault>

export type FaultKind = keyof typeof faultTable
/** In the order in which they are offered. */
export const faultKinds = Object.keys(faultTable) as [FaultKind, ...FaultKind[]]
const of = (kind: FaultKind): Fault => faultTable[kind]
export const faultWords = (kind: FaultKind): Sentence => of(kind).says
export const faultLooks = (kind: FaultKind): Sentence => of(kind).looks
export const faultGroup = (kind: FaultKind): FaultGroup => of(kind).group
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
