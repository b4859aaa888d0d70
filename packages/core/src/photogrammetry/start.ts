import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import type { Vec2 } from '../geometry/index.ts'
import type { Network } from './bundle.ts'
import { type Inner, type Pose, turnedBy, type Vec3 } from './camera.ts'
import type { PhotoSet } from './photographs.ts'
import { type OnPlane, poseOfPlane } from './platePose.ts'
import { resected } from './resection.ts'

export interface Started {
  readonly network: Network
  /** Numbers of the photographs that are part of it, in the order of its poses. */
  readonly photos: readonly number[]
  /** Targets, in the order of its points. */
  readonly targets: readonly number[]
  readonly tooFewRays: readonly number[]
}

/**
 * Where everything is, roughly: photographs that see the plate stand by it, targets where their rays come nearest to each other, all other
 * photographs by targets that are known then. Null where fewer than two photographs see the plate.
 */
export function started({ photographs, inner, plate }: PhotoSet, leastRays: number): Started | null {
  const poses: (Pose | null)[] = photographs.map(({ seen }) =>
    poseOfPlane(
      seen.flatMap(({ target, atPx }): OnPlane[] => {
        const onPlaneMm = plate.get(target)
        return onPlaneMm === undefined ? [] : [{ onPlaneMm, atPx }]
      }),
      inner,
    ),
  )
  if (poses.filter((pose) => pose !== null).length < 2) return null
  const seenBy = new Map<number, { photo: number; atPx: Vec2 }[]>()
  photographs.forEach(({ seen }, photo) => {
    for (const { target, atPx } of seen) seenBy.set(target, [...(seenBy.get(target) ?? []), { photo, atPx }])
  })
  const raysOf = (target: number): SpaceRay[] =>
    (seenBy.get(target) ?? []).flatMap(({ photo, atPx }) => {
      const pose = poses[photo]
      return pose === null || pose === undefined ? [] : [rayOf(pose, inner, atPx)]
    })
  // Each that is found shows targets by which a further one may be found.
  for (let grown = true; grown; ) {
    grown = false
    const known = new Map(
      [...seenBy.keys()].flatMap((target): [number, Vec3][] => {
        const rays = raysOf(target)
        return rays.length < 2 ? [] : [[target, nearestToRays(rays)]]
      }),
    )
    const tried = poses.filter((pose) => pose !== null)
    photographs.forEach(({ seen }, photo) => {
      if (poses[photo] !== null) return
      const spots = seen.flatMap(({ target, atPx }) => {
        const at = known.get(target)
        return at === undefined ? [] : [{ at, atPx }]
      })
      const pose = resected(spots, inner, tried)
      if (pose === null) return
      poses[photo] = pose
      grown = true
    })
  }
  const photos = poses.flatMap((pose, photo) => (pose === null ? [] : [photo]))
  const all = [...seenBy.keys()].sort((a, b) => a - b)
  const enough = all.filter((target) => raysOf(target).length >= leastRays)
  return {
    photos,
    targets: enough,
    tooFewRays: all.filter((target) => !enough.includes(target)),
    network: {
      lens: { radial: [0, 0, 0], tangential: [0, 0] },
      inner,
      own: [],
      poses: poses.filter((pose) => pose !== null),
      points: enough.map((target) => nearestToRays(raysOf(target))),
    },
  }
}

interface SpaceRay {
  readonly from: Vec3
  readonly way: Vec3
}

/** Where a photograph was taken, in the coordinates of the plate. */
export const standOf = ({ turn, moveMm }: Pose): Vec3 =>
  turnedBy([-turn[0], -turn[1], -turn[2]], [-moveMm[0], -moveMm[1], -moveMm[2]])

function rayOf(pose: Pose, { focalPx, middlePx }: Inner, atPx: Vec2): SpaceRay {
  const back: Vec3 = [-pose.turn[0], -pose.turn[1], -pose.turn[2]]
  const way = turnedBy(back, [(atPx[0] - middlePx[0]) / focalPx, (atPx[1] - middlePx[1]) / focalPx, 1])
  const long = Math.hypot(...way)
  return { from: standOf(pose), way: [way[0] / long, way[1] / long, way[2] / long] }
}

/** The spot whose distances from the rays, squared, add up to least. */
function nearestToRays(rays: readonly SpaceRay[]): Vec3 {
  const m = Matrix.zeros(3, 3)
  const right = Matrix.zeros(3, 1)
  for (const { from, way } of rays)
    for (const i of [0, 1, 2] as const)
      for (const j of [0, 1, 2] as const) {
        const off = (i === j ? 1 : 0) - way[i] * way[j]
        m.set(i, j, m.get(i, j) + off)
        right.set(i, 0, right.get(i, 0) + off * from[j])
      }
  const p = new SingularValueDecomposition(m).solve(right).to1DArray()
  return [p[0] ?? 0, p[1] ?? 0, p[2] ?? 0]
}
