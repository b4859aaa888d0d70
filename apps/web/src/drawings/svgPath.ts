import type { Vec2 } from '@truelay/core/geometry'

const number = (x: number) => x.toFixed(2)

/** A closed path; y is turned so that up is up. */
export const closedPath = (polygon: readonly Vec2[]) => `${openPath(polygon)}Z`

export const openPath = (line: readonly Vec2[]) =>
  line.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${number(x)} ${number(-y)}`).join('')

/** An area with its holes; to be filled by the even-odd rule. */
export const areaPath = (outline: readonly Vec2[], holes: readonly (readonly Vec2[])[]) =>
  [outline, ...holes].map(closedPath).join('')
