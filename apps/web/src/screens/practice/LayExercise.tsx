import { type HandOrder, type LayTask, makeLay, mostAnchors, placeNear, placesToFix } from '@truelay/core/exercises'
import type { FormDoc } from '@truelay/core/form'
import { percent } from '@truelay/core/say'
import { useMemo, useState } from 'react'
import { useFormsQuery } from '../../remote/vehiclesApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { useWords } from '../../ui/words.ts'
import type { RehearsalStage, ShownRehearsal } from '../../workers/rehearsalWork.ts'
import { Player } from '../rehearsal/Player.tsx'
import { useExerciseDraft } from './exerciseDraft.ts'
import type { ExerciseProps } from './exerciseProps.ts'
import { LaidByHand } from './LaidByHand.tsx'
import { LayFields } from './LayFields.tsx'
import { handOrderOn, nothingSaid } from './layHand.ts'
import { Against, Tries, type Try } from './LayTries.tsx'
import { useLayIt } from './useLayIt.ts'

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

interface OnPartProps extends ExerciseProps {
  readonly task: LayTask
  readonly stage: RehearsalStage
  readonly laying: ReturnType<typeof useLayIt>
}

function OnPart({ id, done, onDone, task, stage, laying }: OnPartProps) {
  const t = useWords()
  const { surface } = stage
  const places = useMemo(() => placesToFix(task, surface), [task, surface])
  const [hand, setHand] = useExerciseDraft<HandOrder>(id, handOrderOn(places.length), nothingSaid)
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
    <div className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[minmax(0,1fr)_27rem]">
      <div className="flex min-h-0 flex-col border-r border-hair">
        <div className="h-80 lg:h-[min(60vh,34rem)]">
          <LaidByHand
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
          <LayFields places={places} hand={hand} edges={task.form.edges} onChange={change} onFix={fix} />
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
