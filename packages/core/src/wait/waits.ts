import type { Practice } from '../practice/index.ts'

export type WaitKind =
  | 'initialGrab'
  | 'beforeWrap'
  | 'beforeTrim'
  | 'coolBeforeCut'
  | 'waterLaid'
  | 'haze'
  | 'beforeWash'
  | 'edgeLook'
  | 'fullBond'

export const waitKinds: readonly WaitKind[] = [
  'initialGrab',
  'beforeWrap',
  'beforeTrim',
  'coolBeforeCut',
  'waterLaid',
  'haze',
  'beforeWash',
  'edgeLook',
  'fullBond',
]

export interface Wait {
  readonly kind: WaitKind
  readonly label: string
  readonly minutes: number
}

/** The waits of the trade from the shop's figures, at ordinary room temperature and humidity (20 °C, 50 %). */
export function waitOf(kind: WaitKind, practice: Practice): Wait {
  switch (kind) {
    case 'initialGrab':
      return { kind, label: 'initial grab', minutes: practice.waitInitialGrab }
    case 'beforeWrap':
      return { kind, label: 'dry before the edge is turned', minutes: practice.waitBeforeWrap }
    case 'beforeTrim':
      return { kind, label: 'dry before the trim', minutes: practice.waitBeforeTrim }
    case 'coolBeforeCut':
      return { kind, label: 'cool before the cut', minutes: practice.waitCoolBeforeCut }
    case 'waterLaid':
      return { kind, label: 'water-laid film bonds', minutes: practice.waitWaterLaid }
    case 'haze':
      return { kind, label: 'haze and pin-size bubbles leave', minutes: practice.waitHaze }
    case 'beforeWash':
      return { kind, label: 'no washing', minutes: practice.waitBeforeWash }
    case 'edgeLook':
      return { kind, label: 'press and look at edges', minutes: practice.waitEdgeLook }
    case 'fullBond':
      return { kind, label: 'full bond', minutes: practice.waitFullBondHours }
  }
}
