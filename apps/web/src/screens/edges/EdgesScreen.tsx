import { useWords } from '../../ui/words.ts'
import { edgePlan } from '@truelay/core/edges'
import { edgeCodeWords } from '@truelay/core/plan'
import { useMemo, useState } from 'react'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { NotMeasured } from '../job/NotMeasured.tsx'
import { PartTabs } from '../job/PartTabs.tsx'
import { SheetViews } from '../laySheet/SheetViews.tsx'
import { useLaidPart } from '../laySheet/useLaidPart.ts'
import { EdgeMap } from './EdgeMap.tsx'
import { OneEdge } from './OneEdge.tsx'
import { edgeLetters } from './edgeLetters.ts'

/** How every stretch of the outline ends: with what, when, and where that way does not suit. */
export function EdgesScreen() {
  const t = useWords()
  const { bundle, part, question, run } = useLaidPart()
  const laid = run.phase === 'laid' ? run : null
  const edges = useMemo(
    () =>
      question === null || laid === null
        ? null
        : edgePlan(question.lay.form, laid.first.surface, laid.full.placement.rules, question.work.practice),
    [question, laid],
  )
  const [chosen, setChosen] = useState<string | null>(null)
  const shown =
    edges?.edges.find((e) => e.edge === chosen) ?? edges?.edges.find((e) => e.doubts.length > 0) ?? edges?.edges[0]
  return (
    <>
      <PartTabs bundle={bundle} stage="lay-sheets">
        <SheetViews jobId={bundle.job.id} partId={part.id} />
      </PartTabs>
      {question === null ? (
        <NotMeasured part={part} />
      ) : run.phase === 'refused' ? (
        <Failed sentence={run.failure.sentence} fix={run.failure.fix} />
      ) : edges === null || laid === null || shown === undefined ? (
        <Busy text={t`Laying the film, then looking at its edges`} />
      ) : (
        <div className="flex-1 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_470px]">
          <div className="grid min-h-0 min-w-0 lg:grid-rows-[minmax(0,1fr)_auto]">
            <div className="h-[340px] min-h-0 lg:h-auto">
              <EdgeMap
                outline={laid.first.surface.outline}
                holes={laid.first.surface.holes}
                edges={edges.edges}
                shown={shown.edge}
                onShow={setChosen}
              />
            </div>
            <ul className="grid max-h-[300px] overflow-y-auto border-t border-hair bg-paper sm:grid-cols-2">
              {edges.edges.map((edge) => (
                <li key={edge.edge} className="border-b border-hair">
                  <button
                    type="button"
                    aria-pressed={edge.edge === shown.edge}
                    onClick={() => setChosen(edge.edge)}
                    className={`flex min-h-14 w-full items-center gap-3 px-4 text-left ${edge.edge === shown.edge ? 'bg-petrol-tint' : ''}`}
                  >
                    <span
                      className={`label-strong flex size-9 shrink-0 items-center justify-center border-2 text-[17px] ${edge.doubts.length > 0 ? 'border-amber text-amber' : 'border-ink'}`}
                    >
                      {edgeLetters[edge.code]}
                    </span>
                    <span className="min-w-0 flex-1 text-[17px] leading-tight">
                      <strong className="first-letter:uppercase">{edge.label}</strong>
                      <span className="block text-[15px] text-quiet">
                        {t(edgeCodeWords[edge.code])}, <Quantity lengthMm={edge.lengthMm} digits={0} />
                        {edge.doubts.length > 0 ? <span className="text-amber">{t`, look again`}</span> : ''}
                      </span>
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </div>
          <OneEdge edge={shown} plan={edges} practice={question.work.practice} />
        </div>
      )}
    </>
  )
}
