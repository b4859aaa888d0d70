import type { Nested } from '@truelay/core/nest'
import { z } from 'zod'

const place = 'truelay layouts on the roll'
/** So many are kept on a tablet, the latest. */
const mostKept = 12

const nested = z.strictObject({
  usedLengthMm: z.number(),
  utilisation: z.number(),
  placements: z.array(
    z.strictObject({ id: z.string(), copy: z.number(), xMm: z.number(), yMm: z.number(), turnDeg: z.number() }),
  ),
})
const kept = z.array(z.tuple([z.string(), nested]))

function readAll(): [string, Nested][] {
  try {
    return kept.parse(JSON.parse(localStorage.getItem(place) ?? '[]'))
  } catch {
    // What cannot be read is looked for anew.
    return []
  }
}

/** The layout that was last found or made for a question; null where there is none on this tablet. */
export const keptLayout = (question: string): Nested | null =>
  readAll().find(([asked]) => asked === question)?.[1] ?? null

/** Keeps a layout under what was asked, for when the page is opened again. */
export function keepLayout(question: string, layout: Nested): void {
  const others = readAll().filter(([asked]) => asked !== question)
  try {
    localStorage.setItem(place, JSON.stringify([[question, layout], ...others].slice(0, mostKept)))
  } catch {
    // A tablet that is full looks for it anew.
  }
}
