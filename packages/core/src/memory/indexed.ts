/** Each name with a number from 0 on, those that are asked about first. */
export function indexed(about: readonly string[], read: readonly string[]) {
  const numbers = new Map<string, number>()
  const numberOf = (name: string) => {
    const known = numbers.get(name) ?? numbers.size
    numbers.set(name, known)
    return known
  }
  return { asked: about.map(numberOf), of: read.map(numberOf), levels: numbers.size }
}
