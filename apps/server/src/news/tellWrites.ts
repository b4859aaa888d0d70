import { partId, writeIdHeader } from '@truelay/contract'
import type { RequestHandler } from 'express'
import { z } from 'zod'
import type { NewsFeed } from './newsFeed.ts'

/** They are sent, and change nothing that others see. */
const changesNothing = new Set(['/fits/missing', '/sign-in', '/sign-out', '/pairing'])
const fitPath = /^\/parts\/([^/]+)\/fit$/

/** Tells of each write once it is done and answered. */
export const tellWrites =
  (feed: NewsFeed): RequestHandler =>
  (req, res, next) => {
    const { path } = req
    if (req.method === 'GET' || req.method === 'HEAD' || changesNothing.has(path)) return next()
    res.on('finish', () => {
      if (res.statusCode >= 300) return
      const by = z.uuid().safeParse(req.get(writeIdHeader))
      const fitOf = partId.safeParse(fitPath.exec(path)?.[1])
      feed.tell({ by: by.data ?? null, fitOf: fitOf.data ?? null })
    })
    next()
  }
