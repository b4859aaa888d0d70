/** The same, but made only once for each thing, and kept as long as that is. */
export function onceFor<Thing extends object, Made>(make: (thing: Thing) => Made): (thing: Thing) => Made {
  const known = new WeakMap<Thing, Made>()
  return (thing) => {
    const before = known.get(thing)
    if (before !== undefined) return before
    const made = make(thing)
    known.set(thing, made)
    return made
  }
}
