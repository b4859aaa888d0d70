import { say, type Sentence } from '../say/index.ts'
import type { CureStep } from './cureSteps.ts'
import type { JudgedFilm } from './evidence.ts'

const gun = say`Never hold the gun still. Keep heat off sensors and airbags; follow the vehicle maker’s instructions.`
const flashOff = say`Let alcohol flash off first: vapour and a hot gun catch fire.`
const vapour = say`Alcohol vapour catches fire: fresh air, no flame, no hot gun near. Follow the maker’s instructions.`
const blade = say`Blade never on paint, away from your other hand. Old segment into the sharps box.`

/** What to heed in a cure: said before its steps. */
export function cureCautions(steps: readonly CureStep[], film: JudgedFilm): Sentence[] {
  const heat = steps.some((step) => step.heat !== undefined)
  const alcohol = steps.some(({ liquids = [] }) => liquids.includes('tack') || liquids.includes('degreaser'))
  const knife = steps.some(({ tools = [] }) => tools.includes('knife'))
  return [
    ...(heat ? [gun] : []),
    ...(heat && film.laid === 'wet' ? [flashOff] : []),
    ...(alcohol && !heat ? [vapour] : []),
    ...(knife ? [blade] : []),
  ]
}
