/** What a shop looks for by its name lies in that order, numbers in it by their size: to `sort`. */
export const byName = (a: { readonly name: string }, b: { readonly name: string }): number =>
  a.name.localeCompare(b.name, 'en', { numeric: true })
