import { say, type Sentence } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { FormDoc } from '@truelay/core/form'
import { Trash2 } from 'lucide-react'
import { useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { freshName, roundedBox } from './editForm.ts'
import type { StepProps } from './stepProps.ts'
import { NumberCell } from './NumberCell.tsx'

type Kind = 'bodyLines' | 'recesses' | 'channels' | 'raised' | 'holes'

const kindWords: Readonly<Record<Kind, Sentence>> = {
  bodyLines: say`Body line`,
  recesses: say`Recess`,
  channels: say`U channel`,
  raised: say`Raised`,
  holes: say`Hole`,
}

/** What a new one is called in the file, until somebody names it. */
const kindNames: Readonly<Record<Kind, string>> = {
  bodyLines: 'body line',
  recesses: 'recess',
  channels: 'u channel',
  raised: 'raised',
  holes: 'hole',
}

interface Figure {
  readonly key: string
  readonly label: Sentence
  readonly unit?: string
  readonly min: number
  readonly max: number
}
const figures: Readonly<Record<Kind, readonly Figure[]>> = {
  bodyLines: [
    { key: 'turnDeg', label: say`turns`, unit: '°', min: -60, max: 60 },
    { key: 'radiusMm', label: say`radius`, min: 0.5, max: 500 },
    { key: 'reachMm', label: say`reach`, min: 5, max: 1000 },
  ],
  recesses: [
    { key: 'depthMm', label: say`depth`, min: 0.1, max: 200 },
    { key: 'wallDeg', label: say`wall`, unit: '°', min: 1, max: 80 },
  ],
  channels: [
    { key: 'widthMm', label: say`width`, min: 1, max: 500 },
    { key: 'depthMm', label: say`depth`, min: 0.1, max: 200 },
    { key: 'wallDeg', label: say`wall`, unit: '°', min: 1, max: 80 },
  ],
  raised: [
    { key: 'heightMm', label: say`height`, min: 0.1, max: 200 },
    { key: 'wallDeg', label: say`wall`, unit: '°', min: 1, max: 80 },
  ],
  holes: [],
}

/** A feature of the usual size, in the middle of the part. */
function added(form: FormDoc, kind: Kind): FormDoc {
  const list = form[kind] ?? []
  const name = freshName(kindNames[kind], list)
  const box = roundedBox([0, 0], 80, 40, 10)
  const line = [
    [-120, 0],
    [120, 0],
  ] as [number, number][]
  switch (kind) {
    case 'bodyLines':
      return { ...form, bodyLines: [...form.bodyLines, { name, along: line, turnDeg: 6, radiusMm: 8, reachMm: 60 }] }
    case 'recesses':
      return { ...form, recesses: [...form.recesses, { name, outline: box, depthMm: 4, wallDeg: 30 }] }
    case 'channels':
      return {
        ...form,
        channels: [...(form.channels ?? []), { name, along: line, widthMm: 50, depthMm: 8, wallDeg: 45 }],
      }
    case 'raised':
      return { ...form, raised: [...(form.raised ?? []), { name, outline: box, heightMm: 4, wallDeg: 40 }] }
    case 'holes':
      return { ...form, holes: [...form.holes, { name, label: name, outline: box, code: 'stop-short' }] }
  }
}

/** Body lines, recesses, channels, what stands up, holes: added by kind, dragged to their place, given their figures. */
export function FeaturesStep({ form, onChange }: StepProps) {
  const t = useWords()
  const change = (kind: Kind, index: number, more: Readonly<Record<string, unknown>>) =>
    onChange((now) => ({
      ...now,
      [kind]: (now[kind] ?? []).map((feature, i) => (i === index ? { ...feature, ...more } : feature)),
    }))
  return (
    <>
      <div className="grid grid-cols-2 gap-2">
        {(Object.keys(kindWords) as Kind[]).map((kind) => (
          <Button key={kind} onClick={() => onChange((now) => added(now, kind))}>
            {t(kindWords[kind])}
          </Button>
        ))}
      </div>
      <ul className="mt-3 space-y-1">
        {(Object.keys(kindWords) as Kind[]).flatMap((kind) =>
          (form[kind] ?? []).map((feature, i) => (
            <li key={`${kind}-${i}`} className="border border-hair p-2">
              <div className="grid grid-cols-[1fr_2.75rem] items-center gap-2">
                <input
                  aria-label={t`Name of ${kindWords[kind]} ${i + 1}`}
                  value={feature.name}
                  maxLength={60}
                  onChange={(event) =>
                    change(kind, i, {
                      name: event.target.value,
                      ...(kind === 'holes' ? { label: event.target.value } : {}),
                    })
                  }
                  className="min-h-11 min-w-0 bg-transparent text-body font-bold"
                />
                <button
                  type="button"
                  aria-label={t`Remove ${feature.name}`}
                  onClick={() => onChange((now) => ({ ...now, [kind]: (now[kind] ?? []).filter((_, k) => k !== i) }))}
                  className="flex size-11 items-center justify-center text-quiet hover:text-stop"
                >
                  <Trash2 size={18} />
                </button>
              </div>
              <p className="label text-note text-quiet">{t(kindWords[kind])}</p>
              <div className="grid grid-cols-3 gap-2">
                {figures[kind].map((figure) => (
                  <NumberCell
                    key={figure.key}
                    label={t(figure.label)}
                    {...(figure.unit === undefined ? {} : { unit: figure.unit })}
                    min={figure.min}
                    max={figure.max}
                    value={Number((feature as unknown as Record<string, number>)[figure.key] ?? 0)}
                    onCommit={(value) => change(kind, i, { [figure.key]: value })}
                  />
                ))}
              </div>
              {'outline' in feature ? (
                <BoxSize outline={feature.outline} onSize={(outline) => change(kind, i, { outline })} />
              ) : (
                <Button
                  look="quiet"
                  onClick={() => {
                    const last = feature.along[feature.along.length - 1] ?? [0, 0]
                    change(kind, i, { along: [...feature.along, [last[0] + 60, last[1]]] })
                  }}
                >{t`Add a point to the line`}</Button>
              )}
            </li>
          )),
        )}
      </ul>
    </>
  )
}

/** Width and height of a feature; typing them makes it a rounded box of that size where it is. */
function BoxSize({
  outline,
  onSize,
}: {
  readonly outline: readonly (readonly [number, number])[]
  readonly onSize: (outline: [number, number][]) => void
}) {
  const t = useWords()
  const xs = outline.map((p) => p[0])
  const ys = outline.map((p) => p[1])
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const [corner, setCorner] = useState(10)
  const remake = (width: number, height: number, radius: number) =>
    onSize(roundedBox([(left + right) / 2, (low + high) / 2], width, height, radius))
  return (
    <div className="grid grid-cols-3 gap-2">
      <NumberCell
        label={t`wide`}
        value={right - left}
        min={3}
        max={4000}
        onCommit={(width) => remake(width, high - low, corner)}
      />
      <NumberCell
        label={t`tall`}
        value={high - low}
        min={3}
        max={4000}
        onCommit={(height) => remake(right - left, height, corner)}
      />
      <NumberCell
        label={t`corner`}
        value={corner}
        min={0}
        max={2000}
        onCommit={(radius) => {
          setCorner(radius)
          remake(right - left, high - low, radius)
        }}
      />
    </div>
  )
}
