import { kernelBytes } from './kernelBytes.generated.ts'

/** What the kernel computes; rows of numbers are handed in by their addresses. See packages/core/kernel. */
interface Kernel {
  trianglesRound(vertices: number, triangles: number, corner: number, start: number, round: number): void
  dissect(
    count: number,
    corner: number,
    start: number,
    round: number,
    position: number,
    order: number,
    side: number,
    stack: number,
  ): void
  eliminationTree(size: number, start: number, row: number, parent: number, above: number): void
  factorColumns(size: number, start: number, row: number, parent: number, mark: number, columns: number): number
  factorise(
    size: number,
    start: number,
    row: number,
    value: number,
    parent: number,
    columns: number,
    rowOf: number,
    factor: number,
    next: number,
    mark: number,
    stack: number,
    x: number,
  ): number
  solvePairs(size: number, columns: number, rowOf: number, factor: number, b: number): void
  gradients(triangles: number, corner: number, position: number, area: number, gradient: number): void
  laplacian(
    triangles: number,
    free: number,
    corner: number,
    area: number,
    gradient: number,
    start: number,
    row: number,
    value: number,
  ): number
  steady(size: number, start: number, row: number, value: number, share: number): void
  measure(triangles: number, corner: number, gradient: number, uv: number, matrix: number): void
  pull(
    triangles: number,
    free: number,
    corner: number,
    area: number,
    gradient: number,
    wanted: number,
    matrix: number,
    force: number,
  ): void
  rotations(triangles: number, area: number, matrix: number, wanted: number): number
  boxStep(
    triangles: number,
    off: number,
    matrix: number,
    carried: number,
    wanted: number,
    least: number,
    most: number,
    softness: number,
    offLeast: number,
    offMost: number,
    offSoftness: number,
    mostCarried: number,
  ): void
  singularValues(triangles: number, matrix: number, out: number): void
  rangeOf(triangles: number, off: number, matrix: number, out: number): void
  move(free: number, uv: number, step: number): number
  longest(free: number, step: number): number
  remember(
    pairs: number,
    x: number,
    by: number,
    lastBy: number,
    lastEnd: number,
    stepChange: number,
    endChange: number,
  ): void
  dot(pairs: number, a: number, b: number): number
  opposites(
    vertices: number,
    triangles: number,
    corner: number,
    opposite: number,
    last: number,
    previous: number,
  ): number
  facing(triangles: number, corner: number, position: number, out: number): number
  turnLikeSeen(vertices: number, uv: number, position: number, out: number): void
  firstFlat(triangles: number, corner: number, position: number, leastShare: number): number
  takeAway(pairs: number, y: number, share: number, x: number): void
  stepStacks(rows: number, pairs: number, slices: number, step: number, t: number, air: number, scratch: number): number
  handOnAcross(depths: number, strips: number, across: number, sideways: number, scratch: number, t: number): void
  pairLoss(a: number, b: number, dx: number, dy: number): number
  lossAt(
    size: number,
    i: number,
    shape: number,
    x: number,
    y: number,
    enough: number,
    shapeOf: number,
    xs: number,
    ys: number,
    weight: number,
    unsure: number,
    unsureLoss: number,
    told: number,
  ): number
}

/** What this needs of the engine's own interface, which no library of types outside browsers holds. */
interface Engine {
  Memory: new (size: { initial: number }) => { readonly buffer: ArrayBuffer; grow(pages: number): number }
  Module: new (bytes: Uint8Array) => object
  Instance: new (module: object, imports: object) => { readonly exports: unknown }
}
const {
  WebAssembly: { Memory, Module, Instance },
  atob,
} = globalThis as unknown as { WebAssembly: Engine; atob(base64: string): string }

const pageBytes = 65536
/** Enough for a part of five thousand triangles; pages that nothing was written to cost nothing. */
const firstPages = 256
/** Below lies what the compiler itself may want. */
const firstAddress = 1024

const memory = new Memory({ initial: firstPages })
let top = firstAddress
let depth = 0
let loaded: Kernel | undefined

/** The kernel, compiled when it is first asked for. */
export function kernel(): Kernel {
  if (loaded === undefined) {
    const text = atob(kernelBytes)
    const binary = new Uint8Array(text.length)
    for (let i = 0; i < text.length; i++) binary[i] = text.charCodeAt(i)
    loaded = new Instance(new Module(binary), { env: { memory } }).exports as Kernel
  }
  return loaded
}

/**
 * Everything that is laid out in the kernel's memory belongs to a scope and is gone when it ends; scopes may lie in each
 * other. What the work gives back has to be its own copy.
 */
export function inKernel<T>(work: () => T): T {
  const before = top
  depth++
  try {
    return work()
  } finally {
    top = before
    depth--
  }
}

/** A row of numbers in the kernel's memory. `values` is to be asked for anew after anything else was laid out. */
export interface Row<Values> {
  readonly at: number
  readonly values: Values
}

export const doubles = (length: number): Row<Float64Array> => rowOf(Float64Array, length)
export const ints = (length: number): Row<Int32Array> => rowOf(Int32Array, length)
export const bytes = (length: number): Row<Uint8Array> => rowOf(Uint8Array, length)

/** A new row; what stands in it is whatever stood there before. */
function rowOf<Values extends Float64Array | Int32Array | Uint8Array>(
  Kind: { new (buffer: ArrayBuffer, at: number, length: number): Values; readonly BYTES_PER_ELEMENT: number },
  length: number,
): Row<Values> {
  if (depth === 0) throw new RangeError('rows in the kernel live within inKernel()')
  const at = top
  // Pairs are read sixteen bytes at a time.
  top = at + 16 * Math.ceil((length * Kind.BYTES_PER_ELEMENT) / 16)
  const missing = top - memory.buffer.byteLength
  if (missing > 0) memory.grow(Math.ceil(Math.max(missing, memory.buffer.byteLength / 4) / pageBytes))
  let values = new Kind(memory.buffer, at, length)
  return {
    at,
    get values() {
      // Memory that grew has moved.
      if (values.buffer !== memory.buffer) values = new Kind(memory.buffer, at, length)
      return values
    },
  }
}
