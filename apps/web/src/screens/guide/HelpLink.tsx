import { CircleHelp } from 'lucide-react'
import { Link, useLocation } from 'react-router'
import { useWords } from '../../ui/words.ts'
import { guidePageFor } from './guidePages.ts'

/** Opens the page of the guide that belongs to the screen one is on. */
export function HelpLink({ look }: { readonly look: 'in the frame' | 'in a line' }) {
  const t = useWords()
  const { pathname, search } = useLocation()
  if (pathname.startsWith('/guide')) return null
  const to = `/guide/${guidePageFor(pathname)}?from=${encodeURIComponent(pathname + search)}`
  return look === 'in the frame' ? (
    <Link
      to={to}
      className="label flex min-h-14 min-w-0 flex-auto flex-col items-center justify-center gap-0.5 text-note text-quiet hover:text-petrol lg:flex-none"
    >
      <CircleHelp size={22} aria-hidden />
      {t`Help`}
    </Link>
  ) : (
    <Link
      to={to}
      aria-label={t`Help with this step`}
      className="flex size-11 items-center justify-center text-quiet hover:text-petrol"
    >
      <CircleHelp size={24} aria-hidden />
    </Link>
  )
}
