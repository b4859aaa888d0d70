import type { CountedRoll, FilmId, FilmInStock, Stock } from '@truelay/contract'
import { type Practice, practiceWith } from '@truelay/core/practice'
import { filmOutlook, yieldOf } from '@truelay/core/stock'
import type { Database } from '../database/openDatabase.ts'
import { readShop } from '../shop/queries.ts'
import { readCountedRolls } from '../stock/queries.ts'
import { type JobsFilmWish, readFilmWishes } from './readFilmWishes.ts'

/** So many cuts of a film, the latest, tell its yield. */
const cutsThatTell = 30

/** What is on the shelf of film, and how far it lasts for the jobs that are open. Films that never had a roll here come cut. */
export async function readStock(database: Database): Promise<Stock> {
  const [all, wishes, shop] = await Promise.all([
    readCountedRolls(database),
    readFilmWishes(database),
    readShop(database),
  ])
  const practice = practiceWith(shop.practice)
  const filmIds = [...new Set(all.map(({ roll }) => roll.filmId))]
  return {
    rolls: all.filter(({ account }) => !account.gone),
    films: filmIds.map((filmId) => filmInStock(filmId, all, wishes, practice)),
  }
}

function filmInStock(
  filmId: FilmId,
  all: readonly CountedRoll[],
  allWishes: readonly JobsFilmWish[],
  practice: Practice,
): FilmInStock {
  const own = all.filter(({ roll }) => roll.filmId === filmId)
  const wishes = allWishes.filter((wish) => wish.filmId === filmId)
  const told = yieldOf(own.flatMap(({ account }) => account.cuts).slice(-cutsThatTell))
  const yieldShare = told ?? practice.cutYield / 100
  const { firstShort, ...outlook } = filmOutlook(
    own.map(({ roll, account }) => ({ ...account, widthMm: roll.widthMm })),
    wishes,
    { yieldShare, widthMm: own.at(-1)?.roll.widthMm ?? practice.rollWidth, reserveMm: practice.rollReserve },
  )
  const jobs = new Map(wishes.map(({ jobId, number, at }) => [jobId, { jobId, number, at }]))
  return {
    filmId,
    outlook: { ...outlook, firstShort: firstShort as FilmInStock['outlook']['firstShort'] },
    yieldShare,
    yieldIsOwn: told !== null,
    jobs: [...jobs.values()].sort((a, b) => a.at.localeCompare(b.at)) as FilmInStock['jobs'],
  }
}
