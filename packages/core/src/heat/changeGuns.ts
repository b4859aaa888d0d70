import type { GunDoc } from './gunDoc.ts'
import type { KeptReading } from './gunReading.ts'

/** What of a setting changes. */
export interface SettingChange {
  readonly name?: string | undefined
  /** Air at the nozzle, °C. */
  readonly outletC?: number | undefined
}

/** What of a gun changes; what is not named stays. */
export interface GunChange {
  readonly name?: string | undefined
  readonly spotMm?: number | undefined
  /** By the name that each has now: null takes it away, and one that is not there yet is new. */
  readonly settings?: Readonly<Record<string, SettingChange | null>> | undefined
  /** A reading more. */
  readonly read?: KeptReading | undefined
  /** A reading less, by its id. */
  readonly unread?: string | undefined
  /** Plans count on it from now on. */
  readonly first?: true | undefined
}

/**
 * The guns of a shop after changes of some of them, by their ids; one that is not there yet is new. What two people change at
 * the same time both counts. A setting that is called otherwise keeps its readings. Whether what comes out is a gun at all, its
 * schema says.
 */
export function gunsChanged(guns: readonly GunDoc[], changes: Readonly<Record<string, GunChange>>): GunDoc[] {
  const fresh = Object.keys(changes).filter((id) => guns.every((gun) => gun.id !== id))
  const all = [
    ...guns,
    ...fresh.map((id): GunDoc => ({ id, name: '', settings: [], spotMm: Number.NaN, readings: [] })),
  ]
  const changed = all.map((gun) => gunChanged(gun, changes[gun.id] ?? {}))
  const isFirst = ({ id }: GunDoc) => changes[id]?.first === true
  return [...changed.filter(isFirst), ...changed.filter((gun) => !isFirst(gun))]
}

function gunChanged(gun: GunDoc, { name, spotMm, settings = {}, read, unread }: GunChange): GunDoc {
  const known = new Set(gun.settings.map((setting) => setting.name))
  const readings =
    read === undefined || gun.readings.some(({ id }) => id === read.id) ? gun.readings : [...gun.readings, read]
  return {
    ...gun,
    name: name ?? gun.name,
    spotMm: spotMm ?? gun.spotMm,
    settings: [
      ...gun.settings.flatMap((setting) => {
        const change = settings[setting.name]
        if (change === null) return []
        return [{ name: change?.name ?? setting.name, outletC: change?.outletC ?? setting.outletC }]
      }),
      ...Object.entries(settings).flatMap(([called, change]) =>
        known.has(called) || change === null
          ? []
          : [{ name: change.name ?? called, outletC: change.outletC ?? Number.NaN }],
      ),
    ],
    readings: readings
      .filter(({ id }) => id !== unread)
      .map((reading) => ({ ...reading, setting: settings[reading.setting]?.name ?? reading.setting })),
  }
}
