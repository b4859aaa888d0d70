import SignaturePad from 'signature_pad'
import { type Ref, useEffect, useImperativeHandle, useRef } from 'react'

export interface PenFieldHandle {
  /** Strokes of the pen, each `[x, y, …]` in shares of the field. */
  strokes(): number[][]
  clear(): void
}

interface PenFieldProps {
  readonly label: string
  readonly ref: Ref<PenFieldHandle>
  /** Whether anything is drawn. */
  readonly onBegun: (begun: boolean) => void
}

/** A field to sign in with a finger or a pen. */
export function PenField({ label, ref, onBegun }: PenFieldProps) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const pad = useRef<SignaturePad | null>(null)
  useEffect(() => {
    const element = canvas.current
    // Where nothing can be drawn, the name can be typed.
    if (element === null || element.getContext('2d') === null) return
    const ratio = Math.max(1, window.devicePixelRatio)
    element.width = element.offsetWidth * ratio
    element.height = element.offsetHeight * ratio
    element.getContext('2d')?.scale(ratio, ratio)
    const ink = getComputedStyle(element).color
    const made = new SignaturePad(element, { penColor: ink, minWidth: 1.2, maxWidth: 3.2 })
    made.addEventListener('endStroke', () => onBegun(true))
    pad.current = made
    return () => made.off()
  }, [onBegun])
  useImperativeHandle(ref, () => ({
    strokes() {
      const element = canvas.current
      if (element === null || pad.current === null) return []
      const { offsetWidth, offsetHeight } = element
      return pad.current
        .toData()
        .map(({ points }) => points.slice(0, 2000).flatMap(({ x, y }) => [x / offsetWidth, y / offsetHeight]))
        .filter((stroke) => stroke.length >= 2)
    },
    clear() {
      pad.current?.clear()
      onBegun(false)
    },
  }))
  return (
    <div className="relative">
      <canvas
        ref={canvas}
        aria-label={label}
        className="h-36 w-full touch-none border border-ink/50 bg-chalk text-ink"
      />
      <p className="label pointer-events-none absolute bottom-1 left-3 text-note text-quiet">{label}</p>
    </div>
  )
}
