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
  bowReading: {
    label: say`How well a bow is read`,
    unit: 'mm',
    value: 0.5,
    min: 0.1,
    max: 2,
    reason: say`A rule under a straightedge.`,
  },
})
