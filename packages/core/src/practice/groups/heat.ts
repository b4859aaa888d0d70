import { say } from '../../say/index.ts'
import { figures } from '../practiceFigure.ts'

export const heat = figures(say`Heat`, {
  heatSoften: {
    label: say`Soften and form`,
    unit: '°C',
    value: 48,
    min: 40,
    max: 55,
    reason: say`Soft enough to take a curve, far from damage.`,
  },
  heatSeal: {
    label: say`Seal edges`,
    unit: '°C',
    value: 68,
    min: 60,
    max: 75,
    reason: say`Sets the adhesive at the edge; a cloth follows the gun.`,
  },
  heatPost: {
    label: say`Post-heat`,
    unit: '°C',
    value: 92,
    min: 85,
    max: 100,
    reason: say`Ends the memory of stretched film in deep shapes.`,
  },
  heatSpread: {
    label: say`A heat band reaches to each side`,
    unit: 'K',
    value: 7,
    min: 3,
    max: 12,
    reason: say`Guns and hands are not more even than that.`,
  },
  heatPress: {
    label: say`Press below`,
    unit: '°C',
    value: 42,
    min: 30,
    max: 50,
    reason: say`Hot film moves under the cloth; warm film follows and stays.`,
  },
  heatCut: {
    label: say`Cut below`,
    unit: '°C',
    value: 38,
    min: 25,
    max: 45,
    reason: say`Hot film drags behind the blade and leaves a ragged edge.`,
  },
  heatStroke: {
    label: say`Length of a stroke with the gun`,
    unit: 'mm',
    value: 200,
    min: 100,
    max: 400,
    reason: say`As far as one hand keeps an even pace.`,
  },
  heatDamage: {
    label: say`Damage begins`,
    unit: '°C',
    value: 110,
    min: 95,
    max: 130,
    reason: say`Streaks, shrinking, holes; depends on the film.`,
  },
})
