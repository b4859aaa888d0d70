import { say } from '@truelay/core/say'
import type { RequestHandler } from 'express'

const ownNames = ['localhost', '127.0.0.1', '[::1]']

/** Turns away requests that reach this machine under a foreign name, so that no web page elsewhere can use it. */
export const onlyKnownNames =
  (onNetwork: () => readonly string[]): RequestHandler =>
  (req, res, next) => {
    const name = (req.headers.host ?? '').replace(/:\d+$/, '').toLowerCase()
    if (ownNames.includes(name) || onNetwork().includes(name)) return next()
    res.status(403).json({
      code: 'FOREIGN_NAME',
      sentence: say`This server does not answer under that name.`,
      fix: say`Open it as http://localhost with its port, or at the address that the desk shows for tablets.`,
    })
  }
