import { length, paragraph, percent, say } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { Quantity } from '../../ui/Quantity.tsx'
import type { HeldUp } from '@truelay/core/plan'
import type { Answer } from '../../workers/answer.ts'

const verdictWords = {
  fits: { text: say`Fits`, tone: 'text-good' },
  'fits when moved': { text: say`Fits when moved`, tone: 'text-amber' },
  'does not fit': { text: say`Does not fit`, tone: 'text-stop' },
  'other side': { text: say`Wrong side`, tone: 'text-stop' },
} as const

/** What holding the piece up to the part showed, and whether to cut from the roll instead. */
export function DryResult({ state }: { readonly state: Answer<HeldUp> | undefined }) {
  const t = useWords()
  if (state === undefined) return <p className="text-body text-quiet">{t`not checked`}</p>
  if (state.phase === 'asked') return <p className="text-body text-quiet">{t`checking`}</p>
  if (state.phase === 'refused')
    return (
      <p className="text-body text-stop">
        {t(state.failure.sentence)} <span className="text-quiet">{t(state.failure.fix)}</span>
      </p>
    )
  const { check, advice, sheet, barWidthMm, cut } = state.value
  // What was chosen counts; the advice is told where it says the same, or nothing was chosen against it.
  const fromRoll = cut.way === 'from the roll' || (cut.way === 'pre-cut' && advice.advice === 'from the roll')
  return (
    <div className="text-body leading-snug">
      {check === null ? null : (
        <p>
          <strong className={`text-lead ${verdictWords[check.verdict].tone}`}>
            {t(verdictWords[check.verdict].text)}
          </strong>
          <span className="text-quiet">{t`, covers ${percent(100 * check.covered, 1)}.`} </span>
          {t(paragraph(...check.words))}
        </p>
      )}
      <p className="text-quiet">
        <strong className="font-bold text-ink first-letter:uppercase">
          {fromRoll ? t`From the roll` : cut.way === 'enlarged' ? t`Enlarged` : t`Pre-cut`}.
        </strong>{' '}
        {fromRoll === (advice.advice === 'from the roll') ? t(paragraph(...advice.reasons)) : null}
        {fromRoll ? (
          <>
            {' '}
            {t`Cut`}{' '}
            <strong className="text-ink">
              <Quantity of={length(sheet.lengthMm, 0)} /> x <Quantity of={length(sheet.widthMm, 0)} />
            </strong>
            {t`, ${length(advice.allowanceMm)} over on each side.`}
          </>
        ) : null}
        {barWidthMm === null ? null : <> {t`Strip for the bar: ${length(barWidthMm)} wide, tuck included.`}</>}
      </p>
    </div>
  )
}
