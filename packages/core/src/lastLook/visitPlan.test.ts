import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { planOf, testPart } from '../plan/testParts.ts'
import { lookWalk, visitPlan } from './index.ts'

const laid = planOf(testPart('pipit-bonnet', 'clearcoat-hull-180', null, 400))
const visit = (open: Parameters<typeof visitPlan>[0]['open'] = []) =>
  visitPlan({ partId: '0431-01', plan: laid, stage: 'cut', open })

describe('a come-back visit to a part', () => {
  test('walks its edges and goes out again; nothing is laid, mixed, cut or waited for', () => {
    const plan = visit()
    expect(plan.steps.map(({ id }) => id)).toEqual(['visit-walk', 'visit-hand-on'])
    expect(plan.partId).toBe('0431-01')
    expect(plan.steps.some((step) => step.wait !== undefined || step.cutMm !== undefined)).toBe(false)
    expect(plan.minutes).toBe(7)
  })
  test('settles what was left open, by its names', () => {
    const plan = visit([
      { problem: 'fingers', place: 'rear edge' },
      { problem: 'haze', place: 'in the middle' },
    ])
    const step = plan.steps.find(({ id }) => id === 'visit-settle')
    expect(english(step!.detail)).toBe(
      'Fingers, rear edge; haze, in the middle. Tap each above, and judge it as it is now.',
    )
    expect(plan.minutes).toBe(17)
  })
  test('everything that a judgement there needs is as it was laid', () => {
    const plan = visit()
    expect([plan.drawing, plan.heat, plan.edges, plan.checks]).toEqual([
      laid.drawing,
      laid.heat,
      laid.edges,
      laid.checks,
    ])
    expect(plan.visit).toEqual({ stage: 'cut' })
  })
  test('the walk goes round as after the fit', () => {
    const around = { otherSide: null, segments: 0, fromMm: 1500 }
    expect(lookWalk(visit(), around).flatMap((stop) => stop.edge ?? [])).toEqual(
      lookWalk(laid, around).flatMap((stop) => stop.edge ?? []),
    )
  })
  test('what the owner was told holds again where film was lifted', () => {
    const told = laid.steps.find((step) => step.tells === 'aftercare')
    const again = visit().steps.find((step) => step.tells === 'aftercare')
    expect(english(again!.detail)).toContain(english(told!.detail))
  })
})
