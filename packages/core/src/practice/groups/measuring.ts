import { say } from '../../say/index.ts'
import { figures } from '../practiceFigure.ts'

export const measuring = figures(say`Measuring`, {
  gapReading: {
    label: say`How well a gap is read`,
    unit: 'mm',
    value: 0.25,
    min: 0.1,
    max: 1,
    reason: say`Half a graduation of a steel rule.`,
  },
  outlineReading: {
    label: say`How well an outline is measured`,
    unit: 'mm',
    value: 0.5,
    min: 0.1,
    max: 3,
    reason: say`A tape along a soft edge: a move finer than this is a move on paper.`,
  },
  bowReading: {
    label: say`How well a bow is read`,
    unit: 'mm',
    value: 0.5,
    min: 0.1,
    max: 2,
    reason: say`A rule under a straightedge.`,
  },
})
