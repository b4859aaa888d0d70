import { done, failure, refused, type Result } from '../result/index.ts'
import type { GunDoc } from './gunDoc.ts'
import type { KeptReading } from './gunReading.ts'

/** What of a setting changes. */
export interface SettingChange {
  readonly name?: string | undefined
  /** Air at the nozzle, °C. */
  readonly outletC?: number | undefined
}

/** What of a gun changes; what is not named stays. A new one has a name, a spot and settings. */
export interface GunChange {
  readonly name?: string | undefined
  readonly spotMm?: number | undefined
  /** By the name that each has now: null takes it away. */
  readonly settings?: Readonly<Record<string, SettingChange | null>> | undefined
  /** Settings more, in their order; one that is there already stays as it is. */
  readonly more?: GunDoc['settings'] | undefined
  /** Readings more. */
  readonly read?: readonly KeptReading[] | undefined
  /** A reading less, by its id. */
  readonly unread?: string | undefined
  /** Plans count on it from now on. */
  readonly first?: true | undefined
}

/**
 * The guns of a shop after changes of some of them, by their ids: null takes one away, and one that is not there yet is new.
 * What two people change at the same time both counts. A setting that is called otherwise keeps its readings. Whether what
 * comes out is a gun at all, its schema says. Can be refused: `GUN_GONE`, `SETTING_GONE`, where what is changed is not there
 * any more.
 */
export function gunsChanged(
  guns: readonly GunDoc[],
  changes: Readonly<Record<string, GunChange | null>>,
): Result<GunDoc[]> {
  const changeOf = new Map(Object.entries(changes))
  const known = new Set(guns.map(({ id }) => id))
  const after: GunDoc[] = []
  for (const gun of guns) {
    const change = changeOf.get(gun.id)
    if (change === null) continue
    const changed = change === undefined ? done(gun) : gunChanged(gun, change)
    if (!changed.ok) return changed
    after.push(changed.value)
  }
  for (const [id, change] of changeOf) {
    if (known.has(id) || change === null) continue
    const { name, spotMm, more } = change
    // What is no whole gun was meant for one that has gone off the list.
    if (name === undefined || spotMm === undefined || more === undefined) return refused(failure('GUN_GONE', {}))
    const fresh = gunChanged({ id, name, settings: [], spotMm, readings: [] }, change)
    if (!fresh.ok) return fresh
    after.push(fresh.value)
  }
  const isFirst = ({ id }: GunDoc) => changeOf.get(id)?.first === true
  return done([...after.filter(isFirst), ...after.filter((gun) => !isFirst(gun))])
}

function gunChanged(
  gun: GunDoc,
  { name, spotMm, settings = {}, more = [], read = [], unread }: GunChange,
): Result<GunDoc> {
  const changeOf = new Map(Object.entries(settings))
  for (const [setting, change] of changeOf)
    if (change !== null && gun.settings.every((known) => known.name !== setting))
      return refused(failure('SETTING_GONE', { gun: gun.name, setting }))
  const newSettings = more.filter((one) => gun.settings.every((known) => known.name !== one.name))
  const newReadings = read.filter(({ id }) => gun.readings.every((known) => known.id !== id))
  return done({
    ...gun,
    name: name ?? gun.name,
    spotMm: spotMm ?? gun.spotMm,
    settings: [
      ...gun.settings.flatMap((setting) => {
        const change = changeOf.get(setting.name)
        if (change === null) return []
        return [{ name: change?.name ?? setting.name, outletC: change?.outletC ?? setting.outletC }]
      }),
      ...newSettings,
    ],
    readings: [...gun.readings, ...newReadings]
      .filter(({ id }) => id !== unread)
      .map((reading) => ({ ...reading, setting: changeOf.get(reading.setting)?.name ?? reading.setting })),
  })
}
