import { rollDoc, rollEntry, rollNote } from '@truelay/contract'
import { z } from 'zod'
import type { Tables } from '../database/openDatabase.ts'
import { toStored } from '../database/stored.ts'
import { rollLines, rolls } from '../stock/table.ts'

const daysAgo = z.number().int().min(0).max(400)

export const rollsFile = z.array(
  rollDoc.omit({ id: true, cameAt: true }).extend({
    daysAgo,
    happened: z.array(
      z.strictObject({
        daysAgo,
        personId: rollNote.shape.personId,
        what: rollNote.shape.happened,
      }),
    ),
  }),
)

/** The rolls of the demo shop with what was taken from them. */
export async function seedRolls(
  db: Tables,
  all: z.infer<typeof rollsFile>,
  at: (days: number, hour: number) => string,
): Promise<void> {
  for (const [i, { daysAgo: came, happened, ...facts }] of all.entries()) {
    const roll = rollDoc.parse({ ...facts, id: `r${i + 1}`, cameAt: at(-came, 8) })
    await db.insert(rolls).values({ id: roll.id, document: toStored('roll', roll) })
    for (const [k, { daysAgo: ago, personId, what }] of happened.entries()) {
      const line = rollEntry.parse({
        id: `00000000-0000-4000-8000-${String(100 * (i + 1) + k).padStart(12, '0')}`,
        rollId: roll.id,
        at: at(-ago, 11),
        personId,
        jobId: null,
        sheets: [],
        happened: what,
      })
      await db.insert(rollLines).values({ id: line.id, rollId: roll.id, document: toStored('rollEntry', line) })
    }
  }
}
