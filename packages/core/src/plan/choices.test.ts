import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import type { EdgeCode } from '../form/index.ts'
import { recipes } from '../mix/index.ts'
import { practiceWith } from '../practice/index.ts'
import { name, say } from '../say/index.ts'
import { correctionFor, edgeAdvice, edgeCodeWords, measuredGaps, ruleOfCode, usualSchools } from './index.ts'
import { batchFor, solutionsFor } from './solutionsFor.ts'

const codes = Object.keys(edgeCodeWords) as EdgeCode[]

describe('edges', () => {
  test.each(codes)('%s has a rule that can be met, and advice', (code) => {
    const { minMm, maxMm } = ruleOfCode(code, practiceWith())
    expect(minMm).toBeLessThan(maxMm)
    expect(english(edgeAdvice(code)).length).toBeGreaterThan(20)
  })
  test('film that stops before the edge has positive margins, film that goes on negative ones', () => {
    for (const code of ['stop-short', 'lip-stop', 'butt'] as const)
      expect(ruleOfCode(code, practiceWith()).minMm).toBeGreaterThanOrEqual(0)
    for (const code of ['wrap', 'tuck', 'gap-cut', 'surface-cut', 'overlap'] as const)
      expect(ruleOfCode(code, practiceWith()).maxMm).toBeLessThan(0)
  })
})

describe('liquids', () => {
  test.each(recipes.map((r) => r.school))('%s can be mixed for a part, or needs nothing', (school) => {
    const solutions = solutionsFor(
      { slip: school, tack: 'weak tack' },
      1.2e6,
      4300,
      { alcoholPercent: 70 },
      practiceWith(),
    )
    if (!solutions.ok) throw new Error(english(solutions.failure.sentence))
    const slip = solutions.value.find((s) => s.use === 'slip')
    if (school === 'dry') expect(slip).toBeUndefined()
    else {
      expect(slip?.batchMl).toBeGreaterThanOrEqual(slip?.needMl ?? 0)
      expect(slip?.add.reduce((sum, a) => sum + a.ml, 0)).toBeCloseTo(slip?.batchMl ?? 0, 6)
    }
  })
  test('one bottle for several parts has their sum and little over, in the same strength as theirs', () => {
    const stock = { alcoholPercent: 70 }
    const of = (needMl: number) => {
      const batch = batchFor({ use: 'tack', school: 'strong tack', needMl }, stock, practiceWith())
      if (!batch.ok) throw new Error(english(batch.failure.sentence))
      return batch.value
    }
    const together = of(310 + 420)
    expect(together.batchMl).toBeGreaterThanOrEqual(730)
    expect(together.batchMl).toBeLessThanOrEqual(of(310).batchMl + of(420).batchMl)
    expect(together.add.reduce((sum, { ml }) => sum + ml, 0)).toBeCloseTo(together.batchMl, 6)
    expect(together.strength.alcoholPercent).toBeCloseTo(of(310).strength.alcoholPercent, 6)
  })
  test('the usual school follows the film and the form', () => {
    expect(usualSchools({ family: 'panel', edges: [] }, { laid: 'wet', type: 'paint film' }).slip).toBe('light slip')
    expect(usualSchools({ family: 'lamp', edges: [] }, { laid: 'dry', type: 'lens tint' })).toMatchObject({
      slip: 'dry',
      begin: 'flattest first',
    })
    expect(usualSchools({ family: 'lamp', edges: [] }, { laid: 'wet', type: 'lens tint' }).slip).toBe('water only')
    expect(usualSchools({ family: 'panel', edges: [] }, { laid: 'dry', type: 'trim vinyl' }).slip).toBe('dry')
  })
})

describe('gaps at the check points', () => {
  const check = (id: string, x: number, y: number, normal: readonly [number, number]) => ({
    id,
    label: say`${name(id)}`,
    edge: 'rear',
    at: [x, y] as const,
    normal,
    wantedMm: 2.5,
    reads: 'gap' as const,
  })
  const plan = {
    checks: [check('P', 0, 300, [0, -1]), check('Q', 400, 300, [0, -1]), check('R', 400, 150, [-1, 0])],
    gapToleranceMm: 0.5,
    edges: [],
  }
  test('a reading on the tolerance is right, one beyond is not, one of nowhere is left out', () => {
    const gaps = measuredGaps(plan, [
      { checkId: 'P', measuredMm: 3 },
      { checkId: 'Q', measuredMm: 3.1 },
      { checkId: 'Z', measuredMm: 9 },
    ])
    expect(gaps.map((g) => [g.check.id, g.right])).toEqual([
      ['P', true],
      ['Q', false],
    ])
  })
  test('the correction moves film back to where the gaps are wanted', () => {
    const correction = correctionFor(
      measuredGaps(plan, [
        { checkId: 'P', measuredMm: 3.5 },
        { checkId: 'Q', measuredMm: 3.5 },
        { checkId: 'R', measuredMm: 2.1 },
      ]),
      0.25,
    )
    if (!correction.ok) throw new Error(english(correction.failure.sentence))
    expect(correction.value.moveMm[0]).toBeCloseTo(-0.4, 6)
    expect(correction.value.moveMm[1]).toBeCloseTo(1, 6)
    expect(correction.value.turnDeg).toBeCloseTo(0, 6)
  })
})
