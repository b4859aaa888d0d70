import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { type PartId, personId } from '@truelay/contract'
import { seededNormal, seededRandom } from '@truelay/core/numerics'
import { addDays, addHours, isWeekend, setHours, startOfDay } from 'date-fns'
import { eq } from 'drizzle-orm'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { jobs, parts } from '../jobs/table.ts'
import { eventsOfFit, type FitTruth } from './oneFit.ts'
import { Pile, putFit } from './pile.ts'
import { type Template, templatesOf } from './templates.ts'

const mm = z.number().min(-20).max(20)
const share = z.number().min(0).max(1)
/** A made-up past and the truths that it is simulated from. */
const pastFile = z.strictObject({
  note: z.string(),
  seed: z.number().int(),
  days: z.number().int().min(30).max(3000),
  fits: z.number().int().min(1).max(400),
  customers: z.array(z.string()).min(1),
  colours: z.array(z.string()).min(1),
  hands: z.record(personId, z.strictObject({ xMm: mm, yMm: mm, pace: z.number().positive() })),
  /** How much vehicles of one model differ, and how much stays unexplained; one standard deviation. */
  bodySpreadMm: mm,
  noiseMm: mm,
  /** Of each part of the demo shop that was fitted before: how its piece is off, how often it came, what went wrong. */
  parts: z.record(
    z.string(),
    z.strictObject({
      xMm: mm,
      yMm: mm,
      turnDeg: z.number().min(-2).max(2),
      weight: z.number().int().min(1),
      fingersShare: share,
      tornShare: share,
    }),
  ),
})
type Past = z.infer<typeof pastFile>

/** Numbers of the jobs of the past; those of the demo shop come after them. */
const firstNumber = 340
const mostOfOneVehicle = 3

/**
 * Adds finished jobs of two years to the demo shop, simulated from a seed with the truths of `past.json`; a shop that has them is left alone.
 * Says how many fits there are.
 */
export async function seedPast(database: Database, folder: string, now: Date): Promise<number> {
  const past = pastFile.parse(JSON.parse(readFileSync(join(folder, 'past.json'), 'utf8')))
  const there = await database.read
    .select({ id: jobs.id })
    .from(jobs)
    .where(eq(jobs.id, numberOf(0)))
  if (there.length > 0) return 0
  const templates = await templatesOf(database, (id) => past.parts[id] !== undefined, 'plain')
  const fits = madeUp(past, templates)
  return database.write(async (db) => {
    const pile = new Pile(db)
    const vehicles = [...new Set(fits.map(({ vehicle }) => vehicle))]
    for (const vehicle of vehicles) {
      const own = fits.filter((fit) => fit.vehicle === vehicle)
      const [first] = own
      if (first === undefined) continue
      const arrived = workday(setHours(startOfDay(addDays(now, -first.daysAgo)), 8))
      const due = addHours(arrived, 9)
      const number = numberOf(vehicle)
      await pile.put(jobs, {
        ...first.template.job,
        id: number,
        number,
        customer: first.customer,
        colour: first.colour,
        plate: first.plate,
        personId: first.hand,
        arrivedAt: arrived.toISOString(),
        dueAt: due.toISOString(),
        closedAt: due.toISOString(),
        signOff: null,
        sets: null,
      })
      for (const [place, { template, hand, truth, chance }] of own.entries()) {
        const partId = `${number}-${String(place + 1).padStart(2, '0')}` as PartId
        const { part, plan } = template
        const none = { shiftXMm: 0, shiftYMm: 0, shiftTurnDeg: 0 }
        await pile.put(parts, { ...part, ...none, id: partId, jobId: number, place, choices: null, layOrder: null })
        const log = eventsOfFit(
          {
            partId,
            jobNumber: number,
            place: place + 1,
            personId: hand,
            plan,
            beganAt: addHours(arrived, 0.5 + 2.5 * place),
            steps: plan.steps.length,
            truth,
          },
          chance,
        )
        await putFit(pile, partId, log, false)
      }
    }
    await pile.end()
    return fits.length
  })
}

const numberOf = (vehicle: number) => String(firstNumber + vehicle).padStart(4, '0')
const workday = (at: Date): Date => (isWeekend(at) ? workday(addDays(at, -1)) : at)

interface MadeUp {
  readonly vehicle: number
  readonly daysAgo: number
  readonly customer: string
  readonly colour: string
  readonly plate: string
  readonly hand: string
  readonly template: Template
  readonly truth: FitTruth
  readonly chance: () => number
}

/** Fits in order of time: vehicles come one after the other, each with some parts of its model, laid by one hand. */
function madeUp(past: Past, templates: readonly Template[]): MadeUp[] {
  const chance = seededRandom(past.seed)
  const normal = seededNormal(chance)
  const of = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)] as T
  const weighed = templates.flatMap((template) =>
    Array<Template>(past.parts[template.part.id]?.weight ?? 0).fill(template),
  )
  const fits: MadeUp[] = []
  for (let vehicle = 0; weighed.length > 0 && fits.length < past.fits; vehicle++) {
    const first = of(weighed)
    const ofModel = weighed.filter(({ job }) => job.vehicleModelId === first.job.vehicleModelId)
    const size = 1 + Math.floor(mostOfOneVehicle * chance())
    const chosen = new Set([first, ...Array.from({ length: size - 1 }, () => of(ofModel))])
    const body = { xMm: past.bodySpreadMm * normal(), yMm: past.bodySpreadMm * normal() }
    const hand = of(Object.keys(past.hands))
    const common = {
      vehicle,
      customer: of(past.customers),
      colour: of(past.colours),
      plate: `QF ${100 + Math.floor(900 * chance())}`,
      hand,
      chance,
    }
    for (const template of chosen) {
      const piece = past.parts[template.part.id]
      const habit = past.hands[personId.parse(hand)]
      if (piece === undefined || habit === undefined || fits.length >= past.fits) continue
      const truth: FitTruth = {
        xMm: piece.xMm + habit.xMm + body.xMm + past.noiseMm * normal(),
        yMm: piece.yMm + habit.yMm + body.yMm + past.noiseMm * normal(),
        turnDeg: piece.turnDeg,
        pace: habit.pace,
        fingersAt: chance() < piece.fingersShare ? worstEdge(template) : null,
        torn: chance() < piece.tornShare,
        readingMm: template.plan.gapSigmaMm,
      }
      fits.push({ ...common, template, truth, daysAgo: past.days })
    }
  }
  // From the first day of the past to some weeks ago, one vehicle after the other.
  const last = fits.at(-1)?.vehicle ?? 0
  return fits.map((fit) => ({
    ...fit,
    daysAgo: Math.round(past.days - (past.days - 20) * (fit.vehicle / Math.max(1, last))),
  }))
}

/** Where fingers come first: the edge at which most film is left over. */
const worstEdge = ({ plan }: Template): string | null =>
  [...plan.edges].sort((a, b) => b.unpulledMmPer100 - a.unpulledMmPer100)[0]?.label ?? null
