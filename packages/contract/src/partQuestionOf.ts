import { type PartQuestion, partQuestion } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'
import { bodyPlan } from '@truelay/core/vehicle'
import type { JobBundle, Part } from './job.ts'
import { linePlaceOf, linesOfRows, setPlaceOf } from './partsTogether.ts'

export type PartOfBundle = Pick<Part, 'id' | 'name' | 'slot' | 'formId' | 'filmId' | 'pieceId' | 'order' | 'choices'>
export type QuestionSources = Pick<
  JobBundle,
  'job' | 'parts' | 'sets' | 'kits' | 'forms' | 'films' | 'pieces' | 'shop' | 'findings'
>

/** What the storeys of a part of a job are asked; null where the job lacks its form, film or piece. */
export function partQuestionOf(sources: QuestionSources, part: PartOfBundle): PartQuestion | null {
  const { job, forms, films, pieces, shop, findings } = sources
  const form = forms.find((f) => f.id === part.formId)
  const film = films.find((f) => f.id === part.filmId)
  const piece = pieces.find((p) => p.id === part.pieceId)
  if (form === undefined || film === undefined || (piece === undefined && part.pieceId !== null)) return null
  const practice = practiceWith(shop.practice)
  return partQuestion({
    partId: part.id,
    partName: part.name,
    form,
    film,
    pattern: piece?.pattern ?? null,
    found: findings.filter((f) => f.partId === part.id).map(({ kind, at, sizeMm }) => ({ kind, at, sizeMm })),
    low: bodyPlan(job.vehicle.kind).slots.find((s) => s.id === part.slot)?.low ?? false,
    chosen: part.order,
    set: setPlaceOf(sources, part.id),
    line: linePlaceOf(linesOfRows(sources, practice), part.pieceId),
    stock: { alcoholPercent: shop.stockAlcoholPercent },
    practice,
    choices: part.choices,
  })
}
