import type { LayMode, ReliefCut } from '@truelay/core/lay'
import { Link } from 'react-router'
import { Block } from '../../../ui/Block.tsx'
import { buttonClass } from '../../../ui/Button.tsx'
import { useWords } from '../../../ui/words.ts'
import { CutsAndSeams } from '../CutsAndSeams.tsx'
import { HeatBlock, WaitsBlock } from '../HeatAndWaits.tsx'
import { useLaidPart } from '../LaidFrame.tsx'
import type { PlacedMargins } from '../usePlacedMargins.ts'
import { Edges } from './Edges.tsx'
import { Fingers } from './Fingers.tsx'
import { FoundHere } from './FoundHere.tsx'
import { FromBefore } from './FromBefore.tsx'
import { HardestPull } from './HardestPull.tsx'
import { HowFar } from './HowFar.tsx'
import { HowWorkedOut } from './HowWorkedOut.tsx'
import { Mix } from './Mix.tsx'
import { Pulls } from './Pulls.tsx'
import { WorstEdge } from './WorstEdge.tsx'

interface SheetNumbersProps {
  readonly placed: PlacedMargins
  readonly mode: LayMode
  readonly onCuts: (cuts: readonly ReliefCut[]) => void
}

/** Beside the drawings: the few numbers that a hand needs next. */
export function SheetNumbers({ placed, mode, onCuts }: SheetNumbersProps) {
  const t = useWords()
  const { bundle, part, question, first, full } = useLaidPart()
  const { plan } = full
  const sheet = `/jobs/${bundle.job.id}/lay-sheets/${part.id}`
  return (
    <aside className="border-hair bg-paper lg:flex lg:min-h-0 lg:flex-col lg:border-l">
      <div className="lg:relative lg:min-h-0 lg:flex-1 lg:overflow-y-auto">
        <FoundHere plan={plan} />
        <FromBefore plan={plan} />
        <HardestPull plan={plan} placed={placed} />
        <WorstEdge placed={placed} />
        <HowFar plan={plan} placed={placed} />
        {plan.order === null ? null : (
          <Block title={t`Order of laying`}>
            <p className="leading-snug">
              <strong>{t(plan.order.words)}</strong>{' '}
              <span className="text-note text-quiet">{t(plan.order.because)}</span>
            </p>
          </Block>
        )}
        <Pulls plan={plan} />
        <Fingers mode={mode} />
        <Mix plan={plan} />
        <HeatBlock plan={plan} sheet={sheet} />
        <WaitsBlock plan={plan} jobId={bundle.job.id} />
        <Edges plan={plan} />
        <CutsAndSeams question={question} first={first} neededStretch={full.neededStretch} onCuts={onCuts} />
        <HowWorkedOut />
      </div>
      <div className="no-print sticky bottom-0 flex gap-2.5 border-t border-hair bg-paper p-4">
        <Link to={`${sheet}/rehearsal`} className={buttonClass('plain')}>{t`Rehearse`}</Link>
        <Link
          to={`/jobs/${bundle.job.id}/fit/${part.id}`}
          className={`${buttonClass('go')} flex-1`}
        >{t`To the fit`}</Link>
      </div>
    </aside>
  )
}
