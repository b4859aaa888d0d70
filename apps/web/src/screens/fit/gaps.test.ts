import { english, wordsIn } from '@truelay/words'
import { verbatim } from '@truelay/core/say'
import { smallPlan, smallStep } from '@truelay/contract/testing'
import { metricUnits } from '@truelay/core/units'
import { describe, expect, test } from 'vitest'
import { draftMm, gapFigure, readGaps } from './readGaps.ts'
import { readingsShown } from './readingsShown.ts'

const check = (id: string, wantedMm: number) => ({
  id,
  label: verbatim(id),
  edge: 'rear',
  at: [0, 0] as const,
  normal: [0, 1] as const,
  wantedMm,
  reads: wantedMm < 0 ? ('film past the edge' as const) : ('gap' as const),
})
const plan = smallPlan([smallStep('gaps')], { checks: [check('P', 2.5), check('Q', 2.5), check('R', -26)] })
const inches = { ...metricUnits, length: 'in' as const }

describe('typed gaps', () => {
  test('a comma is a point, and film past the edge is typed without a sign', () => {
    const round = readGaps(plan, { P: '2,6', R: '25.5' }, metricUnits)
    expect(round).toEqual({
      ok: true,
      readings: [
        { checkId: 'P', measuredMm: 2.6 },
        { checkId: 'R', measuredMm: -25.5 },
      ],
    })
  })
  test('inches come out in millimetres', () => {
    const round = readGaps(plan, { P: '0.1', Q: '0.100' }, inches)
    expect(round.ok && round.readings.map((r) => r.measuredMm)).toEqual([2.54, 2.54])
    expect(gapFigure(2.54, inches)).toBe('0.100')
    expect(gapFigure(-25.96, metricUnits)).toBe('26.0')
  })
  test('what is no gap is named with its letter and an example', () => {
    const round = readGaps(plan, { P: '2.5', Q: 'two' }, metricUnits)
    expect(round.ok ? '' : english(round.problem)).toBe('Q: "two" is no gap. Give it like this: 2.5 mm.')
    expect(round.ok ? '' : wordsIn({ units: inches })(round.problem)).toContain('0.098 in')
  })
  test.each([
    ['250', metricUnits, 'Q: 250 mm is too much, 100 mm at most. Was a point left out?'],
    ['-250', metricUnits, 'Q: −250 mm is too much, 100 mm at most. Was a point left out?'],
    ['9.8', inches, 'Q: 9.80 in is too much, 3.94 in at most. Was a point left out?'],
  ])('%s is too much, which is told in the unit it was typed in', (typed, units, problem) => {
    const round = readGaps(plan, { P: '0.1', Q: typed }, units)
    expect(round.ok ? '' : wordsIn({ units })(round.problem)).toBe(problem)
  })
  test('a hundred is not too much', () => {
    expect(readGaps(plan, { P: '2.5', Q: '100' }, metricUnits).ok).toBe(true)
  })
  test('one place is not enough', () => {
    const round = readGaps(plan, { P: '2.5', Q: ' ' }, metricUnits)
    expect(round.ok ? '' : english(round.problem)).toContain('at least two places')
  })
  test('nothing typed is nothing, not zero', () => {
    expect(draftMm('', metricUnits)).toBeNull()
    expect(draftMm('0', metricUnits)).toBe(0)
  })
})

describe('measured gaps on the picture', () => {
  const show = (mm: number) => `${mm}`
  test('each is right or not by the tolerance', () => {
    const mixed = readingsShown(
      plan,
      [
        { checkId: 'P', measuredMm: 3 },
        { checkId: 'R', measuredMm: -27 },
      ],
      show,
    )
    expect(mixed).toEqual({ P: { text: '3', good: true }, R: { text: '27', good: false } })
  })
  test('without a round there is nothing to be right', () => {
    expect(readingsShown(plan, undefined, show)).toEqual({})
  })
})
