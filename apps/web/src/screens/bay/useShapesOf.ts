import type { PartProgress, PartShape } from '@truelay/contract'
import { useMemo } from 'react'
import { useShapesQuery } from '../../remote/api.ts'

const nameOf = ({ formId, formVersion }: Pick<PartProgress, 'formId' | 'formVersion'>) => `${formId}@${formVersion}`

/** The pictures of some parts; none for one that nobody has measured. */
export function useShapesOf(parts: readonly PartProgress[]): (part: PartProgress) => PartShape | undefined {
  const wanted = [...new Set(parts.filter((part) => part.formId !== null).map(nameOf))].sort()
  const { data } = useShapesQuery(wanted, { skip: wanted.length === 0 })
  const known = useMemo(() => new Map(data?.map((shape) => [`${shape.id}@${shape.version}`, shape])), [data])
  return (part) => known.get(nameOf(part))
}
