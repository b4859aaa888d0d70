import { counted, figure, say, type Sentence, volume } from '../say/index.ts'
import { type Addition, type Ingredient, ingredientWords, type Stock, type Strength } from './mixTypes.ts'

/** What volumes are measured with. */
export interface Measures {
  readonly syringeMl: number
  readonly syringeStepMl: number
  readonly cylinderMl: number
  readonly cylinderStepMl: number
}

export const measureDefaults: Measures = { syringeMl: 5, syringeStepMl: 0.1, cylinderMl: 100, cylinderStepMl: 1 }

/** A volume as it is poured: so many times full, and the rest. */
export interface Pour {
  readonly what: Ingredient
  /** To a graduation of the tool. */
  readonly ml: number
  readonly exactMl: number
  readonly tool: 'syringe' | 'cylinder'
  readonly timesFull: number
  readonly restMl: number
}

export interface MeasuredBatch {
  readonly pours: readonly Pour[]
  readonly totalMl: number
  /** What really results. */
  readonly strength: Strength
  readonly warnings: readonly Sentence[]
}

/** Half a graduation may be this share of what is measured; else the finer tool is taken. */
const coarsest = 0.02

/** A volume rounded to what the fitting tool can measure. */
export function pourOf(what: Ingredient, exactMl: number, measures: Measures = measureDefaults): Pour {
  const cylinder = measures.cylinderStepMl / 2 <= coarsest * exactMl
  const [holdsMl, stepMl] = cylinder
    ? [measures.cylinderMl, measures.cylinderStepMl]
    : [measures.syringeMl, measures.syringeStepMl]
  const steps = Math.round(exactMl / stepMl)
  const perTool = Math.round(holdsMl / stepMl)
  const timesFull = Math.floor(steps / perTool)
  const tidy = (ml: number) => Number(ml.toFixed(3))
  return {
    what,
    ml: tidy(steps * stepMl),
    exactMl,
    tool: cylinder ? 'cylinder' : 'syringe',
    timesFull,
    restMl: tidy((steps - timesFull * perTool) * stepMl),
  }
}

/**
 * A batch as it can be measured, with the strength that really results.
 * Soap that is less than one graduation is said to be too little for this batch.
 */
export function measureBatch(
  add: readonly Addition[],
  stock: Stock,
  measures: Measures = measureDefaults,
): MeasuredBatch {
  const pours = add.map(({ what, ml }) => pourOf(what, ml, measures))
  const warnings = pours
    .filter((pour) => pour.exactMl < measures.syringeStepMl * 2.5)
    .map((pour) => {
      const leastFactor = (measures.syringeStepMl * 5) / pour.exactMl
      const totalMl = add.reduce((sum, a) => sum + a.ml, 0)
      return say`${volume(pour.exactMl)} of ${ingredientWords[pour.what]} is too little to measure well: mix ${volume(Math.ceil((leastFactor * totalMl) / 100) * 100)} or more at a time.`
    })
  return { pours, ...strengthOfPours(pours, stock), warnings }
}

/** Volume and strength of what was poured together. */
export function strengthOfPours(
  pours: readonly { readonly what: Ingredient; readonly ml: number }[],
  stock: Stock,
): { readonly totalMl: number; readonly strength: Strength } {
  const of = (what: Ingredient) => pours.reduce((sum, pour) => sum + (pour.what === what ? pour.ml : 0), 0)
  const totalMl = pours.reduce((sum, pour) => sum + pour.ml, 0)
  if (totalMl <= 0) return { totalMl: 0, strength: { alcoholPercent: 0, soapMlPerL: 0 } }
  return {
    totalMl,
    strength: {
      alcoholPercent: (of('alcohol stock') * (stock.alcoholPercent ?? 0)) / totalMl,
      soapMlPerL: (1000 * of('soap')) / totalMl,
    },
  }
}

export const measuringToolWords: Readonly<Record<Pour['tool'], Sentence>> = {
  cylinder: say`cylinder`,
  syringe: say`syringe`,
}

/** What is read off a tool: syringes and cylinders are marked in mL, whatever else a shop reckons in. */
const marked = (ml: number): Sentence => say`${figure(ml, String(ml).split('.')[1]?.length ?? 0)} mL`

/** A pour in words: "8 full cylinders (100 mL each) and 57 mL", "syringe to 1.3 mL". */
export function pourWords({ tool, timesFull, restMl }: Pour, measures: Measures = measureDefaults): Sentence {
  const holds = marked(tool === 'cylinder' ? measures.cylinderMl : measures.syringeMl)
  if (timesFull === 0) return say`${measuringToolWords[tool]} to ${marked(restMl)}`
  const full =
    tool === 'cylinder'
      ? say`${counted(timesFull, 'one full cylinder', '# full cylinders')}`
      : say`${counted(timesFull, 'one full syringe', '# full syringes')}`
  const each = timesFull === 1 ? say`${full} (${holds})` : say`${full} (${holds} each)`
  return restMl > 0 ? say`${each} and ${marked(restMl)}` : each
}
