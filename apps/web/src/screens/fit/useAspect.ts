import { type RefCallback, useCallback, useRef, useState } from 'react'

/** Width over height of an element, kept up to date. */
export function useAspect(): [RefCallback<HTMLElement>, number] {
  const [aspect, setAspect] = useState(1)
  const observer = useRef<ResizeObserver | null>(null)
  const ref = useCallback((element: HTMLElement | null) => {
    observer.current?.disconnect()
    if (element === null) return
    observer.current = new ResizeObserver(([entry]) => {
      const box = entry?.contentRect
      if (box !== undefined && box.height > 0) setAspect(box.width / box.height)
    })
    observer.current.observe(element)
  }, [])
  return [ref, aspect]
}
