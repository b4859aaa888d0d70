import { type DocumentKind, documents } from '@truelay/contract'
import { customType } from 'drizzle-orm/sqlite-core'
import type { z } from 'zod'

type DocumentOf<K extends DocumentKind> =
  ReturnType<(typeof documents)[K]['read']> extends infer R
    ? R extends { readonly ok: true; readonly value: infer T }
      ? T
      : never
    : never

/** A document as it lies in its column: with its version, or bare where it is older than versions. */
export interface Stored {
  readonly stored: unknown
}

/** A column of kept documents: written with their version, read only through `readStored`. */
export const storedColumn = customType<{ data: Stored; driverData: string }>({
  dataType: () => 'text',
  toDriver: ({ stored }) => JSON.stringify(stored),
  fromDriver: (text) => storedFromText(text),
})

/** The text of such a column that came on another way. */
export const storedFromText = (text: string): Stored => ({ stored: parsed(text) })

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

/** What is kept in columns of its own and not as a document. */
export type RowKind = 'person' | 'supply'

/** What is kept cannot be read: neither the asker's fault nor one of the code that asked. */
export class StoredFault extends Error {
  constructor(
    readonly kind: DocumentKind | RowKind,
    readonly id: string,
    readonly where: string,
    readonly problem: string,
  ) {
    super(`stored ${kind} "${id}" cannot be read: ${where} ${problem}`)
  }
}

/** A document for its column. */
export const toStored = <K extends DocumentKind>(kind: K, doc: DocumentOf<K>): Stored => ({
  stored: (documents[kind].keep as (doc: DocumentOf<K>) => unknown)(doc),
})

/** The one door for what is stored. Throws `StoredFault`, which is answered as a 500 of its own kind. */
export function readStored<K extends DocumentKind>(kind: K, id: string, { stored }: Stored): DocumentOf<K> {
  const read = documents[kind].read(stored)
  if (!read.ok) throw new StoredFault(kind, id, read.where, read.problem)
  return read.value as DocumentOf<K>
}

/** The same door for what is kept in columns of its own. */
export function readRow<T>(kind: DocumentKind | RowKind, id: string, schema: z.ZodType<T>, row: unknown): T {
  const read = schema.safeParse(row)
  if (read.success) return read.data
  const [issue] = read.error.issues
  throw new StoredFault(kind, id, issue?.path.join('.') ?? '', issue?.message ?? 'unreadable')
}

interface Reporter {
  readonly report: (fault: StoredFault) => void
}

/** Of many, those that can be read; the others are reported and left out. */
export function readEach<R, T>({ report }: Reporter, rows: readonly R[], read: (row: R) => T): T[] {
  return rows.flatMap((row) => {
    try {
      return [read(row)]
    } catch (error) {
      if (!(error instanceof StoredFault)) throw error
      report(error)
      return []
    }
  })
}

/** Many documents: those that cannot be read are reported and left out, so that one bad one does not hide the others. */
export const readEachStored = <K extends DocumentKind>(
  reporter: Reporter,
  kind: K,
  rows: readonly { readonly id: string; readonly document: Stored }[],
): DocumentOf<K>[] => readEach(reporter, rows, ({ id, document }) => readStored(kind, id, document))
