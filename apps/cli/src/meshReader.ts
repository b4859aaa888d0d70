import { readFileSync, statSync } from 'node:fs'
import { parentPort, workerData } from 'node:worker_threads'
import { readObj } from '@truelay/formats/obj'
import type { MeshAsked, MeshRead } from './readMesh.ts'

/** Runs in a thread of its own, whose memory and time are limited from outside. */
const { file, toMm, mostBytes } = workerData as MeshAsked

function read(): MeshRead {
  try {
    if (file !== '-' && statSync(file).size > mostBytes) return { kind: 'too large' }
    const reading = readObj(readFileSync(file === '-' ? 0 : file, 'utf8'), toMm)
    return { kind: 'read', reading }
  } catch {
    return { kind: 'no file' }
  }
}
parentPort?.postMessage(read())
