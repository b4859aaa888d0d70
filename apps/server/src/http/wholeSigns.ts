import { say } from '@truelay/core/say'
import type { RequestHandler } from 'express'
import { Refused } from '../reply/reply.ts'

/**
 * Turns away bodies in which some text holds half a sign (a lone surrogate): JSON can write one, but no database text can, and the database client
 * ends the whole process when it meets one.
 */
export const wholeSigns: RequestHandler = (req, _res, next) => {
  if (isWhole(req.body)) return next()
  throw new Refused({
    code: 'HALF_A_SIGN',
    sentence: say`A text in it holds half a sign, which no letter is.`,
    fix: say`Take the odd sign out and send it again; nothing was changed.`,
  })
}

function isWhole(value: unknown): boolean {
  if (typeof value === 'string') return !loneSurrogate.test(value)
  if (typeof value !== 'object' || value === null) return true
  return Array.isArray(value)
    ? value.every(isWhole)
    : Object.entries(value).every(([key, inner]) => !loneSurrogate.test(key) && isWhole(inner))
}

const loneSurrogate = /\p{Surrogate}/u
