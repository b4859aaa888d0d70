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
  measureUp: {
    label: say`How well a line is measured up`,
    unit: 'mm',
    value: 0.5,
    min: 0.1,
    max: 2,
    reason: say`A tape held at the lower edge of the part.`,
  },
  sightLength: {
    label: say`A line is sighted along`,
    unit: 'mm',
    value: 250,
    min: 80,
    max: 600,
    reason: say`As much of the neighbour’s line as the eye takes for its direction.`,
  },
  lineSeen: {
    label: say`A step in a line is seen from`,
    unit: 'mm',
    value: 1.5,
    min: 0.5,
    max: 5,
    reason: say`At two metres, along a line that runs from piece to piece.`,
  },
  lookFrom: {
    label: say`People look at a vehicle from`,
    unit: 'mm',
    value: 1500,
    min: 500,
    max: 5000,
    reason: say`As near as one stands beside a vehicle without looking for something.`,
  },
  eyeMinutes: {
    label: say`Two gaps that do not lie side by side look unlike from`,
    unit: '′',
    value: 2,
    min: 1,
    max: 6,
    reason: say`A sharp eye resolves 1′; two gaps are compared from memory, from one side to the other.`,
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
