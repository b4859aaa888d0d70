import { say, type Sentence } from '../say/index.ts'
import type { FaultKind } from './faults.ts'

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

interface Look {
  readonly group: FaultGroup
  /** What tells it from what looks alike. */
  readonly looks: Sentence
}

const lookTable: Readonly<Record<FaultKind, Look>> = {
  fingers: { group: 'folds', looks: say`Short folds that stand up along an edge.` },
  crease: { group: 'folds', looks: say`One sharp fold that was pressed down.` },
  'overheated wrinkle': { group: 'folds', looks: say`Fine waves where the gun was.` },
  'stuck to itself': { group: 'folds', looks: say`Glue on glue.` },
  'air bubble': { group: 'under the film', looks: say`Round; it moves or springs back when pressed.` },
  'water bubble': { group: 'under the film', looks: say`A pocket that runs ahead of the squeegee.` },
  haze: { group: 'under the film', looks: say`Milky all over, no edge to it.` },
  silvering: { group: 'under the film', looks: say`A silver line or patch where film does not touch.` },
  'dirt or hair': { group: 'under the film', looks: say`A speck with a tent of film round it.` },
  'dust under film': { group: 'under the film', looks: say`Many fine points, as after a dusty day.` },
  fingerprint: { group: 'under the film', looks: say`Where the glue was held.` },
  'glue line': { group: 'under the film', looks: say`Lines across the pull, as if combed.` },
  'stop line': { group: 'under the film', looks: say`One line along the stroke.` },
  'lifting edge': { group: 'edge', looks: say`A finger along it feels it.` },
  'lifting after the cut': { group: 'edge', looks: say`The fresh cut stands off.` },
  bridging: { group: 'edge', looks: say`Film spans a hollow.` },
  'knife mark': { group: 'edge', looks: say`A line beside the cut.` },
  'jagged cut': { group: 'edge', looks: say`The edge is torn in steps.` },
  'uncut bridge': { group: 'edge', looks: say`The waste still hangs on a thread.` },
  'gap uneven': { group: 'place', looks: say`Wider at one end than at the other.` },
  'off its mark': { group: 'place', looks: say`A corner, sensor or badge is not met.` },
  'chrome showing': { group: 'place', looks: say`Bright metal beside the film.` },
  'colour seam showing': { group: 'place', looks: say`Paint shows where film should end.` },
  'pattern warped': { group: 'place', looks: say`Lines of the print bend.` },
  'grabbed too early': { group: 'grip', looks: say`It no longer glides.` },
  'will not grab': { group: 'grip', looks: say`It floats off again.` },
  'torn piece': { group: 'spoilt', looks: say`A tear runs into it.` },
  'burnt film': { group: 'spoilt', looks: say`Dull, shrunk or holed by the gun.` },
  'lens crazed': { group: 'spoilt', looks: say`Fine cracks in the lens itself.` },
}

export const faultLooks = (kind: FaultKind): Sentence => lookTable[kind].looks
export const faultGroup = (kind: FaultKind): FaultGroup => lookTable[kind].group
