import { createHash, randomBytes, randomInt } from 'node:crypto'

/** What a browser keeps to be known again: nobody guesses it. */
export const newToken = (): string => randomBytes(32).toString('base64url')

/** What is kept of a token here: the database alone lets nobody in. */
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex')

/** Read off a screen and typed: no 0 and O, no 1, I and L. */
const signs = '23456789ABCDEFGHJKMNPQRSTUVWXYZ'

/** A code in two groups of four, about 40 bits. */
export function newCode(): string {
  const four = () => Array.from({ length: 4 }, () => signs[randomInt(signs.length)]).join('')
  return `${four()}-${four()}`
}

/** As it is compared: however it was typed. */
export const plainCode = (code: string): string => code.toUpperCase().replace(/[^A-Z0-9]/g, '')
