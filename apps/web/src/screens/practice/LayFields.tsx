import {
  type Draw,
  draws,
  type HandAnchor,
  type HandOrder,
  mostAnchors,
  type Run,
  runs,
  type Stroke,
  strokes,
} from '@truelay/core/exercises'
import type { FormEdge } from '@truelay/core/form'
import { type NamedSpot, type PullsAllowed, pullsAllowed } from '@truelay/core/lay'
import { name, say, type Sentence } from '@truelay/core/say'
import { X } from 'lucide-react'
import { Choice } from '../../ui/Choice.tsx'
import { Field, SelectInput } from '../../ui/Field.tsx'
import { useWords } from '../../ui/words.ts'
import { letterOf } from './layHand.ts'

const drawWords: Readonly<Record<Draw, Sentence>> = {
  floats: say`as it floats`,
  half: say`half drawn`,
  taut: say`drawn taut`,
}
const runWords: Readonly<Record<Run, Sentence>> = {
  outward: say`straight on`,
  'flats first': say`flats first`,
  'round and round': say`round and round`,
}
const strokeWords: Readonly<Record<Stroke, Sentence>> = {
  short: say`short`,
  middle: say`middling`,
  long: say`long`,
}
const pullWords: Readonly<Record<PullsAllowed, Sentence>> = {
  none: say`let it be`,
  cold: say`pull cold`,
  warm: say`cold, then warm`,
}

interface LayFieldsProps extends AnchorsProps {
  readonly edges: readonly FormEdge[]
}

/** How a part is laid, as it is said: what is fixed first, where the front starts, how it runs, what becomes of film that is left over. */
export function LayFields({ places, hand, edges, onChange, onFix }: LayFieldsProps) {
  const t = useWords()
  return (
    <>
      <Anchors places={places} hand={hand} onChange={onChange} onFix={onFix} />
      <Field label={t`The front starts`}>
        <SelectInput
          value={hand.run === 'round and round' ? '' : (hand.edge ?? '')}
          disabled={hand.run === 'round and round'}
          onChange={(event) => onChange({ ...hand, edge: event.target.value === '' ? null : event.target.value })}
        >
          <option value="">{t`at the first spot`}</option>
          {edges.map((edge) => (
            <option key={edge.name} value={edge.name}>
              {t`along the ${name(edge.label)}`}
            </option>
          ))}
        </SelectInput>
      </Field>
      <LabelledChoice
        label={t`It runs`}
        value={hand.run}
        options={runs.map((run) => ({ value: run, text: t(runWords[run]) }))}
        onChange={(run) => onChange({ ...hand, run })}
      />
      <LabelledChoice
        label={t`Strokes`}
        value={hand.stroke}
        options={strokes.map((stroke) => ({ value: stroke, text: t(strokeWords[stroke]) }))}
        onChange={(stroke) => onChange({ ...hand, stroke })}
      />
      <LabelledChoice
        label={t`Film that is left over`}
        value={hand.pulls}
        options={pullsAllowed.map((pulls) => ({ value: pulls, text: t(pullWords[pulls]) }))}
        onChange={(pulls) => onChange({ ...hand, pulls })}
      />
    </>
  )
}

interface AnchorsProps {
  readonly places: readonly NamedSpot[]
  readonly hand: HandOrder
  readonly onChange: (hand: HandOrder) => void
  readonly onFix: (place: number) => void
}

/** What is fixed before anything is swept, in its order. */
function Anchors({ places, hand, onChange, onFix }: AnchorsProps) {
  const t = useWords()
  const { anchors } = hand
  const set = (next: readonly HandAnchor[]) => onChange({ ...hand, anchors: next })
  const left = places.flatMap((spot, place) => (anchors.some((one) => one.place === place) ? [] : [{ spot, place }]))
  return (
    <div>
      <p className="label-strong border-b-2 border-ink pb-0.5 text-lead">{t`Fixed first`}</p>
      <ol>
        {anchors.map(({ place, draw }, i) => {
          const spot = t(places[place]?.label ?? say`a spot`)
          return (
            <li key={place} className="border-b border-hair py-1.5">
              <div className="flex items-center gap-2">
                <span className="flex size-7 shrink-0 items-center justify-center rounded-full border-2 border-petrol text-note font-bold text-petrol">
                  {i + 1}
                </span>
                <span className="min-w-0 flex-1 text-body leading-snug">
                  <strong>{letterOf(place)}</strong> {spot}
                </span>
                <button
                  type="button"
                  aria-label={t`Do not fix ${letterOf(place)}`}
                  className="flex min-h-11 min-w-11 items-center justify-center text-quiet hover:text-stop"
                  onClick={() => set(anchors.filter((one) => one.place !== place))}
                >
                  <X size={20} aria-hidden />
                </button>
              </div>
              <Choice
                label={t`How far the film is drawn at ${letterOf(place)}`}
                value={draw}
                options={draws.map((one) => ({ value: one, text: t(drawWords[one]) }))}
                onChange={(next) => set(anchors.map((one) => (one.place === place ? { place, draw: next } : one)))}
              />
            </li>
          )
        })}
      </ol>
      {anchors.length >= mostAnchors ? null : (
        <div className="mt-2">
          <SelectInput
            aria-label={t`Fix another spot`}
            value=""
            onChange={(event) => onFix(Number(event.target.value))}
          >
            <option value="" disabled>
              {anchors.length === 0 ? t`Choose a spot` : t`Another spot`}
            </option>
            {left.map(({ spot, place }) => (
              <option key={place} value={place}>
                {t`${letterOf(place)}: ${spot.label}`}
              </option>
            ))}
          </SelectInput>
        </div>
      )}
    </div>
  )
}

interface LabelledChoiceProps<V extends string> {
  readonly label: string
  readonly value: V
  readonly options: readonly { readonly value: V; readonly text: string; readonly disabled?: boolean }[]
  readonly onChange: (value: V) => void
}

function LabelledChoice<V extends string>({ label, ...choice }: LabelledChoiceProps<V>) {
  return (
    <div>
      <p className="label text-note text-quiet">{label}</p>
      <Choice label={label} {...choice} />
    </div>
  )
}
