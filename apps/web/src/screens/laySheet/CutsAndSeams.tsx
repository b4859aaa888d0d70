import { wholeFailure } from '@truelay/core/result'
import { useWords } from '../../ui/words.ts'
import { type CutsAdvice, cornerNotches, type ReliefCut } from '@truelay/core/lay'
import type { PartQuestion } from '@truelay/core/plan'
import type { AnyFailure } from '@truelay/core/result'
import { useEffect, useRef, useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { length, say, percent } from '@truelay/core/say'
import type { FirstAnswer } from '../../workers/layWork.ts'
import { type OpenLayWorker, openLayWorker } from '../../workers/openLayWorker.ts'

interface CutsAndSeamsProps {
  readonly question: PartQuestion
  readonly first: FirstAnswer
  /** Stretch that the worked lay needs, ratio. */
  readonly neededStretch: number
  /** Cuts to be drawn on the part. */
  readonly onCuts: (cuts: readonly ReliefCut[]) => void
}

type Asked =
  | { readonly phase: 'idle' }
  | { readonly phase: 'asking'; readonly share: number }
  | { readonly phase: 'answered'; readonly answer: CutsAdvice }
  | { readonly phase: 'refused'; readonly failure: AnyFailure }

/** Notches at corners that are turned under, cuts that would save stretch, and seams where no single piece will do. */
export function CutsAndSeams({ question, first, neededStretch, onCuts }: CutsAndSeamsProps) {
  const t = useWords()
  const show = (mm: number) => t`${length(mm)}`
  const { practice, film } = question.work
  const { form } = question.lay
  const { limit, setLimit, asked, ask } = useCuts(question, onCuts)
  const wraps = form.edges.some((e) => e.code === 'wrap')
  const notches = cornerNotches(form, first.surface, wraps ? practice.wrapMost : practice.tuckMost, practice.notchClear)
  const choices = [...new Set([0.5 * (neededStretch - 1), film.handling.coldStretch, film.handling.glueLineStretch])]
  return (
    <section className="border-t border-hair px-4 py-2.5" aria-label={t`Cuts and seams`}>
      <h3 className="label text-note text-quiet">{t`Cuts and seams`}</h3>
      {notches.map((notch) => (
        <p key={`${notch.at[0]},${notch.at[1]}`} className="text-note leading-snug">
          {notch.kind === 'notch' ? (
            <>
              <strong>{t`Notch`}</strong>{' '}
              {t`where ${labelOf(form, notch.edges[0])} meets ${labelOf(form, notch.edges[1])}: two cuts ${show(notch.cutMm)} long at ${Math.round(notch.cutDeg)}°, ${show(notch.mouthMm)} wide at the film’s edge.`}
            </>
          ) : (
            <>
              <strong>{t`Slit`}</strong>{' '}
              {t`where ${labelOf(form, notch.edges[0])} meets ${labelOf(form, notch.edges[1])}: one cut of ${show(notch.cutMm)}.`}
            </>
          )}
        </p>
      ))}
      <label className="mt-1 flex items-center justify-between gap-2 text-note">
        {t`Keep the stretch below`}
        <select
          className="label-strong min-h-11 rounded-md border border-ink/40 bg-paper px-2 text-body"
          value={limit}
          onChange={(event) => setLimit(Number(event.target.value))}
        >
          {choices.map((value) => (
            <option key={value} value={value}>
              {t`${stretched(value)}`}
            </option>
          ))}
        </select>
      </label>
      {asked.phase === 'asking' ? (
        <p role="status" className="text-note">
          {t`Cutting and laying again`}
          <progress className="block h-2 w-full" value={asked.share} max={1} />
        </p>
      ) : (
        <Button className="mt-1.5 w-full" onClick={ask}>{t`Would cuts help?`}</Button>
      )}
      {asked.phase === 'refused' ? (
        <Notice look="caution" role="alert">
          {t(wholeFailure(asked.failure))}
        </Notice>
      ) : null}
      {asked.phase === 'answered' ? <Answer answer={asked.answer} show={show} /> : null}
    </section>
  )
}

const labelOf = (form: PartQuestion['lay']['form'], edge: string) =>
  form.edges.find((e) => e.name === edge)?.label ?? edge
const joinWords = { overlap: say`overlap`, butt: say`butt` }
const stretched = (share: number) => percent(100 * share, 1)

function Answer({ answer, show }: { readonly answer: CutsAdvice; readonly show: (mm: number) => string }) {
  const t = useWords()
  const { advice, splits } = answer
  if (advice.chosen.length === 0 && advice.enough)
    return (
      <Notice
        look="good"
        role="status"
      >{t`No cut is needed: it lies with ${stretched(advice.neededStretch)} at most.`}</Notice>
    )
  return (
    <div role="status" className="mt-1.5">
      <Notice look={advice.enough ? 'good' : 'caution'}>
        {advice.chosen.length === 0
          ? t`No cut helps: ${stretched(advice.neededStretch)} stays needed.`
          : t`${advice.chosen.length === 1 ? t`One cut` : t`${advice.chosen.length} cuts`}: ${stretched(advice.withChosen.neededStretch)} instead of ${stretched(advice.neededStretch)}.`}
        {advice.enough ? '' : t` That is not enough: the part wants more than one piece.`}
      </Notice>
      <ol>
        {advice.chosen.map((cut, i) => (
          <li key={`${t(cut.label)}-${cut.along[0]?.join()}`} className="mt-1 text-note leading-snug">
            <strong>
              {i + 1}. {show(cut.lengthMm)} {t(cut.label)}.
            </strong>{' '}
            {cut.openingMm >= 0
              ? t`A wedge of ${show(cut.openingMm)} is left over at its mouth: take it out or let it overlap.`
              : t`A gap of ${show(-cut.openingMm)} opens at its mouth: cover it, or cut elsewhere.`}{' '}
            <span className="text-quiet">{t`In stages: cut a little, tuck, lift, cut again. On the film only, away from paint.`}</span>
          </li>
        ))}
      </ol>
      {splits.map((line) => (
        <p key={t(line.label)} className="mt-1 text-note leading-snug">
          <strong>{t`Split ${line.label}:`}</strong>{' '}
          {t`${stretched(line.neededStretch)} for either piece, ${joinWords[line.join]}. ${line.reason}`}
        </p>
      ))}
    </div>
  )
}

/** Asks a worker of its own, which ends with the answer or with the screen. */
function useCuts(question: PartQuestion, onCuts: (cuts: readonly ReliefCut[]) => void) {
  const [limit, setLimit] = useState(question.work.film.handling.glueLineStretch)
  const [asked, setAsked] = useState<Asked>({ phase: 'idle' })
  const worker = useRef<OpenLayWorker | null>(null)
  useEffect(() => () => worker.current?.close(), [])
  const ask = () => {
    worker.current?.close()
    const opened = openLayWorker()
    worker.current = opened
    setAsked({ phase: 'asking', share: 0 })
    void opened
      .cuts(question.lay, limit, (share) => setAsked({ phase: 'asking', share }))
      .then((result) => {
        opened.close()
        if (worker.current !== opened) return
        setAsked(
          result.ok ? { phase: 'answered', answer: result.value } : { phase: 'refused', failure: result.failure },
        )
        onCuts(result.ok ? result.value.advice.chosen : [])
      })
  }
  return {
    limit,
    setLimit: (value: number) => {
      setLimit(value)
      setAsked({ phase: 'idle' })
      onCuts([])
    },
    asked,
    ask,
  }
}
