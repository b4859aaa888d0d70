import { type Sentence, count, say } from '@truelay/core/say'
import { type FileResult, read, unreadable } from '../result/index.ts'

export interface StrippedJpeg {
  readonly widthPx: number
  readonly heightPx: number
  readonly bytes: Uint8Array
}

const startOfImage = 0xd8
const endOfImage = 0xd9
const startOfScan = 0xda
const comment = 0xfe
const isApplication = (marker: number) => marker >= 0xe1 && marker <= 0xef
/** Adobe's segment tells how colours are coded: without it they come out wrong. */
const adobe = 0xee
const isFrame = (marker: number) =>
  marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc

const broken = (why: Sentence) =>
  unreadable('JPEG_BROKEN', say`The photo cannot be read: ${why}.`, say`Take it again, or choose a JPEG photo.`)

/**
 * A JPEG without what the camera wrote beside the picture: place, time, serial numbers, previews and comments
 * (application segments 1 to 15 and comments, ITU-T T.81, annex B). The picture itself is not touched.
 */
export function stripJpeg(file: Uint8Array): FileResult<StrippedJpeg> {
  if (file.length < 4 || file[0] !== 0xff || file[1] !== startOfImage) return broken(say`it is no JPEG`)
  const view = new DataView(file.buffer, file.byteOffset, file.byteLength)
  const kept: Uint8Array[] = [file.subarray(0, 2)]
  let size: { widthPx: number; heightPx: number } | null = null
  let at = 2
  for (;;) {
    if (at + 4 > file.length) return broken(say`it ends too early`)
    if (file[at] !== 0xff) return broken(say`there is no segment at byte ${count(at)}`)
    const marker = file[at + 1] ?? 0
    if (marker === 0xff) {
      at++
      continue
    }
    if (marker === endOfImage) return broken(say`it holds no picture`)
    const length = view.getUint16(at + 2)
    if (length < 2 || at + 2 + length > file.length) return broken(say`it ends too early`)
    const segment = file.subarray(at, at + 2 + length)
    if (isFrame(marker)) {
      if (length < 8) return broken(say`its size is missing`)
      size = { heightPx: view.getUint16(at + 5), widthPx: view.getUint16(at + 7) }
    }
    if ((!isApplication(marker) || marker === adobe) && marker !== comment) kept.push(segment)
    at += 2 + length
    if (marker === startOfScan) break
  }
  if (size === null || size.widthPx === 0 || size.heightPx === 0) return broken(say`its size is missing`)
  kept.push(file.subarray(at))
  const bytes = new Uint8Array(kept.reduce((sum, part) => sum + part.length, 0))
  let to = 0
  for (const part of kept) {
    bytes.set(part, to)
    to += part.length
  }
  return read({ ...size, bytes })
}
