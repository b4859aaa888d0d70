import {
  idFromName,
  type NewPerson,
  newPerson,
  type Person,
  type PersonChange,
  type PersonId,
  person,
  personId,
  worksHere,
} from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readEach, readRow } from '../database/stored.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { asPerson, people } from './table.ts'

/** Everybody who works here or did, in the order in which they came. */
export const readPeople = async (database: Database): Promise<Person[]> =>
  readEach(database, await database.read.select().from(people), (row) =>
    readRow('person', row.id, person, asPerson(row)),
  )

export const addPerson = (database: Database, draft: NewPerson): Promise<Person> =>
  database.write(async (db, within) => {
    const before = await readPeople(within)
    refuseSameName(before, draft.name, null)
    const taken = new Set(before.map(({ id }) => id))
    const id = personId.parse(idFromName(draft.name, taken))
    const added = person.parse({ ...newPerson.parse(draft), id, leftAt: null })
    await db.insert(people).values(added)
    return added
  })

/** Whoever leaves keeps what they did; somebody who leads has to stay. */
export const changePerson = (database: Database, id: PersonId, change: PersonChange): Promise<Person> =>
  database.write(async (db, within) => {
    const all = await readPeople(within)
    const before = all.find((p) => p.id === id)
    if (before === undefined)
      throw new NotFound(say`Nobody here is called "${name(id)}".`, say`Choose a person of the shop.`)
    const changed = person.parse({ ...before, ...change })
    if (change.name !== undefined) refuseSameName(all, change.name, id)
    refuseOthersWord(all, change)
    const staying = all.map((p) => (p.id === id ? changed : p)).filter(worksHere)
    if (!staying.some(({ role }) => role === 'lead'))
      throw new Refused({
        code: 'NOBODY_LEADS',
        sentence: say`Nobody would lead the shop then.`,
        fix: say`Make somebody else a lead first; nothing was changed.`,
      })
    await db.update(people).set(changed).where(eq(people.id, id))
    return changed
  })

/** What somebody may do a lead of the shop confirms, nobody else. */
function refuseOthersWord(all: readonly Person[], { confirmed = [] }: PersonChange): void {
  const leads = all.filter((one) => one.role === 'lead' && worksHere(one)).map(({ id }) => id)
  if (confirmed.every(({ by }) => leads.includes(by))) return
  throw new Refused({
    code: 'NOT_A_LEAD',
    sentence: say`Only a lead of the shop confirms what somebody may do.`,
    fix: say`Let a lead look on, and press it; nothing was changed.`,
  })
}

/** Two people of one name could not be told apart on a record. */
function refuseSameName(all: readonly Person[], called: string, self: PersonId | null): void {
  const same = (p: Person) => p.id !== self && p.name.toLowerCase() === called.trim().toLowerCase()
  if (!all.some(same)) return
  throw new Refused({
    code: 'NAME_TAKEN',
    sentence: say`Somebody is called "${name(called)}" already.`,
    fix: say`Add a letter or the family name, so that a record tells who it was.`,
  })
}
