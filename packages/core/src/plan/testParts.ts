import { readFileSync } from 'node:fs'
import { english } from '@truelay/words'
import type { PiecePattern } from '../align/index.ts'
import type { FormDoc } from '../form/index.ts'
import { type LaidPart, layPart, type Rehearsal } from '../lay/index.ts'
import { practiceWith } from '../practice/index.ts'
import { type Result, required } from '../result/index.ts'
import type { Sentence } from '../say/index.ts'
import {
  anyDay,
  nothingChosen,
  type FilmDoc,
  type PartFacts,
  type PartPlan,
  partQuestion,
  placeOn,
  planWork,
  type Schools,
  type Today,
} from './index.ts'

const read = <T>(file: string): T =>
  JSON.parse(readFileSync(new URL(`../../../../demo/${file}`, import.meta.url), 'utf8'))
export const demoForm = (id: string): FormDoc => read(`forms/${id}.json`)
export const demoFilm = (id: string): FilmDoc => read(`films/${id}.json`)
export const demoPattern = (id: string): PiecePattern => read<{ pattern: PiecePattern }>(`pieces/${id}.json`).pattern

/** A part of the demo shop, laid once; plans of it can be asked for under other conditions. */
export interface TestPart {
  readonly facts: PartFacts
  readonly laid: LaidPart
}

/** What a plan is asked under, where that is not usual. */
export type Otherwise = Partial<PartFacts> &
  Partial<Today> & { readonly schools?: Schools; readonly rehearsal?: Rehearsal }

/** A part of which nothing particular is known. */
export const plainFacts = (form: FormDoc, film: FilmDoc, pattern: PiecePattern | null): PartFacts => ({
  partId: form.id,
  partName: form.name,
  form,
  film,
  films: [],
  pattern,
  found: [],
  low: false,
  chosen: null,
  stock: { alcoholPercent: 70 },
  practice: practiceWith(),
  choices: nothingChosen,
  set: null,
  line: null,
  measured: true,
})

export function testPart(formId: string, filmId: string, pieceId: string | null, triangles: number): TestPart {
  const pattern = pieceId === null ? null : demoPattern(pieceId)
  const facts = plainFacts(demoForm(formId), demoFilm(filmId), pattern)
  return { facts, laid: required(layPart(partQuestion(facts).lay, { triangles })) }
}

export function tryPlan({ facts, laid }: TestPart, otherwise: Otherwise = {}): Result<PartPlan> {
  const { schools, rehearsal = laid.rehearsal, shift, room, gun, learned, ...other } = otherwise
  const question = partQuestion({ ...facts, ...other })
  const placed = required(placeOn({ ...laid, form: question.lay.form, rehearsal }, question.place))
  return planWork(placed, {
    ...question.work,
    ...(schools === undefined ? {} : { schools }),
    shift: shift ?? anyDay.shift,
    room,
    gun: gun ?? null,
    learned: learned ?? {},
  })
}

export const planOf = (part: TestPart, otherwise: Otherwise = {}): PartPlan => required(tryPlan(part, otherwise))

export const stepOf = (plan: PartPlan, id: string) => plan.steps.find((step) => step.id === id)
/** Sentences as they are read, one after the other; nothing where there is none. */
export const saidOf = (...sentences: readonly (Sentence | null | undefined)[]): string =>
  sentences.flatMap((s) => (s === null || s === undefined ? [] : [english(s)])).join(' ')
export const cautionsOf = (plan: PartPlan, id: string): string =>
  saidOf(...(stepOf(plan, id)?.cautions ?? []).map((c) => c.says))

/** Every sentence in a plan, wherever it stands. */
export function* sentencesIn(value: unknown): Generator<Sentence> {
  if (typeof value !== 'object' || value === null) return
  if ('text' in value && 'with' in value) {
    yield value as Sentence
    return
  }
  for (const inner of Object.values(value)) yield* sentencesIn(inner)
}
