import { type LiquidOption, liquidOptions } from '@truelay/core/plan'
import { minutes } from '@truelay/core/say'
import { useMemo } from 'react'
import { useSaveChoicesMutation } from '../../../remote/jobApi.ts'
import { useWords } from '../../../ui/words.ts'
import { useLaidPart } from '../LaidFrame.tsx'
import { WhatFailed } from '../../frame/WhatFailed.tsx'
import { ForRole } from '../../frame/ForRole.tsx'

/** On what this part floats: every way, what it would do in the air of the job, or why it cannot be. */
export function LiquidChoice() {
  const t = useWords()
  const { bundle, part, question } = useLaidPart()
  const [save, { error, isLoading }] = useSaveChoicesMutation()
  const { film, found, practice, schools } = question.work
  const { form } = question.lay
  const { room } = bundle.job
  const options = useMemo(
    () => liquidOptions({ form, film, found, room }, practice),
    [form, film, found, room, practice],
  )
  const isChosen = (option: LiquidOption) => option.slip === schools.slip && option.tack === schools.tack
  const choose = ({ slip, tack }: LiquidOption) =>
    void save({ jobId: bundle.job.id, partId: part.id, change: { liquids: { slip, tack } } })
  return (
    <ForRole least="installer">
      <details className="mt-2 border-t border-hair pt-1">
        <summary className="label-strong cursor-pointer py-2 text-body text-petrol">{t`Other liquids for this part`}</summary>
        <WhatFailed error={error} />
        <ul aria-label={t`Liquids`}>
          {options.map((option) => (
            <li key={t(option.says)} className="border-b border-hair last:border-b-0">
              <button
                type="button"
                aria-pressed={isChosen(option)}
                disabled={option.refused !== null || isLoading}
                onClick={() => choose(option)}
                className={`w-full px-2 py-2 text-left text-body leading-snug disabled:text-quiet ${isChosen(option) ? 'border-l-8 border-petrol bg-petrol-tint' : 'hover:bg-petrol-tint'}`}
              >
                <strong className="block first-letter:uppercase">{t(option.says)}</strong>
                <span className="block text-note">{t(option.refused ?? option.because)}</span>
                {option.refused !== null || option.slidesMinutes === null || option.grabsMinutes === null ? null : (
                  <span className="block text-note">
                    {t`slides ${minutes(round(option.slidesMinutes))}, holds after ${minutes(round(option.grabsMinutes))}`}
                  </span>
                )}
              </button>
            </li>
          ))}
        </ul>
        {part.choices.liquids === null ? null : (
          <button
            type="button"
            onClick={() => void save({ jobId: bundle.job.id, partId: part.id, change: { liquids: null } })}
            className="label-strong min-h-11 text-body text-petrol underline"
          >{t`As usual for this part`}</button>
        )}
      </details>
    </ForRole>
  )
}

/** Nobody acts on a tenth of a minute: halves below ten, whole ones above. */
const round = (m: number) => (m < 10 ? Math.max(0.5, Math.round(2 * m) / 2) : Math.round(m))
