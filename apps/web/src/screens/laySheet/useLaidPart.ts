import { useMemo } from 'react'
import { useAppSelector } from '../../store/store.ts'
import { useLayRun } from '../../workers/useLayRun.ts'
import { useJobContext } from '../job/JobFrame.tsx'
import { useToday } from '../today/useToday.ts'
import { usePartQuestion } from './usePartQuestion.ts'

/** The part that the address names, laid for the piece as it is wanted now, in the air of now: what every view of a lay sheet begins with. */
export function useLaidPart() {
  const { bundle, part } = useJobContext()
  const question = usePartQuestion(bundle, part)
  const moved = useAppSelector((state) => state.shift[part.id]?.now)
  const shift = useMemo(() => moved ?? part.shift, [moved, part.shift])
  const today = useToday(bundle, shift)
  return { bundle, part, question, shift, today, ...useLayRun(question, today) }
}
