import type { Tables } from '../database/openDatabase.ts'
import { jobs } from './table.ts'

/** The number after the highest one of all jobs. */
export async function nextNumber(db: Tables): Promise<string> {
  const all = await db.select({ number: jobs.number }).from(jobs)
  const highest = Math.max(0, ...all.map((row) => Number.parseInt(row.number, 10) || 0))
  return String(highest + 1).padStart(4, '0')
}
