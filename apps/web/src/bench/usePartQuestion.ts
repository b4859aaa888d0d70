import { type JobBundle, type Part, type PartOfBundle, partQuestionOf, type QuestionSources } from '@truelay/contract'
import type { PartQuestion } from '@truelay/core/plan'
import { useMemo } from 'react'

/** What the storeys of a part are asked, made anew only when something in it has changed; null where its form, film or piece is missing. */
export function usePartQuestion(bundle: JobBundle, part: Part): PartQuestion | null {
  const { job, parts, sets, kits, forms, films, pieces, shop, findings } = bundle
  const { id, name, slot, formId, filmId, pieceId, order, choices } = part
  return useMemo(() => {
    const sources: QuestionSources = { job, parts, sets, kits, forms, films, pieces, shop, findings }
    const asked: PartOfBundle = { id, name, slot, formId, filmId, pieceId, order, choices }
    return partQuestionOf(sources, asked)
  }, [
    job,
    parts,
    sets,
    kits,
    forms,
    films,
    pieces,
    shop,
    findings,
    id,
    name,
    slot,
    formId,
    filmId,
    pieceId,
    order,
    choices,
  ])
}
