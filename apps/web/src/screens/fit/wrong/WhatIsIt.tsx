import {
  canHave,
  type FaultKind,
  type FaultStage,
  faultGroup,
  faultGroups,
  faultGroupWords,
  faultKinds,
  faultLooks,
  faultWords,
  type JudgedFilm,
  likelyFaults,
} from '@truelay/core/judge'
import { atStart } from '@truelay/core/say'
import { FaultGlyph } from '../../../drawings/FaultGlyph.tsx'
import { useWords } from '../../../ui/words.ts'

interface WhatIsItProps {
  readonly stage: FaultStage
  readonly film: JudgedFilm
  readonly onPick: (fault: FaultKind) => void
}

/** Every fault as the eye meets it: those that are seen most at this stage first and large, then all others by where one looks. */
export function WhatIsIt({ stage, film, onPick }: WhatIsItProps) {
  const t = useWords()
  const likely = likelyFaults(stage, film)
  const others = faultKinds.filter((fault) => !likely.includes(fault) && canHave(film, fault))
  return (
    <div className="mt-3 min-h-0 flex-1 overflow-y-auto">
      <h3 className="label-strong text-body text-quiet">{t`Seen most at this stage`}</h3>
      <ul className="mt-1 grid grid-cols-2 gap-2 md:grid-cols-3 lg:grid-cols-6">
        {likely.map((fault) => (
          <li key={fault}>
            <button
              type="button"
              onClick={() => onPick(fault)}
              className="flex h-full min-h-32 w-full flex-col items-start gap-1 border border-ink/40 bg-paper p-3 text-left hover:border-petrol hover:bg-petrol-tint"
            >
              <FaultGlyph fault={fault} className="h-16" />
              <span className="text-lead font-bold leading-tight">{t`${atStart(faultWords(fault))}`}</span>
              <span className="text-note leading-snug text-quiet">{t(faultLooks(fault))}</span>
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-4 grid gap-x-5 gap-y-3 sm:grid-cols-2 lg:grid-cols-3">
        {faultGroups.map((group) => {
          const own = others.filter((fault) => faultGroup(fault) === group)
          return own.length === 0 ? null : (
            <section key={group} aria-label={t`${faultGroupWords[group]}`}>
              <h3 className="label-strong border-b border-hair text-body text-quiet">{t(faultGroupWords[group])}</h3>
              <ul>
                {own.map((fault) => (
                  <li key={fault}>
                    <button
                      type="button"
                      title={t(faultLooks(fault))}
                      onClick={() => onPick(fault)}
                      className="flex min-h-12 w-full items-center gap-3 text-left text-lead font-bold leading-tight hover:bg-petrol-tint hover:text-petrol"
                    >
                      <FaultGlyph fault={fault} className="h-9 shrink-0" />
                      {t`${atStart(faultWords(fault))}`}
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          )
        })}
      </div>
    </div>
  )
}
