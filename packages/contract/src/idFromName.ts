/** An id made of a name: lower-case letters, figures and dashes, with a number where it is taken. */
export function idFromName(name: string, taken: ReadonlySet<string>): string {
  const plain =
    name
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 48) || 'unnamed'
  if (!taken.has(plain)) return plain
  for (let n = 2; ; n++) if (!taken.has(`${plain}-${n}`)) return `${plain}-${n}`
}
