import { type FirstShop, firstShop, type Shop, shop, usualShop } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import type { Database } from '../database/openDatabase.ts'
import { Refused } from '../reply/reply.ts'
import { addFilm } from '../shelf/addFilm.ts'
import { addPerson, readPeople } from '../shop/people.ts'
import { readShop, saveShop } from '../shop/queries.ts'
import { shops } from '../shop/table.ts'

/** Opens the shop in an empty folder with what is known of it so far. */
export const openShop = (database: Database, draft: FirstShop): Promise<Shop> =>
  database.write(async (_, within) => {
    if ((await within.read.select().from(shops)).length > 0) throw openAlready(await readShop(within))
    const { people, film, gun, ...told } = firstShop.parse(draft)
    await saveShop(within, shop.parse({ ...usualShop, ...told, guns: gun === null ? [] : [gun] }))
    for (const somebody of people) await addPerson(within, somebody)
    if (!(await readPeople(within)).some(({ role }) => role === 'lead'))
      throw new Refused({
        code: 'NOBODY_LEADS',
        sentence: say`Nobody leads the shop.`,
        fix: say`Make one of the people a lead; nothing was saved.`,
      })
    if (film !== null) await addFilm(within, film)
    return readShop(within)
  })

const openAlready = (there: Shop) =>
  new Refused({
    code: 'OPEN_ALREADY',
    sentence: say`The shop is open already: ${name(there.name)}.`,
    fix: say`Change what is not right on its page.`,
  })
