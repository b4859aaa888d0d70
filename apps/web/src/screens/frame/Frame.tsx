import { useWords } from '../../ui/words.ts'
import { FlaskConical, Layers, Ruler, Settings, Warehouse } from 'lucide-react'
import type { ComponentType } from 'react'
import { NavLink, Outlet } from 'react-router'
import { useAppSelector } from '../../store/store.ts'
import { useShopQuery } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Failed } from '../../ui/Failed.tsx'

/** The app's outer frame: where one can go, and whether the server answers. */
export function Frame() {
  const t = useWords()
  const { error } = useShopQuery()
  const failure = error === undefined ? null : failureOf(error)
  return (
    <div className="flex h-full flex-col-reverse lg:flex-row">
      <nav
        aria-label={t`Main`}
        className="no-print flex shrink-0 border-t border-hair bg-paper lg:w-16 lg:flex-col lg:border-r lg:border-t-0"
      >
        <Mark />
        <Place to="/" end icon={Warehouse} text={t`Bay`} />
        <Place to="/forms" icon={Ruler} text={t`Forms`} />
        <Place to="/shelf" icon={Layers} text={t`Shelf`} />
        <Place to="/mixing" icon={FlaskConical} text={t`Mix`} />
        <span className="flex-1" />
        <KeptHere />
        <Place to="/shop" icon={Settings} text={t`Shop`} />
      </nav>
      <div className="min-h-0 min-w-0 flex-1 overflow-auto">
        {failure === null ? <Outlet /> : <Failed {...failure} />}
      </div>
    </div>
  )
}

/** Leads to what only this tablet has, where there is anything. */
function KeptHere() {
  const t = useWords()
  const { waiting, aside, unknownThere } = useAppSelector((state) => state.outbox)
  const left = aside.length + unknownThere.length
  if (waiting.length + left === 0) return null
  return (
    <NavLink
      to="/tablet"
      className="label flex min-h-14 items-center justify-center px-1 text-center text-note leading-tight text-amber-ink bg-amber-tint"
    >
      <span aria-live="polite">{waiting.length > 0 ? t`${waiting.length} to send` : t`${left} kept here`}</span>
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
}: {
  readonly to: string
  readonly icon: ComponentType<{ size: number }>
  readonly text: string
  readonly end?: boolean
}) {
  return (
    <NavLink
      to={to}
      end={end}
      className={({ isActive }) =>
        `label flex min-h-14 min-w-20 flex-col items-center justify-center gap-0.5 text-note lg:min-w-0 ${isActive ? 'bg-petrol-tint text-petrol' : 'text-quiet hover:text-petrol'}`
      }
    >
      <Icon size={22} />
      {text}
    </NavLink>
  )
}
