import type { PartMaterial } from '../form/index.ts'
import { type Jet, jetOf, type Layer, layersOf, usualGun } from '../heat/index.ts'
import { seededRandom } from '../numerics/index.ts'
import type { Practice } from '../practice/index.ts'
import { area, percent, say, type Sentence, temperature } from '../say/index.ts'
import { between, type ExerciseLevel, type Verdict } from './exercise.ts'

/** A place on a patch, mm from its corner with the least x and y. */
export interface Place {
  readonly leftMm: number
  readonly topMm: number
  readonly widthMm: number
  readonly heightMm: number
}

/** A patch of a part with film on it, a place to be heated, and a gun. */
export interface GunTask {
  readonly level: ExerciseLevel
  readonly says: Sentence
  readonly material: PartMaterial
  readonly layers: readonly Layer[]
  readonly widthMm: number
  readonly heightMm: number
  readonly cellMm: number
  readonly ambientC: number
  readonly outletC: number
  readonly spotMm: number
  /** How near and how far it can be held. */
  readonly nearestMm: number
  readonly farthestMm: number
  readonly place: Place
  readonly leastC: number
  readonly mostC: number
  readonly damageC: number
  readonly seconds: number
}

const patch = { widthMm: 600, heightMm: 300, cellMm: 3 } as const
/** So much burnt film is as bad as nothing done, mm². */
const ruinMm2 = 1500

const materials: Readonly<Record<ExerciseLevel, readonly PartMaterial[]>> = {
  1: ['painted plastic', 'lens plastic'],
  2: ['painted plastic', 'painted steel'],
  3: ['painted steel', 'painted aluminium'],
}

type HeatFigures = Pick<Practice, 'heatSoften' | 'heatSeal' | 'heatSpread' | 'heatDamage'>

export function makeGun(seed: number, level: ExerciseLevel, practice: HeatFigures): GunTask {
  const chance = seededRandom(seed)
  const from = (least: number, most: number) => least + (most - least) * chance()
  const of = materials[level]
  const material = of[Math.floor(chance() * of.length)] as PartMaterial
  const ambientC = Math.round(from(14, 26))
  const settings = usualGun.gun.settings
  const outletC = (settings[Math.min(settings.length - 1, level === 1 ? 1 : 2)] ?? settings[0])?.outletC ?? 400
  const { place, says, target } = placeAt(level, chance, practice)
  return {
    ...patch,
    level,
    material,
    layers: layersOf({ type: 'paint film', thicknessUm: 180 }, material),
    ambientC,
    outletC,
    spotMm: usualGun.gun.spotMm,
    nearestMm: 40,
    farthestMm: 250,
    place,
    says,
    leastC: target - practice.heatSpread,
    mostC: target + practice.heatSpread,
    damageC: practice.heatDamage,
    seconds: 90,
  }
}

/** An edge to seal, a corner to relax, a recess to soften. */
function placeAt(level: ExerciseLevel, chance: () => number, { heatSeal, heatSoften }: HeatFigures) {
  const from = (least: number, most: number) => Math.round(least + (most - least) * chance())
  const kind = level === 1 ? 'spot' : level === 2 ? (chance() < 0.5 ? 'edge' : 'corner') : 'edge'
  if (kind === 'edge') {
    const widthMm = from(200, level === 3 ? 360 : 260)
    const place: Place = { leftMm: from(60, 540 - widthMm), topMm: 282, widthMm, heightMm: 18 }
    return { place, target: heatSeal, says: say`Seal the marked edge, so that its adhesive sets.` }
  }
  if (kind === 'corner') {
    const place: Place = { leftMm: chance() < 0.5 ? 0 : 510, topMm: 240, widthMm: 90, heightMm: 60 }
    return { place, target: heatSoften, says: say`Relax the marked corner, so that it can be turned under.` }
  }
  const place: Place = { leftMm: from(120, 380), topMm: from(80, 150), widthMm: 100, heightMm: 70 }
  return { place, target: heatSoften, says: say`Soften the marked place, so that film goes down into the recess.` }
}

/** The jet of the gun of a task, held so far away. */
export const gunAt = (task: GunTask, distanceMm: number): Jet =>
  jetOf({ outletC: task.outletC, distanceMm, spotMm: task.spotMm * (0.5 + distanceMm / 180) }, task.ambientC)

/** Cells of the patch that belong to its place, by number; cells run along x first. */
export function cellsOfPlace({ cellMm, place }: GunTask, across: number, down: number): number[] {
  const cells: number[] = []
  for (let y = 0; y < down; y++)
    for (let x = 0; x < across; x++) {
      const [mmX, mmY] = [(x + 0.5) * cellMm - place.leftMm, (y + 0.5) * cellMm - place.topMm]
      if (mmX > 0 && mmX < place.widthMm && mmY > 0 && mmY < place.heightMm) cells.push(y * across + x)
    }
  return cells
}

/** The share of some cells that have been warm enough at their hottest. */
export const warmEnough = ({ leastC }: GunTask, cells: readonly number[], hottestC: Float64Array): number =>
  cells.reduce((sum, cell) => sum + ((hottestC[cell] ?? 0) >= leastC ? 1 : 0), 0) / Math.max(1, cells.length)

/** What a heat is worth at one spot: none below seven tenths of the way, all within the band, less the nearer it comes to damage. */
function worthOf(hottestC: number, { ambientC, leastC, mostC, damageC }: GunTask): number {
  if (hottestC < leastC) return between(hottestC, ambientC + 0.7 * (leastC - ambientC), leastC)
  if (hottestC > damageC) return 0
  return hottestC <= mostC ? 1 : 1 - 0.5 * between(hottestC, mostC, damageC)
}

/** By how hot each spot has been at its hottest: how much of the place came into its band, and what was burnt anywhere. */
export function markGun(task: GunTask, hottestC: Float64Array, across: number): Verdict {
  const cells = cellsOfPlace(task, across, hottestC.length / across)
  const share = (of: (hottest: number) => boolean) =>
    cells.reduce((sum, cell) => sum + (of(hottestC[cell] ?? 0) ? 1 : 0), 0) / Math.max(1, cells.length)
  const worth = cells.reduce((sum, cell) => sum + worthOf(hottestC[cell] ?? 0, task), 0) / Math.max(1, cells.length)
  const burntMm2 = hottestC.reduce((sum, hot) => sum + (hot > task.damageC ? task.cellMm ** 2 : 0), 0)
  const hottest = hottestC.reduce((most, hot) => Math.max(most, hot), task.ambientC)
  const within = share((hot) => hot >= task.leastC && hot <= task.mostC)
  const cold = share((hot) => hot < task.leastC)
  const hot = share((at) => at > task.mostC)
  return {
    share: worth * (1 - between(burntMm2, 0, ruinMm2)),
    says: [
      ...(burntMm2 > 0
        ? [
            say`Film was damaged on ${area(burntMm2)}: it came to ${temperature(hottest)}, and ${temperature(task.damageC)} is too much.`,
          ]
        : []),
      say`${percent(Math.round(100 * within))} of the place came to between ${temperature(task.leastC)} and ${temperature(task.mostC)}.`,
      ...(cold > 0.05
        ? [
            say`${percent(Math.round(100 * cold))} stayed colder: there the gun was too quick, too far away or not at all.`,
          ]
        : []),
      ...(hot > 0.05
        ? [
            say`${percent(Math.round(100 * hot))} became hotter than it needs: hold the gun farther away, or move it on sooner.`,
          ]
        : []),
    ],
  }
}
