import type { SchoolName } from '@truelay/core/lay'
import type { ShownRehearsal } from '../../workers/rehearsalWork.ts'
import type { OrderChoice } from './useRehearsals.ts'

/** What the two sides show. */
export interface Sides {
  readonly left: OrderChoice
  readonly right: OrderChoice
}

interface FoundOrders {
  readonly best: Pick<ShownRehearsal, 'order'>
  readonly school: Pick<ShownRehearsal, 'order'>
}

/** A school to stand beside another, where nobody has chosen one. */
export const besides = (school: SchoolName): SchoolName =>
  school === 'centre out' ? 'one end and follow' : 'centre out'

/**
 * The best school beside what was found. Where nothing beats it, it stands beside what was shown with it or instead of it:
 * never beside itself.
 */
export function sidesAfter({ best, school }: FoundOrders, { left, right }: Sides): Sides {
  const name = school.order.school
  if (best.order.made === 'by search') return { left: name, right: 'found' }
  const other = [right, left].find((side) => side !== name)
  return { left: name, right: other ?? besides(name) }
}
