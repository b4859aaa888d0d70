import { type RefObject, useEffect, useRef } from 'react'
import { useLocation } from 'react-router'

/** A row of links that scrolls sideways: the one that is open is brought into sight, at every address anew. */
export function useOpenInSight(): RefObject<HTMLElement | null> {
  const row = useRef<HTMLElement>(null)
  const { pathname } = useLocation()
  // biome-ignore lint/correctness/useExhaustiveDependencies: another one is open at another address
  useEffect(() => {
    row.current?.querySelector('[aria-current=page]')?.scrollIntoView?.({ block: 'nearest', inline: 'center' })
  }, [pathname])
  return row
}
