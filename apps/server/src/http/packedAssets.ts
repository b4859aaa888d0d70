import { readFile } from 'node:fs/promises'
import { basename, extname, join } from 'node:path'
import { promisify } from 'node:util'
import { brotliCompress, constants } from 'node:zlib'
import type { RequestHandler } from 'express'

const pack = promisify(brotliCompress)
const kinds: Readonly<Record<string, string>> = { '.js': 'text/javascript', '.css': 'text/css' }
const name = /^[\w.-]+$/

/**
 * The programs and styles of the app, packed as tightly as brotli can. That takes a while for each file, so each is packed once, when it is first
 * asked for, and kept: their names change with their content.
 */
export function packedAssets(folder: string): RequestHandler {
  const packed = new Map<string, Promise<Buffer | null>>()
  const packedFile = (file: string) => {
    const known = packed.get(file)
    if (known !== undefined) return known
    const made = readFile(join(folder, file)).then(
      (bytes) => pack(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY } }),
      () => null,
    )
    packed.set(file, made)
    return made
  }
  return async (req, res, next) => {
    const file = basename(req.path)
    const type = kinds[extname(file)]
    if (req.method !== 'GET' || type === undefined || !name.test(file) || !req.acceptsEncodings('br')) return next()
    const bytes = await packedFile(file)
    if (bytes === null) return next()
    res.set({
      'content-type': `${type}; charset=utf-8`,
      'content-encoding': 'br',
      'cache-control': 'public, max-age=31536000, immutable',
      vary: 'accept-encoding',
    })
    res.end(bytes)
  }
}
