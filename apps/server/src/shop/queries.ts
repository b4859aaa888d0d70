import { type Shop, type ShopChange, shop } from '@truelay/contract'
import { gunsChanged } from '@truelay/core/heat'
import { practiceChanged } from '@truelay/core/practice'
import { say } from '@truelay/core/say'
import { eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { shops } from './table.ts'
import { readStored, toStored } from '../database/stored.ts'

const theShop = 'shop'

export async function readShop({ read }: Database): Promise<Shop> {
  const row = await read.query.shops.findFirst({ where: eq(shops.id, theShop) })
  if (row === undefined)
    throw new NotFound(
      say`This database holds no shop yet.`,
      say`Open the shop on the first screen, or look around in the demo shop with "./truelay demo".`,
      'NO_SHOP',
    )
  return readStored('shop', row.id, row.document)
}

export const saveShop = ({ write }: Database, settings: Shop) =>
  write((db) => {
    const document = toStored('shop', settings)
    return db
      .insert(shops)
      .values({ id: theShop, document })
      .onConflictDoUpdate({ target: shops.id, set: { document } })
  })

/** Reads, changes and saves as one write, so that two changes at a time both count. */
export const changeShop = (database: Database, change: ShopChange): Promise<Shop> =>
  database.write(async (db) => {
    const before = await readShop(database)
    const guns = gunsChanged(before.guns, change.guns ?? {})
    if (!guns.ok) throw new Refused(guns.failure)
    const settings = shop.parse({
      ...before,
      ...change,
      units: { ...before.units, ...change.units },
      practice: practiceChanged(before.practice, change.practice ?? {}),
      guns: guns.value,
    })
    await db
      .update(shops)
      .set({ document: toStored('shop', settings) })
      .where(eq(shops.id, theShop))
    return settings
  })
