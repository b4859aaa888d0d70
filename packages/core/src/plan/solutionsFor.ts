import {
  handyVolumeMl,
  liquidNeed,
  type LiquidSchool,
  type Measures,
  measureDefaults,
  type MixLimits,
  mixBatch,
  mixByParts,
  recipeOf,
  type Stock,
  type WantedStrength,
} from '../mix/index.ts'
import type { Practice } from '../practice/index.ts'
import { done, type Result } from '../result/index.ts'
import type { PlannedBatch } from './partPlan.ts'
import type { Schools } from './schools.ts'

/** The strength a school is mixed to, from the shop's own figures; null where it is mixed by parts or not at all. */
export function strengthOf(school: LiquidSchool, practice: Practice): WantedStrength | null {
  switch (school) {
    case 'light slip':
      return { soapMlPerL: practice.lightSlipSoap }
    case 'heavy slip':
      return { soapMlPerL: practice.heavySlipSoap }
    case 'weak tack':
    case 'tack only':
      return { alcoholPercent: practice.weakTackAlcohol }
    case 'strong tack':
      return { alcoholPercent: practice.strongTackAlcohol }
    case 'hybrid':
      return { alcoholPercent: practice.hybridAlcohol, soapMlPerL: practice.hybridSoap }
    case 'water only':
      return {}
    case 'single fluid':
    case 'dry':
      return null
  }
}

/** The shop's figures as a mix takes them. */
export const mixLimits = (practice: Practice): MixLimits => ({
  lensAlcoholPercent: practice.lensAlcohol,
  muchSoapMlPerL: practice.muchSoap,
})

/** The shop's own measuring tools. */
export const measuresOf = (practice: Practice): Measures => ({
  ...measureDefaults,
  syringeStepMl: practice.syringeStep,
  cylinderStepMl: practice.cylinderStep,
})

/** What to mix for a part and how much, in bottles that are handy to measure. */
export function solutionsFor(
  schools: Pick<Schools, 'slip' | 'tack'>,
  areaMm2: number,
  edgeMm: number,
  stock: Stock,
  practice: Practice,
): Result<PlannedBatch[]> {
  const need = liquidNeed(areaMm2, edgeMm, {
    slipMlPerM2: practice.slipPerArea,
    tackMlPerM2: practice.tackPerArea,
    tackMlPerEdgeM: practice.tackPerEdge,
  })
  const planned: PlannedBatch[] = []
  for (const [use, school, needMl] of [
    // What floats it and what holds it in one bottle is mixed once.
    ['slip', schools.slip, schools.slip === schools.tack ? need.slipMl + need.tackMl : need.slipMl],
    ...(schools.slip === schools.tack ? [] : [['tack', schools.tack, need.tackMl] as const]),
  ] as const) {
    if (strengthOf(school, practice) === null && recipeOf(school).parts === undefined) continue
    const batch = batchFor({ use, school, needMl }, stock, practice)
    if (!batch.ok) return batch
    planned.push(batch.value)
  }
  return done(planned)
}

/** One bottle for a need, mL, of one part or of several that take the same: a little more, and handy to measure. Of a school that is mixed. */
export function batchFor(
  { use, school, needMl }: Pick<PlannedBatch, 'use' | 'school' | 'needMl'>,
  stock: Stock,
  practice: Practice,
): Result<PlannedBatch> {
  const recipe = recipeOf(school)
  const batchMl = handyVolumeMl(needMl * 1.15)
  const batch = recipe.parts
    ? mixByParts({ parts: recipe.parts, batchMl })
    : mixBatch({ target: strengthOf(school, practice) ?? {}, stock, batchMl }, mixLimits(practice))
  return batch.ok ? done({ use, school, says: recipe.says, needMl, batchMl, ...batch.value }) : batch
}
