import { Worker } from 'node:worker_threads'
import type { TriangleMesh } from '@truelay/core/geometry'
import type { ObjReading } from '@truelay/formats/obj'
import { english } from '@truelay/words'
import { BadInput } from './input.ts'

export interface MeshAsked {
  readonly file: string
  readonly toMm: number
  readonly mostBytes: number
}
export type MeshRead =
  | { readonly kind: 'read'; readonly reading: ObjReading }
  | { readonly kind: 'too large' }
  | { readonly kind: 'no file' }

const mostBytes = 400_000_000
const patienceMs = 60_000
const memoryMb = 3000

/** The mesh of an OBJ file, read in a thread of its own: a file that never ends, or fills memory, costs no more than that thread. */
export async function readMesh(file: string | undefined, toMm: number): Promise<TriangleMesh> {
  if (file === undefined) throw new BadInput('no input: give a file name, or - for standard input')
  const asked: MeshAsked = { file, toMm, mostBytes }
  const thread = new Worker(new URL('./meshReader.js', import.meta.url), {
    workerData: asked,
    resourceLimits: { maxOldGenerationSizeMb: memoryMb },
  })
  const late = setTimeout(() => void thread.terminate(), patienceMs)
  const read = await new Promise<MeshRead | null>((resolve) => {
    thread.once('message', resolve)
    thread.once('error', () => resolve(null))
    thread.once('exit', () => resolve(null))
  })
  clearTimeout(late)
  if (read === null)
    throw new BadInput(`${file}: takes more time or memory than a part needs; export it with fewer triangles`)
  if (read.kind === 'no file') throw new BadInput(`${file}: cannot be read; check the name of the file`)
  if (read.kind === 'too large')
    throw new BadInput(`${file}: larger than ${mostBytes / 1e6} MB; export it with fewer triangles`)
  const { reading } = read
  if (!reading.ok) throw new BadInput(`${file}, line ${reading.line}: ${english(reading.problem)}`)
  return reading.mesh
}
