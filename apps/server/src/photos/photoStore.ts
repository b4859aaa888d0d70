import { createHash, randomUUID } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, rename, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { PhotoId } from '@truelay/contract'
import { photoId } from '@truelay/contract'

/** Photos on disk, each named by its own bytes: the same photo is kept once, and never half-written. */
export interface PhotoStore {
  keep(jpeg: Uint8Array): Promise<PhotoId>
  /** The file of a photo, or null if there is none. */
  fileOf(id: PhotoId): string | null
}

export function openPhotoStore(folder: string): PhotoStore {
  const fileName = (id: PhotoId) => join(folder, id.slice(0, 2), `${id}.jpg`)
  return {
    async keep(jpeg) {
      const id = photoId.parse(createHash('sha256').update(jpeg).digest('hex'))
      const file = fileName(id)
      if (existsSync(file)) return id
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
