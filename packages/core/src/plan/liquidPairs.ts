import { say, type Sentence } from '../say/index.ts'
import type { LiquidPair } from './workChoices.ts'

/** Every way of using liquids that the trade knows, and what each is for. */
export const liquidPairs: readonly (LiquidPair & { readonly says: Sentence; readonly because: Sentence })[] = [
  {
    slip: 'light slip',
    tack: 'weak tack',
    says: say`light slip, weak tack`,
    because: say`Enough to float it, little to flush out.`,
  },
  {
    slip: 'heavy slip',
    tack: 'strong tack',
    says: say`heavy slip, strong tack`,
    because: say`For a big or hard piece that has to be moved for long.`,
  },
  {
    slip: 'light slip',
    tack: 'water only',
    says: say`light slip, rinsed out with water`,
    because: say`Rinse where it has to hold: gentle to lenses, slower to grab.`,
  },
  {
    slip: 'water only',
    tack: 'weak tack',
    says: say`water, weak tack`,
    because: say`No trace of soap: for lenses.`,
  },
  { slip: 'water only', tack: 'water only', says: say`water only`, because: say`Nothing that could attack a lens.` },
  { slip: 'hybrid', tack: 'hybrid', says: say`hybrid`, because: say`Slides for a moment, then dries fast: for speed.` },
  {
    slip: 'tack only',
    tack: 'tack only',
    says: say`tack only`,
    because: say`Holds almost at once: for small, deep pieces.`,
  },
  {
    slip: 'single fluid',
    tack: 'single fluid',
    says: say`maker’s single fluid`,
    because: say`One bottle for floating and holding, as its maker says.`,
  },
  { slip: 'dry', tack: 'dry', says: say`dry`, because: say`Air has to be led out; it holds where it touches.` },
]

/** What a pair of liquids is for; null where it is none of the usual ones. */
export const pairReason = ({ slip, tack }: LiquidPair): Sentence | null =>
  liquidPairs.find((pair) => pair.slip === slip && pair.tack === tack)?.because ?? null
