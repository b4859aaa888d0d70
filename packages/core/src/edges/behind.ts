/** What lies behind an edge, as far as ending film there is concerned. */
export type Behind =
  | { readonly kind: 'return'; readonly depthMm: number | null }
  | { readonly kind: 'gap' }
  | { readonly kind: 'seal' }
  | { readonly kind: 'nothing' }
  | { readonly kind: 'unknown' }

const words: readonly (readonly [pattern: RegExp, kind: 'return' | 'gap' | 'seal' | 'nothing'])[] = [
  [/\b(nothing|none|no return|flush)\b/i, 'nothing'],
  [/\b(flange|return|lip|hem)\b/i, 'return'],
  [/\b(seal|rubber|slot|trim|triangle|moulding)\b/i, 'seal'],
  [/\b(gap|joint)\b/i, 'gap'],
]

/** Reads what somebody wrote about the back of an edge: "open flange, 20 mm", "gap to the wing", "waist seal". */
export function readBehind(text: string | undefined): Behind {
  if (text === undefined || text.trim() === '') return { kind: 'unknown' }
  const kind = words.find(([pattern]) => pattern.test(text))?.[1]
  if (kind === undefined) return { kind: 'unknown' }
  if (kind !== 'return') return { kind }
  const depth = /(\d+(?:[.,]\d+)?)\s*mm/.exec(text)?.[1]
  return { kind, depthMm: depth === undefined ? null : Number(depth.replace(',', '.')) }
}
