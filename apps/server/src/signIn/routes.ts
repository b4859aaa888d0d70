import {
  pairDraft,
  type PairingOffer,
  type PersonId,
  personId,
  pinChoice,
  type Session,
  signInDraft,
  type SignInName,
} from '@truelay/contract'
import { say } from '@truelay/core/say'
import { type Request, type Response, Router } from 'express'
import { z } from 'zod'
import { noteChange, readChanges } from '../audit/changes.ts'
import type { Database } from '../database/openDatabase.ts'
import { Refused } from '../reply/reply.ts'
import { whoOf } from '../who/who.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import { kept, sessionCookie, tabletCookie } from './cookies.ts'
import { sessionMs, tabletMs } from './limits.ts'
import { Pairing } from './pairing.ts'
import { allowNewPin, choosePin, nobodyCalled, provePin, replacePin, signInNames } from './pins.ts'
import { endSession, endSessionsOf, startSession } from './sessions.ts'
import { readTablets, takeIn, turnAway } from './tablets.ts'

/** Where the server is found on the shop's network. */
export interface OnNetwork {
  /** Names and addresses by which its certificate holds. */
  readonly names: () => readonly string[]
  readonly addresses: () => readonly string[]
  readonly certificateAt: () => readonly string[]
  readonly fingerprint: string
}

const allowance = z.strictObject({ allowed: z.literal(true) })
const removal = z.strictObject({ removed: z.literal(true) })
const page = z.strictObject({ before: z.coerce.number().int().positive().optional() })

/** Who is at a screen: being taken in, signing in and out, PINs, and what was changed by whom. */
export function signInRoutes(
  database: Database,
  now: () => Date,
  network: OnNetwork | null,
  onTurnedAway: (tabletId: string) => void,
): Router {
  const routes = Router()
  const pairing = new Pairing()

  routes.get('/session', (req, res) => {
    const { desk, tablet, person } = whoOf(req)
    const answer: Session = { needed: network !== null, desk, paired: desk || tablet !== null, person }
    res.json(answer)
  })
  routes.post('/pair', async (req, res) => {
    const { code, name } = pairDraft.parse(req.body)
    if (network === null) throw thisMachineOnly()
    pairing.accept(code, now())
    res.cookie(tabletCookie, await takeIn(database, name, now()), kept(req, tabletMs))
    res.status(201).json({ paired: true })
  })
  routes.get('/sign-in', async (req, res) => {
    res.json(await signInNames(database, now(), whoOf(req).desk))
  })
  routes.post('/sign-in', async (req, res) => {
    const { personId: id, pin } = signInDraft.parse(req.body)
    await refuseNobody(req, id)
    await provePin(database, id, pin, now())
    await signIn(req, res, id)
  })
  routes.put('/pin', async (req, res) => {
    const { personId: id, pin, before } = pinChoice.parse(req.body)
    const { name: _, pin: state } = await refuseNobody(req, id)
    if (state === 'set' && before !== null) {
      await provePin(database, id, before, now())
      await replacePin(database, id, pin)
    } else await choosePin(database, id, pin, now(), whoOf(req).desk)
    await signIn(req, res, id)
  })
  routes.post('/sign-out', async (req, res) => {
    const { session } = whoOf(req)
    if (session !== null) await database.write((db) => endSession(db, session, now()))
    res.clearCookie(sessionCookie, { path: '/api' }).json({ out: true })
  })
  routes.put(
    '/people/:personId/new-pin',
    asOneWrite(database, now, async (within, req) => {
      allowance.parse(req.body)
      const id = personId.parse(req.params.personId)
      await refuseNobody(req, id)
      await within.write(async (db) => {
        await allowNewPin(db, id, now())
        await endSessionsOf(db, id, now())
      })
      return signInNames(within, now(), whoOf(req).desk)
    }),
  )
  routes.post('/pairing', async (req, res) => {
    if (network === null) throw thisMachineOnly()
    const { code, until } = pairing.open(now())
    await database.write((db) => noteChange(db, req, now()))
    const offer: PairingOffer = {
      code,
      until: until.toISOString(),
      addresses: [...network.addresses()],
      certificateAt: [...network.certificateAt()],
      fingerprint: network.fingerprint,
    }
    res.status(201).json(offer)
  })
  routes.get('/tablets', async (_req, res) => {
    res.json(await readTablets(database))
  })
  routes.put(
    '/tablets/:tabletId/removed',
    asOneWrite(database, now, async (within, req) => {
      removal.parse(req.body)
      const id = z.uuid().parse(req.params.tabletId)
      await within.write((db) => turnAway(db, id, now()))
      onTurnedAway(id)
      return readTablets(within)
    }),
  )
  routes.get('/changes', async (req, res) => {
    res.json(await readChanges(database, page.parse(req.query).before ?? null))
  })

  async function refuseNobody(req: Request, id: PersonId): Promise<SignInName> {
    const found = (await signInNames(database, now(), whoOf(req).desk)).find((p) => p.id === id)
    if (found === undefined) throw nobodyCalled(id)
    return found
  }
  async function signIn(req: Request, res: Response, id: PersonId): Promise<void> {
    const { tablet, session } = whoOf(req)
    const token = await startSession(database, id, tablet?.id ?? null, session, now())
    res.cookie(sessionCookie, token, kept(req, sessionMs)).json({ in: true })
  }
  return routes
}

const thisMachineOnly = () =>
  new Refused({
    code: 'NO_NETWORK',
    sentence: say`This server answers on its own machine only.`,
    fix: say`Start it with "./truelay start --network" to let tablets in.`,
  })
