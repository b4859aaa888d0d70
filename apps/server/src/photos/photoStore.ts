import { createHash, randomUUID } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs'
import { mkdir, rename, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { PhotoId } from '@truelay/contract'
import { photoId } from '@truelay/contract'

/** Photos on disk, each named by its own bytes: the same photo is kept once, and never half-written. */
export interface PhotoStore {
  /** Null where the store is full. */
  keep(jpeg: Uint8Array): Promise<PhotoId | null>
  /** The file of a photo, or null if there is none. */
  fileOf(id: PhotoId): string | null
}

/** Some forty thousand photos as tablets send them: years of a busy shop. */
const usualMostBytes = 20e9

/** Opens the store; what a power cut left unfinished is swept away. */
export function openPhotoStore(folder: string, mostBytes = usualMostBytes): PhotoStore {
  const fileName = (id: PhotoId) => join(folder, id.slice(0, 2), `${id}.jpg`)
  let kept = sweep(folder)
  return {
    async keep(jpeg) {
      const id = photoId.parse(createHash('sha256').update(jpeg).digest('hex'))
      const file = fileName(id)
      if (existsSync(file)) return id
      if (kept + jpeg.byteLength > mostBytes) return null
      kept += jpeg.byteLength
      await mkdir(join(folder, id.slice(0, 2)), { recursive: true })
      const unfinished = `${file}.${randomUUID()}`
      await writeFile(unfinished, jpeg, { flush: true })
      await rename(unfinished, file)
      return id
    },
    fileOf(id) {
      const file = fileName(id)
      return existsSync(file) ? file : null
    },
  }
}

/** Takes unfinished files away, and counts the bytes of all others. */
function sweep(folder: string): number {
  mkdirSync(folder, { recursive: true })
  let bytes = 0
  for (const entry of readdirSync(folder, { recursive: true, withFileTypes: true })) {
    if (!entry.isFile()) continue
    const file = join(entry.parentPath, entry.name)
    if (entry.name.endsWith('.jpg')) bytes += statSync(file).size
    else rmSync(file)
  }
  return bytes
}
