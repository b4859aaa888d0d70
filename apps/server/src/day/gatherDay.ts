import {
  closedTimes,
  type DayPlan,
  jobId as jobIdOf,
  type JobBundle,
  type Part,
  partQuestionOf,
  runningWait,
  type Shop,
  worksHere,
} from '@truelay/contract'
import { calibrated } from '@truelay/core/heat'
import { anyDay } from '@truelay/core/plan'
import { outlineOf, type StepOutline } from '@truelay/core/shopDay'
import { createHash } from 'node:crypto'
import { readBundle } from '../bundle/readBundle.ts'
import type { Database } from '../database/openDatabase.ts'
import { readStandingFit } from '../fit/keptState.ts'
import { readOpenJobs } from '../jobs/queries.ts'
import { readPeople } from '../shop/people.ts'
import { readShop } from '../shop/queries.ts'
import type { DayAsked, PartAsked } from './reckonDay.ts'

/** So far the plan looks ahead. */
const daysAhead = 7
/** Who has done nothing at a part for so long is not at it any more, minutes. */
const atItMinutes = 60
/** Processor time that a plan may take. */
const seconds = 2

export interface Gathered {
  readonly asked: Omit<DayAsked, 'before'>
  readonly from: Date
  readonly leftOut: DayPlan['leftOut']
  /** Of what a part is planned, by part: with the same key its steps are the same. */
  readonly keys: ReadonlyMap<string, string>
  /** What parts are called, and vehicles by their job. */
  readonly names: ReadonlyMap<string, string>
  readonly vehicles: ReadonlyMap<string, string>
}

/** What the shop has to do from a moment on, from all open jobs; steps that are known already are taken from `stepsOf`. */
export async function gatherDay(
  database: Database,
  now: Date,
  stepsOf: (key: string) => readonly StepOutline[] | undefined,
): Promise<Gathered> {
  const from = new Date(Math.floor(now.getTime() / 60_000) * 60_000)
  const until = new Date(from.getTime() + daysAhead * 24 * 60 * 60_000)
  const [shop, people, jobs] = await Promise.all([readShop(database), readPeople(database), readOpenJobs(database)])
  const inMinutes = (at: Date | string) => Math.ceil((new Date(at).getTime() - from.getTime()) / 60_000)
  const leftOut: DayPlan['leftOut'] = []
  const keys = new Map<string, string>()
  const names = new Map<string, string>()
  const vehicles = new Map<string, string>()
  const toDo: DayAsked['jobs'][number][] = []
  for (const job of jobs) {
    if (new Date(job.arrivedAt) > until) continue
    const bundle = await readBundle(database, jobIdOf.parse(job.id))
    const parts: PartAsked[] = []
    vehicles.set(job.id, `${job.vehicle.model} ${job.vehicle.plate}`)
    for (const part of bundle.parts) {
      names.set(part.id, part.name)
      const asked = await partAsked(database, { bundle, part, from, stepsOf, gun: gunOf(shop), keys })
      if (asked === 'done') continue
      if (typeof asked === 'string') leftOut.push({ jobId: job.id, partId: part.id, why: asked })
      else parts.push(asked)
    }
    toDo.push({ jobId: job.id, place: job.bay, comesIn: inMinutes(job.arrivedAt), dueIn: inMinutes(job.dueAt), parts })
  }
  return {
    from,
    leftOut,
    keys,
    names,
    vehicles,
    asked: {
      seconds,
      guns: Math.max(1, shop.guns.length),
      people: people.filter(worksHere).map(({ id, hours }) => ({
        id,
        away: closedTimes(hours ?? shop.hours, from, until).map(([a, b]) => [inMinutes(a), inMinutes(b)] as const),
      })),
      jobs: toDo,
    },
  }
}

interface OfPart {
  readonly bundle: JobBundle
  readonly part: Part
  readonly from: Date
  readonly stepsOf: (key: string) => readonly StepOutline[] | undefined
  readonly gun: ReturnType<typeof gunOf>
  readonly keys: Map<string, string>
}

async function partAsked(
  database: Database,
  { bundle, part, from, stepsOf, gun, keys }: OfPart,
): Promise<PartAsked | 'done' | DayPlan['leftOut'][number]['why']> {
  if (part.visitOf !== undefined) return 'a visit'
  const { state } = await readStandingFit(database, part.id)
  const ago = (at: string) => Math.max(0, (from.getTime() - new Date(at).getTime()) / 60_000)
  if (state.phase === 'finished') return 'done'
  const nothing = { partId: part.id, done: 0, doneAgo: {}, readyIn: null, inHandOf: null, pace: 1, question: null }
  if (state.phase === 'fitting') {
    const wait = runningWait(state)
    const waits = wait !== null && wait.until > from
    const last = state.done.at(-1)
    const at = ago(last?.at ?? state.startedAt) < atItMinutes
    return {
      ...nothing,
      steps: outlineOf(state.plan.steps),
      done: state.done.length,
      doneAgo: Object.fromEntries(state.done.map((step) => [step.stepId, ago(step.at)])),
      readyIn: waits ? (wait.until.getTime() - from.getTime()) / 60_000 : null,
      inHandOf: waits || !at ? null : (last?.personId ?? state.startedBy),
    }
  }
  const question = partQuestionOf(bundle, part)
  if (question === null) return 'not measured'
  const today = { ...anyDay, shift: part.shift, room: bundle.job.room, gun }
  const key = createHash('sha256')
    .update(JSON.stringify([question, today]))
    .digest('hex')
  keys.set(part.id, key)
  const known = stepsOf(key)
  if (known !== undefined) return known.length === 0 ? 'cannot be planned' : { ...nothing, steps: known }
  return { ...nothing, steps: null, question: { part: question, today } }
}

function gunOf({ guns: [first] }: Pick<Shop, 'guns'>) {
  const gun = first === undefined ? null : calibrated(first)
  return gun?.ok === true ? gun.value : null
}
