import { cholesky } from './cholesky.ts'
import { eliminationOrder } from './eliminationOrder.ts'
import { bytes, doubles, inKernel, ints, kernel } from './instance.ts'
import { mixing as mixingOf, type Mixing } from './mixing.ts'

/** Film over triangles of a surface; some of its vertices are held. */
export interface FilmSheet {
  /** `[a0, b0, c0, …]`, vertex numbers. */
  readonly corner: Int32Array
  /** Of the surface, `[x0, y0, z0, …]`, mm. */
  readonly position: Float64Array
  /** Numbers of the vertices that may move. */
  readonly free: Int32Array
  /**
   * A breath of stiffness to where each vertex is now, as a share of the mean of its own: film that hangs together with
   * nothing that is held then stays, the rest does not notice.
   */
  readonly steadyShare: number
}

/** Singular values of surface -> flat that are allowed, or that there are. */
export interface StretchRange {
  readonly least: number
  readonly most: number
}

/** How a step draws film into a box of singular values. */
export interface BoxStep {
  readonly box: StretchRange
  /** How much each is drawn towards 1 first: 0 = not at all, 1 = all the way. */
  readonly softness: number
  /** Box and softness of triangles that are let off. */
  readonly off: { readonly box: StretchRange; readonly softness: number }
  /** Most that a triangle carries on from step to step of what it misses the box by, as a change of stretch. */
  readonly mostCarried: number
}

/**
 * The film's state and the steps that all lays are made of: the linear map from film coordinates to the 2x2 matrix
 * surface -> flat of each triangle, what each matrix should rather be, and the film coordinates whose matrices come nearest to that (weighted
 * by area). The system matrix is the cotangent Laplacian, factored once (Liu et al., "A local/global approach to
 * mesh parameterization", 2008).
 */
export interface FilmSystem {
  readonly vertices: number
  readonly triangles: number
  /** Surface area per triangle, mm². */
  readonly area: Float64Array
  readonly nonZeros: number
  /** Film coordinates `[u0…, v0…]`, length 2·V, in and out. */
  put(uv: Float64Array): void
  take(uv: Float64Array): void
  /** The film as it is, turned and moved to lie like the part seen from above: `[u0, v0, …]`, length 2·V. */
  takeLikeSeen(): Float64Array
  /** Takes the matrices of what is there now. */
  measure(): void
  /** What is wanted: the nearest rotation to each matrix. Gives the energy sum A((s1-1)² + (s2-1)²) of what is there. */
  wantRotations(): number
  /** What is wanted: triangles turned by so much in the film plane, radians. */
  wantTurns(turnRad: Float64Array): void
  /** What is wanted: one step of alternating reflections (ADMM) towards a box. */
  wantBox(step: BoxStep): void
  /** Forgets what earlier steps towards a box carried on. */
  carryNothing(): void
  /** Triangles that no box holds. */
  letOff(triangles: readonly number[]): void
  /** Works out how the free vertices have to move so that their matrices come nearest to what is wanted. */
  solve(): void
  /** The longest move that was worked out, mm. */
  stepMm(): number
  /** Moves them so; gives the longest move, mm. */
  move(): number
  /** Mixes the last solved steps and moves to where the next should begin; see `Mixing`. */
  mixed(memory: number): Mixed
  /** Least and largest singular value of what is held by a box. */
  range(): StretchRange
  /** Larger and smaller singular value of each matrix, length 2·T. */
  singularValues(): Float64Array
}

/** Steps that are sped up; goes back where that went wrong. */
export interface Mixed {
  next(): void
  /** Back to the end of the last step as it was solved. */
  back(): void
}

export function filmSystem({ corner, position, free, steadyShare }: FilmSheet): FilmSystem {
  const k = kernel()
  const vertices = position.length / 3
  const triangles = corner.length / 3
  const count = free.length
  const place = placesOf(eliminationOrder(corner, position, free), vertices)

  const corners = ints(corner.length)
  const at = doubles(position.length)
  const area = doubles(triangles)
  const gradient = doubles(6 * triangles)
  layOut(corner, position, place, corners.values, at.values)
  k.gradients(triangles, corners.at, at.at, area.at, gradient.at)

  const entries = 6 * triangles + count
  const upper = { size: count, start: ints(count + 1), row: ints(entries), value: doubles(entries) }
  k.laplacian(triangles, count, corners.at, area.at, gradient.at, upper.start.at, upper.row.at, upper.value.at)
  if (steadyShare > 0) k.steady(count, upper.start.at, upper.row.at, upper.value.at, steadyShare)
  const factor = cholesky(upper)

  const uv = doubles(2 * vertices)
  const step = doubles(2 * count)
  const [matrix, wanted, carried] = [doubles(4 * triangles), doubles(4 * triangles), doubles(4 * triangles)]
  const off = bytes(triangles)
  const values = doubles(2 * triangles)
  off.values.fill(0)
  carried.values.fill(0)

  return {
    vertices,
    triangles,
    area: area.values.slice(),
    nonZeros: factor.nonZeros,
    put(from) {
      const to = uv.values
      for (let v = 0; v < vertices; v++) {
        to[2 * place[v]!] = from[v]!
        to[2 * place[v]! + 1] = from[vertices + v]!
      }
    },
    take(to) {
      const from = uv.values
      for (let v = 0; v < vertices; v++) {
        to[v] = from[2 * place[v]!]!
        to[vertices + v] = from[2 * place[v]! + 1]!
      }
    },
    takeLikeSeen() {
      const move = doubles(4)
      k.turnLikeSeen(vertices, uv.at, at.at, move.at)
      const [c, s, moveX, moveY] = move.values as unknown as [number, number, number, number]
      const from = uv.values
      const flat = new Float64Array(2 * vertices)
      for (let v = 0; v < vertices; v++) {
        const x = from[2 * place[v]!]!
        const y = from[2 * place[v]! + 1]!
        flat[2 * v] = c * x - s * y + moveX
        flat[2 * v + 1] = s * x + c * y + moveY
      }
      return flat
    },
    measure: () => k.measure(triangles, corners.at, gradient.at, uv.at, matrix.at),
    wantRotations: () => k.rotations(triangles, area.at, matrix.at, wanted.at),
    wantTurns(turnRad) {
      const to = wanted.values
      for (let t = 0; t < triangles; t++) {
        const c = Math.cos(turnRad[t]!)
        const s = Math.sin(turnRad[t]!)
        to[4 * t] = c
        to[4 * t + 1] = s
        to[4 * t + 2] = -s
        to[4 * t + 3] = c
      }
    },
    wantBox({ box, softness, off: free, mostCarried }) {
      k.boxStep(
        triangles,
        off.at,
        matrix.at,
        carried.at,
        wanted.at,
        box.least,
        box.most,
        softness,
        free.box.least,
        free.box.most,
        free.softness,
        mostCarried,
      )
    },
    carryNothing: () => void carried.values.fill(0),
    letOff(spots) {
      for (const t of spots) off.values[t] = 1
    },
    solve() {
      k.pull(triangles, count, corners.at, area.at, gradient.at, wanted.at, matrix.at, step.at)
      factor.solve(step)
    },
    stepMm: () => Math.sqrt(k.longest(count, step.at)),
    move: () => Math.sqrt(k.move(count, uv.at, step.at)),
    mixed(memory) {
      const mixer: Mixing = mixingOf(count, memory)
      return {
        next: () => mixer.next(uv, step),
        back() {
          uv.values.set(mixer.plain.values)
          mixer.reset()
        },
      }
    },
    range() {
      k.rangeOf(triangles, off.at, matrix.at, values.at)
      return { least: values.values[0]!, most: values.values[1]! }
    },
    singularValues() {
      k.singularValues(triangles, matrix.at, values.at)
      return values.values.slice()
    },
  }
}

/** Where each vertex stands: free ones in their order of elimination, then those that are held. */
function placesOf(order: Int32Array, vertices: number): Int32Array {
  const place = new Int32Array(vertices).fill(-1)
  order.forEach((v, k) => {
    place[v] = k
  })
  let next = order.length
  for (let v = 0; v < vertices; v++) if (place[v] === -1) place[v] = next++
  return place
}

function layOut(
  corner: Int32Array,
  position: Float64Array,
  place: Int32Array,
  toCorner: Int32Array,
  toPosition: Float64Array,
): void {
  for (let i = 0; i < corner.length; i++) toCorner[i] = place[corner[i]!]!
  for (let v = 0; v < place.length; v++)
    for (let axis = 0; axis < 3; axis++) toPosition[3 * place[v]! + axis] = position[3 * v + axis]!
}

/** Area of each triangle, mm², and the gradients of its three hat functions in its own plane, `[ax, ay, bx, by, cx, cy, …]`, 1/mm. */
export function gradients(corner: Int32Array, position: Float64Array): { area: Float64Array; gradient: Float64Array } {
  const triangles = corner.length / 3
  return inKernel(() => {
    const [corners, at] = [ints(corner.length), doubles(position.length)]
    const [area, gradient] = [doubles(triangles), doubles(6 * triangles)]
    corners.values.set(corner)
    at.values.set(position)
    kernel().gradients(triangles, corners.at, at.at, area.at, gradient.at)
    return { area: area.values.slice(), gradient: gradient.values.slice() }
  })
}
