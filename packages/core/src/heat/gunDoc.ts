import { done, type Result, refused } from '../result/index.ts'
import { say, type Sentence, verbatim } from '../say/index.ts'
import { calibrateGun, type GunCalibration, unreadRiseSigma } from './calibrateGun.ts'
import type { KeptReading } from './gunReading.ts'
import type { Gun, GunSetting } from './heatStep.ts'
import { unmeasured } from './jet.ts'
import { layersOf } from './materials.ts'

/** A gun as the shop knows it. */
export interface GunDoc {
  readonly id: string
  readonly name: string
  readonly settings: readonly GunSetting[]
  readonly spotMm: number
  readonly readings: readonly KeptReading[]
}

/** A gun with what its readings say about it. */
export interface CalibratedGun {
  readonly name: Sentence
  readonly gun: Gun
  readonly factors: GunCalibration['factors']
  readonly riseSigma: number
  readonly readings: number
}

/** Any variable gun with its wide nozzle, before one is described. */
export const usualGun: CalibratedGun = {
  name: say`a variable heat gun`,
  gun: {
    settings: [
      { name: '1', outletC: 120 },
      { name: '2', outletC: 260 },
      { name: '3', outletC: 400 },
      { name: '4', outletC: 540 },
    ],
    spotMm: 110,
  },
  factors: unmeasured,
  riseSigma: unreadRiseSigma,
  readings: 0,
}

/**
 * A gun calibrated by its readings; readings at a setting that it no longer has are left out.
 * Can be refused: what `calibrateGun` finds.
 */
export function calibrated(doc: GunDoc): Result<CalibratedGun & Pick<GunCalibration, 'residualC'>> {
  const gun = { settings: doc.settings, spotMm: doc.spotMm }
  const readings = doc.readings.flatMap((r) => {
    const setting = doc.settings.find((s) => s.name === r.setting)
    if (setting === undefined) return []
    const { distanceMm, speedMmS, strokeMm, passes, ambientC, surfaceC } = r
    const held = { outletC: setting.outletC, distanceMm, spotMm: doc.spotMm }
    const layers = layersOf({ type: 'paint film', thicknessUm: r.filmUm }, r.material)
    return [{ gun: held, layers, speedMmS, strokeMm, passes, ambientC, surfaceC }]
  })
  const calibration = calibrateGun(readings)
  if (!calibration.ok) return refused(calibration.failure)
  const { factors, riseSigma, residualC } = calibration.value
  return done({ name: verbatim(doc.name), gun, factors, riseSigma, readings: readings.length, residualC })
}
