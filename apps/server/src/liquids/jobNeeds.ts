import type { Finding, Form, Liquids, Part, Film, Shop } from '@truelay/contract'
import { traceOutline } from '@truelay/core/form'
import { perimeter, signedArea } from '@truelay/core/geometry'
import { schoolsFor, solutionsFor } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'

type Need = Liquids['needs'][number]

/** What one part takes, in all and bottle by bottle. */
export interface PartNeed extends Pick<Need, 'slipMl' | 'tackMl' | 'needs'> {
  readonly solutions: NonNullable<Need['parts']>[number]['solutions']
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
    needs: planned.value.flatMap((s) => s.add.map(({ what, ml }) => ({ what, ml }))),
    solutions: planned.value.map(({ use, school, needMl }) => ({ use, school, needMl })),
  }
}

/** Needs of several parts as those of one job. */
export function addUp(
  parts: readonly Pick<Need, 'slipMl' | 'tackMl' | 'needs'>[],
): Pick<Need, 'slipMl' | 'tackMl' | 'needs'> {
  const whats = [...new Set(parts.flatMap((p) => p.needs.map((n) => n.what)))]
  return {
    slipMl: parts.reduce((sum, p) => sum + p.slipMl, 0),
    tackMl: parts.reduce((sum, p) => sum + p.tackMl, 0),
    needs: whats.map((what) => ({
      what,
      ml: parts.flatMap((p) => p.needs).reduce((sum, n) => sum + (n.what === what ? n.ml : 0), 0),
    })),
  }
}
