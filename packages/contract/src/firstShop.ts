import { z } from 'zod'
import { newPerson } from './person.ts'
import { newFilm } from './shelf.ts'
import { gun, shop } from './shop.ts'

/** What is told when the shop is opened for the first time; all but its name may be left for later. */
export const firstShop = z.strictObject({
  ...shop.pick({ name: true, units: true, places: true, hours: true }).shape,
  people: z.array(newPerson).min(1).max(100),
  film: newFilm.nullable(),
  gun: gun.nullable(),
})
export type FirstShop = z.input<typeof firstShop>
