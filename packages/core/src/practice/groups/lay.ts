import { say } from '../../say/index.ts'
import { figures } from '../practiceFigure.ts'

export const lay = figures(say`Film`, {
  settleAheadWet: {
    label: say`Floating film follows the part ahead of the blade for`,
    unit: 'mm',
    value: 220,
    min: 60,
    max: 600,
    reason: say`About two hands; beyond it the film hangs and settles only as the front comes.`,
  },
  settleAheadDry: {
    label: say`Dry film follows the part ahead of the blade for`,
    unit: 'mm',
    value: 70,
    min: 10,
    max: 250,
    reason: say`Dry film sticks where it touches, so it is held off until the front comes.`,
  },
  releaseLength: {
    label: say`Liner released at a time`,
    unit: 'mm',
    value: 300,
    min: 100,
    max: 600,
    reason: say`What two hands keep level on a bar.`,
  },
  channelMost: {
    label: say`Channel worked in lengths of at most`,
    unit: 'mm',
    value: 500,
    min: 200,
    max: 900,
    reason: say`What two hands keep down until it holds.`,
  },
  anchorRadius: {
    label: say`Film fixed by one tack, radius`,
    unit: 'mm',
    value: 30,
    min: 10,
    max: 80,
    reason: say`A palm, or three short strokes.`,
  },
})
