import type { Finding, Form, Liquids, Part, Film, Shop } from '@truelay/contract'
import { traceOutline } from '@truelay/core/form'
import { perimeter, signedArea } from '@truelay/core/geometry'
import { batchFor, schoolsFor, solutionsFor } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'

type Need = Liquids['needs'][number]

type Bottle = NonNullable<Need['parts']>[number]['solutions'][number]

/** What one part takes, in all and bottle by bottle. */
export interface PartNeed extends Pick<Need, 'slipMl' | 'tackMl'> {
  readonly solutions: Bottle[]
}

/** What one part takes: its flat area and the length of its outline, in the schools it is planned for; null where it is not measured. */
export function partNeeds({
  form,
  film,
  part,
  findings,
  shop,
  factor,
}: {
  readonly form: Form
  readonly film: Film
  readonly part: Part
  readonly findings: readonly Finding[]
  readonly shop: Shop
  /** Used over worked out, as this shop has it. */
  readonly factor: number
}): PartNeed | null {
  const traced = traceOutline(form.name, form.start, form.outline)
  if (!traced.ok) return null
  const { polygon } = traced.value
  const schools = schoolsFor(
    form,
    film,
    findings.filter((f) => f.partId === part.id),
    part.order,
    part.choices.liquids,
  )
  const areaMm2 = Math.abs(signedArea(polygon)) * factor
  const stock = { alcoholPercent: shop.stockAlcoholPercent }
  const planned = solutionsFor(schools, areaMm2, perimeter(polygon) * factor, stock, practiceWith(shop.practice))
  if (!planned.ok) return null
  const needOf = (use: 'slip' | 'tack') => planned.value.find((s) => s.use === use)?.needMl ?? 0
  return {
    slipMl: needOf('slip'),
    tackMl: needOf('tack'),
    solutions: planned.value.map(({ use, school, needMl }) => ({ use, school, needMl })),
  }
}

/**
 * Needs of several parts as those of one job: what takes the same is mixed in one bottle, as the fit offers it, rather than in one for
 * each part that is rounded up by itself. What cannot be mixed is left out.
 */
export function addUp(
  parts: readonly (Pick<PartNeed, 'slipMl' | 'tackMl'> & { readonly solutions: readonly Bottle[] })[],
  { stockAlcoholPercent, practice }: Pick<Shop, 'stockAlcoholPercent' | 'practice'>,
): Pick<Need, 'slipMl' | 'tackMl' | 'needs'> {
  const bottles = new Map<string, Bottle>()
  for (const { use, school, needMl } of parts.flatMap(({ solutions }) => solutions)) {
    const same = `${use}, ${school}`
    bottles.set(same, { use, school, needMl: needMl + (bottles.get(same)?.needMl ?? 0) })
  }
  const stock = { alcoholPercent: stockAlcoholPercent }
  const added = [...bottles.values()].flatMap((bottle) => {
    const batch = batchFor(bottle, stock, practiceWith(practice))
    return batch.ok ? batch.value.add : []
  })
  const whats = [...new Set(added.map(({ what }) => what))]
  return {
    slipMl: parts.reduce((sum, p) => sum + p.slipMl, 0),
    tackMl: parts.reduce((sum, p) => sum + p.tackMl, 0),
    needs: whats.map((what) => ({ what, ml: added.reduce((sum, a) => sum + (a.what === what ? a.ml : 0), 0) })),
  }
}
