import {
  type DayPlan,
  type DayWishes,
  type JobBundle,
  type Part,
  partQuestionOf,
  runningWait,
  type Shop,
  visitOf,
} from '@truelay/contract'
import { calibrated } from '@truelay/core/heat'
import type { LiquidSchool } from '@truelay/core/mix'
import { anyDay } from '@truelay/core/plan'
import { outlineOf, type StepOutline } from '@truelay/core/shopDay'
import { createHash } from 'node:crypto'
import type { Database } from '../database/openDatabase.ts'
import { readStandingFit } from '../fit/keptState.ts'
import type { PartAsked } from './reckonDay.ts'

/** Who has done nothing at a part for so long is not at it any more, minutes. */
const atItMinutes = 60

interface OfPart {
  readonly bundle: JobBundle
  readonly part: Part
  readonly from: Date
  readonly stepsOf: (key: string) => readonly StepOutline[] | undefined
  readonly gun: ReturnType<typeof gunOf>
  /** Filled in: of what a part is planned. */
  readonly keys: Map<string, string>
  readonly wishes: DayWishes
}

/** A part as the plan of the day asks for it: what is left of it, and who has it in hand. */
export async function partAsked(
  database: Database,
  { bundle, part, from, stepsOf, gun, keys, wishes }: OfPart,
): Promise<PartAsked | 'done' | DayPlan['leftOut'][number]['why']> {
  const { state } = await readStandingFit(database, part.id)
  if (state.phase === 'finished') return 'done'
  const pin = wishes.pins.find(({ partId }) => partId === part.id)
  const minutesTo = (at: string) => (new Date(at).getTime() - from.getTime()) / 60_000
  const nothing = {
    partId: part.id,
    done: 0,
    doneAgo: {},
    readyIn: null,
    inHandOf: null,
    begunBy: null,
    pinned:
      pin === undefined
        ? null
        : { person: pin.personId, notBeforeIn: pin.notBefore === null ? null : minutesTo(pin.notBefore) },
    bottle: null,
    paceOf: { modelId: bundle.job.vehicle.modelId, slot: part.slot, hand: bundle.job.personId },
    question: null,
  }
  if (state.phase === 'fitting') {
    const wait = runningWait(state)
    const waits = wait !== null && wait.until > from
    const last = state.done.at(-1)
    const ago = (at: string) => Math.max(0, -minutesTo(at))
    const at = ago(last?.at ?? state.startedAt) < atItMinutes
    const who = last?.personId ?? state.startedBy
    const here = !wishes.away.some(({ personId, until }) => personId === who && new Date(until) > from)
    return {
      ...nothing,
      bottle: bottleOf(state.plan.solutions),
      steps: outlineOf(state.plan.steps),
      done: state.done.length,
      doneAgo: Object.fromEntries(state.done.map((step) => [step.stepId, ago(step.at)])),
      readyIn: waits ? (wait.until.getTime() - from.getTime()) / 60_000 : null,
      inHandOf: waits || !at || !here ? null : who,
      begunBy: here ? state.startedBy : null,
    }
  }
  if (part.visitOf !== undefined) {
    const { state: laid } = await readStandingFit(database, part.visitOf)
    if (laid.phase === 'not begun') return 'a visit'
    return { ...nothing, steps: outlineOf(visitOf(part.id, laid).plan.steps) }
  }
  const question = partQuestionOf(bundle, part)
  if (question === null) return 'not measured'
  const { slip, tack } = question.work.schools
  const planned = {
    ...nothing,
    bottle: [slip, tack].every((school) => school === 'dry') ? null : bottleName(slip, tack),
  }
  const today = { ...anyDay, shift: part.shift, room: bundle.job.room, gun }
  const key = createHash('sha256')
    .update(JSON.stringify([question, today]))
    .digest('hex')
  keys.set(part.id, key)
  const known = stepsOf(key)
  if (known !== undefined) return known.length === 0 ? 'cannot be planned' : { ...planned, steps: known }
  return { ...planned, steps: null, question: { part: question, today } }
}

/** Parts that take the same liquids can take them from the same bottles. Null: nothing is mixed. */
function bottleOf(
  solutions: readonly { readonly use: 'slip' | 'tack'; readonly school: LiquidSchool }[],
): string | null {
  const school = (use: 'slip' | 'tack') => solutions.find((s) => s.use === use)?.school
  const slip = school('slip') ?? school('tack')
  return slip === undefined ? null : bottleName(slip, school('tack') ?? slip)
}

const bottleName = (slip: LiquidSchool, tack: LiquidSchool) => `${slip}, ${tack}`

export function gunOf({ guns: [first] }: Pick<Shop, 'guns'>) {
  const gun = first === undefined ? null : calibrated(first)
  return gun?.ok === true ? gun.value : null
}
