import { type Form, formDoc, type JobBundle, type PartId } from '@truelay/contract'
import { ordinaryForm } from '@truelay/core/plan'
import { bodyPlan } from '@truelay/core/vehicle'
import { cornersMarked } from './editForm.ts'

const mostLetters = 60

/**
 * A part of a job that nobody has measured yet, to begin with: named after vehicle and part, of what such a part is made, as large as its place
 * is on an ordinary vehicle. Null where the vehicle has no such place.
 */
export function ordinaryPart({ job, parts }: Pick<JobBundle, 'job' | 'parts'>, id: PartId): Form | null {
  const part = parts.find((one) => one.id === id)
  const slot = bodyPlan(job.vehicle.kind).slots.find((place) => place.id === part?.slot)
  if (part === undefined || slot === undefined) return null
  const name = `${job.vehicle.model} ${part.name.charAt(0).toLowerCase()}${part.name.slice(1)}`.slice(0, mostLetters)
  const form = ordinaryForm({ slot: slot.id, name: name.trim(), size: slot.size })
  return formDoc.parse({ ...cornersMarked(form), id: `new-${part.id}` })
}

/** What was scanned or photographed of a part, under its name and of what such a part is made. */
export const asPart = (made: Form, { name, family, material }: Form): Form => ({ ...made, name, family, material })
