import { say } from '../../say/index.ts'
import { figures } from '../practiceFigure.ts'

export const plotter = figures(say`Cutting on the plotter`, {
  cutGap: {
    label: say`Film between two pieces`,
    unit: 'mm',
    value: 3,
    min: 0,
    max: 30,
    reason: say`Room for the waste to be pulled off in one piece; less tears, more is film thrown away.`,
  },
  cutBorder: {
    label: say`Film left at the sides and ends of the roll`,
    unit: 'mm',
    value: 10,
    min: 0,
    max: 60,
    reason: say`The pinch rollers run there, and the edge of a roll is often not clean.`,
  },
  cutOvercut: {
    label: say`Knife goes on past its beginning by`,
    unit: 'mm',
    value: 1,
    min: 0,
    max: 5,
    reason: say`A bridge left at the beginning tears the piece when the waste is pulled off.`,
  },
  knifeOffset: {
    label: say`Point of the blade trails its holder by`,
    unit: 'mm',
    value: 0.25,
    min: 0,
    max: 1,
    reason: say`As the maker of the holder says; 0 for a plotter that turns the knife or reckons this itself.`,
  },
  cutStretch: {
    label: say`Stretch of roll that is cut before the next`,
    unit: 'mm',
    value: 600,
    min: 100,
    max: 3000,
    reason: say`A long roll drawn to and fro creeps; within the stretch the knife takes short ways.`,
  },
  nestSeconds: {
    label: say`A layout on the roll is looked for`,
    unit: 's',
    value: 10,
    min: 2,
    max: 120,
    reason: say`Longer finds little more; it can be stopped at any time.`,
  },
})
