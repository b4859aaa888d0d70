import type { Part } from '@truelay/contract'
import { type CutWay, cutWays, cutWayWords, type Hands, type WorkChange } from '@truelay/core/plan'
import { counted } from '@truelay/core/say'
import { useSaveChoicesMutation } from '../../remote/jobApi.ts'
import { Choice } from '../../ui/Choice.tsx'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

const crews = ['usual', '1', '2'] as const

/** Where the film of a part comes from, and how many lay it: lay sheet, steps and record follow. */
export function CutChoice({ part }: { readonly part: Part }) {
  const t = useWords()
  const [save, { error, isLoading }] = useSaveChoicesMutation()
  const { choices } = part
  const way: CutWay = part.pieceId === null ? 'from the roll' : (choices.cut ?? 'pre-cut')
  const change = (own: WorkChange) => void save({ jobId: part.jobId, partId: part.id, change: own })
  const people = choices.hands
  return (
    <ForRole least="installer" quietly>
      <details className="mt-1">
        <summary className="cursor-pointer py-1 text-body text-petrol">
          <span className="label-strong inline-block first-letter:uppercase">
            {people === null ? t(cutWayWords[way]) : t`${cutWayWords[way]}, ${counted(people, '# person', '# people')}`}
          </span>
        </summary>
        <WhatFailed error={error} />
        <ul className="grid gap-1.5">
          {cutWays.map((option) => (
            <li key={option}>
              <button
                type="button"
                aria-pressed={option === way}
                disabled={isLoading || (part.pieceId === null && option !== 'from the roll')}
                onClick={() => change({ cut: option === 'pre-cut' ? null : option })}
                className={`min-h-12 w-full border px-3 text-left text-body first-letter:uppercase disabled:text-quiet ${option === way ? 'border-petrol bg-petrol-tint font-bold' : 'border-ink/40 hover:border-petrol'}`}
              >
                {t(cutWayWords[option])}
              </button>
            </li>
          ))}
        </ul>
        <p className="label mb-1 mt-2 text-note text-quiet">{t`Laid by`}</p>
        <Choice
          label={t`People for ${part.name}`}
          value={people === null ? 'usual' : `${people}`}
          options={crews.map((crew) => ({
            value: crew,
            text: crew === 'usual' ? t`as its size asks` : crew === '1' ? t`one` : t`two`,
          }))}
          onChange={(crew) => change({ hands: crew === 'usual' ? null : (Number(crew) as Hands) })}
        />
      </details>
    </ForRole>
  )
}
