import type { JobBundle, Part } from '@truelay/contract'
import { schoolsFor } from '@truelay/core/plan'
import { bodyPlan } from '@truelay/core/vehicle'
import { practiceWith } from '@truelay/core/practice'
import { useMemo } from 'react'
import type { LayQuestion } from '../../workers/layWork.ts'

/** What the worker has to know about a part; null where the job lacks its form, film or piece. */
export function layQuestionOf(
  {
    job,
    forms,
    films,
    pieces,
    shop,
    findings,
  }: Pick<JobBundle, 'job' | 'forms' | 'films' | 'pieces' | 'shop' | 'findings'>,
  {
    id,
    name,
    slot,
    formId,
    filmId,
    pieceId,
    order,
  }: Pick<Part, 'id' | 'name' | 'slot' | 'formId' | 'filmId' | 'pieceId' | 'order'>,
): LayQuestion | null {
  const form = forms.find((f) => f.id === formId)
  const film = films.find((f) => f.id === filmId)
  const piece = pieces.find((p) => p.id === pieceId)
  if (form === undefined || film === undefined || (piece === undefined && pieceId !== null)) return null
  const found = findings
    .filter((f) => f.partId === id)
    .map(({ kind, at, sizeMm, note }) => ({ kind, at, sizeMm, note }))
  return {
    partId: id,
    partName: name,
    form,
    film,
    pattern: piece?.pattern ?? null,
    schools: schoolsFor(form, film, found, order ?? null),
    stock: { alcoholPercent: shop.stockAlcoholPercent },
    practice: practiceWith(shop.practice),
    units: shop.units,
    found,
    low: bodyPlan(job.vehicle.kind).slots.find((s) => s.id === slot)?.low ?? false,
    order: order ?? null,
  }
}

/** The same, made anew only when something in it has changed. */
export function useLayQuestion(bundle: JobBundle, part: Part): LayQuestion | null {
  const { job, forms, films, pieces, shop, findings } = bundle
  const { id, name, slot, formId, filmId, pieceId, order } = part
  return useMemo(
    () =>
      layQuestionOf({ job, forms, films, pieces, shop, findings }, { id, name, slot, formId, filmId, pieceId, order }),
    [job, forms, films, pieces, shop, findings, id, name, slot, formId, filmId, pieceId, order],
  )
}
