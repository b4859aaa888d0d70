import { count as figure, name as called, say, type Sentence } from '@truelay/core/say'
import type { PiecePattern } from '@truelay/core/align'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { patternFromDrawing } from '../pattern/index.ts'
import { type FileResult, read, unreadable } from '../result/index.ts'
import { readSvg, writeSvg } from '../svg/index.ts'

/**
 * A kit or a job in one file: a zip with `truelay.json` (what kind it is, and its documents with the patterns taken
 * out) and one SVG in millimetres for each pattern under `patterns/`. See docs/formats.
 */
export interface Bundle {
  readonly kind: 'kit' | 'job'
  /** The documents, each as it is saved, without patterns. */
  readonly documents: Readonly<Record<string, unknown>>
  /** By the id of their piece. */
  readonly patterns: Readonly<Record<string, PiecePattern>>
}

const version = 1
const manifestName = 'truelay.json'
const limits = { files: 400, fileBytes: 16_000_000, allBytes: 80_000_000 }
const safeId = /^[a-z0-9][a-z0-9-]{0,63}$/i

export function writeBundle({ kind, documents, patterns }: Bundle): Uint8Array {
  const files: Record<string, Uint8Array> = {
    [manifestName]: strToU8(
      JSON.stringify({ format: 'truelay-bundle', version, kind, documents, names: namesOf(patterns) }, null, 1),
    ),
  }
  for (const [id, pattern] of Object.entries(patterns)) files[`patterns/${id}.svg`] = strToU8(writeSvg(pattern))
  // A fixed date, so that the same documents give the same file.
  return zipSync(files, { mtime: '1990-01-01T12:00:00' })
}

const namesOf = (patterns: Bundle['patterns']) =>
  Object.fromEntries(Object.entries(patterns).map(([id, pattern]) => [id, pattern.name]))

const refuse = (why: Sentence, fix = say`Choose a bundle that True Lay has written.`) =>
  unreadable('BUNDLE_UNREADABLE', say`The bundle cannot be read: ${why}.`, fix)

/** Reads a bundle; what is in its documents is for the caller's schemas to judge. */
export function readBundle(bytes: Uint8Array): FileResult<Bundle> {
  let files: Record<string, Uint8Array>
  let all = 0
  let count = 0
  let tooMuch = false
  try {
    files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        all += originalSize
        count++
        if (originalSize > limits.fileBytes || all > limits.allBytes || count > limits.files) tooMuch = true
        return !tooMuch && (name === manifestName || /^patterns\/[^/]+\.svg$/.test(name))
      },
    })
  } catch {
    return refuse(say`it is no zip file`)
  }
  if (tooMuch) return refuse(say`it unpacks to far more than a kit holds`)
  const manifest = files[manifestName]
  if (manifest === undefined) return refuse(say`it has no ${called(manifestName)}`)
  let head: unknown
  try {
    head = JSON.parse(strFromU8(manifest))
  } catch {
    return refuse(say`its ${called(manifestName)} is no JSON`)
  }
  if (typeof head !== 'object' || head === null) return refuse(say`its ${called(manifestName)} holds no documents`)
  const { format, version: written, kind, documents, names } = head as Record<string, unknown>
  if (format !== 'truelay-bundle') return refuse(say`it is something else`)
  if (written !== version)
    return refuse(
      say`it is version ${called(String(written))}, and this program reads version ${figure(version)}`,
      say`Bring the program up to date.`,
    )
  if (kind !== 'kit' && kind !== 'job') return refuse(say`it is a "${called(String(kind))}", neither a kit nor a job`)
  if (typeof documents !== 'object' || documents === null) return refuse(say`its documents are missing`)
  const patterns: Record<string, PiecePattern> = {}
  for (const [name, svg] of Object.entries(files)) {
    const id = name.match(/^patterns\/(.+)\.svg$/)?.[1]
    if (id === undefined) continue
    if (!safeId.test(id)) return refuse(say`"${called(id.slice(0, 40))}" is no name of a piece`)
    const drawing = readSvg(strFromU8(svg))
    if (!drawing.ok) return refuse(say`pattern "${called(id)}": ${drawing.failure.sentence}`)
    const named = (names as Record<string, unknown> | undefined)?.[id]
    const reading = patternFromDrawing(drawing.value, {
      name: typeof named === 'string' ? named : id,
      gapMm: 0.01,
      thinMm: 0,
    })
    if (!reading.ok) return refuse(say`pattern "${called(id)}": ${reading.failure.sentence}`)
    patterns[id] = reading.value.pattern
  }
  return read({ kind, documents: documents as Record<string, unknown>, patterns })
}
