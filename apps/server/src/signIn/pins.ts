import { type PersonId, type SignInName, worksHere } from '@truelay/contract'
import { count, name, say, seconds } from '@truelay/core/say'
import { hash, verify } from '@node-rs/argon2'
import { eq, isNotNull } from 'drizzle-orm'
import type { Database, Tables } from '../database/openDatabase.ts'
import { Refused } from '../reply/reply.ts'
import { readPeople } from '../shop/people.ts'
import { choosePinMs, firstPauseMs, mostWrong, wrongForFree } from './limits.ts'
import { pins } from './table.ts'

type Pin = typeof pins.$inferSelect

/** Memory-hard, at the costs that are recommended for a small server: about a tenth of a second for each try. */
const costs = { memoryCost: 19_456, timeCost: 2, parallelism: 1 }

const pinOf = async ({ read }: Database, id: PersonId): Promise<Pin | null> =>
  (await read.select().from(pins).where(eq(pins.personId, id)))[0] ?? null

const anyPin = async ({ read }: Database): Promise<boolean> =>
  (await read.select({ id: pins.personId }).from(pins).where(isNotNull(pins.hash)).limit(1)).length > 0

const mayChoose = (pin: Pin | null, at: Date): boolean =>
  pin !== null && pin.mayChooseUntil !== null && new Date(pin.mayChooseUntil) > at

/** Who can sign in, and how they stand with their PIN. At the desk a lead chooses the first PIN of the shop. */
export async function signInNames(database: Database, at: Date, desk: boolean): Promise<SignInName[]> {
  const first = desk && !(await anyPin(database))
  const known = new Map((await database.read.select().from(pins)).map((pin) => [pin.personId, pin]))
  return (await readPeople(database)).filter(worksHere).map(({ id, name: called, role }) => {
    const pin = known.get(id) ?? null
    const state = () => {
      if ((first && role === 'lead') || mayChoose(pin, at)) return 'to choose'
      if (pin === null || pin.hash === null) return 'none'
      return pin.wrong >= mostWrong ? 'locked' : 'set'
    }
    return { id, name: called, pin: state() }
  })
}

/** Lets somebody choose a PIN when they next sign in; the one before counts no longer. */
export const allowNewPin = async (db: Tables, personId: PersonId, at: Date): Promise<void> => {
  const fresh = {
    hash: null,
    mayChooseUntil: new Date(at.getTime() + choosePinMs).toISOString(),
    wrong: 0,
    wrongAt: null,
  }
  await db
    .insert(pins)
    .values({ personId, ...fresh })
    .onConflictDoUpdate({ target: pins.personId, set: fresh })
}

/** Keeps a chosen PIN. Throws `Refused` where nobody allowed it, or where it is the first guess of anybody. */
export async function choosePin(database: Database, personId: PersonId, digits: string, at: Date, desk: boolean) {
  refuseEasy(digits)
  const kept = await hash(digits, costs)
  await database.write(async (db, within) => {
    const stands = (await signInNames(within, at, desk)).find((p) => p.id === personId)
    if (stands?.pin !== 'to choose') throw mayNotChoose()
    await keep(db, personId, kept)
  })
}

/** Keeps another PIN in the place of one that was just said right. */
export async function replacePin(database: Database, personId: PersonId, digits: string) {
  refuseEasy(digits)
  const kept = await hash(digits, costs)
  await database.write((db) => keep(db, personId, kept))
}

const keep = (db: Tables, personId: PersonId, kept: string) => {
  const row = { hash: kept, mayChooseUntil: null, wrong: 0, wrongAt: null }
  return db
    .insert(pins)
    .values({ personId, ...row })
    .onConflictDoUpdate({ target: pins.personId, set: row })
}

/**
 * Whether a PIN is somebody's. The try is counted before it is looked at, so that many at a time are no more than one after the other.
 * Throws `Refused` while they have to wait, or are locked.
 */
export async function provePin(database: Database, personId: PersonId, digits: string, at: Date): Promise<void> {
  const known = await database.write(async (db, within) => {
    const pin = await pinOf(within, personId)
    if (pin === null || pin.hash === null) throw noPin()
    if (pin.wrong >= mostWrong) throw locked()
    const waitMs = pauseAfter(pin, at)
    if (waitMs > 0) throw wait(waitMs)
    await db
      .update(pins)
      .set({ wrong: pin.wrong + 1, wrongAt: at.toISOString() })
      .where(eq(pins.personId, personId))
    return { hash: pin.hash, wrong: pin.wrong + 1 }
  })
  if (!(await verify(known.hash, digits))) throw known.wrong >= mostWrong ? locked() : wrong(mostWrong - known.wrong)
  await database.write((db) => db.update(pins).set({ wrong: 0, wrongAt: null }).where(eq(pins.personId, personId)))
}

/** How long somebody still has to wait after wrong tries, ms. */
export function pauseAfter({ wrong: tries, wrongAt }: Pick<Pin, 'wrong' | 'wrongAt'>, at: Date): number {
  if (wrongAt === null || tries <= wrongForFree) return 0
  const pauseMs = firstPauseMs * 2 ** (tries - wrongForFree - 1)
  return Math.max(0, new Date(wrongAt).getTime() + pauseMs - at.getTime())
}

/** What is tried first: one digit all along, or digits in their order. */
const isEasy = (digits: string): boolean => {
  const steps = new Set([...digits].slice(1).map((digit, i) => Number(digit) - Number(digits[i])))
  const [step = 0] = steps
  return steps.size === 1 && Math.abs(step) <= 1
}

const refuseEasy = (digits: string): void => {
  if (!isEasy(digits)) return
  throw new Refused({
    code: 'PIN_EASY',
    sentence: say`Anybody would try that PIN first.`,
    fix: say`Choose digits that do not repeat and do not follow each other.`,
  })
}
const mayNotChoose = () =>
  new Refused({
    code: 'PIN_NOT_ALLOWED',
    sentence: say`A new PIN has not been allowed.`,
    fix: say`A lead allows it on the shop’s page, beside the name.`,
  })
const noPin = () =>
  new Refused({
    code: 'NO_PIN',
    sentence: say`There is no PIN for that name yet.`,
    fix: say`A lead allows one on the shop’s page, beside the name.`,
  })
const locked = () =>
  new Refused({
    code: 'PIN_LOCKED',
    sentence: say`Too many wrong PINs: this name is locked.`,
    fix: say`A lead lets it choose a new PIN on the shop’s page.`,
  })
const wait = (ms: number) =>
  new Refused({
    code: 'PIN_WAIT',
    sentence: say`The last PIN was wrong.`,
    fix: say`Wait ${seconds(Math.ceil(ms / 1000))} and try again.`,
  })
const wrong = (left: number) =>
  new Refused({
    code: 'PIN_WRONG',
    sentence: say`That is not the PIN.`,
    fix: say`Try again; after ${count(left)} more the name is locked.`,
  })

/** How a name is told from one that is not here. */
export const nobodyCalled = (id: string) =>
  new Refused({
    code: 'NOBODY',
    sentence: say`Nobody who works here is called "${name(id)}".`,
    fix: say`Choose one of the names.`,
  })
