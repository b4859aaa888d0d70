import { type ReactNode, useEffect, useRef } from 'react'

interface StepHeadingProps {
  /** Another value for each step and wait that is shown. */
  readonly of: string
  readonly className: string
  readonly testId?: string
  readonly children: ReactNode
}

/** The step that was shown before this one, over all fits of this page: the first of a fit is no change. */
const shown = { last: null as string | null }

/** What to do now: whoever goes by keys or by ear is brought to it when the step changes, unless something is open in front. */
export function StepHeading({ of, className, testId, children }: StepHeadingProps) {
  const heading = useRef<HTMLHeadingElement>(null)
  useEffect(() => {
    const changed = shown.last !== null && shown.last !== of
    shown.last = of
    const inFront = document.querySelector('[role=dialog], [inert]') !== null
    if (changed && !inFront) heading.current?.focus({ preventScroll: true })
  }, [of])
  return (
    <h2 ref={heading} tabIndex={-1} className={`outline-none! ${className}`} data-testid={testId}>
      {children}
    </h2>
  )
}
