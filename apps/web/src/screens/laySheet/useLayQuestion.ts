import type { JobBundle, Part } from '@truelay/contract'
import { usualSchools } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'
import { useMemo } from 'react'
import type { LayQuestion } from '../../workers/layWork.ts'

/** What the worker has to know about a part; null where the job lacks its form, film or piece. */
export function useLayQuestion(bundle: JobBundle, part: Part): LayQuestion | null {
  const { forms, films, pieces, shop } = bundle
  const { id, name, formId, filmId, pieceId } = part
  return useMemo(() => {
    const form = forms.find((f) => f.id === formId)
    const film = films.find((f) => f.id === filmId)
    const piece = pieces.find((p) => p.id === pieceId)
    if (form === undefined || film === undefined || piece === undefined) return null
    return {
      partId: id,
      partName: name,
      form,
      film,
      pattern: piece.pattern,
      schools: usualSchools(form, film),
      stock: { alcoholPercent: shop.stockAlcoholPercent },
      practice: practiceWith(shop.practice),
      units: shop.units,
    }
  }, [forms, films, pieces, shop, id, name, formId, filmId, pieceId])
}
