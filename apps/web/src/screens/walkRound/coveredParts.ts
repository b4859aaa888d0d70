import type { JobBundle } from '@truelay/contract'
import { traceOutline } from '@truelay/core/form'
import type { CoveredPart } from '../../drawings/VehicleSheet.tsx'

/** The parts of a job as the unfolded vehicle draws them, with their measured outlines. */
export const coveredParts = ({ parts, forms }: Pick<JobBundle, 'parts' | 'forms'>): CoveredPart[] =>
  parts.map((part) => {
    const form = forms.find((f) => f.id === part.formId)
    const traced = form === undefined ? null : traceOutline(form.name, form.start, form.outline)
    return {
      slot: part.slot,
      name: part.name,
      outline: traced?.ok ? traced.value.polygon : null,
      within: part.within,
    }
  })
