import { describe, expect, test } from 'vitest'
import { verbatim } from '../say/index.ts'
import { type CheckPoint, correctionFor, measuredGaps } from './index.ts'

const check = (
  id: string,
  at: readonly [number, number],
  normal: readonly [number, number],
  wantedMm = 2.5,
): CheckPoint => ({
  id,
  label: verbatim(id),
  edge: 'rear',
  at,
  normal,
  wantedMm,
  reads: wantedMm < 0 ? 'film past the edge' : 'gap',
})
const plan = {
  checks: [check('P', [200, 300], [0, -1]), check('Q', [400, 150], [-1, 0]), check('R', [0, 150], [1, 0], -26)],
  gapToleranceMm: 0.5,
  edges: [],
}

describe('gaps that were read', () => {
  test.each([
    [3, true],
    [3.01, false],
    [2, true],
    [1.99, false],
  ])('%d where 2.5 is wanted is right: %s', (measuredMm, right) => {
    expect(measuredGaps(plan, [{ checkId: 'P', measuredMm }])).toMatchObject([{ measuredMm, right }])
  })
  test('film past the edge is held against its own wish', () => {
    expect(measuredGaps(plan, [{ checkId: 'R', measuredMm: -26.4 }])[0]?.right).toBe(true)
    expect(measuredGaps(plan, [{ checkId: 'R', measuredMm: 26 }])[0]?.right).toBe(false)
  })
  test('a reading of a place that the plan does not have is left out', () => {
    expect(measuredGaps(plan, [{ checkId: 'Z', measuredMm: 2 }])).toEqual([])
  })
  test('ask for the move that brings each to what is wanted', () => {
    const gaps = measuredGaps(plan, [
      { checkId: 'P', measuredMm: 3.5 },
      { checkId: 'Q', measuredMm: 2 },
      { checkId: 'R', measuredMm: -25.5 },
    ])
    const answer = correctionFor(gaps, 0.25)
    if (!answer.ok) throw new Error('no answer')
    expect(answer.value.moveMm[1]).toBeCloseTo(1, 1)
    expect(answer.value.moveMm[0]).toBeCloseTo(-0.5, 1)
  })
})
