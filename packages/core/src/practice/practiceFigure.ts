import type { Sentence } from '../say/index.ts'

/** Of a figure, as a shop reads it beside the number; K is a difference of temperatures, ′ a sixtieth of a degree of angle. */
export type PracticeUnit =
  | 'mm'
  | 'mL/L'
  | '%'
  | 'm²'
  | 'mL/m²'
  | 'mL/m'
  | 'mL'
  | 's'
  | 'min'
  | 'min/m²'
  | 'days'
  | '°C'
  | 'K'
  | '°'
  | '′'
  | 'ratio'

/** A figure of the trade: a default that a shop may change within a plausible range, and why it is what it is. */
export interface PracticeFigure {
  readonly label: Sentence
  readonly unit: PracticeUnit
  readonly value: number
  readonly min: number
  readonly max: number
  readonly reason: Sentence
}

/** Figures that are shown together. */
export interface PracticeGroup<K extends string = string> {
  readonly title: Sentence
  readonly figures: Readonly<Record<K, PracticeFigure>>
}

/** One group of figures, a file each. */
export const figures = <K extends string>(title: Sentence, of: Record<K, PracticeFigure>): PracticeGroup<K> => ({
  title,
  figures: of,
})
