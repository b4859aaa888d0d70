import { failure, type Result, refused } from '../result/index.ts'
import type { Lay } from './layTypes.ts'

/** A lay, unless film would lie folded over itself in it: nothing that is worked out from such a one is true. */
export function unfolded<L extends Pick<Lay, 'flipped'>>(lay: Result<L>): Result<L> {
  return lay.ok && lay.value.flipped > 0 ? refused(failure('LAY_TURNED_OVER', { triangles: lay.value.flipped })) : lay
}
