import type { CookieOptions, Request } from 'express'

export const tabletCookie = 'truelay-tablet'
export const sessionCookie = 'truelay-session'

/** Out of reach of scripts and of other pages; over the air only packed. */
export const kept = (req: Request, maxAge: number): CookieOptions => ({
  httpOnly: true,
  sameSite: 'strict',
  secure: req.secure,
  path: '/api',
  maxAge,
})
