import type { Pull, RehearsalStep } from '@truelay/core/lay'

/** Pulls smaller than this are not drawn. */
const leastStretch = 0.004

/** The pull of a rehearsal's step as an arrow with its per cent; none where the step needs none. */
export function pullOfStep(step: RehearsalStep | undefined): Pull[] {
  const pull = step?.pull ?? null
  if (pull === null || pull.stretch < leastStretch) return []
  const percent = 100 * pull.stretch
  return [
    {
      letter: `${percent.toFixed(1)} %`,
      edge: '',
      at: pull.at,
      direction: pull.direction,
      way: 'along',
      percent,
      areaMm2: 0,
      heat: pull.heat,
      glueLineRisk: false,
    },
  ]
}
