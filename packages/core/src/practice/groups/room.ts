import { say } from '../../say/index.ts'
import { figures } from '../practiceFigure.ts'

export const room = figures(say`Room`, {
  roomColdBelow: {
    label: say`A cold room is below`,
    unit: '°C',
    value: 15,
    min: 5,
    max: 20,
    reason: say`Film is stiff and slow to grab, and together with dry air it charges up.`,
  },
  roomDryBelow: {
    label: say`A dry room is below`,
    unit: '%',
    value: 35,
    min: 20,
    max: 50,
    reason: say`Static curls the liner and pulls dust.`,
  },
})
