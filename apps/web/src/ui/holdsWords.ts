/** Whether everything that is looked for, word by word, stands somewhere in what is told of a thing. Nothing looked for: it does. */
export function holdsWords(sought: string, told: readonly string[]): boolean {
  const all = told.join(' ').toLocaleLowerCase()
  return sought
    .toLocaleLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word))
}
