import { type Form, formDoc } from '@truelay/contract'
import { type KeptDraft, keptDraft } from '../../ui/keptDraft.ts'

/** A form that was changed and not kept; a part that has no form yet has "new" before it. */
export const formDraft = (of: Form['id'] | `new ${Form['id']}`): KeptDraft<Form> =>
  keptDraft(`form ${of}`, (stored) => formDoc.safeParse(stored).data ?? null)
