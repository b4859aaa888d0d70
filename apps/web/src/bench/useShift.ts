import type { Part, Shift } from '@truelay/contract'
import { useMemo } from 'react'
import { useAppSelector } from '../store/store.ts'

/** Where the piece of a part lies now: as it was moved here, else as it was kept. */
export function useShift(part: Pick<Part, 'id' | 'shift'>): Shift {
  const moved = useAppSelector((state) => state.shift[part.id]?.now)
  return useMemo(() => moved ?? part.shift, [moved, part.shift])
}
