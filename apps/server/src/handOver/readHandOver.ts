import {
  type Finding,
  type HandedOver,
  type HandedPart,
  type HandOver,
  type JobId,
  looksOf,
  openProblems,
  type Part,
  type PartId,
  standing,
  stopsClosing,
  stopsPart,
  type FitState,
  type LightAcknowledged,
  type Person,
  type Film,
} from '@truelay/contract'
import { tellCustomer } from '@truelay/core/handOver'
import { practiceWith } from '@truelay/core/practice'
import { sameSentence } from '@truelay/core/say'
import { bodyPlan, type Slot } from '@truelay/core/vehicle'
import { eq, inArray } from 'drizzle-orm'
import { edgeLooks } from '../calendar/edgeLooks.ts'
import type { Database } from '../database/openDatabase.ts'
import { readStored } from '../database/stored.ts'
import { readRoom } from '../devices/queries.ts'
import { readStandingFit } from '../fit/keptState.ts'
import { readJob, readParts } from '../jobs/queries.ts'
import { readFilms } from '../shelf/queries.ts'
import { readPeople } from '../shop/people.ts'
import { readShop } from '../shop/queries.ts'
import { readFindings } from '../walkRound/queries.ts'
import { handOverRows, lightRows } from '../jobs/table.ts'

/** Everything that has to be known where a job is closed. */
export async function readHandOver(database: Database, id: JobId, now: Date): Promise<HandOver> {
  const job = await readJob(database, id)
  const parts = await readParts(database, id)
  const partIds = parts.map((part) => part.id)
  const [shop, people, films, found, read, signed, room] = await Promise.all([
    readShop(database),
    readPeople(database),
    readFilms(
      database,
      parts.map((part) => part.filmId),
    ),
    readFindings(database, id),
    readAcknowledged(database, partIds),
    readHandedOver(database, id),
    readRoom(database, now),
  ])
  const slots = new Map(bodyPlan(job.vehicle.kind).slots.map((slot) => [slot.id, slot]))
  const fits = await Promise.all(parts.map(async (part) => (await readStandingFit(database, part.id)).state))
  const practice = practiceWith(shop.practice)
  const air = room.now ?? job.room
  const told = tellCustomer(
    parts.flatMap((part, i) => toTell(part, fits[i], slots.get(part.slot))),
    { roomC: air.temperatureC, humidityPercent: air.humidityPercent },
    practice,
  )
  const handed = parts.map((part, i) =>
    handedPart({
      part,
      state: fits[i] ?? { phase: 'not begun' },
      film: films.find((film) => film.id === part.filmId),
      found: found.filter((finding) => finding.partId === part.id),
      acknowledged: read.get(part.id) ?? null,
      people,
    }),
  )
  const open = (i: number) => {
    const state = fits[i]
    return state === undefined || state.phase === 'not begun' ? [] : openProblems(state)
  }
  return {
    jobId: id,
    parts: handed,
    told: told.ok
      ? {
          washFrom: told.value.washFrom.toISOString(),
          edgesUntil: told.value.edgesUntil.toISOString(),
          bondedAt: told.value.bondedAt.toISOString(),
          lines: [...told.value.lines],
        }
      : null,
    stops: parts.flatMap((part, i) => stopsClosing(part.name, fits[i] ?? { phase: 'not begun' }) ?? []),
    // What was looked at again is not looked at thrice more.
    looks: (job.visitOf === undefined
      ? edgeLooks(
          job,
          handed.map((part, i) => ({ ...part, open: open(i) })),
          practice,
          shop.hours,
        )
      : []
    ).map(({ at, title }) => ({ at: at.toISOString(), title })),
    handedOver: signed,
  }
}

/** What its owner is told of a part hangs on what was laid, so on its fit and not on what is on the list by now. */
function toTell(part: Part, state: FitState | undefined, slot: Slot | undefined) {
  if (state === undefined || state.phase === 'not begun') return []
  // A visit at which nothing was lifted or warmed changes nothing of what its owner knows.
  const put = standing(state, 'problemSettled').some(({ outcome }) => outcome === 'put right')
  if (part.visitOf !== undefined && !put) return []
  return [
    {
      name: part.name,
      material: state.plan.material,
      level: slot?.face === 'top',
      filmType: state.plan.film.type,
      laid: state.plan.film.laid,
      takesLight: state.plan.light !== null,
      finishedAt: finishedAt(state),
    },
  ]
}

const finishedAt = (state: Extract<FitState, { phase: 'fitting' | 'finished' }>): Date | null => {
  const last = state.done.at(-1)
  return state.phase === 'finished' && last !== undefined ? new Date(last.at) : null
}

interface PartKnown {
  readonly part: Part
  readonly state: FitState
  readonly film: Film | undefined
  readonly found: readonly Finding[]
  readonly acknowledged: LightAcknowledged | null
  readonly people: readonly Person[]
}

function handedPart({ part, state, film, found, acknowledged, people }: PartKnown): HandedPart {
  const common = {
    partId: part.id,
    name: part.name,
    film: film?.name ?? part.filmId,
    found: found.map(({ kind, note, later, photos }) => ({ kind, note, later, photos })),
  }
  if (state.phase === 'not begun')
    return { ...common, state: 'waiting', finishedAt: null, left: [], looked: 0, light: null, acknowledged }
  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? id
  const open = new Set(openProblems(state).map((problem) => problem.id))
  const accepted = new Set(
    standing(state, 'problemSettled').flatMap((event) =>
      event.outcome === 'customer takes it' ? [event.problemId] : [],
    ),
  )
  const light = state.plan.light?.words ?? null
  return {
    ...common,
    state: state.phase === 'finished' ? 'done' : 'fitting',
    finishedAt: finishedAt(state)?.toISOString() ?? null,
    left: standing(state, 'problemSeen')
      .filter(({ id }) => open.has(id) || accepted.has(id))
      .map((seen) => ({
        problem: seen.problem,
        place: seen.place,
        accepted: accepted.has(seen.id),
        stops: open.has(seen.id) && stopsPart(seen),
        at: seen.at,
        by: nameOf(seen.personId),
      })),
    looked: looksOf(state).size,
    light,
    // What was read before the film or the layers were changed says nothing of the lamp as it is.
    acknowledged:
      acknowledged !== null && (light === null || sameSentence(acknowledged.says, light)) ? acknowledged : null,
  }
}

export async function readAcknowledged(
  { read }: Database,
  ids: readonly PartId[],
): Promise<ReadonlyMap<string, LightAcknowledged>> {
  const rows = await read
    .select()
    .from(lightRows)
    .where(inArray(lightRows.partId, [...ids]))
  return new Map(rows.map((row) => [row.partId, readStored('lightAcknowledged', row.partId, row.document)]))
}

export async function readHandedOver({ read }: Database, id: JobId): Promise<HandedOver | null> {
  const [row] = await read.select().from(handOverRows).where(eq(handOverRows.jobId, id))
  return row === undefined ? null : readStored('handedOver', id, row.document)
}
