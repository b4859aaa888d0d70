import { type TriangleMesh, triangleArea } from '../geometry/index.ts'
import type { Lay, LayFigures, Spread } from './layTypes.ts'

/** The spread of stretch over the triangles of a lay. */
export function layFigures(mesh: TriangleMesh, lay: Pick<Lay, 'stretch'>): LayFigures {
  const count = lay.stretch.length / 2
  const major = new Float64Array(count)
  const minor = new Float64Array(count)
  let sum = 0
  let area = 0
  for (let t = 0; t < count; t++) {
    major[t] = lay.stretch[2 * t]!
    minor[t] = lay.stretch[2 * t + 1]!
    const a = triangleArea(mesh, t)
    area += a
    sum += a * ((major[t]! - 1) ** 2 + (minor[t]! - 1) ** 2)
  }
  return { major: spreadOf(major), minor: spreadOf(minor), rmsStretch: Math.sqrt(sum / area) }
}

/** Least, 1st, 50th and 99th percentile (nearest rank) and largest. */
export function spreadOf(values: Float64Array): Spread {
  const sorted = values.slice().sort()
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(share * sorted.length) - 1))]!
  return { min: sorted[0]!, p1: at(0.01), p50: at(0.5), p99: at(0.99), max: sorted[sorted.length - 1]! }
}
