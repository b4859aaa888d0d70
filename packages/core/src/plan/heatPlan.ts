import { boundsOf, type Vec2 } from '../geometry/index.ts'
import {
  type CalibratedGun,
  type GunOnPart,
  type Swept,
  gunOnPart,
  heatStep,
  layersOf,
  settingWords,
  steamSeconds,
  usualGun,
} from '../heat/index.ts'
import type { LaidPart, Pull } from '../lay/index.ts'
import { lastAnswers } from '../numerics/index.ts'
import type { Practice } from '../practice/index.ts'
import { done, type Result } from '../result/index.ts'
import { name, say, verbatim } from '../say/index.ts'
import { usualClimate } from '../wait/index.ts'
import { liesAsDome } from './lying.ts'
import type { FilmDoc } from './filmDoc.ts'
import type { RoomClimate } from './findings.ts'
import type { HeatZone, PlannedEdge, PlannedHeat } from './partPlan.ts'
import type { PlanContext } from './planContext.ts'
import type { HeatUse } from './step.ts'

type HeatSources = Pick<PlanContext, 'form' | 'film' | 'practice' | 'toFlat' | 'outlineOnForm'> & {
  readonly pulls: readonly Pull[]
  readonly edges: readonly PlannedEdge[]
  readonly gun: CalibratedGun
  readonly ambientC: number
}

/** The band of a use of heat, from the shop's figures. */
export function heatBand(use: HeatUse, practice: Practice): { readonly leastC: number; readonly mostC: number } {
  const middle = { soften: practice.heatSoften, seal: practice.heatSeal, 'post-heat': practice.heatPost }[use]
  return { leastC: middle - practice.heatSpread, mostC: middle + practice.heatSpread }
}

/** Where damage begins: the film's own figure or the shop's, whichever is lower. */
export const damageOf = (film: Pick<FilmDoc, 'damageC'>, practice: Practice) =>
  Math.min(film.damageC, practice.heatDamage)

/** The gun on this part: the stroke is no longer than the part. */
export function gunOn({
  form,
  film,
  practice,
  outlineOnForm,
  gun,
  ambientC,
}: Pick<HeatSources, 'form' | 'film' | 'practice' | 'outlineOnForm' | 'gun' | 'ambientC'>): Result<GunOnPart> {
  const { min, max } = boundsOf(outlineOnForm)
  const longestMm = Math.max(60, 0.9 * Math.max(max[0] - min[0], max[1] - min[1]))
  const { factors, riseSigma } = gun
  return marched({
    layers: layersOf(film, form.material),
    question: { gun: gun.gun, factors, riseSigma, ambientC, strokeMm: Math.min(practice.heatStroke, longestMm) },
  })
}

interface Marches {
  readonly layers: Parameters<typeof gunOnPart>[0]
  readonly question: Parameters<typeof gunOnPart>[1]
}

/** Nothing of it changes while a piece is moved about. */
const marched = lastAnswers(
  (asked: Marches) => JSON.stringify(asked),
  ({ layers, question }) => gunOnPart(layers, question),
)

/** A use of heat over time, for the chart. */
export interface HeatCourseOfUse {
  readonly use: HeatUse
  readonly leastC: number
  readonly mostC: number
  readonly damageC: number
  readonly timesS: readonly number[]
  readonly surfaceC: readonly number[]
  /** Under the film. */
  readonly underC: readonly number[]
  /** When the last pass ends. */
  readonly passesEndS: number
}

/** A use of heat with how the gun goes over the places of it. */
export type SweptUse = Pick<PlannedHeat, 'use' | 'swept'>

/** The course of each use of heat that a plan names. Can be refused: what `gunOnPart` finds. */
export function heatCourses(
  uses: readonly SweptUse[],
  sources: Parameters<typeof gunOn>[0],
): Result<HeatCourseOfUse[]> {
  const on = gunOn(sources)
  if (!on.ok) return on
  const { film, practice } = sources
  const damageC = damageOf(film, practice)
  return done(
    uses.map(({ use, swept }) => {
      const band = heatBand(use, practice)
      const limits = { ...band, damageC, pressC: practice.heatPress, cutC: practice.heatCut }
      const answer = heatStep(on.value, limits, swept)
      const { timesS, surfaceC, underTopC } = answer.outcome
      return {
        use,
        ...band,
        damageC,
        timesS,
        surfaceC,
        underC: underTopC,
        passesEndS: answer.outcome.passes * answer.passSeconds,
      }
    }),
  )
}

/** The same for a laid part on a day. */
export const heatCoursesOf = (
  { form, surface }: Pick<LaidPart, 'form' | 'surface'>,
  uses: readonly SweptUse[],
  { film, practice }: Pick<PlanContext, 'film' | 'practice'>,
  { gun, room }: { readonly gun: CalibratedGun | null; readonly room?: RoomClimate | undefined },
): Result<HeatCourseOfUse[]> =>
  heatCourses(uses, {
    form,
    film,
    practice,
    outlineOnForm: surface.outline.polygon,
    gun: gun ?? usualGun,
    ambientC: room?.temperatureC ?? usualClimate.roomC,
  })

/**
 * Each use of heat that this film asks for, with the gun of the shop. Can be refused: what `gunOnPart` finds.
 */
export function heatPlan(sources: HeatSources): Result<PlannedHeat[]> {
  const { form, film, practice, gun, ambientC } = sources
  const on = gunOn(sources)
  if (!on.ok) return on
  const damageC = damageOf(film, practice)
  const layers = layersOf(film, form.material)
  if (liesAsDome(form, film)) return done([])
  const uses: HeatUse[] = film.laid === 'dry' ? ['soften', 'seal', 'post-heat'] : ['soften', 'seal']
  const planned: PlannedHeat[] = []
  for (const use of uses) {
    const zones = zonesOf(use, sources)
    if (zones.length === 0) continue
    const band = heatBand(use, practice)
    const limits = { ...band, damageC, pressC: practice.heatPress, cutC: practice.heatCut }
    const swept = sweptOver(zones, gun.gun.spotMm)
    const answer = heatStep(on.value, limits, swept)
    const steam = steamSeconds(layers, ambientC, (band.leastC + band.mostC) / 2)
    if (!steam.ok) return steam
    const { outcome } = answer
    planned.push({
      use,
      swept,
      gun: gun.name,
      ...band,
      words: answer.words,
      setting: settingWords(answer.setting.name),
      distanceMm: answer.distanceMm,
      strokeMm: answer.strokeMm,
      passes: outcome.passes,
      passesRange: answer.passesRange,
      passSeconds: answer.passSeconds,
      readingC: outcome.readingC,
      peakC: outcome.peakSurfaceC,
      marginC: outcome.marginToDamageC,
      coolToPressS: outcome.coolToPressS,
      // Crept up to by the thermometer it ends hotter than after the passes that are counted out: the shop's own figure holds then.
      coolToCutS: answer.risk === 'creep up' ? null : outcome.coolToCutS,
      warning: answer.warning,
      steamSeconds: steam.value,
      zones,
    })
  }
  return done(planned)
}

/** A place wider than the warmed spot takes a band of lanes; edges and small places are gone along in one. */
const sweptOver = (zones: readonly HeatZone[], spotMm: number): Swept =>
  zones.some((zone) => zone.kind === 'spot' && 2 * zone.radiusMm > spotMm) ? 'band' : 'lane'

/** A hump, a hollow or a channel is heated over this radius, mm. */
const featureSpotMm = 40
/** Even an edge without any excess gets some of the time: as much as this excess, mm per 100 mm. */
const baseMmPer100 = 0.3
/** Of dry film only what was cut or turned is warmed once more; wet film is sealed all round. */
const warmed = new Set(['wrap', 'tuck', 'gap-cut', 'surface-cut'])

/** Where heat of a use goes, the place with the most built-up film first and longest. */
function zonesOf(use: HeatUse, { pulls, edges, form, toFlat, film }: HeatSources): HeatZone[] {
  const labelOf = (pull: Pull) =>
    say`pull ${name(pull.letter)}, ${name(edges.find((e) => e.name === pull.edge)?.label ?? pull.edge)}`
  const spots = (list: readonly Pull[]) => {
    const whole = list.reduce((sum, p) => sum + p.percent, 0)
    return list.map(
      (pull): HeatZone => ({
        kind: 'spot',
        label: labelOf(pull),
        at: toFlat(pull.at),
        onForm: pull.at,
        radiusMm: Math.max(40, Math.sqrt(pull.areaMm2 / Math.PI)),
        share: pull.percent / whole,
      }),
    )
  }
  const spotOver = (label: string, outline: readonly Vec2[], share: number): HeatZone => {
    const at = middleOf(outline)
    return { kind: 'spot', label: verbatim(label), at: toFlat(at), onForm: at, radiusMm: featureSpotMm, share }
  }
  if (use === 'soften') {
    const warm = spots(pulls.filter((p) => p.heat === 'warm'))
    if (warm.length > 0) return warm
    const humps = form.material === 'lens plastic' ? (form.raised ?? []) : []
    if (humps.length > 0) return humps.map((hump) => spotOver(hump.name, hump.outline, 1 / humps.length))
    // Dry film is relaxed where it is tucked, so that the edge does not spring back out.
    const tucks = edges.filter((e) => e.code === 'tuck' && film.laid === 'dry')
    return tucks.map((e) => ({ kind: 'edge', label: verbatim(e.label), edge: e.name, share: 1 / tucks.length }))
  }
  if (use === 'seal') return bySpare(edges.filter((e) => film.laid === 'wet' || warmed.has(e.code)))
  const deep = spots(pulls)
  const hollows = [
    ...form.recesses,
    ...(form.channels ?? []).map(({ name: label, along }) => ({ name: label, outline: along })),
  ]
  const inHollows = hollows.map((h) => spotOver(h.name, h.outline, 1 / hollows.length))
  const both = [...deep, ...inHollows]
  if (both.length === 0) return form.family === 'trim' ? bySpare(edges) : []
  const whole = both.reduce((sum, zone) => sum + zone.share, 0)
  return both.map((zone) => ({ ...zone, share: zone.share / whole })).sort((a, b) => b.share - a.share)
}

/** Edges by the film that is left over there. */
function bySpare(edges: readonly PlannedEdge[]): HeatZone[] {
  const weight = (e: PlannedEdge) => baseMmPer100 + Math.max(0, e.leftMmPer100)
  const whole = edges.reduce((sum, e) => sum + weight(e), 0)
  return [...edges]
    .sort((a, b) => weight(b) - weight(a))
    .map((e) => ({ kind: 'edge', label: verbatim(e.label), edge: e.name, share: weight(e) / whole }))
}

const middleOf = (outline: readonly Vec2[]): Vec2 => [
  outline.reduce((sum, p) => sum + p[0], 0) / outline.length,
  outline.reduce((sum, p) => sum + p[1], 0) / outline.length,
]
