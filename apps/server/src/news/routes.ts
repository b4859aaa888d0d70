import { say } from '@truelay/core/say'
import { type Response, Router } from 'express'
import { Refused } from '../reply/reply.ts'
import { whoOf } from '../who/who.ts'
import type { NewsFeed } from './newsFeed.ts'

/** A line that nobody reads keeps the connection from being taken for dead. */
const beatMs = 20_000
/** More open screens than a shop has. */
const mostScreens = 500
/** A screen that reads no more than this is cut off; it comes back and asks anew. */
const mostUnreadBytes = 64_000

export function newsRoutes(feed: NewsFeed, life: string): Router {
  /** Open screens, each with the tablet that it is on; null = the server's own machine. */
  const open = new Map<Response, string | null>()
  const pass = (res: Response, text: string) => {
    if (res.writableLength > mostUnreadBytes) res.destroy()
    else res.write(text)
  }
  feed.listen((items) => {
    for (const res of open.keys()) pass(res, `data: ${JSON.stringify(items)}\n\n`)
  })
  feed.onEnd(() => {
    for (const res of open.keys()) res.end()
  })
  feed.onCut((tabletId) => {
    for (const [res, tablet] of open) if (tablet === tabletId) res.end()
  })
  setInterval(() => {
    for (const res of open.keys()) pass(res, ': here\n\n')
  }, beatMs).unref()

  const routes = Router()
  routes.get('/news', (req, res) => {
    if (open.size >= mostScreens)
      throw new Refused({
        code: 'TOO_MANY_SCREENS',
        sentence: say`More screens are open than this server tells news to.`,
        fix: say`Close some; this one asks for itself what is new.`,
      })
    res.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-cache, no-transform',
      'x-accel-buffering': 'no',
    })
    open.set(res, whoOf(req).tablet?.id ?? null)
    res.on('close', () => open.delete(res))
    res.write(`retry: 1000\nevent: life\ndata: ${life}\n\n`)
  })
  return routes
}
