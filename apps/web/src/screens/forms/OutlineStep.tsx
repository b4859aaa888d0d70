import { say, type Sentence } from '@truelay/core/say'
import { wholeFailure } from '@truelay/core/result'
import { useWords } from '../../ui/words.ts'
import { mirrorForm, type OutlineSegment, symmetrize } from '@truelay/core/form'
import { type ReactNode, useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { Field, SelectInput } from '../../ui/Field.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { bendStretch, endStretchAt, removeStretch, snapped, splitStretch, startOfStretch } from './editForm.ts'
import type { StepProps } from './stepProps.ts'
import { NumberCell } from './NumberCell.tsx'

const kinds: readonly { readonly value: OutlineSegment['kind']; readonly text: Sentence }[] = [
  { value: 'line', text: say`straight` },
  { value: 'arc', text: say`arc` },
  { value: 'spline', text: say`curve` },
]

interface OutlineStepProps extends StepProps {
  /** The photo that is traced over. */
  readonly photo: ReactNode
}

/** The outline, stretch by stretch: where it ends, how it bends, which edge it belongs to. */
export function OutlineStep({ form, onChange, chosen, onChoose, photo }: OutlineStepProps) {
  const t = useWords()
  const [problem, setProblem] = useState<string | null>(null)
  const complete = () => {
    const whole = symmetrize(form)
    setProblem(whole.ok ? null : t(wholeFailure(whole.failure)))
    if (whole.ok) onChange(() => whole.value)
  }
  const set = (index: number, change: (segment: OutlineSegment) => OutlineSegment) =>
    onChange((now) => {
      const outline = now.outline.map((segment, i) => (i === index ? change(segment) : segment))
      const last = outline[outline.length - 1]
      return { ...now, outline, ...(last === undefined ? {} : { start: last.to }) }
    })
  return (
    <>
      <ol className="space-y-1">
        {form.outline.map((segment, i) => (
          <li
            key={`stretch-${i}`}
            onPointerEnter={() => onChoose({ stretch: i })}
            onFocus={() => onChoose({ stretch: i })}
            className={`border border-hair p-2 ${chosen.stretch === i ? 'bg-paper' : ''}`}
          >
            <div className="grid grid-cols-[1.25rem_1fr_1fr_5.75rem] items-end gap-1.5">
              <span className="pb-2 text-body font-bold">{i + 1}</span>
              <NumberCell
                label={t`to x`}
                narrow
                value={segment.to[0]}
                min={-5000}
                max={5000}
                onCommit={(x) => onChange((now) => endStretchAt(now, i, [x, now.outline[i]?.to[1] ?? 0]))}
              />
              <NumberCell
                label={t`to y`}
                narrow
                value={segment.to[1]}
                min={-5000}
                max={5000}
                onCommit={(y) => onChange((now) => endStretchAt(now, i, [now.outline[i]?.to[0] ?? 0, y]))}
              />
              <SelectInput
                aria-label={t`Stretch ${i + 1} runs`}
                value={segment.kind}
                onChange={(event) =>
                  onChange((now) => bendStretch(now, i, event.target.value as OutlineSegment['kind']))
                }
              >
                {kinds.map(({ value, text }) => (
                  <option key={value} value={value}>
                    {t(text)}
                  </option>
                ))}
              </SelectInput>
            </div>
            {segment.kind === 'arc' ? (
              <div className="mt-1 grid grid-cols-2 items-end gap-2 pl-9">
                <NumberCell
                  label={t`radius`}
                  value={segment.radiusMm}
                  min={1}
                  max={50_000}
                  onCommit={(radiusMm) => set(i, (s) => (s.kind === 'arc' ? { ...s, radiusMm } : s))}
                />
                <SelectInput
                  aria-label={t`Arc ${i + 1} turns`}
                  value={segment.turn}
                  onChange={(event) =>
                    set(i, (s) => (s.kind === 'arc' ? { ...s, turn: event.target.value as 'left' | 'right' } : s))
                  }
                >
                  <option value="left">{t`turns left`}</option>
                  <option value="right">{t`turns right`}</option>
                </SelectInput>
              </div>
            ) : null}
            {chosen.stretch === i ? (
              <div className="mt-2 flex flex-wrap items-center gap-2 pl-9">
                <Button onClick={() => onChange((now) => splitStretch(now, i))}>{t`Split`}</Button>
                {segment.kind === 'spline' ? (
                  <Button
                    onClick={() =>
                      set(i, (s) => {
                        if (s.kind !== 'spline') return s
                        const before = s.through[s.through.length - 1] ?? startOfStretch(form, i)
                        const middle = snapped([(before[0] + s.to[0]) / 2, (before[1] + s.to[1]) / 2])
                        return { ...s, through: [...s.through, middle] }
                      })
                    }
                  >{t`Add a point`}</Button>
                ) : null}
                <Button
                  disabled={form.outline.length <= 3}
                  onClick={() => onChange((now) => removeStretch(now, i))}
                >{t`Remove`}</Button>
                <div className="w-full">
                  <Field label={t`Belongs to`}>
                    <SelectInput
                      value={segment.edge}
                      onChange={(event) => set(i, (s) => ({ ...s, edge: event.target.value }))}
                    >
                      {form.edges.map((edge) => (
                        <option key={edge.name} value={edge.name}>
                          {edge.label}
                        </option>
                      ))}
                    </SelectInput>
                  </Field>
                </div>
              </div>
            ) : null}
          </li>
        ))}
      </ol>
      {problem === null ? null : (
        <Notice look="stop" role="alert">
          {problem}
        </Notice>
      )}
      <div className="mt-3 grid gap-2">
        <Button onClick={complete}>{t`Symmetric: complete the left half`}</Button>
        <Button
          onClick={() =>
            onChange((now) => {
              const swap = [
                ['driver’s', 'passenger’s'],
                ["driver's", "passenger's"],
              ] as const
              const name = mirrorForm(
                { ...now, edges: [{ name: 'n', label: now.name, code: 'butt' }] },
                { id: '', name: '', swap },
              )
              return mirrorForm(now, { id: now.id, name: name.edges[0]?.label ?? now.name, swap })
            })
          }
        >{t`Mirror it: the other side`}</Button>
      </div>
      {photo}
    </>
  )
}
