import { type NewsItem, news, type PartId } from '@truelay/contract'
import { api, tagTypes } from './api.ts'
import { isOwnWrite } from './baseQuery.ts'

/** What comes within so many milliseconds is asked for at once. */
const gatherMs = 150
/** After the server has turned the listener away. */
const againMs = 5000

/** What one fit changes besides its own log. */
const followsFit = ['Bay', 'Day', 'Record', 'Liquids', 'Blades', 'Learned'] as const
/** What any other write may have changed: everything but fits, and what is measured or learned. */
const setUp = tagTypes.filter((tag) => !['Fit', 'Room', 'Learned', 'Backups'].includes(tag))

type Tag = (typeof tagTypes)[number] | { type: 'Fit'; id: PartId }

/** What has to be asked for anew after some news, this tablet's own writes left out: their answers are here. */
export function oldAfter(items: readonly NewsItem[], isOwn: (writeId: string) => boolean): Tag[] {
  const others = items.filter(({ by }) => by === null || !isOwn(by))
  const fits = new Set(others.flatMap(({ fitOf }) => fitOf ?? []))
  return [
    ...new Set<Tag>([
      ...(fits.size > 0 ? followsFit : []),
      ...(others.some(({ fitOf }) => fitOf === null) ? setUp : []),
    ]),
    ...[...fits].map((id) => ({ type: 'Fit' as const, id })),
  ]
}

interface Live {
  readonly dispatch: (action: ReturnType<typeof api.util.invalidateTags>) => unknown
  /** The connection stands, for the first time or again. */
  readonly onOpen: () => void
  /** The server does not answer. */
  readonly onSilent: () => void
  /** The life of the server's data, told at each connection. */
  readonly onLife: (life: string) => void
}

/**
 * Hears from the server what others change, and has it asked for anew where it is shown. Only a page that is looked at listens: a browser
 * keeps few connections to one server. Whoever begins to listen has missed what came before, and asks for all that is shown.
 */
export function startLiveNews({ dispatch, onOpen, onSilent, onLife }: Live): void {
  if (typeof EventSource === 'undefined') return
  let source: EventSource | null = null
  let items: NewsItem[] = []
  let mayHaveMissed = false

  const pass = () => {
    const tags = oldAfter(items, isOwnWrite)
    items = []
    if (tags.length > 0) dispatch(api.util.invalidateTags(tags))
  }
  const listen = () => {
    source = new EventSource('/api/news')
    source.onerror = () => {
      mayHaveMissed = true
      onSilent()
      // Turned away for good, as nobody is signed in: a browser does not try that again by itself.
      if (source?.readyState !== EventSource.CLOSED) return
      source = null
      setTimeout(look, againMs)
    }
    source.onopen = () => {
      if (mayHaveMissed) dispatch(api.util.invalidateTags(['Fit', 'Learned', ...setUp]))
      mayHaveMissed = true
      onOpen()
    }
    source.addEventListener('life', ({ data }) => onLife(String(data)))
    source.onmessage = ({ data }) => {
      const told = news.safeParse(JSON.parse(String(data)))
      if (!told.success) return
      if (items.length === 0) setTimeout(pass, gatherMs)
      items.push(...told.data)
    }
  }
  const look = () => {
    if (document.hidden) {
      source?.close()
      source = null
    } else if (source === null) listen()
  }
  document.addEventListener('visibilitychange', look)
  look()
}
