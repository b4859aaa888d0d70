import type { Practice } from '../practice/index.ts'
import { say, type Sentence } from '../say/index.ts'

export const waitKinds = [
  'initialGrab',
  'beforeWrap',
  'beforeTrim',
  'coolBeforeCut',
  'waterLaid',
  'haze',
  'beforeWash',
  'edgeLook',
  'fullBond',
] as const
export type WaitKind = (typeof waitKinds)[number]

export interface Wait {
  readonly kind: WaitKind
  readonly label: Sentence
  readonly minutes: number
}

/** The waits of the trade from the shop's figures, at ordinary room temperature and humidity (20 °C, 50 %). */
export function waitOf(kind: WaitKind, practice: Practice): Wait {
  switch (kind) {
    case 'initialGrab':
      return { kind, label: say`initial grab`, minutes: practice.waitInitialGrab }
    case 'beforeWrap':
      return { kind, label: say`dry before the edge is turned`, minutes: practice.waitBeforeWrap }
    case 'beforeTrim':
      return { kind, label: say`dry before the trim`, minutes: practice.waitBeforeTrim }
    case 'coolBeforeCut':
      return { kind, label: say`cool before the cut`, minutes: practice.waitCoolBeforeCut }
    case 'waterLaid':
      return { kind, label: say`water-laid film bonds`, minutes: practice.waitWaterLaid }
    case 'haze':
      return { kind, label: say`haze and pin-size bubbles leave`, minutes: practice.waitHaze }
    case 'beforeWash':
      return { kind, label: say`no washing`, minutes: practice.waitBeforeWash }
    case 'edgeLook':
      return { kind, label: say`press and look at edges`, minutes: practice.waitEdgeLook }
    case 'fullBond':
      return { kind, label: say`full bond`, minutes: practice.waitFullBond }
  }
}
