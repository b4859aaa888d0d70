import { Quantity } from '../../ui/Quantity.tsx'
import type { DryState } from './useDryCheck.ts'

const verdictWords = {
  fits: { text: 'Fits', tone: 'text-good' },
  'fits when moved': { text: 'Fits when moved', tone: 'text-amber' },
  'does not fit': { text: 'Does not fit', tone: 'text-stop' },
  'other side': { text: 'Wrong side', tone: 'text-stop' },
} as const

/** What holding the piece up to the part showed, and whether to cut from the roll instead. */
export function DryResult({ state }: { readonly state: DryState | undefined }) {
  if (state === undefined) return <p className="text-[16px] text-quiet">not checked</p>
  if (state.phase === 'working') return <p className="text-[16px] text-quiet">checking</p>
  if (state.phase === 'refused')
    return (
      <p className="text-[16px] text-stop">
        {state.failure.sentence} <span className="text-quiet">{state.failure.fix}</span>
      </p>
    )
  const { check, advice, sheet, barWidthMm } = state.answer
  return (
    <div className="text-[16px] leading-snug">
      {check === null ? null : (
        <p>
          <strong className={`text-[19px] ${verdictWords[check.verdict].tone}`}>
            {verdictWords[check.verdict].text}
          </strong>
          <span className="text-quiet">, covers {(100 * check.covered).toFixed(1)} %. </span>
          {check.words.join(' ')}
        </p>
      )}
      <p className="text-quiet">
        <strong className="font-bold text-ink first-letter:uppercase">
          {advice.advice === 'pre-cut' ? 'Pre-cut' : 'From the roll'}.
        </strong>{' '}
        {advice.reasons.join(' ')}
        {advice.advice === 'from the roll' ? (
          <>
            {' '}
            Cut{' '}
            <strong className="text-ink">
              <Quantity lengthMm={sheet.lengthMm} digits={0} /> x <Quantity lengthMm={sheet.widthMm} digits={0} />
            </strong>
            , <Quantity lengthMm={advice.allowanceMm} digits={0} /> over on each side.
          </>
        ) : null}
        {barWidthMm === null ? null : (
          <>
            {' '}
            Strip for the bar: <Quantity lengthMm={barWidthMm} digits={0} /> wide, tuck included.
          </>
        )}
      </p>
    </div>
  )
}
