/** A value that stands as JSON in a query; what is none is undefined, which no schema takes. */
export function inQuery(text: unknown): unknown {
  if (typeof text !== 'string') return undefined
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
