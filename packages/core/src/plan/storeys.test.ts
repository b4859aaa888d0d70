import { describe, expect, test } from 'vitest'
import { practiceWith } from '../practice/index.ts'
import { say } from '../say/index.ts'
import { type PartFacts, partQuestion } from './index.ts'
import { demoFilm, demoForm, demoPattern, plainFacts } from './testParts.ts'

const facts: PartFacts = plainFacts(
  demoForm('pipit-bonnet'),
  demoFilm('clearcoat-hull-180'),
  demoPattern('pipit-bonnet-piece'),
)
const usual = partQuestion(facts)
/** Which storeys are asked anew after a change. */
const askedAnew = (change: Partial<PartFacts>) => {
  const question = partQuestion({ ...facts, ...change })
  return (['lay', 'place', 'work'] as const).filter((s) => JSON.stringify(question[s]) !== JSON.stringify(usual[s]))
}

describe('a storey is asked anew only when what it hangs on is different', () => {
  test.each([
    ['a finding with a note', { found: [{ kind: 'swirls', at: [0.5, 0.5] }] }, ['work']],
    ['a body out of true', { found: [{ kind: 'out of true', at: [0.5, 0.5] }] }, ['place', 'work']],
    ['the part’s name', { partName: 'Bonnet, driver’s side' }, ['work']],
    ['another stock on the shelf', { stock: { alcoholPercent: 99 } }, ['work']],
    ['a raised vehicle', { low: true }, ['work']],
    ['a figure of mixing', { practice: practiceWith({ weakTackAlcohol: 12 }) }, ['work']],
    ['a figure of waiting', { practice: practiceWith({ waitInitialGrab: 30 }) }, ['work']],
    ['a rule of an edge', { practice: practiceWith({ stopShortLeast: 3, stopShortMost: 4 }) }, ['place', 'work']],
    ['another piece', { pattern: null }, ['place']],
    ['another form', { form: { ...facts.form, version: 2 } }, ['lay']],
    [
      'a film that gives more',
      { film: { ...facts.film, handling: { ...facts.film.handling, take: 0.02 } } },
      ['lay', 'work'],
    ],
    ['the name of a film', { film: { ...facts.film, name: 'Other' } }, ['work']],
  ] satisfies readonly (readonly [string, Partial<PartFacts>, readonly string[]])[])('%s', (_, change, storeys) => {
    expect(askedAnew(change)).toEqual(storeys)
  })
  test('why an order was chosen lays nothing again; the order itself does', () => {
    const order = {
      school: 'centre out' as const,
      made: 'by school' as const,
      anchors: [],
      from: [[0, 0] as const],
      fromLabel: null,
      flatFirst: 0,
      spiral: false,
      strokeMm: 120,
    }
    const one = partQuestion({ ...facts, chosen: { order, because: say`One lift fewer.` } })
    const other = partQuestion({ ...facts, chosen: { order, because: say`It is what we know.` } })
    expect(other.lay).toEqual(one.lay)
    expect(one.lay).not.toEqual(usual.lay)
  })
})
