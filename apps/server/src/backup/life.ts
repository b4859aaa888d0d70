import { randomUUID } from 'node:crypto'
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'

export const lifeName = 'life'

/**
 * The life of a data folder: a new one begins with a new folder, and with each restore. Tablets that knew another one look whether something
 * that they had sent is not there any more.
 */
export function lifeOf(folder: string): string {
  const file = join(folder, lifeName)
  const known = existsSync(file) ? z.uuid().safeParse(readFileSync(file, 'utf8').trim()) : null
  if (known?.success === true) return known.data
  const life = randomUUID()
  writeFileSync(`${file}.new`, life, { flush: true })
  renameSync(`${file}.new`, file)
  return life
}
