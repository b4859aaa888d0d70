import {
  type Draw,
  draws,
  type HandAnchor,
  type HandOrder,
  type LayTask,
  makeLay,
  mostAnchors,
  placeNear,
  placesToFix,
  type Run,
  runs,
  type Stroke,
  strokes,
} from '@truelay/core/exercises'
import { compareOrders, type NamedSpot, type PullsAllowed, pullsAllowed } from '@truelay/core/lay'
import type { FormDoc } from '@truelay/core/form'
import { count, inSpan, name, percent, say, type Sentence } from '@truelay/core/say'
import { X } from 'lucide-react'
import { lazy, Suspense, useMemo, useState } from 'react'
import { z } from 'zod'
import { inPlane } from '../../drawings/placeOnSurface.ts'
import { pullOfStep } from '../../drawings/pullOfStep.ts'
import { scaleEnd } from '../../drawings/stretchColor.ts'
import { StretchLegend } from '../../drawings/StretchLegend.tsx'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useWords } from '../../ui/words.ts'
import { useFormsQuery } from '../../remote/vehiclesApi.ts'
import type { RehearsalStage, ShownRehearsal } from '../../workers/rehearsalWork.ts'
import { Player } from '../rehearsal/Player.tsx'
import { stepAt } from '../rehearsal/playing.ts'
import { useExerciseDraft } from './exerciseDraft.ts'
import type { ExerciseProps } from './exerciseProps.ts'
import { useLayIt } from './useLayIt.ts'

const PartView3D = lazy(async () => ({ default: (await import('../../drawings/PartView3D.tsx')).PartView3D }))

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
const selectLook = 'min-h-12 w-full rounded-md border border-ink/40 bg-paper px-2 text-body'
const pullWords: Readonly<Record<PullsAllowed, Sentence>> = {
  none: say`let it be`,
  cold: say`pull cold`,
  warm: say`cold, then warm`,
}
/** None that could be read as a figure or a unit. */
const letters = 'ABCDEFGHJLMNPQRSTUVWXYZ'
const letterOf = (place: number): string =>
  `${letters.charAt(place % letters.length)}${place < letters.length ? '' : Math.floor(place / letters.length)}`
const nobody: HandOrder = { anchors: [], edge: null, run: 'outward', stroke: 'middle', pulls: 'cold' }

const handOrder = z.object({
  anchors: z.array(z.object({ place: z.number().int().min(0), draw: z.enum(draws) })).max(mostAnchors),
  edge: z.string().nullable(),
  run: z.enum(runs),
  stroke: z.enum(strokes),
  pulls: z.enum(pullsAllowed),
})

/** A part never seen: said how it is laid, seen what comes of it, tried again. */
export function LayExercise(props: ExerciseProps) {
  const t = useWords()
  const { data: forms, isLoading } = useFormsQuery()
  if (isLoading) return <Busy text={t`Choosing a part`} />
  return <Built {...props} forms={forms ?? none} />
}

const none: readonly FormDoc[] = []

function Built({ forms, ...props }: ExerciseProps & { readonly forms: readonly FormDoc[] }) {
  const t = useWords()
  const { seed, level, practice } = props
  const [task] = useState(() => makeLay(seed, level, forms))
  const [rules] = useState(practice)
  const laying = useLayIt(task, rules)
  if (laying.stage.phase === 'asked') return <Busy text={t`Building the part`} />
  if (laying.stage.phase === 'refused')
    return <Failed sentence={laying.stage.failure.sentence} fix={laying.stage.failure.fix} />
  return <OnPart {...props} task={task} stage={laying.stage.value} laying={laying} />
}

/** One try: what was said, and what came of it. */
interface Try {
  readonly hand: HandOrder
  readonly shown: ShownRehearsal
}

interface OnPartProps extends ExerciseProps {
  readonly task: LayTask
  readonly stage: RehearsalStage
  readonly laying: ReturnType<typeof useLayIt>
}

function OnPart({ id, done, onDone, task, stage, laying }: OnPartProps) {
  const t = useWords()
  const { surface } = stage
  const places = useMemo(() => placesToFix(task, surface), [task, surface])
  const [hand, setHand] = useExerciseDraft<HandOrder>(id, handOrder, nobody)
  const [tried, setTried] = useState<readonly Try[]>([])
  const [shown, setShown] = useState<number | null>(null)
  const [busy, setBusy] = useState(false)
  const [at, setAt] = useState(0)
  const look = shown === null ? null : (tried[shown] ?? null)

  const change = (next: HandOrder) => {
    setHand(next)
    setShown(null)
    setAt(0)
  }
  const fix = (place: number) => {
    if (done || hand.anchors.length >= mostAnchors || hand.anchors.some((one) => one.place === place)) return
    change({ ...hand, anchors: [...hand.anchors, { place, draw: 'floats' }] })
  }
  const lay = async () => {
    setBusy(true)
    const laid = await laying.lay(hand, stage)
    setBusy(false)
    if (laid === null) return
    setTried([...tried, { hand, shown: laid }])
    setShown(tried.length)
    setAt(1)
  }
  const finish = async (mine: ShownRehearsal) => {
    const verdict = await laying.mark(mine, stage)
    if (verdict !== null) onDone(verdict)
  }
  return (
    <div className="grid flex-1 content-start lg:grid-cols-[minmax(0,1fr)_27rem]">
      <div className="flex min-h-0 flex-col border-r border-hair">
        <div className="h-80 lg:h-[min(60vh,34rem)]">
          <Laid
            task={task}
            stage={stage}
            look={look}
            at={at}
            places={look === null ? places : []}
            hand={hand}
            onPick={(spot) => fix(placeNear(places, spot))}
          />
        </div>
        {look === null ? (
          <p className="border-t border-hair px-4 py-3 text-body text-quiet">
            {t`Tap the part to fix film at the nearest letter; drag it to turn the part.`}
          </p>
        ) : (
          <Player a={look.shown} b={null} at={at} onAt={setAt} />
        )}
      </div>
      <div className="px-5 py-3">
        <fieldset disabled={done || busy || laying.marked !== null} className="flex flex-col gap-3">
          <legend className="sr-only">{t`How it is laid`}</legend>
          <Anchors places={places} hand={hand} onChange={change} onFix={fix} />
          <label className="block">
            <span className="label text-note text-quiet">{t`The front starts`}</span>
            <select
              className={selectLook}
              value={hand.run === 'round and round' ? '' : (hand.edge ?? '')}
              disabled={hand.run === 'round and round'}
              onChange={(event) => change({ ...hand, edge: event.target.value === '' ? null : event.target.value })}
            >
              <option value="">{t`at the first spot`}</option>
              {task.form.edges.map((edge) => (
                <option key={edge.name} value={edge.name}>
                  {t`along the ${name(edge.label)}`}
                </option>
              ))}
            </select>
          </label>
          <LabelledChoice
            label={t`It runs`}
            value={hand.run}
            options={runs.map((run) => ({ value: run, text: t(runWords[run]) }))}
            onChange={(run) => change({ ...hand, run })}
          />
          <LabelledChoice
            label={t`Strokes`}
            value={hand.stroke}
            options={strokes.map((stroke) => ({ value: stroke, text: t(strokeWords[stroke]) }))}
            onChange={(stroke) => change({ ...hand, stroke })}
          />
          <LabelledChoice
            label={t`Film that is left over`}
            value={hand.pulls}
            options={pullsAllowed.map((pulls) => ({ value: pulls, text: t(pullWords[pulls]) }))}
            onChange={(pulls) => change({ ...hand, pulls })}
          />
          {done ? null : (
            <div className="flex flex-wrap gap-3">
              <Button
                look={look === null ? 'go' : 'plain'}
                className="min-h-14 px-6 text-lead"
                disabled={hand.anchors.length === 0 || look !== null}
                onClick={() => void lay()}
              >
                {t`Lay it`}
              </Button>
              <Button
                look={look === null ? 'plain' : 'go'}
                className="min-h-14 px-6 text-lead"
                disabled={look === null}
                onClick={() => {
                  if (look !== null) void finish(look.shown)
                }}
              >
                {t`That is how I lay it`}
              </Button>
            </div>
          )}
        </fieldset>
        {busy ? <p role="status" className="mt-3 text-lead">{t`Laying it`}</p> : null}
        {laying.marked === null ? null : (
          <p role="status" className="mt-3 text-lead">
            {t`Looking for the best order: ${percent(Math.round(100 * laying.marked))}`}
          </p>
        )}
        <Against form={task.form} before={tried[(shown ?? 0) - 1] ?? null} now={look} number={shown ?? 0} />
        <Tries
          tried={tried}
          shown={shown}
          onShow={(i) => {
            const again = tried[i]
            if (again === undefined) return
            if (!done) setHand(again.hand)
            setShown(i)
            setAt(1)
          }}
        />
      </div>
    </div>
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
        <label className="mt-2 block text-body">
          <span className="sr-only">{t`Fix another spot`}</span>
          <select className={selectLook} value="" onChange={(event) => onFix(Number(event.target.value))}>
            <option value="" disabled>
              {anchors.length === 0 ? t`Choose a spot` : t`Another spot`}
            </option>
            {left.map(({ spot, place }) => (
              <option key={place} value={place}>
                {t`${letterOf(place)}: ${spot.label}`}
              </option>
            ))}
          </select>
        </label>
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

interface AgainstProps {
  readonly form: FormDoc
  readonly before: Try | null
  readonly now: Try | null
  /** Of the try before, from 1. */
  readonly number: number
}

/** What a try does otherwise than the one before it, the weightiest first. */
function Against({ form, before, now, number }: AgainstProps) {
  const t = useWords()
  if (before === null || now === null) return null
  const told = compareOrders(form, before.shown.rehearsal.figures, now.shown.rehearsal.figures).slice(0, 3)
  return (
    <div className="mt-3 text-body" aria-live="polite">
      <p className="label text-note text-quiet">{t`Against try ${count(number)}`}</p>
      {told.length === 0 ? <p>{t`No hand would notice a difference.`}</p> : null}
      {told.map(({ says, better }) => (
        <p key={t(says)} className={`border-l-4 pl-2 leading-snug ${better ? 'border-good' : 'border-stop'}`}>
          <span className="sr-only">{better ? t`better:` : t`worse:`}</span> {t(says)}
        </p>
      ))}
    </div>
  )
}

/** What came of each try; one is looked at, and gone on from. */
function Tries({
  tried,
  shown,
  onShow,
}: {
  readonly tried: readonly Try[]
  readonly shown: number | null
  readonly onShow: (i: number) => void
}) {
  const t = useWords()
  if (tried.length === 0) return null
  return (
    <table className="mt-4 w-full text-left text-body">
      <thead>
        <tr className="label border-b-2 border-ink text-note text-quiet">
          <th scope="col" className="py-1 font-normal">{t`try`}</th>
          <th scope="col" className="font-normal">{t`left over`}</th>
          <th scope="col" className="font-normal">{t`stretch`}</th>
          <th scope="col" className="font-normal">{t`lifted`}</th>
          <th scope="col">
            <span className="sr-only">{t`look at it`}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {tried.map(({ shown: { rehearsal } }, i) => (
          <tr key={i} className={`border-b border-hair ${shown === i ? 'bg-petrol-tint' : ''}`}>
            <th scope="row" className="py-1 pl-1 text-lead">
              {i + 1}
            </th>
            <td className="text-lead">
              <Quantity of={inSpan(rehearsal.figures.worstFingersMmPer100)} />
            </td>
            <td className="text-lead">
              <Quantity of={percent(100 * rehearsal.figures.largestStretch, 1)} />
            </td>
            <td className="text-lead">
              <Quantity of={percent(100 * rehearsal.figures.liftedShare, 0)} />
            </td>
            <td className="text-right">
              <Button look="quiet" aria-label={t`Look at try ${count(i + 1)}`} onClick={() => onShow(i)}>
                {t`Look`}
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

interface LaidProps {
  readonly task: LayTask
  readonly stage: RehearsalStage
  readonly look: Try | null
  readonly at: number
  readonly places: readonly NamedSpot[]
  readonly hand: HandOrder
  readonly onPick: (spot: readonly [number, number]) => void
}

/** The part in space: with its letters while it is said, with the film while it is played. */
function Laid({ task, stage, look, at, places, hand, onPick }: LaidProps) {
  const t = useWords()
  const { surface } = stage
  const bare = useMemo(() => new Float64Array((2 * surface.mesh.triangle.length) / 3).fill(1), [surface])
  const rehearsal = look?.shown.rehearsal
  const number = rehearsal === undefined ? 0 : stepAt(rehearsal.steps.length, at)
  const step = rehearsal?.steps[number - 1]
  const progress = useMemo(
    () =>
      look === null
        ? undefined
        : {
            stepOfVertex: look.shown.rehearsal.stepOfVertex,
            step: number,
            front: step?.front ?? [],
            fingers: look.shown.fingers,
          },
    [look, number, step],
  )
  const stretch = rehearsal?.stretch ?? bare
  const full = Math.max(0.01, scaleEnd(stretch))
  const anchors = hand.anchors.flatMap(({ place }, i) => {
    const spot = (look === null ? places[place] : undefined)?.at ?? look?.shown.order.anchors[i]?.at
    return spot === undefined ? [] : [{ number: i + 1, onForm: spot }]
  })
  const free = places.flatMap((spot, place) =>
    hand.anchors.some((one) => one.place === place) ? [] : [{ letter: letterOf(place), onForm: spot.at }],
  )
  return (
    <div className="relative size-full">
      <Suspense fallback={<Busy text={t`Drawing the part`} />}>
        <PartView3D
          surface={surface}
          stretch={stretch}
          full={full}
          anchors={anchors}
          pulls={pullOfStep(step)}
          lines={task.form.bodyLines.map((line) => line.along)}
          pointed={null}
          onPoint={() => {}}
          progress={progress}
          places={free}
          onPick={look === null ? (place) => onPick(inPlane(surface, surface.plan, place)) : undefined}
        />
      </Suspense>
      {look === null ? null : (
        <div className="absolute bottom-2 left-4">
          <StretchLegend full={full} />
        </div>
      )}
    </div>
  )
}
