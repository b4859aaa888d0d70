import type { PlaceOnMesh } from '@truelay/core/geometry'
import type { ReliefCut } from '@truelay/core/lay'
import { useState } from 'react'
import { OnThePart, type SheetMode } from './OnThePart.tsx'
import { useLaidPart } from './LaidFrame.tsx'
import { SheetNumbers } from './numbers/SheetNumbers.tsx'
import { StepStrip } from './StepStrip.tsx'
import { TheFlatPiece } from './TheFlatPiece.tsx'
import { usePlayedOrder } from './usePlayedOrder.ts'
import { usePlacedMargins } from './usePlacedMargins.ts'

/** How one part will lie, before its liner is peeled: the part, the flat piece, the numbers that matter, the steps. */
export function LaySheetScreen() {
  const { part } = useLaidPart()
  return <LaidSheet key={part.id} />
}

/** Each part begins at its first step. */
function LaidSheet() {
  const { bundle, part, question, first, full, shift } = useLaidPart()
  const [mode, setMode] = useState<SheetMode>('worked')
  const { plan } = full
  const [index, setIndex] = useState(0)
  const played = usePlayedOrder(question, plan, index, mode === 'in order')
  const [cuts, setCuts] = useState<readonly ReliefCut[]>([])
  const [pointed, setPointed] = useState<PlaceOnMesh | null>(null)
  const placed = usePlacedMargins(full.placement, shift)
  return (
    <div className="flex-1 lg:grid lg:min-h-0 lg:grid-cols-[1fr_19.75rem]">
      <div className="min-w-0 lg:grid lg:min-h-0 lg:grid-rows-[1fr_auto]">
        <div className="grid h-[56rem] min-w-0 grid-rows-2 md:h-[35rem] md:grid-cols-2 md:grid-rows-1 lg:h-auto lg:min-h-0 print:grid-cols-1 print:grid-rows-1 print:h-[30rem]">
          <OnThePart
            first={first}
            full={full}
            form={question.lay.form}
            mode={mode}
            onMode={setMode}
            pointed={pointed}
            onPoint={setPointed}
            cuts={cuts}
            played={played}
          />
          <TheFlatPiece
            bundle={bundle}
            part={part}
            question={question}
            first={first}
            full={full}
            placed={placed}
            shift={shift}
            pointed={pointed}
            onPoint={setPointed}
          />
        </div>
        <StepStrip plan={plan} index={index} onIndex={setIndex} />
      </div>
      <SheetNumbers placed={placed} mode={mode === 'natural' ? 'natural' : 'worked'} onCuts={setCuts} />
    </div>
  )
}
