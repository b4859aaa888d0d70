import type { FaultAnswers, FaultEvidence } from '@truelay/core/judge'
import { distance, distanceToLine, type Vec2 } from '@truelay/core/geometry'
import { type FindingKind, type NamedPlace, type PlanStep, spotMm, type StretchedSpot } from '@truelay/core/plan'
import { wettedAt } from './clocks.ts'
import { standing } from './fitEvents.ts'
import type { Begun } from './fitState.ts'

interface AskedOf {
  readonly state: Begun
  /** The step in hand. */
  readonly step: PlanStep
  readonly place: Pick<NamedPlace, 'edge'>
  /** In the film plane, mm; null where it was not tapped. */
  readonly at?: Vec2 | null
  readonly air: { readonly temperatureC: number; readonly humidityPercent: number }
  /** What the walk-round found on this part. */
  readonly found: readonly FindingKind[]
  readonly answers: FaultAnswers
  /** What the thermometer read there, if somebody has read it. */
  readonly readC?: number | null
  /** What this film bears. */
  readonly film?: { readonly glueLineStretch: number; readonly damageC: number }
  /** How far a segment cuts well, mm. */
  readonly bladeLastsMm?: number
  /** Earlier fits of this piece, and in how many the same was seen there. */
  readonly earlier?: { readonly fits: number; readonly same: number } | null
  readonly now: Date
}

/** What the app knows of a place: by the plan, the log of this fit, the air and the walk-round. What it does not know is left out. */
export function whatIsKnown(asked: AskedOf): FaultEvidence {
  const { state, step, place, air, found, answers, now } = asked
  const { plan, done } = state
  const minutesEarly = done.reduce((most, { earlySeconds = 0 }) => Math.max(most, earlySeconds / 60), 0)
  const minutesDry =
    step.driesInMinutes === undefined
      ? 0
      : (now.getTime() - wettedAt(state, step, now).getTime()) / 60_000 - step.driesInMinutes
  const slip = inHand(state, 'slip')
  const tack = inHand(state, 'tack')
  const wanted = (use: 'slip' | 'tack') => plan.solutions.find((s) => s.use === use)?.strength
  const pulled = plan.steps.slice(0, done.length).some(({ references }) => references.some((r) => r.kind === 'pull'))
  const { edge } = place
  return {
    ...(edge === null ? {} : { excessMmPer100: pulled ? edge.leftMmPer100 : edge.unpulledMmPer100 }),
    ...(minutesEarly > 0 ? { minutesEarly } : {}),
    ...(minutesDry > 0 ? { minutesDry } : {}),
    ...(slip === null ? {} : { slipSoapMlPerL: slip.soapMlPerL, askedSoapMlPerL: wanted('slip')?.soapMlPerL }),
    ...(tack === null
      ? {}
      : { tackAlcoholPercent: tack.alcoholPercent, askedAlcoholPercent: wanted('tack')?.alcoholPercent }),
    ...ofTheSpot(asked),
    ...ofTheHeat(asked),
    ...ofTheBlade(asked),
    ...ofThePast(asked),
    roomC: air.temperatureC,
    humidityPercent: air.humidityPercent,
    found,
    answers,
  }
}

/** Stretch and hollows at the very spot that was tapped. */
function ofTheSpot({ state: { plan }, at, film }: AskedOf): Partial<FaultEvidence> {
  if (at === undefined || at === null) return {}
  const near = spotMm(plan.drawing.part)
  const spot = plan.stretched?.reduce<StretchedSpot | null>(
    (best, one) => (best === null || distance(one.at, at) < distance(best.at, at) ? one : best),
    null,
  )
  const hollow = plan.steps
    .filter(({ references }) => references.some(({ kind }) => kind === 'hollow'))
    .flatMap(({ picture }) => picture.marks)
    .some((mark) =>
      mark.kind === 'zone'
        ? distance(mark.at, at) <= mark.radiusMm + near
        : mark.kind === 'sweep' && distanceToLine([mark.from, mark.to], at) <= near,
    )
  return {
    ...(film === undefined || plan.stretched === undefined
      ? {}
      : {
          stretch: spot != null && distance(spot.at, at) <= near ? spot.stretch : 0,
          glueLineStretch: film.glueLineStretch,
        }),
    ...(hollow ? { hollow } : {}),
  }
}

/** What was read there, else what the thermometer showed last, against what the plan wanted of the heat that was given last. */
function ofTheHeat({ state, readC, film }: AskedOf): Partial<FaultEvidence> {
  const { plan, done } = state
  const hottestC = readC ?? standing(state, 'heatRead').at(-1)?.readC
  if (hottestC === undefined) return {}
  const given = plan.steps.slice(0, done.length + 1).findLast(({ heat }) => heat !== undefined)?.heat
  const leastC = plan.heat.find(({ use }) => use === given)?.leastC
  return {
    hottestC,
    ...(leastC === undefined ? {} : { leastC }),
    ...(film === undefined || (leastC !== undefined && leastC >= film.damageC) ? {} : { damageC: film.damageC }),
  }
}

/** What the segment in the knife has cut, where it was put in during this fit. */
function ofTheBlade({ state, bladeLastsMm }: AskedOf): Partial<FaultEvidence> {
  const strokes = standing(state, 'bladeUsed')
  const fresh = strokes.findLastIndex((stroke) => stroke.fresh)
  if (bladeLastsMm === undefined || fresh < 0) return {}
  return { bladeCutMm: strokes.slice(fresh).reduce((sum, { cutMm }) => sum + cutMm, 0), bladeLastsMm }
}

const ofThePast = ({ earlier }: AskedOf): Partial<FaultEvidence> =>
  earlier === undefined || earlier === null || earlier.fits === 0
    ? {}
    : { earlierFits: earlier.fits, earlierSame: earlier.same }

/** The strength of the bottle that was last taken in hand. */
const inHand = (state: Begun, use: 'slip' | 'tack') =>
  standing(state, 'bottleTaken').findLast((bottle) => bottle.use === use) ?? null
