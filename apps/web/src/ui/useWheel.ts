import { type RefObject, useEffect, useRef } from 'react'

/** The wheel over an element; a page does not scroll under it. */
export function useWheel(of: RefObject<HTMLElement | null>, onTurn: (turns: number) => void) {
  const heard = useRef(onTurn)
  heard.current = onTurn
  useEffect(() => {
    const element = of.current
    if (element === null) return
    const turn = (event: WheelEvent) => {
      event.preventDefault()
      heard.current(Math.sign(event.deltaY))
    }
    element.addEventListener('wheel', turn, { passive: false })
    return () => element.removeEventListener('wheel', turn)
  }, [of])
}
