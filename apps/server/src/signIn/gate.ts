import { mayDo } from '@truelay/contract'
import { say, type Sentence } from '@truelay/core/say'
import type { Request, RequestHandler, Response } from 'express'
import { deedOf } from '../audit/deeds.ts'
import type { Database } from '../database/openDatabase.ts'
import { shops } from '../shop/table.ts'
import { remember, type Who, whoOf } from '../who/who.ts'
import { sessionCookie, tabletCookie } from './cookies.ts'
import { personOf } from './sessions.ts'
import { tabletOf } from './tablets.ts'

/** What anybody on the network may ask: whether they are known, and to be taken in with a code. */
const forStrangers = new Set(['GET /session', 'POST /pair'])
/** What a screen of the shop may ask before somebody signs in on it. */
const forTablets = new Set(['GET /sign-in', 'POST /sign-in', 'PUT /pin', 'GET /health'])
/** What takes the whole shop out of the house is a lead's, however its address is written. */
const leadsReading = /^\/(backups|export|changes|tablets)\b/i

/** From the server's own machine, which talks to it without a cable. */
const atDesk = (req: Request): boolean =>
  !req.secure && ['127.0.0.1', '::1', '::ffff:127.0.0.1'].includes(req.socket.remoteAddress ?? '')

async function whoAsks(database: Database, req: Request, at: Date): Promise<Who> {
  const cookies = req.cookies as Readonly<Record<string, unknown>>
  const [device, token] = [cookies[tabletCookie], cookies[sessionCookie]]
  const desk = atDesk(req)
  const tablet = desk || typeof device !== 'string' ? null : await tabletOf(database, device)
  const signedIn =
    typeof token === 'string' && (desk || tablet !== null)
      ? await personOf(database, token, tablet?.id ?? null, at)
      : null
  return { desk, tablet, person: signedIn?.person ?? null, session: signedIn?.session ?? null }
}

/** At the desk of an empty folder the shop is opened before anybody can sign in. */
const opens = async ({ read }: Database, who: Who): Promise<boolean> =>
  who.desk && (await read.select({ id: shops.id }).from(shops).limit(1)).length === 0

/** Lets in who is known: a stranger on the network gets nothing, a tablet of the shop the names, whoever is signed in the rest. */
export const gate =
  (database: Database, now: () => Date): RequestHandler =>
  async (req, res, next) => {
    const who = await whoAsks(database, req, now())
    remember(req, who)
    const asked = `${req.method} ${req.path}`
    if (forStrangers.has(asked)) return next()
    if (!who.desk && who.tablet === null)
      return refuse(res, 401, 'STRANGER', {
        sentence: say`This screen does not belong to the shop yet.`,
        fix: say`Take it in with a code from the desk: Shop, Tablets.`,
      })
    if (who.person !== null || forTablets.has(asked) || (await opens(database, who))) return next()
    refuse(res, 401, 'SIGN_IN', {
      sentence: say`Nobody is signed in on this screen.`,
      fix: say`Tap your name and type your PIN. What was done in a fit is kept here meanwhile.`,
    })
  }

/** Lets somebody do what their role may; what nobody has named is a lead's. */
export const byRole: RequestHandler = (req, res, next) => {
  const { person } = whoOf(req)
  // Before anybody is known the gate has decided.
  if (
    person === null ||
    ['POST /sign-out', 'PUT /pin', 'POST /sign-in', 'POST /pair'].includes(`${req.method} ${req.path}`)
  )
    return next()
  const reading = req.method === 'GET' || req.method === 'HEAD'
  const least = reading
    ? leadsReading.test(req.path)
      ? 'lead'
      : 'new hand'
    : (deedOf({ method: req.method, path: req.path, body: req.body })?.least ?? 'lead')
  if (mayDo(person.role, least)) return next()
  refuse(res, 403, 'NOT_YOURS', {
    sentence: least === 'lead' ? say`Only a lead does that.` : say`A new hand does not do that yet.`,
    fix: say`Ask one who may, or sign in as one; nothing was changed.`,
  })
}

const refuse = (res: Response, status: number, code: string, told: { sentence: Sentence; fix: Sentence }): void => {
  res.status(status).json({ code, ...told })
}
