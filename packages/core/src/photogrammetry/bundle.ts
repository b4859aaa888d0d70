import { CholeskyDecomposition, inverse, Matrix } from 'ml-matrix'
import type { Vec2 } from '../geometry/index.ts'
import { type Inner, inCamera, type Lens, type Pose, seenAt, type Vec3 } from './camera.ts'

/** A target seen in a photograph; both by their place in the lists. */
export interface Ray {
  readonly photo: number
  readonly point: number
  readonly atPx: Vec2
}

/** Two points whose distance is known. */
export interface KnownLength {
  readonly points: readonly [number, number]
  readonly lengthMm: number
  readonly sigmaMm: number
}

/** By how much a photograph differs from what all share. */
export interface OwnOfPhoto {
  readonly focalPx: number
  readonly middlePx: Vec2
  /** How far the hand turned while the picture was read from its first row to its last, rad about the axes of the camera. */
  readonly spinRad: Vec3
}

/** Everything that is sought. */
export interface Network {
  readonly lens: Lens
  /** What all photographs share. */
  readonly inner: Inner
  /** By how much each photograph differs from it. */
  readonly own: readonly OwnOfPhoto[]
  readonly poses: readonly Pose[]
  readonly points: readonly Vec3[]
}

/** How sure everything is before a ray counts, one standard deviation each. */
export interface Priors {
  readonly rayPx: number
  readonly focalShare: number
  readonly middlePx: number
  readonly radial: Vec3
  readonly tangential: number
  /** Of one photograph against the others: autofocus and stabiliser. */
  readonly ownFocalShare: number
  readonly ownMiddlePx: number
  /** 0.03 rad/s, held still as well as hands do, over 0.03 s in which a picture is read. */
  readonly ownSpinRad: number
}

/** What a tablet's camera is like. */
export const usualPriors: Priors = {
  rayPx: 0.15,
  focalShare: 0.05,
  middlePx: 60,
  radial: [0.3, 0.5, 0.5],
  tangential: 0.01,
  ownFocalShare: 0.002,
  ownMiddlePx: 5,
  ownSpinRad: 0.0009,
}

/** Beyond so many sigma a ray pulls no harder (Huber). */
const huber = 2
const mostSteps = 60
const shared = 8
const perPhoto = 12

/** The network as numbers: what cannot be taken out point by point first (camera, photographs, ends of known lengths), then all other points. */
interface Layout {
  readonly photos: number
  readonly heightPx: number
  /** Where each point's three unknowns begin; those below `dense` belong to the first part. */
  readonly pointAt: Int32Array
  readonly dense: number
  readonly size: number
}

function layoutOf(network: Network, lengths: readonly KnownLength[]): Layout {
  const heightPx = 2 * network.inner.middlePx[1]
  const photos = network.poses.length
  const ends = new Set(lengths.flatMap(({ points }) => points))
  let next = shared + perPhoto * photos
  const pointAt = new Int32Array(network.points.length)
  for (const first of [true, false])
    network.points.forEach((_, i) => {
      if (ends.has(i) !== first) return
      pointAt[i] = next
      next += 3
    })
  return { photos, heightPx, pointAt, dense: shared + perPhoto * photos + 3 * ends.size, size: next }
}

const nothingOwn: OwnOfPhoto = { focalPx: 0, middlePx: [0, 0], spinRad: [0, 0, 0] }

function packed({ lens, inner, own, poses, points }: Network, { pointAt, size }: Layout): Float64Array {
  const x = new Float64Array(size)
  x.set([inner.focalPx, ...inner.middlePx, ...lens.radial, ...lens.tangential])
  poses.forEach(({ turn, moveMm }, i) => {
    const one = own[i] ?? nothingOwn
    x.set([...turn, ...moveMm, one.focalPx, ...one.middlePx, ...one.spinRad], shared + perPhoto * i)
  })
  points.forEach((p, i) => {
    x.set(p, pointAt[i] ?? 0)
  })
  return x
}

const three = (x: Float64Array, i: number): Vec3 => [x[i] ?? 0, x[i + 1] ?? 0, x[i + 2] ?? 0]

function unpacked(x: Float64Array, { photos, pointAt }: Layout): Network {
  const at = (i: number) => x[i] ?? 0
  const begin = (i: number) => shared + perPhoto * i
  const each = Array.from({ length: photos }, (_, i) => i)
  return {
    inner: { focalPx: at(0), middlePx: [at(1), at(2)] },
    lens: { radial: three(x, 3), tangential: [at(6), at(7)] },
    poses: each.map((i) => ({ turn: three(x, begin(i)), moveMm: three(x, begin(i) + 3) })),
    own: each.map((i) => ({
      focalPx: at(begin(i) + 6),
      middlePx: [at(begin(i) + 7), at(begin(i) + 8)],
      spinRad: three(x, begin(i) + 9),
    })),
    points: Array.from(pointAt, (i) => three(x, i)),
  }
}

/** Where a ray would be seen by these numbers. */
function predicted(x: Float64Array, photoAt: number, pointAt: number, heightPx: number): Vec2 {
  const at = (i: number) => x[i] ?? 0
  const lens: Lens = { radial: three(x, 3), tangential: [at(6), at(7)] }
  const inner: Inner = {
    focalPx: at(0) + at(photoAt + 6),
    middlePx: [at(1) + at(photoAt + 7), at(2) + at(photoAt + 8)],
  }
  const there = inCamera({ turn: three(x, photoAt), moveMm: three(x, photoAt + 3) }, three(x, pointAt))
  const seen = seenAt(lens, inner, there)
  // The row is read the later the further down it lies; meanwhile the hand has turned on.
  const late = seen[1] / heightPx - 0.5
  const [a, b, c] = three(x, photoAt + 9).map((v) => v * late) as [number, number, number]
  const [px, py, pz] = there
  return seenAt(lens, inner, [px + b * pz - c * py, py + c * px - a * pz, pz + a * py - b * px])
}

/** By so much each kind of unknown is changed to see what comes of it. */
const sharedSteps = [0.05, 0.05, 0.05, 1e-5, 1e-5, 1e-5, 1e-6, 1e-6]
const photoSteps = [1e-6, 1e-6, 1e-6, 1e-3, 1e-3, 1e-3, 0.05, 0.05, 0.05, 1e-6, 1e-6, 1e-6]
const pointStep = 1e-3

/** Normal equations, the points outside the dense part as blocks of their own. */
interface Normal {
  readonly cost: number
  readonly dense: Float64Array
  readonly denseRight: Float64Array
  /** Of each light point: its own block (9), how it hangs on the dense part (dense x 3), its right side (3). */
  readonly own: readonly Float64Array[]
  readonly on: readonly Float64Array[]
  readonly right: readonly Float64Array[]
}

interface Problem {
  readonly rays: readonly Ray[]
  readonly lengths: readonly KnownLength[]
  readonly priors: Priors
  readonly layout: Layout
  readonly begin: Float64Array
}

function normalOf(x: Float64Array, problem: Problem): Normal {
  const { rays, layout } = problem
  const n = layout.dense
  const light = (layout.size - n) / 3
  const dense = new Float64Array(n * n)
  const denseRight = new Float64Array(n)
  const own = Array.from({ length: light }, () => new Float64Array(9))
  const on = Array.from({ length: light }, () => new Float64Array(3 * n))
  const right = Array.from({ length: light }, () => new Float64Array(3))
  let cost = 0
  /** Adds one row: its unknowns, slopes, miss and weight. */
  const add = (at: readonly number[], slope: readonly number[], miss: number, weight: number) => {
    for (let a = 0; a < at.length; a++) {
      const i = at[a] ?? 0
      const wa = weight * (slope[a] ?? 0)
      if (i < n) denseRight[i] = (denseRight[i] ?? 0) - wa * miss
      else {
        const block = right[Math.floor((i - n) / 3)] as Float64Array
        block[(i - n) % 3] = (block[(i - n) % 3] ?? 0) - wa * miss
      }
      for (let b = 0; b < at.length; b++) {
        const j = at[b] ?? 0
        const value = wa * (slope[b] ?? 0)
        if (i < n && j < n) dense[i * n + j] = (dense[i * n + j] ?? 0) + value
        else if (i < n) {
          const block = on[Math.floor((j - n) / 3)] as Float64Array
          block[3 * i + ((j - n) % 3)] = (block[3 * i + ((j - n) % 3)] ?? 0) + value
        } else if (j >= n) {
          const block = own[Math.floor((i - n) / 3)] as Float64Array
          block[3 * ((i - n) % 3) + ((j - n) % 3)] = (block[3 * ((i - n) % 3) + ((j - n) % 3)] ?? 0) + value
        }
      }
    }
  }
  for (const ray of rays) {
    const photoAt = shared + perPhoto * ray.photo
    const pointAt = layout.pointAt[ray.point] ?? 0
    const seen = predicted(x, photoAt, pointAt, layout.heightPx)
    const at = [...sharedSteps.keys(), ...photoSteps.map((_, k) => photoAt + k), pointAt, pointAt + 1, pointAt + 2]
    const steps = [...sharedSteps, ...photoSteps, pointStep, pointStep, pointStep]
    const slopes = at.map((i, k): Vec2 => {
      const step = steps[k] ?? 1
      const before = x[i] ?? 0
      x[i] = before + step
      const more = predicted(x, photoAt, pointAt, layout.heightPx)
      x[i] = before - step
      const less = predicted(x, photoAt, pointAt, layout.heightPx)
      x[i] = before
      return [(more[0] - less[0]) / (2 * step), (more[1] - less[1]) / (2 * step)]
    })
    const miss: Vec2 = [seen[0] - ray.atPx[0], seen[1] - ray.atPx[1]]
    const size = Math.hypot(...miss) / problem.priors.rayPx
    const weight = 1 / problem.priors.rayPx ** 2
    const pull = size <= huber ? 1 : huber / size
    cost += size <= huber ? size * size : huber * (2 * size - huber)
    for (const k of [0, 1] as const)
      add(
        at,
        slopes.map((s) => s[k]),
        miss[k],
        pull * weight,
      )
  }
  for (const { points, lengthMm, sigmaMm } of problem.lengths) {
    const [i, j] = [layout.pointAt[points[0]] ?? 0, layout.pointAt[points[1]] ?? 0]
    const d = [0, 1, 2].map((k) => (x[i + k] ?? 0) - (x[j + k] ?? 0))
    const long = Math.hypot(...d)
    const slope = d.map((v) => v / long)
    const miss = long - lengthMm
    cost += (miss / sigmaMm) ** 2
    add([i, i + 1, i + 2, j, j + 1, j + 2], [...slope, ...slope.map((v) => -v)], miss, 1 / sigmaMm ** 2)
  }
  for (const { at, wanted, sigma } of priorsOf(problem)) {
    const miss = (x[at] ?? 0) - wanted
    cost += (miss / sigma) ** 2
    add([at], [1], miss, 1 / sigma ** 2)
  }
  return { cost, dense, denseRight, own, on, right }
}

function priorsOf({ priors, layout, begin }: Problem): { at: number; wanted: number; sigma: number }[] {
  const focalPx = begin[0] ?? 1
  const sharedSigmas = [
    priors.focalShare * focalPx,
    priors.middlePx,
    priors.middlePx,
    ...priors.radial,
    priors.tangential,
    priors.tangential,
  ]
  return [
    ...sharedSigmas.map((sigma, at) => ({ at, wanted: begin[at] ?? 0, sigma })),
    ...Array.from({ length: layout.photos }, (_, i) =>
      [
        priors.ownFocalShare * focalPx,
        priors.ownMiddlePx,
        priors.ownMiddlePx,
        priors.ownSpinRad,
        priors.ownSpinRad,
        priors.ownSpinRad,
      ].map((sigma, k) => ({
        at: shared + perPhoto * i + 6 + k,
        wanted: 0,
        sigma,
      })),
    ).flat(),
  ]
}

/** The inverse of a point's block, row by row; null where its rays do not tell where it is. */
function inverse3(m: Float64Array): Float64Array | null {
  const a = (i: number) => m[i] ?? 0
  const c0 = a(4) * a(8) - a(5) * a(7)
  const c1 = a(5) * a(6) - a(3) * a(8)
  const c2 = a(3) * a(7) - a(4) * a(6)
  const det = a(0) * c0 + a(1) * c1 + a(2) * c2
  if (!(det > 1e-24 * (a(0) * a(4) * a(8)))) return null
  return Float64Array.from(
    [
      c0,
      a(2) * a(7) - a(1) * a(8),
      a(1) * a(5) - a(2) * a(4),
      c1,
      a(0) * a(8) - a(2) * a(6),
      a(2) * a(3) - a(0) * a(5),
      c2,
      a(1) * a(6) - a(0) * a(7),
      a(0) * a(4) - a(1) * a(3),
    ].map((v) => v / det),
  )
}

/** Takes the light points out: what is left for the dense part, and how each light point follows from it. */
function reduced(normal: Normal, n: number, damping: number) {
  const { dense, denseRight, own, on, right } = normal
  const left = Float64Array.from(dense)
  const wanted = Float64Array.from(denseRight)
  for (let i = 0; i < n; i++) left[i * n + i] = (left[i * n + i] ?? 0) * (1 + damping) + 1e-12
  const inverses: Float64Array[] = []
  for (const [p, block] of own.entries()) {
    const damped = Float64Array.from(block)
    for (const k of [0, 4, 8]) damped[k] = (damped[k] ?? 0) * (1 + damping)
    const inv = inverse3(damped)
    if (inv === null) return null
    inverses.push(inv)
    const w = on[p] as Float64Array
    const g = right[p] as Float64Array
    for (let i = 0; i < n; i++) {
      const [w0, w1, w2] = [w[3 * i] ?? 0, w[3 * i + 1] ?? 0, w[3 * i + 2] ?? 0]
      if (w0 === 0 && w1 === 0 && w2 === 0) continue
      const y = [0, 1, 2].map((k) => w0 * (inv[k] ?? 0) + w1 * (inv[3 + k] ?? 0) + w2 * (inv[6 + k] ?? 0))
      const [y0, y1, y2] = [y[0] ?? 0, y[1] ?? 0, y[2] ?? 0]
      wanted[i] = (wanted[i] ?? 0) - (y0 * (g[0] ?? 0) + y1 * (g[1] ?? 0) + y2 * (g[2] ?? 0))
      for (let j = 0; j < n; j++)
        left[i * n + j] =
          (left[i * n + j] ?? 0) - (y0 * (w[3 * j] ?? 0) + y1 * (w[3 * j + 1] ?? 0) + y2 * (w[3 * j + 2] ?? 0))
    }
  }
  // Rounding alone makes the two halves differ.
  for (let i = 0; i < n; i++)
    for (let j = 0; j < i; j++)
      left[i * n + j] = left[j * n + i] = ((left[i * n + j] ?? 0) + (left[j * n + i] ?? 0)) / 2
  return { left, wanted, inverses }
}

const asMatrix = (values: Float64Array, n: number) => Matrix.from1DArray(n, values.length / n, values)

/** One step of Levenberg and Marquardt; null where it cannot be told. */
function stepOf(normal: Normal, n: number, damping: number): Float64Array | null {
  const found = reduced(normal, n, damping)
  if (found === null) return null
  const cholesky = new CholeskyDecomposition(asMatrix(found.left, n))
  if (!cholesky.isPositiveDefinite()) return null
  const dense = cholesky.solve(Matrix.columnVector(found.wanted)).to1DArray()
  const step = new Float64Array(n + 3 * normal.own.length)
  step.set(dense)
  normal.own.forEach((_, p) => {
    const w = normal.on[p] as Float64Array
    const rest = [0, 1, 2].map(
      (k) => (normal.right[p]?.[k] ?? 0) - dense.reduce((sum, d, i) => sum + (w[3 * i + k] ?? 0) * d, 0),
    )
    const inv = found.inverses[p] as Float64Array
    for (let k = 0; k < 3; k++)
      step[n + 3 * p + k] = [0, 1, 2].reduce((sum, l) => sum + (inv[3 * k + l] ?? 0) * (rest[l] ?? 0), 0)
  })
  return step
}

export interface Adjusted {
  readonly network: Network
  /** How far each ray misses, px. */
  readonly missPx: readonly number[]
  readonly settled: boolean
  /** How the points hang together, mm², rows and columns three by three in the order of the points; the part as a whole neither moved nor turned. */
  readonly covarianceMm2: () => Matrix | null
}

/**
 * Bundle adjustment: camera, photographs and points together, so that all rays miss by as little as they can (Levenberg and Marquardt; points are
 * taken out by the Schur complement; Triggs and others, "Bundle adjustment: a modern synthesis", 2000). Known lengths give the scale.
 */
export function adjusted(
  start: Network,
  rays: readonly Ray[],
  lengths: readonly KnownLength[],
  priors: Priors = usualPriors,
): Adjusted {
  const layout = layoutOf(start, lengths)
  const begin = packed(start, layout)
  const problem: Problem = { rays, lengths, priors, layout, begin }
  let x = Float64Array.from(begin)
  let normal = normalOf(x, problem)
  let damping = 1e-3
  let settled = false
  for (let k = 0; k < mostSteps && !settled; k++) {
    const step = stepOf(normal, layout.dense, damping)
    const tried = step === null ? null : x.map((v, i) => v + (step[i] ?? 0))
    const next = tried === null ? null : normalOf(tried, problem)
    if (tried === null || next === null || !(next.cost < normal.cost)) {
      // Where even the smallest step gains nothing it is there.
      settled = damping > 1e6
      damping *= 10
      continue
    }
    settled = normal.cost - next.cost < 1e-9 * normal.cost
    x = tried
    normal = next
    damping = Math.max(1e-9, damping / 10)
  }
  const at = (ray: Ray) => predicted(x, shared + perPhoto * ray.photo, layout.pointAt[ray.point] ?? 0, layout.heightPx)
  return {
    network: unpacked(x, layout),
    settled,
    missPx: rays.map((ray) => {
      const seen = at(ray)
      return Math.hypot(seen[0] - ray.atPx[0], seen[1] - ray.atPx[1])
    }),
    covarianceMm2: () => covariance(x, normal, layout),
  }
}

/** Covariance of all points. The first photograph is held, which takes away what no ray tells; then it is told against all points at once. */
function covariance(x: Float64Array, normal: Normal, { pointAt, dense: n }: Layout): Matrix | null {
  const found = reduced(normal, n, 0)
  if (found === null) return null
  const held = new Set([0, 1, 2, 3, 4, 5].map((k) => shared + k))
  const free = Array.from({ length: n }, (_, i) => i).filter((i) => !held.has(i))
  const left = new Matrix(free.map((i) => free.map((j) => found.left[i * n + j] ?? 0)))
  const inv = inverse(left)
  const points = pointAt.length
  // How each point follows from the free part.
  const follows = Matrix.zeros(3 * points, free.length)
  const whole = Matrix.zeros(3 * points, 3 * points)
  pointAt.forEach((at, p) => {
    if (at < n) {
      for (let k = 0; k < 3; k++) follows.set(3 * p + k, free.indexOf(at + k), 1)
      return
    }
    const light = (at - n) / 3
    const own = found.inverses[light] as Float64Array
    const w = normal.on[light] as Float64Array
    for (let k = 0; k < 3; k++) {
      for (let l = 0; l < 3; l++) whole.set(3 * p + k, 3 * p + l, own[3 * k + l] ?? 0)
      free.forEach((i, c) => {
        follows.set(3 * p + k, c, -[0, 1, 2].reduce((sum, l) => sum + (own[3 * k + l] ?? 0) * (w[3 * i + l] ?? 0), 0))
      })
    }
  })
  const fixed = whole.add(follows.mmul(inv).mmul(follows.transpose()))
  return againstAll(
    fixed,
    Array.from(pointAt, (at) => three(x, at)),
  )
}

/** A covariance told against the middle and the turn of all points together (S-transformation, Baarda 1973). */
function againstAll(fixed: Matrix, points: readonly Vec3[]): Matrix {
  const middle = [0, 1, 2].map((k) => points.reduce((sum, p) => sum + (p[k] ?? 0), 0) / points.length)
  const far = Math.sqrt(
    points.reduce((sum, p) => sum + p.reduce((s, v, k) => s + (v - (middle[k] ?? 0)) ** 2, 0), 0) / points.length,
  )
  const rows = points.flatMap((p) => {
    const [a, b, c] = p.map((v, k) => (v - (middle[k] ?? 0)) / far) as [number, number, number]
    return [
      [1, 0, 0, 0, c, -b],
      [0, 1, 0, -c, 0, a],
      [0, 0, 1, b, -a, 0],
    ]
  })
  const g = new Matrix(rows)
  const onto = Matrix.eye(rows.length).sub(g.mmul(inverse(g.transpose().mmul(g))).mmul(g.transpose()))
  return onto.mmul(fixed).mmul(onto.transpose())
}
