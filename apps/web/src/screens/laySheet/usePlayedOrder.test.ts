import { smallStep } from '@truelay/contract/testing'
import type { PlanStep } from '@truelay/core/plan'
import { describe, expect, test } from 'vitest'
import { stepAt } from '../rehearsal/playing.ts'
import { laidAt } from './usePlayedOrder.ts'

const step = (id: string, phase: PlanStep['phase'], laidUpTo?: number | 'all'): PlanStep =>
  smallStep(id, { phase, ...(laidUpTo === undefined ? {} : { laidUpTo }) })

describe('how far the film lies at a step of the plan', () => {
  const chosen = [
    step('wash', 'prepare'),
    step('anchor-1', 'lay', 1),
    step('anchor-2', 'lay', 2),
    step('sweep-1', 'lay', 5),
    step('pull-A', 'lay', 9),
    step('firm-pass', 'lay', 'all'),
    step('trim', 'edges'),
  ]
  test('nothing before laying begins, anchors one by one, then as far as each run goes, then all', () => {
    expect(chosen.map((_, i) => laidAt(chosen, i, 11))).toEqual([0, 1, 2, 5, 9, 11, 11])
  })
  test('by the usual school the passes lay all of it', () => {
    const usual = [
      step('wash', 'prepare'),
      step('anchor-1', 'lay', 1),
      step('pull-A', 'lay'),
      step('light-pass', 'lay', 'all'),
    ]
    expect(usual.map((_, i) => laidAt(usual, i, 8))).toEqual([0, 1, 1, 8])
  })
  test('never more than the rehearsal has', () => expect(laidAt(chosen, 4, 3)).toBe(3))
})

test('two orders of unlike length are played to the same share of the work', () => {
  expect([0, 0.5, 1].map((share) => [stepAt(8, share), stepAt(15, share)])).toEqual([
    [0, 0],
    [4, 8],
    [8, 15],
  ])
})
