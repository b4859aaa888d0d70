import type { Role } from '@truelay/contract'
import { say, type Sentence } from '@truelay/core/say'

export const roleWords: Readonly<Record<Role, Sentence>> = {
  lead: say`lead`,
  installer: say`installer`,
  'new hand': say`new hand`,
}
