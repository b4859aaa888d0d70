import type { Film, Roll } from '@truelay/contract'
import { useState } from 'react'
import { useSaveRollMutation } from '../../remote/stockApi.ts'
import { Button } from '../../ui/Button.tsx'
import { useWords } from '../../ui/words.ts'
import { ForRole } from '../frame/ForRole.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { RollFields } from './RollFields.tsx'

interface RollFactsProps {
  readonly roll: Roll
  readonly films: readonly Film[]
  readonly money: string | undefined
}

/** What was typed of the roll when it came, to be put right. */
export function RollFacts({ roll, films, money }: RollFactsProps) {
  const t = useWords()
  const { id, ...facts } = roll
  const [typed, setTyped] = useState(facts)
  const [save, { error, isLoading }] = useSaveRollMutation()
  const changed = JSON.stringify(typed) !== JSON.stringify(facts)
  return (
    <details className="mt-6 border-t border-hair pt-2">
      <summary className="label cursor-pointer py-2 text-body text-petrol">{t`Put right what was typed of it`}</summary>
      <ForRole least="installer" quietly>
        <RollFields roll={typed} films={films} money={money} onChange={setTyped} />
        <WhatFailed error={error} className="mt-3" />
        <Button
          look={changed ? 'go' : 'plain'}
          className="mt-4"
          disabled={!changed || typed.lot.trim() === '' || isLoading}
          onClick={() => void save({ ...typed, lot: typed.lot.trim(), id })}
        >{t`Save`}</Button>
      </ForRole>
    </details>
  )
}
