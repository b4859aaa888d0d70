import { say } from '../../say/index.ts'
import { figures } from '../practiceFigure.ts'

/** How a day is planned so that it can be kept. */
export const day = figures(say`The plan of the day`, {
  dayHandOver: {
    label: say`Another hand takes over a part where that saves`,
    unit: 'min',
    value: 30,
    min: 0,
    max: 480,
    reason: say`Who began knows where film was pulled and what is still to be watched.`,
  },
  dayChangeOver: {
    label: say`Going over to another part costs`,
    unit: 'min',
    value: 1,
    min: 0,
    max: 10,
    reason: say`Hands washed, tools carried, where was I: of plans that are as short the one with fewer changes is better.`,
  },
  dayPairSlack: {
    label: say`Kept free before a step for two`,
    unit: 'min',
    value: 3,
    min: 0,
    max: 20,
    reason: say`The second one is seldom there to the minute.`,
  },
  dayPauseSlack: {
    label: say`Kept free before a break and before closing`,
    unit: 'min',
    value: 5,
    min: 0,
    max: 30,
    reason: say`Wet work that runs over must not run into the break.`,
  },
  dayPromiseSlack: {
    label: say`Kept free before a vehicle leaves`,
    unit: 'min',
    value: 15,
    min: 0,
    max: 120,
    reason: say`What runs over in the last hour cannot be made up, and the last look wants its time.`,
  },
  dayPaceSpread: {
    label: say`Steps take longer or shorter than planned by ordinarily`,
    unit: 'ratio',
    value: 0.25,
    min: 0.05,
    max: 0.8,
    reason: say`Before fits have taught better; the chance of a promise hangs on it.`,
  },
  dayGain: {
    label: say`The plan that stands is left for a gain of`,
    unit: 'min',
    value: 5,
    min: 0,
    max: 60,
    reason: say`Nobody works to a plan that moves all the time.`,
  },
})
