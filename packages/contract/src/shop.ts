import { practiceKeys, type PracticeKey, practiceProblem } from '@truelay/core/practice'
import { type GunDoc, type KeptReading, readingSources, slowestMmS } from '@truelay/core/heat'
import { say } from '@truelay/core/say'
import { lengthUnits, temperatureUnits, volumeUnits } from '@truelay/core/units'
import { z } from 'zod'
import { partMaterial } from './formDoc.ts'
import { asIssue } from './failure.ts'
import { gunId, moment, personId } from './ids.ts'
import { mirrors } from '@truelay/core/schema'

export const units = z.strictObject({
  length: z.enum(lengthUnits),
  temperature: z.enum(temperatureUnits),
  volume: z.enum(volumeUnits),
})
export type Units = z.infer<typeof units>

/** The shop's own figures where they differ from the defaults; each must lie in its range. */
export const ownPractice = z
  .partialRecord(z.enum(practiceKeys as [PracticeKey, ...PracticeKey[]]), z.number())
  .superRefine((own, context) => {
    for (const [key, value] of Object.entries(own)) {
      const problem = practiceProblem(key as PracticeKey, value)
      if (problem !== null) context.addIssue({ ...asIssue(problem), path: [key] })
    }
  })

export const person = z.strictObject({ id: personId, name: z.string().min(1).max(60), role: z.string().min(1).max(60) })
export type Person = z.infer<typeof person>

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
export const gun = z
  .strictObject({
    id: gunId,
    name: z.string().min(1).max(60),
    settings: z
      .array(z.strictObject({ name: z.string().min(1).max(20), outletC: z.number().min(40).max(800) }))
      .min(1)
      .max(20),
    spotMm: z.number().min(20).max(250),
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

export const themes = ['day', 'bay'] as const

export const shop = z.strictObject({
  name: z.string().min(1).max(80),
  units,
  theme: z.enum(themes),
  stockAlcoholPercent: z.number().min(1).max(100),
  practice: ownPractice,
  /** The first is the one that plans count on. */
  guns: z.array(gun).max(12),
})
export type Shop = z.infer<typeof shop>

/** A change of some settings. */
export const shopChange = shop.omit({ name: true, units: true }).extend({ units: units.partial() }).partial()
export type ShopChange = z.infer<typeof shopChange>
