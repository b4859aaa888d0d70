import { useEffect, useState } from 'react'

/** Modules of white around the code, as readers need them. */
const quietModules = 4

interface SquareCodeProps {
  readonly of: string
  /** What it is; the words themselves where nothing else is said. */
  readonly alt?: string
  readonly className: string
}

/** A square code of some words, with its own white round it. */
export function SquareCode({ of, alt = of, className }: SquareCodeProps) {
  const [drawn, setDrawn] = useState<string | null>(null)
  useEffect(() => {
    let current = true
    void import('qrcode').then(async ({ toDataURL }) => {
      const made = await toDataURL(of, { margin: quietModules, errorCorrectionLevel: 'M', scale: 6 })
      if (current) setDrawn(made)
    })
    return () => {
      current = false
    }
  }, [of])
  return drawn === null ? (
    <span className={`block bg-bench ${className}`} />
  ) : (
    <img src={drawn} alt={alt} className={className} />
  )
}
