import { type PracticeChange, practiceKeys, type PracticeKey, practiceProblem } from '@truelay/core/practice'
import { type GunChange, type GunDoc, type KeptReading, readingSources, slowestMmS } from '@truelay/core/heat'
import { say } from '@truelay/core/say'
import { lengthUnits, temperatureUnits, volumeUnits } from '@truelay/core/units'
import { z } from 'zod'
import { partMaterial } from './formDoc.ts'
import { asIssue } from './failure.ts'
import { usualHours, weekHours } from './hours.ts'
import { gunId, moment } from './ids.ts'
import { mirrors } from '@truelay/core/schema'

export const units = z.strictObject({
  length: z.enum(lengthUnits),
  temperature: z.enum(temperatureUnits),
  volume: z.enum(volumeUnits),
})
export type Units = z.infer<typeof units>

const practiceKey = z.enum(practiceKeys as [PracticeKey, ...PracticeKey[]])

function inRange(own: PracticeChange, context: z.RefinementCtx) {
  for (const [key, value] of Object.entries(own)) {
    const problem = value === null ? null : practiceProblem(key as PracticeKey, value)
    if (problem !== null) context.addIssue({ ...asIssue(problem), path: [key] })
  }
}

/** The shop's own figures where they differ from the defaults; each must lie in its range. */
export const ownPractice = z.partialRecord(practiceKey, z.number()).superRefine(inRange)

/** Figures that change: null goes back to the default, and what is not named stays. */
const practiceChange = z.partialRecord(practiceKey, z.number().nullable()).superRefine(inRange)

/** A thermometer reading over film on a scrap, as it is kept with its gun. */
export const gunReading = z.strictObject({
  id: z.uuid(),
  at: moment,
  setting: z.string().min(1).max(20),
  distanceMm: z.number().min(40).max(300),
  speedMmS: z.number().min(slowestMmS).max(2000),
  strokeMm: z.number().min(50).max(1000),
  passes: z.number().int().min(1).max(60),
  material: partMaterial,
  filmUm: z.number().min(20).max(500),
  ambientC: z.number().min(-20).max(60),
  surfaceC: z.number().min(-20).max(300),
  source: z.enum(readingSources),
})
mirrors<KeptReading>()(gunReading)

/** A gun of the shop: its settings, its nozzle, and what was read of it. */
const settingName = z.string().min(1).max(20)
const outletC = z.number().min(40).max(800)
const gunName = z.string().min(1).max(60)
const spotMm = z.number().min(20).max(250)

const settings = z.array(z.strictObject({ name: settingName, outletC })).max(20)

export const gun = z
  .strictObject({
    id: gunId,
    name: gunName,
    settings: settings.min(1),
    spotMm,
    readings: z.array(gunReading).max(40),
  })
  .superRefine((value, context) => {
    const names = value.settings.map((s) => s.name)
    if (new Set(names).size < names.length)
      context.addIssue({ ...asIssue(say`Two settings of a gun have the same name.`), path: ['settings'] })
  })
mirrors<GunDoc>()(gun)
export type GunProfile = z.infer<typeof gun>
export type GunReadingKept = z.infer<typeof gunReading>

/** What of a gun changes: a setting by its name, settings or readings more, a reading less; what is not named stays. */
const gunChange = z
  .strictObject({
    name: gunName,
    spotMm,
    settings: z.record(settingName, z.strictObject({ name: settingName, outletC }).partial().nullable()),
    more: settings.min(1),
    read: z.array(gunReading).min(1).max(40),
    unread: z.uuid(),
    first: z.literal(true),
  })
  .partial()
mirrors<GunChange>()(gunChange)
export type GunChanged = z.infer<typeof gunChange>

export const themes = ['day', 'bay'] as const

export const placeKinds = ['bay', 'wash bay', 'bench'] as const
export type PlaceKind = (typeof placeKinds)[number]

/** A place of the shop where work is done. */
export const place = z.strictObject({ name: z.string().trim().min(1).max(20), kind: z.enum(placeKinds) })
export type Place = z.infer<typeof place>

const places = z
  .array(place)
  .min(1)
  .max(40)
  .refine((all) => new Set(all.map((p) => p.name)).size === all.length, asIssue(say`Two places have the same name.`))

/** As a small shop is laid out. */
export const usualPlaces: readonly Place[] = [
  { name: 'Bay 1', kind: 'bay' },
  { name: 'Bay 2', kind: 'bay' },
  { name: 'Wash bay', kind: 'wash bay' },
  { name: 'Bench', kind: 'bench' },
]

export const shop = z.strictObject({
  name: z.string().trim().min(1).max(80),
  /** As it stands on papers, in lines. */
  address: z.string().max(300),
  places,
  hours: weekHours,
  /** What the shop has found out about the law on lenses and glass where it works; shown where light is taken away. */
  lensRules: z.string().max(1000),
  /** What the shop promises, as it stands on the record of a job. */
  warranty: z.string().max(2000),
  /** The same for surfaces that lie flat, where it differs: they age faster. */
  warrantyLevel: z.string().max(2000).optional(),
  units,
  theme: z.enum(themes),
  /** What money is called here, as it stands behind a sum. */
  money: z.string().trim().max(6).optional(),
  stockAlcoholPercent: z.number().min(1).max(100),
  practice: ownPractice,
  /** The first is the one that plans count on. */
  guns: z.array(gun).max(12),
})
export type Shop = z.infer<typeof shop>

/** A change of some settings, units, figures and guns. */
export const shopChange = shop
  .omit({ units: true, practice: true, guns: true })
  .extend({ units: units.partial(), practice: practiceChange, guns: z.record(gunId, gunChange.nullable()) })
  .partial()
export type ShopChange = z.infer<typeof shopChange>

/** What a shop is that nobody has told anything about. */
export const usualShop = {
  address: '',
  places: [...usualPlaces],
  hours: usualHours,
  lensRules: '',
  warranty: '',
  units: { length: 'mm', temperature: 'C', volume: 'mL' },
  theme: 'day',
  stockAlcoholPercent: 70,
  practice: {},
  guns: [],
} as const satisfies Omit<Shop, 'name'>
