import { edgeCodes } from '@truelay/core/form'
import { findingKinds, nothingChosen, type PartFacts } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'
import { z } from 'zod'
import { documents } from './saved/documents.ts'
import type { SavedDocument } from './saved/savedDocument.ts'

const storyPart = z.strictObject({
  /** A piece of a demo kit, or else a form and a film from the roll. */
  piece: z.string().optional(),
  form: z.string().optional(),
  film: z.string().optional(),
  found: z.array(z.enum(findingKinds)).default([]),
  low: z.boolean().default(false),
  /** Every edge ends so, in place of what the form says. */
  ends: z.enum(edgeCodes).optional(),
})
export type StoryPart = z.infer<typeof storyPart>

/** The kinds of job, each with the parts of the demo shop that show it. */
export const stories = z.array(z.strictObject({ id: z.string(), name: z.string(), parts: z.array(storyPart).min(1) }))
export type Story = z.infer<typeof stories>[number]

/** What is known of a part of a story. `read` reads a JSON file of the demo shop; a `RangeError` says what is missing there. */
export function factsOfStory(part: StoryPart, read: (file: string) => unknown): PartFacts {
  const kept = <T>(kind: SavedDocument<T>, file: string): T => {
    const found = kind.read(read(file))
    if (!found.ok) throw new RangeError(`${file}: ${found.where}: ${found.problem}`)
    return found.value
  }
  const piece = part.piece === undefined ? null : kept(documents.piece, `pieces/${part.piece}.json`)
  const formId = piece?.formId ?? part.form
  const filmId = part.film ?? piece?.filmId
  if (formId === undefined || filmId === undefined)
    throw new RangeError('a part of a story has a piece, or a form and a film')
  const form = kept(documents.form, `forms/${formId}.json`)
  const { ends } = part
  return {
    partId: part.piece ?? formId,
    partName: form.name,
    form: ends === undefined ? form : { ...form, edges: form.edges.map((e) => ({ ...e, code: ends })) },
    film: kept(documents.film, `films/${filmId}.json`),
    pattern: piece?.pattern ?? null,
    found: part.found.map((kind) => ({ kind, at: [0.5, 0.5] })),
    low: part.low,
    chosen: null,
    stock: { alcoholPercent: 70 },
    practice: practiceWith(),
    choices: nothingChosen,
  }
}
