import { draws, type HandOrder, mostAnchors, runs, strokes } from '@truelay/core/exercises'
import { pullsAllowed } from '@truelay/core/lay'
import { z } from 'zod'

/** None that could be read as a figure or a unit. */
const letters = 'ABCDEFGHJLMNPQRSTUVWXYZ'

/** What a place is called, on the part and in the list. */
export const letterOf = (place: number): string =>
  `${letters.charAt(place % letters.length)}${place < letters.length ? '' : Math.floor(place / letters.length)}`

export const nothingSaid: HandOrder = { anchors: [], edge: null, run: 'outward', stroke: 'middle', pulls: 'cold' }

/** An order that was said on a part with so many places; what was said of another part is none. */
export const handOrderOn = (places: number) =>
  z.object({
    anchors: z.array(z.object({ place: z.number().int().min(0).lt(places), draw: z.enum(draws) })).max(mostAnchors),
    edge: z.string().nullable(),
    run: z.enum(runs),
    stroke: z.enum(strokes),
    pulls: z.enum(pullsAllowed),
  })
