import { edgeCodes, formSize } from '@truelay/core/form'
import { carryLine, setModes } from '@truelay/core/pieces'
import { findingKinds, nothingChosen, type PartFacts } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'
import { z } from 'zod'
import { documents } from './saved/documents.ts'
import type { SavedDocument } from './saved/savedDocument.ts'
import { linePlaceOf } from './partsTogether.ts'
import { workChoices } from './workChoices.ts'

const storyPart = z.strictObject({
  /** A piece of a demo kit, or else a form and a film from the roll. */
  piece: z.string().optional(),
  form: z.string().optional(),
  film: z.string().optional(),
  found: z.array(z.enum(findingKinds)).default([]),
  low: z.boolean().default(false),
  /** Every edge ends so, or these edges, in place of what the form says. */
  ends: z.union([z.enum(edgeCodes), workChoices.shape.ends]).default({}),
  liquids: workChoices.shape.liquids.default(null),
  cut: workChoices.shape.cut.default(null),
  hands: workChoices.shape.hands.default(null),
  light: workChoices.shape.light.default(null),
  /** Films at hand besides its own. */
  films: z.array(z.string()).default([]),
})
export type StoryPart = z.infer<typeof storyPart>

/** The kinds of job, each with the parts of the demo shop that show it. */
export const stories = z.array(
  z.strictObject({
    id: z.string(),
    name: z.string(),
    parts: z.array(storyPart).min(1),
    /** How its parts are fitted together; left out = each by itself. */
    set: z.enum(setModes).optional(),
    /** Its parts carry one line, in the order in which they stand; the datum is found. */
    row: z.boolean().default(false),
  }),
)
export type Story = z.infer<typeof stories>[number]

/** What is known of the parts of a story, in their order. What `factsOfStory` reads. */
export function factsOfStories({ parts, set, row }: Story, read: (file: string) => unknown): PartFacts[] {
  const all = parts.map((part) => factsOfStory(part, read))
  const sizes = all.map(({ form }) => formSize(form))
  const line = row
    ? carryLine(
        all.map(({ partId, partName, form }, i) => ({
          id: partId,
          name: partName,
          lengthMm: sizes[i]?.widthMm ?? 0,
          openings: form.holes.length + form.marks.length,
        })),
      )
    : null
  // A row is laid outward from its datum, whatever stands where.
  const laid = line === null ? all : line.pieces.flatMap(({ id }) => all.filter((facts) => facts.partId === id))
  return laid.map((facts, i) => ({
    ...facts,
    line: line === null ? null : linePlaceOf([line], facts.partId),
    set:
      set === undefined
        ? null
        : {
            mode: set,
            place: i + 1,
            of: all.length,
            before: laid[i - 1]?.partName ?? null,
            next: laid[i + 1]?.partName ?? null,
            others: {
              areaMm2: sizes.reduce((sum, size, k) => sum + (all[k] === facts ? 0 : size.widthMm * size.heightMm), 0),
              edgeMm: sizes.reduce(
                (sum, size, k) => sum + (all[k] === facts ? 0 : 2 * (size.widthMm + size.heightMm)),
                0,
              ),
            },
          },
  }))
}

/** What is known of a part of a story by itself. `read` reads a JSON file of the demo shop; a `RangeError` says what is missing there. */
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
    set: null,
    line: null,
    measured: true,
    form: typeof ends === 'string' ? { ...form, edges: form.edges.map((e) => ({ ...e, code: ends })) } : form,
    film: kept(documents.film, `films/${filmId}.json`),
    films: [filmId, ...part.films].map((id) => kept(documents.film, `films/${id}.json`)),
    pattern: piece?.pattern ?? null,
    found: part.found.map((kind) => ({ kind, at: [0.5, 0.5] })),
    low: part.low,
    chosen: null,
    stock: { alcoholPercent: 70 },
    practice: practiceWith(),
    choices: {
      ...nothingChosen,
      ends: typeof ends === 'string' ? {} : ends,
      liquids: part.liquids,
      cut: part.cut,
      hands: part.hands,
      light: part.light,
    },
  }
}
