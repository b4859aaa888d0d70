import { readFileSync } from 'node:fs'
import { formSize } from '@truelay/core/form'
import { nothingChosen } from '@truelay/core/plan'
import { bodyPlan } from '@truelay/core/vehicle'
import { describe, expect, test } from 'vitest'
import type { FilmId, FormId, PartId, PieceId } from './ids.ts'
import { type PartOfBundle, partQuestionOf, type QuestionSources } from './partQuestionOf.ts'
import { documents } from './saved/documents.ts'
import type { SavedDocument } from './saved/savedDocument.ts'

function demo<T>(kind: SavedDocument<T>, file: string): T {
  const found = kind.read(JSON.parse(readFileSync(new URL(`../../../demo/${file}`, import.meta.url), 'utf8')))
  if (!found.ok) throw new Error(`${file}: ${found.problem}`)
  return found.value
}
const part: PartOfBundle = {
  id: 'p' as PartId,
  name: 'Bonnet',
  slot: 'bonnet',
  formId: 'pipit-bonnet' as FormId,
  filmId: 'clearcoat-hull-180' as FilmId,
  pieceId: 'pipit-bonnet-piece' as PieceId,
  order: null,
  choices: nothingChosen,
}
const sources = {
  job: { vehicle: { kind: 'city hatch' } },
  parts: [part],
  sets: [],
  kits: [],
  forms: [demo(documents.form, 'forms/pipit-bonnet.json')],
  films: [demo(documents.film, 'films/clearcoat-hull-180.json')],
  pieces: [demo(documents.piece, 'pieces/pipit-bonnet-piece.json')],
  shop: { stockAlcoholPercent: 96, practice: { wrapLeast: 10 } },
  findings: [
    { partId: 'p', kind: 'chip', at: [0.2, 0.3], sizeMm: 2 },
    { partId: 'another', kind: 'dent', at: [0.5, 0.5], sizeMm: 9 },
  ],
} as unknown as QuestionSources

describe('what the storeys of a part are asked', () => {
  test('with its form, film, piece, and what the shop has', () => {
    const question = partQuestionOf(sources, part)
    expect(question?.lay.form.id).toBe('pipit-bonnet')
    expect(question?.place.pattern).toEqual(sources.pieces[0]?.pattern)
    expect(question?.work).toMatchObject({ measured: true, stock: { alcoholPercent: 96 }, practice: { wrapLeast: 10 } })
  })
  test('with what was found on it, not on others', () => {
    expect(partQuestionOf(sources, part)?.work.found).toEqual([{ kind: 'chip', at: [0.2, 0.3], sizeMm: 2 }])
  })
  test.each([
    ['its form', { forms: [] }],
    ['its film', { films: [] }],
    ['its piece', { pieces: [] }],
  ])('nothing where %s is missing', (_, less) => {
    expect(partQuestionOf({ ...sources, ...less } as QuestionSources, part)).toBeNull()
  })
  test('without a pattern where none is at hand', () => {
    const question = partQuestionOf({ ...sources, pieces: [] } as QuestionSources, { ...part, pieceId: null })
    expect(question).not.toBeNull()
    expect(question?.place.cut.way).toBe('from the roll')
  })
})

describe('a part that nobody has measured', () => {
  const unmeasured = { ...part, formId: null, pieceId: null }
  test('is taken as an ordinary one of its place, and said to be none', () => {
    const question = partQuestionOf(sources, unmeasured)
    expect(question?.work.measured).toBe(false)
    const slot = bodyPlan('city hatch').slots.find(({ id }) => id === 'bonnet')
    if (question === null || slot === undefined) throw new Error('no question')
    expect(question.lay.form.name).toContain('Bonnet')
    const { widthMm, heightMm } = formSize(question.lay.form)
    // Its corners are given in whole millimetres from its middle.
    expect(Math.abs(widthMm - slot.size[0])).toBeLessThanOrEqual(1)
    expect(Math.abs(heightMm - slot.size[1])).toBeLessThanOrEqual(1)
  })
  test('cannot be worked out at a place that the vehicle does not have', () => {
    expect(partQuestionOf(sources, { ...unmeasured, slot: 'keel' })).toBeNull()
  })
})
