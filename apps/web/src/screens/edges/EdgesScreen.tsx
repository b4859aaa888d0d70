import { edgePlan } from '@truelay/core/edges'
import { edgeCodeWords, withEnds } from '@truelay/core/plan'
import { length } from '@truelay/core/say'
import { useMemo, useState } from 'react'
import { Quantity } from '../../ui/Quantity.tsx'
import { useWords } from '../../ui/words.ts'
import { useLaidPart } from '../laySheet/LaidFrame.tsx'
import { EdgeMap } from './EdgeMap.tsx'
import { OneEdge } from './OneEdge.tsx'
import { edgeLetters } from './edgeLetters.ts'

/** How every stretch of the outline ends: with what, when, and where that way does not suit. */
export function EdgesScreen() {
  const t = useWords()
  const { question, first, full } = useLaidPart()
  const form = useMemo(() => withEnds(question.lay.form, question.place.ends), [question])
  const { practice } = question.work
  const { rules } = full.placement
  const edges = useMemo(() => edgePlan(form, first.surface, rules, practice), [form, first, rules, practice])
  const [chosen, setChosen] = useState<string | null>(null)
  const shown =
    edges.edges.find((e) => e.edge === chosen) ?? edges.edges.find((e) => e.doubts.length > 0) ?? edges.edges[0]
  if (shown === undefined) return null
  return (
    <div className="flex-1 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_29.375rem]">
      <div className="grid min-h-0 min-w-0 lg:grid-rows-[minmax(0,1fr)_auto]">
        <div className="h-[21.25rem] min-h-0 lg:h-auto">
          <EdgeMap
            outline={first.surface.outline}
            holes={first.surface.holes}
            edges={edges.edges}
            shown={shown.edge}
            onShow={setChosen}
          />
        </div>
        <ul className="grid max-h-[18.75rem] overflow-y-auto border-t border-hair bg-paper sm:grid-cols-2">
          {edges.edges.map((edge) => (
            <li key={edge.edge} className="border-b border-hair">
              <button
                type="button"
                aria-pressed={edge.edge === shown.edge}
                onClick={() => setChosen(edge.edge)}
                className={`flex min-h-14 w-full items-center gap-3 px-4 text-left ${edge.edge === shown.edge ? 'bg-petrol-tint' : ''}`}
              >
                <span
                  className={`label-strong flex size-9 shrink-0 items-center justify-center border-2 text-body ${edge.doubts.length > 0 ? 'border-amber text-amber' : 'border-ink'}`}
                >
                  {edgeLetters[edge.code]}
                </span>
                <span className="min-w-0 flex-1 text-body leading-tight">
                  <strong className="first-letter:uppercase">{edge.label}</strong>
                  <span className="block text-note text-quiet">
                    {t(edgeCodeWords[edge.code])}, <Quantity of={length(edge.lengthMm, 0)} />
                    {edge.doubts.length > 0 ? <span className="text-amber">{t`, look again`}</span> : ''}
                  </span>
                </span>
              </button>
            </li>
          ))}
        </ul>
      </div>
      <OneEdge edge={shown} plan={edges} practice={practice} />
    </div>
  )
}
