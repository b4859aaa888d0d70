import { done, type Result, refused } from '../result/index.ts'
import { count, figure, length, say, type Sentence, temperature } from '../say/index.ts'
import { unreadRiseSigma } from './calibrateGun.ts'
import { layerProblem, outside } from './checkLayers.ts'
import type { Layer } from './heatTypes.ts'
import { type GunFactors, type JetFigures, jetOf, unmeasured, usualJet } from './jet.ts'
import { laneOf, type Swept } from './lane.ts'
import { meets, outcomeOf, type PassesOutcome, type UnitCourse, unitCourse } from './passes.ts'
import { type Slab, slabOf } from './slab.ts'
import { heatWords, settingWords } from './words.ts'

export interface GunSetting {
  /** What stands on the gun: a notch, a number. */
  readonly name: string
  readonly outletC: number
}

/** A gun of the shop. */
export interface Gun {
  readonly settings: readonly GunSetting[]
  /** Across the warmed spot at a hand's breadth, with its nozzle. */
  readonly spotMm: number
}

/** What one gun can do on one part: worked out once, asked for every step. */
export interface GunOnPart {
  readonly gun: Gun
  readonly factors: GunFactors
  /** One standard deviation of the rise, as a share. */
  readonly riseSigma: number
  readonly ambientC: number
  readonly strokeMm: number
  readonly jetFigures: JetFigures
  readonly slab: Slab
  readonly held: readonly {
    readonly distanceMm: number
    readonly speedMmS: number
    /** Marched when it is first asked for. */
    readonly unit: (swept: Swept) => UnitCourse
  }[]
}

export interface HeatLimits {
  /** The band that the surface should come into, as the thermometer reads it right after a pass, °C. */
  readonly leastC: number
  readonly mostC: number
  readonly damageC: number
  readonly pressC: number
  readonly cutC: number
}

/** How to hold the gun for one step, and what comes of it. */
export interface HeatAnswer {
  readonly setting: GunSetting
  readonly distanceMm: number
  readonly speedMmS: number
  readonly strokeMm: number
  readonly passSeconds: number
  readonly outcome: PassesOutcome
  /** With the gun as strong, or as weak, as its readings allow. */
  readonly passesRange: readonly [number, number]
  readonly risk: 'none' | 'near damage' | 'creep up' | 'cannot be reached'
  /** "creep up": after these passes the thermometer decides about every further one. */
  readonly words: Sentence
  /** Says so where the step is risky or cannot be done; else null. */
  readonly warning: Sentence | null
}

/** A gun that is known hardly better than one that nobody has read. */
const nearlyUnread = 0.8
const distancesMm = [75, 90, 125]
const speedsMmS = [120, 200, 300]
const passesTried = 24
/** Fewer are hard to stop in time; more are tiring. */
const handyPasses = 5
/** A hand that hurries or dawdles is less even than this one, mm/s. */
const evenMmS = 200
/** Kept free below damage, °C. */
const safetyC = 8

/**
 * Three distances and three paces; the jet's shape does not depend on the setting, so nine marches answer for all,
 * and nine more on metal, where a lane stays cooler than a band.
 * Can be refused: `HEAT_NO_LAYER`, `HEAT_OUT_OF_RANGE`.
 */
export function gunOnPart(
  layers: readonly Layer[],
  question: Pick<GunOnPart, 'gun' | 'riseSigma' | 'ambientC' | 'strokeMm'> &
    Partial<Pick<GunOnPart, 'factors' | 'jetFigures'>>,
): Result<GunOnPart> {
  const { gun, ambientC, strokeMm, factors = unmeasured, jetFigures = usualJet } = question
  const hottestC = Math.max(...gun.settings.map((s) => s.outletC))
  const problem =
    layerProblem(layers) ??
    outside([
      [say`room temperature`, temperature, ambientC, -20, 60],
      [say`length of the stroke`, length, strokeMm, 10, 2000],
      [say`number of gun settings`, figure, gun.settings.length, 1, 60],
      [say`hottest setting of the gun`, temperature, hottestC, ambientC + 10, 900],
      [say`warmed spot`, length, gun.spotMm, 5, 500],
    ])
  if (problem !== null) return refused(problem)
  const slab = slabOf(layers)
  const held = distancesMm.flatMap((distanceMm) => {
    const shape = jetOf({ outletC: hottestC, distanceMm, spotMm: gun.spotMm }, ambientC, factors, jetFigures)
    return speedsMmS.map((speedMmS) => {
      const known = new Map<number, UnitCourse>()
      const unit = (swept: Swept) => {
        // Where nothing is handed on sideways a lane is one strip, as a band is.
        const strips = laneOf(slab, shape.spotMm, swept).strips.length
        const course = known.get(strips) ?? unitCourse(slab, shape, { speedMmS, strokeMm, swept }, passesTried)
        known.set(strips, course)
        return course
      }
      return { distanceMm, speedMmS, unit }
    })
  })
  return done({ gun, factors, riseSigma: question.riseSigma, ambientC, strokeMm, jetFigures, slab, held })
}

/**
 * Setting, distance, pace and passes for one heat step: of every way to hold the gun the one with most room to damage in handy passes. Where
 * the gun, as strong as it may be, would come to damage before the target is met, the way that gets nearest below damage, and from there one
 * pass at a time by the thermometer.
 */
export function heatStep(on: GunOnPart, limits: HeatLimits, swept: Swept = 'lane'): HeatAnswer {
  const { ambientC, strokeMm, gun, riseSigma } = on
  const { leastC, mostC, damageC } = limits
  const targetC = (leastC + mostC) / 2
  const ways = on.held.flatMap(({ distanceMm, speedMmS, unit: unitOf }) => {
    const unit = unitOf(swept)
    return gun.settings.flatMap((setting) => {
      const jet = jetOf(
        { outletC: setting.outletC, distanceMm, spotMm: gun.spotMm },
        ambientC,
        on.factors,
        on.jetFigures,
      )
      const excess = jet.gasC - ambientC
      if (excess <= 0) return []
      const tried = tryPasses(unit, excess, ambientC, targetC)
      const safe = safePasses(unit, excess, { ambientC, riseSigma, damageC })
      return [
        {
          setting,
          jet,
          distanceMm,
          speedMmS,
          unit,
          safe,
          ends: safe === 0 ? ambientC : ambientC + excess * unit.surface[unit.passEnds[safe - 1]!]!,
          inOne: tried.passes === null || tried.passes <= safe,
          meets: tried.passes !== null,
          cost: costOf(tried, { speedMmS, mostC, damageC, riseSigma, ambientC }),
        },
      ]
    })
  })
  const cheapest = (of: typeof ways) => of.reduce((a, b) => (b.cost < a.cost ? b : a))
  const inOne = ways.filter((way) => way.inOne && way.meets)
  const creeping = ways.filter((way) => way.meets && !way.inOne && way.safe > 0)
  const creeps = inOne.length === 0 && creeping.length > 0
  const best =
    inOne.length > 0 ? cheapest(inOne) : creeps ? creeping.reduce((a, b) => (b.ends > a.ends ? b : a)) : cheapest(ways)
  const { setting, jet, distanceMm, speedMmS, unit } = best
  const outcome = outcomeOf(unit, jet, {
    ...limits,
    ambientC,
    targetC,
    speedMmS,
    strokeMm,
    until: 'held',
    ...(creeps ? { exactly: best.safe } : {}),
  })
  const counted = (factor: number) =>
    passesWith(unit, factor * (jet.gasC - ambientC), targetC - ambientC) ?? passesTried
  const hottestC = ambientC + (1 + riseSigma) * (outcome.peakSurfaceC - ambientC)
  const risk = creeps
    ? 'creep up'
    : outcome.secondsToTarget === null
      ? 'cannot be reached'
      : hottestC > damageC - safetyC
        ? 'near damage'
        : 'none'
  const passSeconds = strokeMm / speedMmS
  const held = heatWords({ setting: settingWords(setting.name), distanceMm, passes: outcome.passes, passSeconds })
  return {
    setting,
    distanceMm,
    speedMmS,
    strokeMm,
    passSeconds,
    outcome,
    passesRange: [creeps ? best.safe : counted(1 + riseSigma), counted(1 - riseSigma)],
    risk,
    words: creeps ? say`${held}; then one pass at a time, until it reads ${temperature(targetC)}` : held,
    warning: warningOf(risk, {
      targetC,
      hottestC,
      damageC,
      reachesC: outcome.readingC,
      unread: riseSigma > nearlyUnread * unreadRiseSigma,
    }),
  }
}

interface Tried {
  readonly passes: number | null
  readonly peakC: number
  readonly readingC: number
}

function tryPasses(unit: UnitCourse, excess: number, ambientC: number, targetC: number): Tried {
  const passes = passesWith(unit, excess, targetC - ambientC)
  const last = (passes ?? unit.passEnds.length) - 1
  return {
    passes,
    peakC: ambientC + excess * unit.peaks[last]!,
    readingC: ambientC + excess * unit.surface[unit.passEnds[last]!]!,
  }
}

/** Passes after which the surface stays below damage however strong the gun is, as far as its readings allow. */
function safePasses(
  unit: UnitCourse,
  excess: number,
  c: { readonly ambientC: number; readonly riseSigma: number; readonly damageC: number },
): number {
  const mostRise = (c.damageC - c.ambientC) / ((1 + c.riseSigma) * excess)
  const over = unit.peaks.findIndex((peak) => peak >= mostRise)
  return over < 0 ? unit.peaks.length : over
}

/** Passes until the rise is read, or null. */
function passesWith(unit: UnitCourse, excess: number, rise: number): number | null {
  const met = meets(unit, rise / excess, 'held')
  return met === null ? null : unit.passEnds.indexOf(met) + 1
}

/** What speaks against a way of holding the gun; the scale is that of a doubled number of passes. */
function costOf(
  { passes, peakC, readingC }: Tried,
  c: { speedMmS: number; mostC: number; damageC: number; riseSigma: number; ambientC: number },
): number {
  if (passes === null) return 1000 - readingC
  const hottestC = c.ambientC + (1 + c.riseSigma) * (peakC - c.ambientC)
  return (
    Math.abs(Math.log2(passes / handyPasses)) +
    Math.abs(Math.log2(c.speedMmS / evenMmS)) / 2 +
    Math.max(0, readingC - c.mostC) / 3 +
    10 * Math.max(0, (hottestC - (c.damageC - safetyC)) / safetyC)
  )
}

function warningOf(
  risk: HeatAnswer['risk'],
  c: { targetC: number; hottestC: number; damageC: number; reachesC: number; unread: boolean },
): Sentence | null {
  if (risk === 'creep up')
    return c.unread
      ? say`Nobody has read this gun yet: read it on a scrap first. As strong as it may be, more in one go could damage the film, from about ${temperature(c.damageC)} on.`
      : say`More in one go could damage the film, from about ${temperature(c.damageC)} on: read it after every pass.`
  if (risk === 'cannot be reached')
    return say`This gun does not get it to ${temperature(c.targetC)}: after ${count(passesTried)} passes it is at ${temperature(c.reachesC)}. Use a hotter setting or gun, or warm the room.`
  if (risk === 'near damage')
    return say`It may get as hot as ${temperature(c.hottestC)}, and damage begins at about ${temperature(c.damageC)}: read every pass with the thermometer.`
  return null
}
