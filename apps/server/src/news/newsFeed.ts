import type { NewsItem } from '@truelay/contract'

/** What happened within so many milliseconds is told at once. */
const gatherMs = 100

export type Listener = (items: readonly NewsItem[]) => void

/** Tells all that listen what was changed, a moment after it happened. */
export class NewsFeed {
  private readonly listeners = new Set<Listener>()
  private readonly enders = new Set<() => void>()
  private readonly cutters = new Set<(tabletId: string) => void>()
  private gathered: NewsItem[] = []
  private timer: NodeJS.Timeout | null = null

  /** Listens until the function that it answers is called. */
  listen(listener: Listener): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** What is to be done when there will be no more news. */
  onEnd(end: () => void): void {
    this.enders.add(end)
  }

  /** What is to be done when a tablet shall hear no more. */
  onCut(cut: (tabletId: string) => void): void {
    this.cutters.add(cut)
  }

  /** A tablet that was turned away hears nothing more, also on pages that are open. */
  cutOff(tabletId: string): void {
    for (const cut of this.cutters) cut(tabletId)
  }

  end(): void {
    for (const end of this.enders) end()
  }

  tell(item: NewsItem): void {
    if (this.listeners.size === 0) return
    this.gathered.push(item)
    this.timer ??= setTimeout(() => this.pass(), gatherMs)
  }

  private pass(): void {
    const items = this.gathered
    this.gathered = []
    this.timer = null
    for (const listener of this.listeners) listener(items)
  }
}
