import { type JobBundle, openProblems, type Problem, rulesOfKits, type WeekHours } from '@truelay/contract'
import { layingSequence } from '@truelay/core/pieces'
import type { Practice } from '@truelay/core/practice'
import type { LookToDo, PartOrder } from '@truelay/core/shopDay'
import { areTwins } from '@truelay/core/stock'
import { releaseAt } from '@truelay/core/wait'
import { edgeLooks } from '../calendar/edgeLooks.ts'
import type { Database } from '../database/openDatabase.ts'
import { readStandingFit } from '../fit/keptState.ts'
import { readProgress } from '../fit/queries.ts'
import type { DayAsked, PartAsked } from './reckonDay.ts'

export interface ForecastHour {
  readonly at: Date
  readonly temperatureC: number
}

interface OfJob {
  readonly bundle: JobBundle
  readonly parts: readonly PartAsked[]
  readonly from: Date
  readonly practice: Practice
  readonly hours: WeekHours
  /** Null where nobody tells how warm it becomes outside. */
  readonly outside: readonly ForecastHour[] | null
  /** When the last film on it lies by the plan that stands; null where none does. */
  readonly laidBy: Date | null
}

/** A look that nobody has made stands so long after its time, minutes. */
const lookStands = 60

/** A vehicle as the plan of the day asks for it. */
export async function jobAsked(database: Database, of: OfJob): Promise<DayAsked['jobs'][number]> {
  const { bundle, parts, from } = of
  const { job } = bundle
  const inMinutes = (at: Date | string) => Math.ceil((new Date(at).getTime() - from.getTime()) / 60_000)
  const progress = await readProgress(
    database,
    bundle.parts.map(({ id }) => id),
  )
  const finished = bundle.parts.flatMap((part) => {
    const { finishedAt } = progress(part.id)
    return finishedAt === null || part.visitOf !== undefined ? [] : [{ part, finishedAt }]
  })
  const lastAt = finished
    .map(({ finishedAt }) => finishedAt)
    .sort()
    .at(-1)
  const indoors = job.visitOf === undefined ? indoorsMinutes(of) : 0
  return {
    jobId: job.id,
    place: job.bay,
    comesIn: inMinutes(job.arrivedAt),
    dueIn: inMinutes(job.dueAt),
    parts,
    orders: ordersOf(bundle),
    sets: bundle.sets.map(({ partIds }) => partIds),
    looks: await looksOf(database, of, finished),
    indoorsMinutes: indoors,
    indoorsLeft: lastAt === undefined ? 0 : Math.max(0, inMinutes(lastAt) + indoors),
  }
}

/** By the rules of the kits, in the sets, and the side first that has a spare. */
export function ordersOf(bundle: Pick<JobBundle, 'parts' | 'pieces' | 'kits' | 'sets'>): PartOrder[] {
  const { parts, pieces, sets } = bundle
  const rules = rulesOfKits(bundle)
  const partsOf = (piece: string) => parts.filter(({ pieceId }) => pieceId === piece)
  const byRules = rules.flatMap(({ first, next }) =>
    partsOf(first).flatMap((a) => partsOf(next).map((b): PartOrder => ({ first: a.id, next: b.id, kind: 'line' }))),
  )
  const bySets = sets.flatMap(({ mode, partIds }) =>
    partIds.slice(1).map((next, i): PartOrder => ({ first: partIds[i] ?? '', next, kind: mode })),
  )
  // A sequence that keeps all rules, so that a spare never turns one round.
  const used = pieces.filter(({ id }) => partsOf(id).length > 0)
  const sequence = layingSequence(used, rules)
  const place = new Map(sequence.ok ? sequence.value.map(({ id }, i) => [id as string, i]) : [])
  const inSet = new Set(sets.flatMap(({ partIds }) => partIds))
  const bySpares = used.flatMap((a) =>
    used
      .filter((b) => areTwins(a, b) && a.spares > b.spares && (place.get(a.id) ?? 0) < (place.get(b.id) ?? 0))
      .flatMap((b) =>
        partsOf(a.id).flatMap((one) =>
          partsOf(b.id)
            .filter((other) => !inSet.has(one.id) && !inSet.has(other.id))
            .map((other): PartOrder => ({ first: one.id, next: other.id, kind: 'line' })),
        ),
      ),
  )
  return [...byRules, ...bySets, ...bySpares]
}

/** Looks at edges that fall due while the vehicle is here. */
async function looksOf(
  database: Database,
  { bundle, from, practice, hours }: OfJob,
  finished: readonly { readonly part: JobBundle['parts'][number]; readonly finishedAt: string }[],
): Promise<LookToDo[]> {
  const due = new Date(bundle.job.dueAt)
  const parts = await Promise.all(
    finished.map(async ({ part, finishedAt }) => {
      const { state } = await readStandingFit(database, part.id)
      const open: readonly Problem[] = state.phase === 'not begun' ? [] : openProblems(state)
      return { partId: part.id, name: part.name, finishedAt, open }
    }),
  )
  return parts.flatMap((part) =>
    edgeLooks(bundle.job, [part], practice, hours).flatMap(({ id, at, minutes }) => {
      const readyIn = Math.ceil((at.getTime() - from.getTime()) / 60_000)
      return readyIn < -lookStands || at > due ? [] : [{ id, partId: part.partId, readyIn, minutes }]
    }),
  )
}

/** How long film has to stay indoors after it was laid; by the forecast where there is one, from when the plan has it laid, else in time for the promise. */
function indoorsMinutes({ bundle: { job }, from, practice, outside, laidBy }: OfJob): number {
  if (outside === null) return practice.releaseLeast
  const promised = new Date(new Date(job.dueAt).getTime() - practice.releaseLeast * 60_000)
  const laid = laidBy ?? promised
  const finishedAt = laid > from ? laid : from
  const release = releaseAt(
    {
      finishedAt,
      room: { roomC: job.room.temperatureC, humidityPercent: job.room.humidityPercent },
      forecast: outside,
    },
    practice,
  )
  return release.ok ? Math.ceil((release.value.at.getTime() - finishedAt.getTime()) / 60_000) : practice.releaseLeast
}
