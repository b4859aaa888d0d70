import { type Climate, usualClimate } from './climate.ts'
import { alcoholOverMixKpa, deficitKpa } from './vapour.ts'
import type { WaitKind } from './waits.ts'

/** How a wait hangs on the air: how much of it is drying, and how much the adhesive's own creep. */
interface WaitNature {
  /** Share of the wait that is drying; the rest is the adhesive. */
  readonly drying: number
  /** Through what water leaves: an open edge dries in the air; under a face it creeps through film. */
  readonly path: 'open edge' | 'covered face'
  /** Reference strength of what dries there, per cent. */
  readonly alcoholPercent: number
  /** Whether room air matters at all. */
  readonly byAir: boolean
}

const natures: Readonly<Record<WaitKind, WaitNature>> = {
  initialGrab: { drying: 0.6, path: 'open edge', alcoholPercent: 10, byAir: true },
  beforeWrap: { drying: 0.9, path: 'open edge', alcoholPercent: 10, byAir: true },
  beforeTrim: { drying: 0.8, path: 'open edge', alcoholPercent: 10, byAir: true },
  coolBeforeCut: { drying: 0, path: 'open edge', alcoholPercent: 0, byAir: false },
  waterLaid: { drying: 0.8, path: 'covered face', alcoholPercent: 0, byAir: true },
  haze: { drying: 1, path: 'covered face', alcoholPercent: 0, byAir: true },
  beforeWash: { drying: 0.2, path: 'covered face', alcoholPercent: 0, byAir: true },
  edgeLook: { drying: 0, path: 'covered face', alcoholPercent: 0, byAir: false },
  fullBond: { drying: 0.2, path: 'covered face', alcoholPercent: 0, byAir: true },
}

/** Water leaves even into air that is all but full, by wiping, draught and warmth from below, kPa. */
const alwaysKpa = 0.15
/** The adhesive's creep (its time is halved by about 8 K more), J/mol. */
const creepJMol = 60_000
/** Water through polyurethane film, J/mol. */
const throughFilmJMol = 40_000
const gasConstant = 8.314

/** How much longer a process takes than at 20 °C, by Arrhenius. */
function slower(activationJMol: number, temperatureC: number): number {
  const kelvin = temperatureC + 273.15
  const usualK = usualClimate.roomC + 273.15
  return Math.exp((activationJMol / gasConstant) * (1 / kelvin - 1 / usualK))
}

/** What drives the liquid out, kPa: the air's room for water, and the alcohol's own vapour. */
const drive = ({ roomC, humidityPercent }: Climate, alcoholPercent: number) =>
  alwaysKpa + (1 - alcoholPercent / 100) * deficitKpa(roomC, humidityPercent) + alcoholOverMixKpa(roomC, alcoholPercent)

/**
 * By what a wait is multiplied in such air, 1 at 20 °C, 50 % and the usual strength. Drying goes with the drive above, at an open edge; under a
 * face also with what film lets through; the rest with the adhesive's creep. Falls with temperature and with alcohol,
 * rises with humidity.
 *
 * @param alcoholPercent in the liquid that dries there; left out = the usual one of that wait
 */
export function waitFactor(kind: WaitKind, climate: Climate, alcoholPercent?: number): number {
  const nature = natures[kind]
  if (!nature.byAir) return 1
  const strength = alcoholPercent ?? nature.alcoholPercent
  const drying = drive(usualClimate, nature.alcoholPercent) / drive(climate, strength)
  const throughFilm = nature.path === 'covered face' ? slower(throughFilmJMol, climate.roomC) : 1
  // Under a face the air's humidity counts by half: film holds the water back, not the air.
  const air = nature.path === 'covered face' ? Math.sqrt(drying) : drying
  return nature.drying * air * throughFilm + (1 - nature.drying) * slower(creepJMol, climate.roomC)
}
