/** A value as a page about the code writes it: short, and rounded to what is worth reading. */
export function shown(value: unknown): string {
  if (typeof value === 'number') return String(Math.round(value * 1000) / 1000).replace(/^-0$/, '0')
  if (typeof value === 'string') return `'${value}'`
  if (value === null || value === undefined || typeof value === 'boolean') return String(value)
  if (value instanceof Set) return shown([...value])
  if (ArrayBuffer.isView(value)) return shown([...(value as Float64Array)])
  if (Array.isArray(value)) return `[${value.map(shown).join(', ')}]`
  if (typeof value === 'object')
    return `{ ${Object.entries(value)
      .map(([key, inner]) => `${/^[a-z]\w*$/i.test(key) ? key : `'${key}'`}: ${shown(inner)}`)
      .join(', ')} }`
  return typeof value
}
