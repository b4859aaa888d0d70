import type { RequestHandler } from 'express'
import { say } from '@truelay/core/say'

const ownNames = new Set(['localhost', '127.0.0.1', '[::1]'])

/** Turns away requests that reach this machine under a foreign name, so that no web page elsewhere can use it. */
export const onlyThisMachine: RequestHandler = (req, res, next) => {
  const name = (req.headers.host ?? '').replace(/:\d+$/, '')
  if (ownNames.has(name)) return next()
  res.status(403).json({
    code: 'FOREIGN_NAME',
    sentence: say`This server answers on this machine only.`,
    fix: say`Open it as http://localhost with its port.`,
  })
}
