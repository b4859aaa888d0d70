import type { RemovableKind } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { Trash2 } from 'lucide-react'
import { useNavigate } from 'react-router'
import { useRemoveThingMutation } from '../../remote/shelfApi.ts'
import { Button } from '../../ui/Button.tsx'
import { offerUndo } from '../../ui/undoOffer.ts'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

interface RemoveThingProps {
  readonly kind: RemovableKind
  readonly id: string
  readonly called: string
  /** Where one is afterwards; where it stands already, nothing. */
  readonly to?: string
}

/** Takes something off its list, with the way back; jobs and records that name it keep it. */
export function RemoveThing({ kind, id, called, to }: RemoveThingProps) {
  const t = useWords()
  const navigate = useNavigate()
  const [remove, { error, isLoading }] = useRemoveThingMutation()
  const go = async () => {
    const outcome = await remove({ kind, id, removed: true })
    if (outcome.error !== undefined) return
    offerUndo({
      said: say`${name(called)} is removed. What was fitted with it keeps it.`,
      back: () => remove({ kind, id, removed: false }),
    })
    if (to !== undefined) void navigate(to)
  }
  return (
    <ForRole least="installer" quietly>
      <Button look="quiet" disabled={isLoading} aria-label={t`Remove ${called}`} onClick={() => void go()}>
        <Trash2 size={18} aria-hidden="true" /> {t`Remove`}
      </Button>
      <WhatFailed error={error} />
    </ForRole>
  )
}
