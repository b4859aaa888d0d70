import { readFileSync } from 'node:fs'
import { type SavedDocument, sayProblem } from '@truelay/contract'
import { type Result, wholeFailure } from '@truelay/core/result'
import type { Sentence } from '@truelay/core/say'
import { english } from '@truelay/words'
import type { z } from 'zod'

/** Ends the program with one line on standard error and code 2. */
export class BadInput extends Error {}

/** The same with code 3: it was looked for and not found, which is no fault of the input. */
export class NoneFound extends Error {
  static of = (failure: { readonly sentence: Sentence; readonly fix: Sentence }): NoneFound =>
    new NoneFound(english(wholeFailure(failure)))
}

/** The text of a file, or of standard input for "-". */
export function readText(file: string | undefined): string {
  if (file === undefined) throw new BadInput('no input: give a file name, or - for standard input')
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8')
  } catch {
    throw new BadInput(`${file}: cannot be read; check the name of the file`)
  }
}

/** The bytes of a file. */
export function readBytes(file: string | undefined): Uint8Array {
  if (file === undefined) throw new BadInput('no input: give a file name')
  try {
    return readFileSync(file)
  } catch {
    throw new BadInput(`${file}: cannot be read; check the name of the file`)
  }
}

/** A JSON document that passes its schema. */
export function readDocument<T>(file: string | undefined, schema: z.ZodType<T, unknown>): T {
  const name = file === '-' ? 'standard input' : file
  const parsed = schema.safeParse(parseJson(readText(file), name ?? ''))
  if (parsed.success) return parsed.data
  throw new BadInput(`${name}: ${english(sayProblem(parsed.error).sentence)}`)
}

/** A document that the app has kept or exported, of whatever version. */
export function readKept<T>(file: string | undefined, kind: SavedDocument<T>): T {
  const name = file === '-' ? 'standard input' : file
  const read = kind.read(parseJson(readText(file), name ?? ''))
  if (read.ok) return read.value
  throw new BadInput(`${name}: ${read.where === '' ? '' : `${read.where}: `}${read.problem}`)
}

function parseJson(text: string, name: string): unknown {
  try {
    return JSON.parse(text)
  } catch (error) {
    throw new BadInput(`${name}: not JSON (${error instanceof Error ? error.message : 'unreadable'}); correct it there`)
  }
}

/** The value of a result; its failure becomes the one line on standard error. */
export function valueOrBadInput<T>(result: Result<T, { readonly sentence: Sentence; readonly fix: Sentence }>): T {
  if (result.ok) return result.value
  throw new BadInput(english(wholeFailure(result.failure)))
}

/** The value after `--name`, which must be a number in a range. */
export function numberOption(
  value: string | undefined,
  name: string,
  fallback: number,
  least: number,
  most: number,
): number {
  if (value === undefined) return fallback
  const number = Number(value)
  if (value.trim() === '' || !(number >= least && number <= most))
    throw new BadInput(`--${name} ${value}: must be a number from ${least} to ${most}`)
  return number
}

/** The value after `--name`, which must be one of a few words. */
export function wordOption<W extends string>(value: string | undefined, name: string, words: readonly [W, ...W[]]): W {
  if (value === undefined) return words[0]
  const word = words.find((w) => w === value)
  if (word === undefined) throw new BadInput(`--${name} ${value}: must be one of ${words.join(', ')}`)
  return word
}
