import type { Sentence } from '../../say/index.ts'
import type { PracticeFigure } from '../practiceFigure.ts'

/** Minutes that something takes a pair of hands that knows it, its range, and what they go into. */
export const takes = (label: Sentence, value: number, min: number, max: number, reason: Sentence): PracticeFigure => ({
  label,
  unit: 'min',
  value,
  min,
  max,
  reason,
})
