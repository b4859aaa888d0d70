import type { FormDoc } from '@truelay/core/form'

/** What is pointed at in the list, and lit up in the drawing. */
export interface Chosen {
  readonly stretch?: number | undefined
  readonly reading?: number | undefined
  readonly edge?: string | undefined
}

/** What every step of measuring works on. */
export interface StepProps {
  readonly form: FormDoc
  readonly onChange: (to: (form: FormDoc) => FormDoc) => void
  readonly chosen: Chosen
  readonly onChoose: (chosen: Chosen) => void
}
