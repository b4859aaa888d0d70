import type { RequestHandler } from 'express'
import { say } from '@truelay/core/say'

const reading = new Set(['GET', 'HEAD', 'OPTIONS'])

/** Turns away what a page of another origin wants to change, as its browser tells of it; programs tell nothing and are let through. */
export const onlyOwnPages: RequestHandler = (req, res, next) => {
  const [site, origin] = [req.get('sec-fetch-site'), req.get('origin')]
  const foreign =
    (site !== undefined && site !== 'same-origin' && site !== 'none') ||
    (origin !== undefined && origin !== `${req.protocol}://${req.get('host')}`)
  if (reading.has(req.method) || !foreign) return next()
  res.status(403).json({
    code: 'FOREIGN_PAGE',
    sentence: say`A page of another address tried to change something here.`,
    fix: say`Open the app at its own address; nothing was changed.`,
  })
}
