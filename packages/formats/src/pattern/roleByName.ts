export type Role = 'outline' | 'cut-out' | 'mark' | 'leave out'

/** Whole words of a name that say what its shapes are; what stands first counts before the rest. */
const meanings: readonly (readonly [Role, RegExp])[] = [
  ['outline', /^(outlines?|contours?|outer|perimeter|cutlines?)$/],
  ['cut-out', /^(cutouts?|holes?|openings?|apertures?)$/],
  ['mark', /^(marks?|references?|registrations?|notch|notches|register)$/],
]

/** What a name says of shapes; null where it says nothing. "Bookmark" is no mark and "Inner fender" no cut-out. */
export function meansRole(name: string): Role | null {
  const words = name
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .replace(/cut[\s_-]+out/g, 'cutout')
    .replace(/cut[\s_-]+line/g, 'cutline')
    .split(/[^a-zäöüß]+/)
  return meanings.find(([, word]) => words.some((one) => word.test(one)))?.[0] ?? null
}

/** What the names around a shape say, the innermost first. */
export function roleByName(layers: readonly string[]): Role | null {
  for (const name of [...layers].reverse()) {
    const role = meansRole(name)
    if (role !== null) return role
  }
  return null
}
