import { z } from 'zod'

/** A document as it is kept: its version beside it. Without one it is of version 1, from before versions were kept. */
export interface Kept {
  readonly v: number
  readonly doc: unknown
}

/** What reading a kept document comes to. */
export type Read<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly version: number; readonly where: string; readonly problem: string }

/** A kind of document that is kept: its schema, its version, and how an older one becomes the next. */
export interface SavedDocument<T> {
  readonly version: number
  /** For the store. */
  readonly keep: (doc: T) => Kept
  /** The one door for what was stored: brought up to date, then parsed. Never throws. */
  readonly read: (stored: unknown) => Read<T>
}

/** Makes a document of one version into one of the next. It meets what really was stored, so it trusts nothing. */
export type Upcaster = (doc: unknown) => unknown

/** `upcasters[0]` makes version 1 into version 2, and so on: the version is how many there are, and one. */
export function savedDocument<T>(schema: z.ZodType<T>, upcasters: readonly Upcaster[] = []): SavedDocument<T> {
  const version = upcasters.length + 1
  return {
    version,
    keep: (doc) => ({ v: version, doc }),
    read(stored) {
      const kept = asKept(stored)
      if (kept.v > version)
        return { ok: false, version: kept.v, where: '', problem: `written by a newer version (${kept.v} > ${version})` }
      let doc = kept.doc
      try {
        for (const upcast of upcasters.slice(kept.v - 1)) doc = upcast(doc)
      } catch (error) {
        return { ok: false, version: kept.v, where: '', problem: error instanceof Error ? error.message : 'unreadable' }
      }
      const parsed = schema.safeParse(doc)
      if (parsed.success) return { ok: true, value: parsed.data }
      const [issue] = parsed.error.issues
      return { ok: false, version: kept.v, where: issue?.path.join('.') ?? '', problem: issue?.message ?? 'unreadable' }
    },
  }
}

const kept = z.strictObject({ v: z.number().int().min(1), doc: z.unknown() })

function asKept(stored: unknown): Kept {
  const parsed = kept.safeParse(stored)
  return parsed.success ? { v: parsed.data.v, doc: parsed.data.doc } : { v: 1, doc: stored }
}
