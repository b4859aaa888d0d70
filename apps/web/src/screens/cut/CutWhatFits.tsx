import type { NestRequest } from '@truelay/core/nest'
import { useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { useWords } from '../../ui/words.ts'
import { askWhatFits } from '../../workers/openNestWorkers.ts'

interface CutWhatFitsProps {
  readonly request: NestRequest
  readonly onCounts: (counts: Readonly<Record<string, number>>) => void
}

/** Where not all pieces go on a roll: those that do are cut from it, the rest stays lacking for the next roll. */
export function CutWhatFits({ request, onCounts }: CutWhatFitsProps) {
  const t = useWords()
  const [looking, setLooking] = useState(false)
  const [none, setNone] = useState(false)
  const ask = async () => {
    setLooking(true)
    try {
      const counts = await askWhatFits(request)
      const fits = Object.values(counts).some((count) => count > 0)
      setNone(!fits)
      if (fits) onCounts(counts)
    } finally {
      setLooking(false)
    }
  }
  return (
    <>
      <Button look="go" disabled={looking} onClick={() => void ask()}>
        {looking ? t`Looking what fits` : t`Cut what fits on it`}
      </Button>
      <p className="mt-2 text-body text-quiet" role="status">
        {none ? t`None of the pieces fits on it.` : t`The others stay lacking: cut them from the next roll.`}
      </p>
    </>
  )
}
