import type { Liquids } from '@truelay/contract'
import { learnUse } from '@truelay/core/mix'
import type { Database } from '../database/openDatabase.ts'
import type { Unchanging } from '../database/unchanging.ts'
import { readStandingFit } from '../fit/keptState.ts'
import { readProgress } from '../fit/queries.ts'
import { readOpenJobs, readPartsOf } from '../jobs/queries.ts'
import { readFilms, readForms } from '../shelf/queries.ts'
import { readShop } from '../shop/queries.ts'
import { readFindingsOf } from '../walkRound/queries.ts'
import { addUp, partNeeds } from './jobNeeds.ts'
import { readBatches, readSupplies } from './queries.ts'
import { usesOf } from './uses.ts'

/** Batches, supplies, and what the open jobs still take of them. `needsKept` holds what parts take, by all that it hangs on. */
export async function readLiquids(database: Database, now: Date, needsKept: Unchanging): Promise<Liquids> {
  const [batches, supplies, shop, jobs] = await Promise.all([
    readBatches(database, now),
    readSupplies(database),
    readShop(database),
    readOpenJobs(database),
  ])
  const ids = jobs.map((job) => job.id)
  const [partsOf, findings] = await Promise.all([readPartsOf(database, ids), readFindingsOf(database, ids)])
  const parts = jobs.flatMap((job) => partsOf(job.id))
  const progress = await readProgress(
    database,
    parts.map((p) => p.id),
  )
  const isWaiting = (id: string) => progress(id).state === 'waiting'
  const begun = parts.filter((p) => !isWaiting(p.id))
  const fits = await Promise.all(begun.map(async (p) => (await readStandingFit(database, p.id)).state))
  const learned = learnUse(usesOf(batches, fits))
  // A part whose liquids are mixed takes nothing more.
  const waiting = parts.filter((p) => p.formId !== null && isWaiting(p.id))
  const [forms, films] = await Promise.all([
    readForms(
      database,
      waiting.flatMap((p) =>
        p.formId === null || p.formVersion === null ? [] : [{ id: p.formId, version: p.formVersion }],
      ),
    ),
    readFilms(database, [...new Set(waiting.map((p) => p.filmId))]),
  ])
  const texts = new Map<object, string>([...forms, ...films].map((document) => [document, JSON.stringify(document)]))
  const ofShop = JSON.stringify([shop.practice, shop.stockAlcoholPercent, learned.factor])
  const needsOf = async (part: (typeof waiting)[number]) => {
    const form = forms.find((f) => f.id === part.formId && f.version === part.formVersion)
    const film = films.find((f) => f.id === part.filmId)
    if (form === undefined || film === undefined) return null
    const found = findings.filter((f) => f.partId === part.id)
    const own = JSON.stringify([part.order, part.choices.liquids, found])
    const key = [texts.get(form), texts.get(film), ofShop, own].join()
    const need = await needsKept.get(key, () =>
      partNeeds({ form, film, part, findings: found, shop, factor: learned.factor }),
    )
    return need === null ? null : { ...need, partId: part.id }
  }
  const needs = await Promise.all(
    jobs.map(async (job) => {
      const own = partsOf(job.id).filter((p) => waiting.includes(p))
      const each = (await Promise.all(own.map(needsOf))).filter((need) => need !== null)
      return {
        jobId: job.id,
        number: job.number,
        vehicle: job.vehicle.model,
        dueAt: job.dueAt,
        ...addUp(each, shop),
        parts: each.map(({ partId, solutions }) => ({ partId, solutions })),
      }
    }),
  )
  return { batches, supplies, needs, learned }
}
