/** An id made of a name, with a number where it is taken. */
export function idFromName(name: string, taken: ReadonlySet<string>): string {
  const plain =
    name
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 48) || 'part'
  let id = plain === 'new' ? 'new-part' : plain
  for (let n = 2; taken.has(id); n++) id = `${plain}-${n}`
  return id
}
