import { useWords } from '../../ui/words.ts'
import { ClipboardList, FlaskConical, GraduationCap, Layers, Ruler, Settings, Warehouse } from 'lucide-react'
import { type ComponentType, lazy, Suspense, useEffect, useRef } from 'react'
import { NavLink, Outlet, useLocation } from 'react-router'
import { useAppSelector } from '../../store/store.ts'
import { useShopQuery } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Failed } from '../../ui/Failed.tsx'
import { HelpLink } from '../guide/HelpLink.tsx'
import { WhoIsHere } from '../signIn/WhoIsHere.tsx'
import { ReachBar } from './ReachBar.tsx'
import { UndoBar } from './UndoBar.tsx'

const Tour = lazy(async () => ({ default: (await import('./Tour.tsx')).Tour }))
const OpeningScreen = lazy(async () => ({ default: (await import('../opening/OpeningScreen.tsx')).OpeningScreen }))

/** The app's outer frame: where one can go, and whether the server answers. */
export function Frame() {
  const t = useWords()
  const { error } = useShopQuery()
  const content = useContentInFocus()
  const failure = error === undefined ? null : failureOf(error)
  if (failure?.code === 'NO_SHOP')
    return (
      <Suspense>
        <OpeningScreen />
      </Suspense>
    )
  return (
    <div className="flex h-full flex-col-reverse lg:flex-row">
      <button
        type="button"
        onClick={() => content.current?.focus()}
        className="sr-only focus:not-sr-only focus:fixed focus:top-2 focus:left-2 focus:z-40 focus:bg-paper focus:p-3"
      >{t`To the content`}</button>
      <nav
        aria-label={t`Main`}
        className="no-print flex shrink-0 border-t border-hair bg-paper lg:w-16 lg:flex-col lg:border-r lg:border-t-0"
      >
        <Mark />
        <Place to="/" end icon={Warehouse} text={t`Bay`} />
        <Place to="/jobs" icon={ClipboardList} text={t`Jobs`} />
        <Place to="/forms" also="/models" icon={Ruler} text={t`Forms`} />
        <Place to="/shelf" icon={Layers} text={t`Shelf`} />
        <Place to="/mixing" icon={FlaskConical} text={t`Mix`} />
        <Place to="/practice" icon={GraduationCap} text={t`Practice`} />
        <span className="lg:flex-1" />
        <HelpLink look="in the frame" />
        <KeptHere />
        <WhoIsHere look="in the frame" />
        <Place to="/shop" icon={Settings} text={t`Shop`} />
      </nav>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col">
        <main ref={content} tabIndex={-1} className="relative min-h-0 flex-1 overflow-auto outline-none">
          {failure === null ? <Outlet /> : <Failed {...failure} />}
        </main>
        <UndoBar />
        <Suspense>
          <Tour />
        </Suspense>
        <ReachBar />
      </div>
    </div>
  )
}

/** On another screen a reader begins with its content, unless the hand is in it already. */
function useContentInFocus() {
  const content = useRef<HTMLElement>(null)
  const { pathname } = useLocation()
  const before = useRef(pathname)
  useEffect(() => {
    const { current } = content
    if (before.current === pathname || current === null) return
    before.current = pathname
    if (!current.contains(document.activeElement)) current.focus({ preventScroll: true })
  }, [pathname])
  return content
}

/** Leads to what only this tablet has, where there is anything. */
function KeptHere() {
  const t = useWords()
  const { waiting, aside, unknownThere } = useAppSelector((state) => state.outbox)
  const writes = useAppSelector((state) => state.keptWrites.waiting)
  const toSend = waiting.length + writes.filter((write) => write.refused === null).length
  const left = aside.length + unknownThere.length + writes.filter((write) => write.refused !== null).length
  if (toSend + left === 0) return null
  return (
    <NavLink
      to="/tablet"
      className="label flex min-h-14 items-center justify-center px-1 text-center text-note leading-tight text-amber-ink bg-amber-tint"
    >
      <span aria-live="polite">{toSend > 0 ? t`${toSend} to send` : t`${left} kept here`}</span>
    </NavLink>
  )
}

function Mark() {
  const t = useWords()
  return (
    <svg viewBox="0 0 32 32" className="m-3 hidden size-9 lg:block" role="img" aria-label={t`True Lay`}>
      <path
        d="M4 26C6 14 11 10 16 10s10 4 12 16"
        fill="none"
        stroke="var(--ink)"
        strokeWidth="3"
        strokeLinecap="round"
      />
      <path
        d="M3 17C6.500 9 11 5.500 16 5.500S25.500 9 29 17"
        fill="none"
        stroke="var(--petrol)"
        strokeWidth="2.600"
        strokeDasharray="4.200 3.200"
      />
    </svg>
  )
}

function Place({
  to,
  icon: Icon,
  text,
  end = false,
  also,
}: {
  readonly to: string
  /** Another address that is found through it. */
  readonly also?: string
  readonly icon: ComponentType<{ size: number }>
  readonly text: string
  readonly end?: boolean
}) {
  const { pathname } = useLocation()
  const isThere = also !== undefined && pathname.startsWith(also)
  return (
    <NavLink
      to={to}
      end={end}
      className={({ isActive }) =>
        `label flex min-h-14 min-w-0 flex-auto flex-col lg:flex-none items-center justify-center gap-0.5 text-note lg:min-w-0 ${isActive || isThere ? 'bg-petrol-tint text-petrol' : 'text-quiet hover:text-petrol'}`
      }
    >
      <Icon size={22} />
      {text}
    </NavLink>
  )
}
