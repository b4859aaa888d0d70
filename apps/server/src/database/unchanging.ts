/** What was worked out once and never changes under its key; of more than so many, what was not asked for longest goes first. */
export class Unchanging {
  private readonly known = new Map<string, unknown>()

  constructor(private readonly most: number) {}

  async get<T>(key: string, make: () => T | Promise<T>): Promise<T> {
    const found = this.known.has(key) ? (this.known.get(key) as T) : await make()
    this.known.delete(key)
    this.known.set(key, found)
    const [oldest] = this.known.keys()
    if (this.known.size > this.most && oldest !== undefined) this.known.delete(oldest)
    return found
  }
}
