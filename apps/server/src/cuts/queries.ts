import { isDeepStrictEqual } from 'node:util'
import {
  type CutDone,
  type CutDraft,
  type CutFrom,
  type JobId,
  type KeptCut,
  type PartId,
  pieceId,
} from '@truelay/contract'
import { name, nothing, say } from '@truelay/core/say'
import { eq, inArray, or, sql } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readEachStored, readStored, toStored } from '../database/stored.ts'
import { readJob } from '../jobs/queries.ts'
import { readKitCheck, saveArrived } from '../kitCheck/queries.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { addRollLine, countedRoll, readRoll, readRollLines } from '../stock/queries.ts'
import { cuts } from './table.ts'

const withoutFile = ({ file: _, ...cut }: KeptCut): CutDone => cut

/** All cuts of a job, the latest first. */
export async function readCuts(database: Database, id: JobId): Promise<CutDone[]> {
  await readJob(database, id)
  const rows = await database.read.select().from(cuts).where(eq(cuts.jobId, id))
  return readEachStored(database, 'cut', rows)
    .map(withoutFile)
    .sort((a, b) => b.at.localeCompare(a.at))
}

export async function readCut(database: Database, id: string): Promise<KeptCut> {
  const [row] = await database.read.select().from(cuts).where(eq(cuts.id, id))
  if (row === undefined) throw new NotFound(say`There is no such cut.`, say`Send it again from the job.`)
  return readStored('cut', row.id, row.document)
}

/** Puts a cut down that is to be sent; the same one twice stands once. */
export const addCut = (
  database: Database,
  jobId: JobId,
  draft: CutDraft,
  now: Date,
): Promise<{ readonly id: string }> =>
  database.write(async (db, within) => {
    await readJob(within, jobId)
    const [there] = await db.select().from(cuts).where(eq(cuts.id, draft.id))
    if (there === undefined) {
      if (draft.from !== undefined) await ofThatRoll(within, draft, draft.from)
      for (const { jobId: other } of draft.pieces) if (other !== undefined) await readJob(within, other)
      const cut: KeptCut = { ...draft, jobId, at: now.toISOString(), state: 'sending', says: nothing }
      await db.insert(cuts).values({ id: draft.id, jobId, document: toStored('cut', cut) })
    } else if (!isSame(readStored('cut', there.id, there.document), draft))
      throw new Refused({
        code: 'CUT_ID_TAKEN',
        sentence: say`Something else was sent to the plotter under that id.`,
        fix: say`Send it under an id of its own; nothing was changed.`,
      })
    return { id: draft.id }
  })

/** Film that is cut is of the roll that it is said to come from. */
async function ofThatRoll(database: Database, { filmId, lot }: CutDraft, { rollId, offcutId }: CutFrom) {
  const roll = await readRoll(database, rollId)
  const { offcuts } = countedRoll(roll, await readRollLines(database, rollId)).account
  if (offcutId !== null && !offcuts.some((offcut) => offcut.offcutId === offcutId))
    throw new Refused({
      code: 'OFFCUT_GONE',
      sentence: say`That offcut of roll ${name(roll.id)} is not there any more.`,
      fix: say`Choose another one, or the roll; nothing was changed.`,
    })
  if (roll.filmId !== filmId || roll.lot !== lot)
    throw new Refused({
      code: 'OTHER_ROLL',
      sentence: say`Roll ${name(roll.id)} is of another film or lot.`,
      fix: say`Choose the roll that is cut; nothing was changed.`,
    })
}

const isSame = ({ pieces, sheets, filmId, lot, from }: KeptCut, draft: CutDraft) =>
  isDeepStrictEqual(
    [pieces, sheets, filmId, lot, from],
    [draft.pieces, draft.sheets, draft.filmId, draft.lot, draft.from],
  )

const save = (database: Database, cut: KeptCut): Promise<KeptCut> =>
  database.write(async (db) => {
    await db
      .update(cuts)
      .set({ document: toStored('cut', cut) })
      .where(eq(cuts.id, cut.id))
    return cut
  })

/** Takes the file out to be sent: from then on nobody sends it a second time. Null where it has been taken already. */
export const takeFile = (database: Database, id: string): Promise<string | null> =>
  database.write(async (_db, within) => {
    const cut = await readCut(within, id)
    if (cut.file !== null) await save(within, { ...cut, file: null })
    return cut.file
  })

/** What became of a cut. What was cut is counted into the kit, with the lot of its roll. */
export const endCut = (
  database: Database,
  id: string,
  end: Pick<CutDone, 'state' | 'says'>,
  now: Date,
): Promise<CutDone> =>
  database.write(async (_db, within) => {
    const cut = await readCut(within, id)
    const ended = await save(within, { ...cut, ...end })
    if (end.state === 'cut') {
      if (cut.from !== undefined) await takeFilm(within, cut, cut.from, now)
      for (const { pieceId: piece, count, jobId: job = cut.jobId } of cut.pieces) {
        const { arrived } = await readKitCheck(within, job)
        const there = arrived.find((a) => a.pieceId === piece)?.arrived ?? 0
        const draft = { arrived: Math.min(mostArrived, there + count), lot: cut.lot, personId: cut.personId }
        await saveArrived(within, job, pieceId.parse(piece), draft, now)
      }
    }
    return withoutFile(ended)
  })

/** What was cut elsewhere, or by hand, is counted as soon as it is told, and once. */
export async function countCut(database: Database, id: string, now: Date): Promise<void> {
  const { state } = await readCut(database, id)
  if (state === 'sending') await endCut(database, id, { state: 'cut', says: nothing }, now)
}

/** Takes the film of a cut from its roll, and puts by what was kept of it. */
async function takeFilm(database: Database, cut: KeptCut, { rollId, offcutId, keeps }: CutFrom, now: Date) {
  const line = { rollId, at: now.toISOString(), personId: cut.personId, jobId: cut.jobId, sheets: cut.sheets ?? [] }
  await addRollLine(database, {
    ...line,
    id: cut.id,
    happened: {
      kind: 'cut',
      cutId: cut.id,
      lengthMm: cut.usedLengthMm,
      piecesMm2: cut.piecesMm2 ?? 0,
      offcutId,
    },
  })
  if (keeps === null) return
  // The same cut always leaves the same offcut.
  await addRollLine(database, {
    ...line,
    id: keeps.offcutId,
    sheets: [],
    happened: { kind: 'offcut kept', cutId: cut.id, ...keeps },
  })
}

/** Every cut that film of a job came from, for itself or together with others, the latest first. */
export async function readCutsFor(database: Database, id: JobId): Promise<CutDone[]> {
  const rows = await database.read
    .select()
    .from(cuts)
    .where(or(eq(cuts.jobId, id), sql`${cuts.document} like ${`%"jobId":"${id}"%`}`))
  return readEachStored(database, 'cut', rows)
    .filter(({ state }) => state === 'cut')
    .map(withoutFile)
    .sort((a, b) => b.at.localeCompare(a.at))
}

/** The lots of the sheets that were cut for parts of a job, each part's latest. */
export async function readSheetLots(database: Database, jobs: readonly JobId[]): Promise<Map<PartId, string>> {
  const rows = await database.read
    .select()
    .from(cuts)
    .where(inArray(cuts.jobId, [...jobs]))
  const done = readEachStored(database, 'cut', rows).filter(({ state }) => state === 'cut')
  return new Map(
    done
      .sort((a, b) => a.at.localeCompare(b.at))
      .flatMap(({ sheets = [], lot }) => sheets.map((part) => [part, lot] as const)),
  )
}

/** As many as a kit’s count takes. */
const mostArrived = 40
