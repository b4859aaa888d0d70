import { describe, expect, test } from 'vitest'
import { practiceWith } from '../practice/index.ts'
import { required } from '../result/index.ts'
import { holdUp, nothingChosen, partQuestion, placeOn } from './index.ts'
import { cutInput, cutRefused, growthToRules } from './pieceCut.ts'
import { demoFilm, demoForm, demoPattern, planOf, saidOf, testPart } from './testParts.ts'

const practice = practiceWith()
const clear = demoFilm('clearcoat-hull-180')
const bonnet = testPart('pipit-bonnet', 'clearcoat-hull-180', 'pipit-bonnet-piece', 500)
const lamp = testPart('finch-headlamp-left', 'lattice-shade-dry', null, 500)

describe('where the film of a part comes from', () => {
  test('the piece that is there, as it comes; the roll where there is none, whatever was chosen', () => {
    const { form } = bonnet.facts
    const pattern = demoPattern('pipit-bonnet-piece')
    expect(cutInput(form, clear, pattern, null, practice).way).toBe('pre-cut')
    expect(cutInput(form, clear, pattern, 'enlarged', practice).way).toBe('enlarged')
    expect(cutInput(form, clear, null, 'enlarged', practice).way).toBe('from the roll')
  })
  test('a panel wants more over than a lamp; tint and patterns are not turned on the roll', () => {
    const of = (form: string, film: string) => cutInput(demoForm(form), demoFilm(film), null, null, practice)
    expect(of('pipit-bonnet', 'clearcoat-hull-180')).toMatchObject({ allowanceMm: 125, mayTurn: true })
    expect(of('finch-headlamp-left', 'lattice-shade-dry')).toMatchObject({ allowanceMm: 38, mayTurn: false })
  })
  test('what cannot be is refused in a sentence', () => {
    const facts = { form: bonnet.facts.form, film: clear, pattern: demoPattern('pipit-bonnet-piece') }
    expect(cutRefused('from the roll', facts, practice)).toBeNull()
    expect(cutRefused('enlarged', facts, practice)).toBeNull()
    expect(cutRefused('enlarged', { ...facts, pattern: null }, practice)).toSay('No piece of a kit is there')
    expect(cutRefused('from the roll', facts, practiceWith({ rollWidth: 900 }))).toSay(
      /The roll is 900 mm wide.*two pieces/,
    )
  })
  test('a sheet that no roll is wide enough for is told in its step, and nothing is drawn of it', () => {
    const narrow = planOf(bonnet, { pattern: null, practice: practiceWith({ rollWidth: 900 }) })
    expect(narrow.cut).toMatchObject({ way: 'from the roll', sheet: null })
    const step = narrow.steps.find((s) => s.id === 'cut-sheet')
    expect(saidOf(step?.headline, step?.detail)).toMatch(/Two sheets.*The roll is 900 mm wide/)
  })
  test('the same piece, from the roll: no gap is read at it, and its corners are held by the surplus', () => {
    const cut = (way: 'pre-cut' | 'from the roll' | null) => planOf(bonnet, { choices: { ...nothingChosen, cut: way } })
    expect(cut(null).steps.map((s) => s.id)).toContain('measure-gaps')
    const sheet = cut('from the roll')
    expect(sheet.steps.map((s) => s.id)).not.toContain('measure-gaps')
    expect(sheet.anchors.every((a) => a.gaps.length === 0)).toBe(true)
    expect(sheet.cut.sheet?.outline.length).toBe(4)
    expect(saidOf(sheet.schools[2]?.choice)).toMatch(/^from the roll, \d+ mm by \d+ mm$/)
  })
})

describe('held up to its part', () => {
  const heldUp = (cut: 'enlarged' | 'from the roll' | null, ends = {}) => {
    const { place, work } = partQuestion({ ...bonnet.facts, choices: { ...nothingChosen, cut, ends } })
    return required(holdUp(required(placeOn(bonnet.laid, place)), place, work.film, practice))
  }
  test('a piece is checked as it comes; one that the roll replaces is not', () => {
    expect(heldUp(null).check?.verdict).toBe('fits')
    expect(heldUp('from the roll')).toMatchObject({ check: null, cut: { way: 'from the roll' } })
  })
  test('for a wrapped nose the piece as it comes does not do, and the enlarged one does', () => {
    expect(heldUp(null, { nose: 'wrap' }).check?.verdict).not.toBe('fits')
    expect(heldUp('enlarged', { nose: 'wrap' }).check?.verdict).toBe('fits')
  })
})

describe('how far a piece has to grow', () => {
  const margin = (edge: string, x: number) => ({
    at: [x, 0] as const,
    inward: [0, 1] as const,
    edge,
    hole: -1,
    marginMm: 0,
  })
  /** A piece that ends so far beyond the edge y = 0. */
  const rimAt = (overMm: number) =>
    [
      [-100, -overMm],
      [100, -overMm],
      [100, 200],
      [-100, 200],
    ] as const
  const wrap = { bottom: { minMm: -20, maxMm: -12 } }
  const along = [-60, -30, 0, 30, 60].map((x) => margin('bottom', x))
  test.each([
    [-2.5, 18.5],
    [0, 16],
    [10, 6],
  ])('a rim %s mm beyond the edge grows by %s mm to the middle of its rule', (over, by) => {
    expect(growthToRules(along, rimAt(over), wrap).bottom).toBeCloseTo(by, 9)
  })
  test('one that reaches it stays, and so does one that is to stop short', () => {
    expect(growthToRules(along, rimAt(16), wrap)).toEqual({})
    expect(growthToRules(along, rimAt(30), wrap)).toEqual({})
    expect(growthToRules(along, rimAt(-20), { bottom: { minMm: 2, maxMm: 3 } })).toEqual({})
  })
  test('holes are not grown, and an edge without a rule neither', () => {
    expect(
      growthToRules(
        along.map((m) => ({ ...m, hole: 0 })),
        rimAt(0),
        wrap,
      ),
    ).toEqual({})
    expect(growthToRules(along, rimAt(0), {})).toEqual({})
  })
  test('an enlarged bonnet reaches the rule of each wrapped edge, and stays where it stops short', () => {
    const plan = planOf(bonnet, { choices: { ...nothingChosen, cut: 'enlarged', ends: { nose: 'wrap' } } })
    expect(plan.cut.enlarged.map((e) => e.edge)).toEqual(['nose'])
    expect(plan.cut.enlarged[0]?.byMm).toBeGreaterThan(17)
    expect(plan.cut.enlarged[0]?.byMm).toBeLessThan(20)
    for (const check of plan.checks.filter((c) => c.edge === 'nose')) expect(check.wantedMm).toBeCloseTo(-16, -0.3)
  })
})

describe('what a printed pattern bears', () => {
  test('is a limit of the lay, however far the film itself would give', () => {
    const { handling } = partQuestion(lamp.facts).lay.film
    expect(handling.warmStretch).toBe(0.03)
    expect(handling.coldStretch).toBe(0.015)
    const plain = partQuestion({ ...lamp.facts, film: { ...lamp.facts.film, patterned: false } }).lay.film
    expect(plain.handling.warmStretch).toBe(0.12)
    let most = 0
    for (let t = 0; t < lamp.laid.worked.stretch.length; t += 2) most = Math.max(most, lamp.laid.worked.stretch[t] ?? 0)
    expect(most).toBeLessThan(1.032)
    expect(lamp.laid.worked.neededStretch).toBeGreaterThan(1.04)
  })
  test('the verdict names the place and both figures; a pattern that bears more goes on', () => {
    const says = (patternStretch: number) => {
      const film = { ...lamp.facts.film, handling: { ...lamp.facts.film.handling, patternStretch } }
      return planOf(lamp, { film })
        .notes.map((n) => saidOf(n.says))
        .join()
    }
    expect(says(0.03)).toMatch(
      /does not go on this part without warping: at the .+ it would have to give \d.*bears 3 %/,
    )
    expect(says(0.1)).not.toContain('warping')
  })
})
