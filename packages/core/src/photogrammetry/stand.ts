import { type Pose, turnedBy, turnOfMatrix, type Vec3 } from './camera.ts'

/** A camera that stands somewhere and looks at a spot, turned by `rollRad` about the way it looks; upright is where z of the part is up. */
export function lookingAt(from: Vec3, at: Vec3, rollRad: number): Pose {
  const z = unit([at[0] - from[0], at[1] - from[1], at[2] - from[2]])
  // Who looks nearly straight down has y of the part for up.
  const up: Vec3 = Math.hypot(z[0], z[1]) > 0.2 ? [0, 0, 1] : [0, 1, 0]
  const across = unit(cross(z, up))
  const down = cross(z, across)
  const [c, s] = [Math.cos(rollRad), Math.sin(rollRad)]
  const x = across.map((v, k) => c * v + s * (down[k] ?? 0))
  const y = across.map((v, k) => -s * v + c * (down[k] ?? 0))
  const turn = turnOfMatrix([...x, ...y, ...z])
  const moved = turnedBy(turn, from)
  return { turn, moveMm: [-moved[0], -moved[1], -moved[2]] }
}

const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]

function unit(v: Vec3): Vec3 {
  const long = Math.hypot(...v)
  return [v[0] / long, v[1] / long, v[2] / long]
}
