import type { Vec2 } from '@truelay/core/geometry'
import { Line } from '@react-three/drei/core/Line'
import { useMemo } from 'react'
import { dense } from './dense.ts'
import type { Vector3Tuple } from 'three'

/** How far film lies on a form: what the pictures of a rehearsal show. */
export interface FilmProgress {
  /** Number of the step that laid each vertex. */
  readonly stepOfVertex: Int32Array
  /** The step that was just done; 0 = nothing lies. */
  readonly step: number
  /** Between laid and free film, pairs of spots on the drawing, mm. */
  readonly front: readonly (readonly [Vec2, Vec2])[]
  /** Film left over along the rim of what lies. */
  readonly fingers: readonly {
    readonly at: Vec2
    readonly outward: Vec2
    readonly mmPer100: number
    readonly step: number
  }[]
}

type OnSurface = (p: Vec2) => [number, number, number] | null

/** Length of a tick for a millimetre of film too much, as a share of the part's size. */
const tickShare = 0.045

/** The front as a heavy line, and a tick outward for film left over at the rim: the longer, the more. */
export function FilmOnForm({
  progress,
  radius,
  onSurface,
}: {
  readonly progress: FilmProgress
  readonly radius: number
  readonly onSurface: OnSurface
}) {
  const { front, fingers, step } = progress
  const frontPoints = useMemo(
    () =>
      front.flatMap(([a, b]) => {
        const [p, q] = [onSurface(a), onSurface(b)]
        return p === null || q === null ? [] : [raised(p, radius / 150), raised(q, radius / 150)]
      }),
    [front, onSurface, radius],
  )
  const ticks = useMemo(
    () =>
      fingers
        .filter((f) => f.step > 0 && f.step <= step)
        .flatMap((f) => {
          const p = onSurface(f.at)
          if (p === null) return []
          const long = Math.min(0.2, tickShare * f.mmPer100) * radius
          return [p, [p[0] + long * f.outward[0], p[1] + long * f.outward[1], p[2]] as Vector3Tuple]
        }),
    [fingers, step, onSurface, radius],
  )
  return (
    <>
      {frontPoints.length === 0 ? null : <Line points={frontPoints} segments color="#0b5563" lineWidth={4} />}
      {ticks.length === 0 ? null : <Line points={ticks} segments color="#5b2d9b" lineWidth={3} />}
    </>
  )
}

const raised = ([x, y, z]: [number, number, number], by: number): Vector3Tuple => [x, y, z + by]

/** Where film is cut: a heavy dashed line in the colour of a caution. */
export function CutLine({
  along,
  radius,
  onSurface,
}: {
  readonly along: readonly Vec2[]
  readonly radius: number
  readonly onSurface: OnSurface
}) {
  const points = useMemo(
    () =>
      dense(along).flatMap((p) => {
        const at = onSurface(p)
        return at === null ? [] : [raised(at, radius / 120)]
      }),
    [along, onSurface, radius],
  )
  return points.length < 2 ? null : (
    <Line points={points} color="#b45309" lineWidth={4} dashed dashSize={radius / 25} gapSize={radius / 50} />
  )
}
