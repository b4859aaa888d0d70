import type { Vec2 } from '@truelay/core/geometry'

/** A line with so many points between its own that it can follow a curved part. */
export function dense(line: readonly Vec2[]): Vec2[] {
  return line.flatMap((p, i) => {
    const next = line[i + 1]
    if (next === undefined) return [p]
    return Array.from(
      { length: 30 },
      (_, k): Vec2 => [p[0] + ((next[0] - p[0]) * k) / 30, p[1] + ((next[1] - p[1]) * k) / 30],
    )
  })
}
