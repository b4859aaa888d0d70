import { HelpLink } from '../guide/HelpLink.tsx'
import { TabletSenses } from './TabletSenses.tsx'
import { WhoIsHere } from '../signIn/WhoIsHere.tsx'
import { Title } from '../../ui/Title.tsx'
import type { JobBundle, Part } from '@truelay/contract'
import type { PlanStep } from '@truelay/core/plan'
import { X } from 'lucide-react'
import { Link } from 'react-router'
import { useWords } from '../../ui/words.ts'
import { RoomAir } from '../frame/RoomAir.tsx'

interface FitHeadProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly steps: readonly PlanStep[]
  /** Of the step in hand. */
  readonly index: number
  /** Events that only this tablet has. */
  readonly unsent: number
  readonly away: boolean
}

/** What is being fitted, the air of now, and how far it is. */
export function FitHead({ bundle, part, steps, index, unsent, away }: FitHeadProps) {
  const t = useWords()
  return (
    <>
      <header className="flex shrink-0 flex-wrap items-center gap-x-4 bg-paper px-6 py-2.5 max-sm:px-3 max-sm:py-1">
        <Link
          to="/"
          aria-label={t`Leave the fit; it stays where it is`}
          className="-ml-2 flex size-11 items-center justify-center text-quiet hover:text-petrol"
        >
          <X size={26} />
        </Link>
        <span className="min-w-0 max-sm:flex-1">
          <Title look="bar">{part.name}</Title>
        </span>
        <p className="label min-w-0 truncate text-lead text-quiet max-sm:hidden">
          {bundle.job.vehicle.model}, {bundle.job.vehicle.plate}
        </p>
        <div className="label ml-auto flex items-center gap-2 max-sm:order-1 max-sm:-ml-1 max-sm:basis-full max-sm:justify-between">
          <WhoIsHere look="in a line" />
          <TabletSenses />
          <HelpLink look="in a line" />
          <RoomAir job={bundle.job} />
        </div>
        <p className="label whitespace-nowrap text-lead max-sm:text-body">
          {unsent > 0 ? (
            <span className={away ? 'pr-4 text-amber' : 'pr-4 text-quiet'}>
              {away ? t`server away, ${unsent} kept here` : t`storing`}
            </span>
          ) : null}
          {t`step ${index + 1} of ${steps.length}`}
        </p>
      </header>
      <div className="flex h-1.5 shrink-0 gap-0.5" aria-hidden="true">
        {steps.map((s, i) => (
          <span key={s.id} className={`flex-1 ${i < index ? 'bg-petrol' : i === index ? 'bg-amber' : 'bg-film'}`} />
        ))}
      </div>
    </>
  )
}
