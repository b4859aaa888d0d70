import { counted, say, length, type Sentence } from '../say/index.ts'
import type { BowFit, FormDoc } from './formTypes.ts'

/** From what a form was measured, and by how much it may be off. */
export function howMeasured({ relief }: Pick<FormDoc, 'relief'>, { readings, spots, unsureMm }: BowFit): Sentence {
  if (relief !== undefined) return say`From a scan, kept to within ${length(relief.errorMm)}.`
  const from =
    spots === 0
      ? say`${counted(readings, 'one bow reading', '# bow readings')}`
      : readings === 0
        ? say`${counted(spots, 'one target', '# targets')} in photographs`
        : say`${counted(spots, 'one target', '# targets')} in photographs and ${counted(readings, 'one bow reading', '# bow readings')}`
  return Number.isFinite(unsureMm)
    ? say`From ${from}; between them the form may be off by about ${length(unsureMm)}.`
    : say`From ${from}: too few to say how it bends.`
}

/** The same in a few words, for a list of forms. */
export function measuredFrom({ relief, spots = [], bow }: Pick<FormDoc, 'relief' | 'spots' | 'bow'>): Sentence {
  if (relief !== undefined) return say`scanned`
  return spots.length > 0 ? say`from photographs` : say`${counted(bow.length, 'one bow reading', '# bow readings')}`
}
