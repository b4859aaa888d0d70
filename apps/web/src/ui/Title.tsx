import { type ReactNode, useEffect, useRef } from 'react'

const looks = {
  /** Of a screen. */
  screen: 'text-title leading-tight',
  /** Of a screen that is read from two metres away. */
  far: 'text-figure leading-tight',
  /** In a bar above a drawing that needs the room. */
  bar: 'text-lead leading-tight',
} as const

interface TitleProps {
  readonly look?: keyof typeof looks
  readonly children: ReactNode
}

/** The one title of a screen; the window is called so too. */
export function Title({ look = 'screen', children }: TitleProps) {
  const heading = useRef<HTMLHeadingElement>(null)
  useEffect(() => {
    const says = heading.current?.textContent?.trim() ?? ''
    document.title = says === '' ? 'True Lay' : `${says} – True Lay`
  })
  return (
    <h1 ref={heading} className={`font-bold ${looks[look]}`}>
      {children}
    </h1>
  )
}

interface HeadingProps {
  readonly id?: string
  readonly className?: string
  readonly children: ReactNode
}

/** The title of a part of a screen. */
export function Heading({ id, className = '', children }: HeadingProps) {
  return (
    <h2 id={id} className={`text-head font-bold leading-tight ${className}`.trim()}>
      {children}
    </h2>
  )
}
