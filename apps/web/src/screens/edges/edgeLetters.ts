import type { EdgeCode } from '@truelay/core/form'

/** A letter for each way of ending an edge, so that it is never told by colour alone. */
export const edgeLetters: Readonly<Record<EdgeCode, string>> = {
  'stop-short': 'S',
  'lip-stop': 'L',
  wrap: 'W',
  tuck: 'T',
  'gap-cut': 'G',
  'surface-cut': 'C',
  butt: 'B',
  overlap: 'O',
}
