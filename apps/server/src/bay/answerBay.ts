import type { Database } from '../database/openDatabase.ts'
import { Unchanging } from '../database/unchanging.ts'
import { untilWritten } from '../database/untilWritten.ts'
import { readFilmNames } from '../shelf/queries.ts'
import { readPeople } from '../shop/people.ts'
import { readShop } from '../shop/queries.ts'
import { jobOfLook, readBayLooks } from './bayLooks.ts'

/** So many open jobs are kept as they were last shown. */
const mostShown = 2000

/**
 * The bay as it goes over the wire: the vehicles that are here or will come, each with how far its parts have come. Made anew after a write,
 * and of that only the jobs that changed: fifty tablets ask after every event.
 */
export function answerBay(database: Database): () => Promise<string> {
  let shown = { filmNames: '', jobs: new Unchanging(mostShown) }
  return untilWritten(database, async () => {
    const [shop, people, looks, filmNames] = await Promise.all([
      readShop(database),
      readPeople(database),
      readBayLooks(database),
      readFilmNames(database),
    ])
    if (shown.filmNames !== filmNames.text) shown = { filmNames: filmNames.text, jobs: new Unchanging(mostShown) }
    const jobs: string[] = []
    for (const look of looks) {
      const shownOf = () => jobOfLook(look, filmNames.of, database).map((job) => JSON.stringify(job))
      jobs.push(...(await shown.jobs.get(look, shownOf)))
    }
    return `{"shop":${JSON.stringify(shop)},"people":${JSON.stringify(people)},"jobs":[${jobs.join(',')}]}`
  })
}
