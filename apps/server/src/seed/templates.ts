import { jobId, partPlan, partQuestionOf } from '@truelay/contract'
import { anyDay, climb, type PartPlan } from '@truelay/core/plan'
import { readBundle } from '../bundle/readBundle.ts'
import type { Database } from '../database/openDatabase.ts'
import { jobs, parts } from '../jobs/table.ts'

/** A part of the demo shop with its vehicle and its plan, for fits to be made of. */
export interface Template {
  readonly part: typeof parts.$inferSelect
  readonly job: typeof jobs.$inferSelect
  readonly plan: PartPlan
}

/** Coarse: what is made up needs no finer lay. */
const triangles = 300

/** Parts of the demo shop that can be planned, each with its plan; `plain`: on a vehicle of which nothing was found. */
export async function templatesOf(
  database: Database,
  wanted: (partId: string) => boolean,
  look: 'as it stands' | 'plain',
): Promise<Template[]> {
  const rows = await database.read.select().from(parts)
  const vehicles = await database.read.select().from(jobs)
  const templates: Template[] = []
  for (const job of vehicles) {
    if (!rows.some((row) => row.jobId === job.id && wanted(row.id))) continue
    const bundle = await readBundle(database, jobId.parse(job.id))
    for (const part of bundle.parts) {
      const row = rows.find((r) => r.id === part.id)
      if (row === undefined || !wanted(row.id)) continue
      const question = partQuestionOf(look === 'plain' ? { ...bundle, findings: [] } : bundle, part)
      const climbed = question === null ? null : climb(question, anyDay, { triangles })
      if (climbed?.ok === true) templates.push({ part: row, job, plan: partPlan.parse(climbed.value.plan) })
    }
  }
  return templates
}
