import type { JobBundle, Part } from '@truelay/contract'
import { useEffect } from 'react'
import { layAhead } from '../../bench/lays.ts'
import { usePartQuestion } from '../../bench/usePartQuestion.ts'
import { useShift } from '../../bench/useShift.ts'
import { useToday } from '../../bench/useToday.ts'

/** The screen comes first. */
const afterMs = 800

/** Has a part worked out while its job is looked at, so that it is there when it is tapped. */
export function useLayAhead(bundle: JobBundle, part: Part): void {
  const question = usePartQuestion(bundle, part)
  const today = useToday(bundle, useShift(part))
  useEffect(() => {
    if (question === null || !question.work.measured) return
    let leave = () => {}
    const soon = setTimeout(() => {
      leave = layAhead(question, today)
    }, afterMs)
    return () => {
      clearTimeout(soon)
      leave()
    }
  }, [question, today])
}
