/** More than this is not kept; what was not asked for longest goes first. */
const most = 200

/** What was read once and never changes: the plan with which a fit began. One for each open database. */
export class Unchanging {
  private readonly known = new Map<string, unknown>()

  async get<T>(key: string, read: () => Promise<T>): Promise<T> {
    const found = this.known.has(key) ? (this.known.get(key) as T) : await read()
    this.known.delete(key)
    this.known.set(key, found)
    const [oldest] = this.known.keys()
    if (this.known.size > most && oldest !== undefined) this.known.delete(oldest)
    return found
  }
}
