import { type JobBundle, type PartSet, rulesOfKits, setMembers } from '@truelay/contract'
import { setModes, setModeWords, suggestSets } from '@truelay/core/pieces'
import { useMemo, useState } from 'react'
import { useSaveSetsMutation } from '../../remote/jobApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Heading } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

/** Parts that one person fits together: made as they are suggested, or by hand, and taken apart again. */
export function PartsTogether({ bundle }: { readonly bundle: JobBundle }) {
  const t = useWords()
  const { job, parts, sets } = bundle
  const [save, { error, isLoading }] = useSaveSetsMutation()
  const members = useMemo(() => setMembers(bundle), [bundle])
  const suggested = useMemo(() => {
    const taken = new Set(sets.flatMap((s) => s.partIds))
    return suggestSets(
      members.filter((m) => !taken.has(m.id)),
      rulesOfKits(bundle),
    )
  }, [members, sets, bundle])
  if (members.length < 2) return null
  const keep = (next: readonly PartSet[]) => void save({ jobId: job.id, sets: next })
  const nameOf = (id: string) => parts.find((p) => p.id === id)?.name ?? id
  const free = members.filter((m) => !sets.some((s) => s.partIds.includes(m.id)))
  return (
    <ForRole least="installer">
      <section aria-label={t`Fitted together`} className="border-b border-hair px-5 py-4">
        <Heading>{t`Fitted together`}</Heading>
        <p className="text-body text-quiet">{t`Washed, mixed for, masked and agreed to once; the fit leads from part to part.`}</p>
        <WhatFailed error={error} />
        <ul className="mt-2 grid gap-2 md:grid-cols-2">
          {sets.map((set, i) => (
            <li key={set.partIds.join(' ')} className="border-l-5 border-petrol bg-paper p-3">
              <Names ids={set.partIds} nameOf={nameOf} />
              <div className="mt-2 flex flex-wrap items-center gap-2">
                <Choice
                  label={t`How set ${i + 1} is led`}
                  value={set.mode}
                  options={setModes.map((mode) => ({ value: mode, text: t(setModeWords[mode]) }))}
                  onChange={(mode) => keep(sets.map((s) => (s === set ? { ...s, mode } : s)))}
                />
                <Button look="quiet" disabled={isLoading} onClick={() => keep(sets.filter((s) => s !== set))}>
                  {t`Take apart`}
                </Button>
              </div>
            </li>
          ))}
          {suggested.map(({ mode, partIds, because }) => (
            <li key={partIds.join(' ')} className="border border-dashed border-ink/50 p-3">
              <Names ids={partIds} nameOf={nameOf} />
              <p className="mt-1 text-note text-quiet">{t(because)}</p>
              <Button
                className="mt-2"
                disabled={isLoading}
                onClick={() => keep([...sets, { mode, partIds: [...partIds] }])}
              >{t`Fit together, ${setModeWords[mode]}`}</Button>
            </li>
          ))}
        </ul>
        {free.length < 2 ? null : (
          <ByHand
            free={free}
            disabled={isLoading}
            onMake={(partIds) => keep([...sets, { mode: 'piece after piece', partIds: [...partIds] }])}
          />
        )}
      </section>
    </ForRole>
  )
}

function Names({ ids, nameOf }: { readonly ids: readonly string[]; readonly nameOf: (id: string) => string }) {
  return (
    <ol className="text-body leading-snug">
      {ids.map((id, i) => (
        <li key={id}>
          <strong>{i + 1}</strong> {nameOf(id)}
        </li>
      ))}
    </ol>
  )
}

interface ByHandProps {
  readonly free: readonly { readonly id: string; readonly name: string }[]
  readonly disabled: boolean
  readonly onMake: (partIds: readonly string[]) => void
}

/** Any parts, in the order in which they are tapped. */
function ByHand({ free, disabled, onMake }: ByHandProps) {
  const t = useWords()
  const [chosen, setChosen] = useState<readonly string[]>([])
  return (
    <details className="mt-2">
      <summary className="label-strong cursor-pointer py-2 text-body text-petrol">{t`Put others together`}</summary>
      <p className="text-note text-quiet">{t`Tap them in the order in which they are laid.`}</p>
      <ul className="mt-1 flex flex-wrap gap-1.5">
        {free.map(({ id, name }) => {
          const at = chosen.indexOf(id)
          return (
            <li key={id}>
              <button
                type="button"
                aria-pressed={at >= 0}
                onClick={() => setChosen(at >= 0 ? chosen.filter((c) => c !== id) : [...chosen, id])}
                className={`min-h-11 border px-3 text-body ${at >= 0 ? 'border-petrol bg-petrol-tint font-bold' : 'border-ink/40 hover:border-petrol'}`}
              >
                {at >= 0 ? `${at + 1} ` : ''}
                {name}
              </button>
            </li>
          )
        })}
      </ul>
      <Button
        className="mt-2"
        disabled={disabled || chosen.length < 2}
        onClick={() => {
          onMake(chosen)
          setChosen([])
        }}
      >{t`Fit these together`}</Button>
    </details>
  )
}
