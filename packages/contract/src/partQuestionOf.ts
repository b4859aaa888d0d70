import { ordinaryForm, type PartQuestion, partQuestion } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'
import { bodyPlan, lampUseAt, type Slot } from '@truelay/core/vehicle'
import type { JobBundle, Part } from './job.ts'
import { linePlaceOf, linesOfRows, setPlaceOf } from './partsTogether.ts'

export type PartOfBundle = Pick<Part, 'id' | 'name' | 'slot' | 'formId' | 'filmId' | 'pieceId' | 'order' | 'choices'>
export type QuestionSources = Pick<
  JobBundle,
  'job' | 'parts' | 'sets' | 'kits' | 'forms' | 'films' | 'pieces' | 'shop' | 'findings'
>

/** The form of an ordinary part at that place; undefined where the vehicle has no such place. */
const ordinaryFormOf = (part: PartOfBundle, slot: Slot | undefined) =>
  slot === undefined ? undefined : ordinaryForm({ slot: slot.id, name: part.name, size: slot.size })

/** What the storeys of a part of a job are asked; null where the job lacks its form, film or piece. A part that nobody has measured is taken as an ordinary one of its kind. */
export function partQuestionOf(sources: QuestionSources, part: PartOfBundle): PartQuestion | null {
  const { job, forms, films, pieces, shop, findings } = sources
  const slot = bodyPlan(job.vehicle.kind).slots.find((s) => s.id === part.slot)
  const measured = part.formId !== null
  const form = measured ? forms.find((f) => f.id === part.formId) : ordinaryFormOf(part, slot)
  const film = films.find((f) => f.id === part.filmId)
  const piece = pieces.find((p) => p.id === part.pieceId)
  if (form === undefined || film === undefined || (piece === undefined && part.pieceId !== null)) return null
  const practice = practiceWith(shop.practice)
  return partQuestion({
    partId: part.id,
    partName: part.name,
    form,
    film,
    films,
    pattern: piece?.pattern ?? null,
    found: findings.filter((f) => f.partId === part.id).map(({ kind, at, sizeMm }) => ({ kind, at, sizeMm })),
    low: slot?.low ?? false,
    lampUse: lampUseAt(part.slot),
    measured,
    chosen: part.order,
    set: setPlaceOf(sources, part.id),
    line: linePlaceOf(linesOfRows(sources, practice), part.pieceId),
    stock: { alcoholPercent: shop.stockAlcoholPercent },
    practice,
    choices: part.choices,
  })
}
