import { useShopQuery } from '../../remote/api.ts'
import { practiceWith } from '@truelay/core/practice'
import { bowEnoughMm } from '@truelay/core/plan'
import { say, type Sentence } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { Form } from '@truelay/contract'
import type { FormDoc } from '@truelay/core/form'
import type { Vec2 } from '@truelay/core/geometry'
import { Redo2, Undo2 } from 'lucide-react'
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import { FormSketch, type PhotoUnder } from '../../drawings/FormSketch.tsx'
import { ForRole } from '../frame/ForRole.tsx'
import { RemoveThing } from '../shelf/RemoveThing.tsx'
import { Button } from '../../ui/Button.tsx'
import { Field, TextInput } from '../../ui/Field.tsx'
import { Title } from '../../ui/Title.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { useFormWorker, useLiveForm } from '../../workers/useFormWorker.ts'
import { BowStep } from './BowStep.tsx'
import { EdgesStep } from './EdgesStep.tsx'
import { handlesOf, type MeasuringStep, moveHandle } from './editForm.ts'
import { FeaturesStep } from './FeaturesStep.tsx'
import { FormFigures } from './FormFigures.tsx'
import { MarksStep } from './MarksStep.tsx'
import { PhotoTrace } from './PhotoTrace.tsx'
import { OutlineStep } from './OutlineStep.tsx'
import type { Chosen, StepProps } from './stepProps.ts'
import { AskBeforeLeaving } from '../../ui/AskBeforeLeaving.tsx'
import { formDraft } from './formDraft.ts'
import { useDraft } from './useDraft.ts'

const PartView3D = lazy(async () => ({ default: (await import('../../drawings/PartView3D.tsx')).PartView3D }))

const steps: readonly { readonly step: MeasuringStep; readonly text: Sentence; readonly says: Sentence }[] = [
  {
    step: 'outline',
    text: say`1 Outline`,
    says: say`Points round the part, seen straight on. Trace over a photo if you have one.`,
  },
  { step: 'bow', text: say`2 Bow`, says: say`Lay the straightedge where it is shown and read the gap under it.` },
  { step: 'features', text: say`3 Features`, says: say`Body lines, recesses, channels, what stands up, holes.` },
  { step: 'edges', text: say`4 Edges`, says: say`How each edge ends, and what is behind it.` },
  { step: 'marks', text: say`5 Marks`, says: say`Spots that a piece must meet: corners, sensors, badges.` },
]

interface FormBenchProps {
  readonly first: Form
  readonly isNew: boolean
  /** It was just made, of a scan or of photographs, and is kept nowhere yet. */
  readonly isMade?: boolean
  /** Nothing of it is measured yet: it begins as such a part mostly is. */
  readonly isOrdinary?: boolean
  /** A photograph that lies under the drawing from the first. */
  readonly firstPhoto?: PhotoUnder | null
  readonly saving: boolean
  /** Null when it was kept, else what is wrong. */
  readonly onSave: (form: Form) => Promise<string | null>
}

/** The bench for measuring: steps in their order, the drawing, and the part in space while one types. */
export function FormBench({
  first,
  isNew,
  isMade = false,
  isOrdinary = false,
  firstPhoto = null,
  saving,
  onSave,
}: FormBenchProps) {
  const t = useWords()
  const shelved = useMemo(() => formDraft(isNew ? `new ${first.id}` : first.id), [isNew, first.id])
  const [left] = useState(() => {
    // What was just made is newer than whatever was left.
    const found = isMade ? null : shelved.found()
    return found !== null && (isNew || found.version === first.version) ? found : null
  })
  const draft = useDraft<FormDoc>(left ?? first)
  const form = draft.now
  const [step, setStep] = useState<MeasuringStep>('outline')
  const [chosen, setChosen] = useState<Chosen>({})
  const [photo, setPhoto] = useState<PhotoUnder | null>(firstPhoto)
  const [scale, setScale] = useState<readonly Vec2[] | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [kept, setKept] = useState<FormDoc | null>(isMade ? null : first)
  const { data: shop } = useShopQuery()
  const practice = useMemo(() => practiceWith(shop?.practice), [shop?.practice])
  const worker = useFormWorker()
  const enoughMm = bowEnoughMm(practice)
  const { answer, failure, of } = useLiveForm(form, enoughMm, worker)
  const handles = useMemo(() => handlesOf(form, step), [form, step])
  const props: StepProps = { form, onChange: draft.change, chosen, onChoose: setChosen }
  const changed = kept !== form
  const handedIn = useRef(false)
  const unsaved = changed && (isMade || form !== first)
  useEffect(() => {
    if (unsaved) shelved.keep(form as Form)
    else shelved.forget()
  }, [unsaved, form, shelved])
  const current = steps.find((s) => s.step === step)
  /** Kept only once it could be built: one that was changed a moment ago is worked out first. */
  const save = async () => {
    if (of !== form) {
      const built = await worker().build(form, enoughMm)
      if (!built.ok) return
    }
    handedIn.current = true
    const said = await onSave(form as Form)
    handedIn.current = false
    setProblem(said)
    if (said !== null) return
    shelved.forget()
    setKept(form)
  }
  return (
    <div className="flex min-h-full flex-col lg:h-full lg:min-h-[43.75rem]">
      <header className="flex flex-wrap items-end gap-x-6 gap-y-2 border-b border-hair bg-paper px-5 py-2.5">
        <span className="sr-only">
          <Title>{isNew ? t`New form` : form.name}</Title>
        </span>
        <div className="w-80 max-w-96 grow">
          <Field label={isNew ? t`New form: vehicle and part` : t`Form, version ${form.version}`}>
            <TextInput
              value={form.name}
              maxLength={60}
              onChange={(event) => draft.change((now) => ({ ...now, name: event.target.value }))}
              className="font-bold"
            />
          </Field>
        </div>
        <nav aria-label={t`Steps of measuring`} className="flex self-stretch">
          {steps.map(({ step: own, text }) => (
            <button
              key={own}
              type="button"
              aria-current={step === own ? 'step' : undefined}
              onClick={() => {
                setStep(own)
                setChosen({})
              }}
              className={`label-strong min-h-13 border-b-4 px-3 text-body ${step === own ? 'border-petrol text-petrol' : 'border-transparent text-quiet hover:text-petrol'}`}
            >
              {t(text)}
            </button>
          ))}
        </nav>
        <div className="ml-auto flex flex-wrap items-center gap-2">
          <Button onClick={draft.undo} disabled={!draft.canUndo} aria-label={t`Undo`}>
            <Undo2 size={20} />
          </Button>
          <Button onClick={draft.redo} disabled={!draft.canRedo} aria-label={t`Redo`}>
            <Redo2 size={20} />
          </Button>
          <ForRole least="installer" quietly>
            <Button
              look="go"
              onClick={() => void save()}
              disabled={saving || (failure !== null && of === form) || (!changed && !isNew)}
            >
              {changed || isNew ? t`Keep this form` : t`Kept`}
            </Button>
          </ForRole>
          {isNew ? null : <RemoveThing kind="forms" id={form.id} called={form.name} to="/forms" />}
        </div>
      </header>
      <AskBeforeLeaving when={() => unsaved && !handedIn.current} onThrowAway={shelved.forget} />
      {left === null || !unsaved ? null : (
        <p
          role="status"
          className="flex flex-wrap items-center gap-4 bg-amber-tint px-5 py-1.5 text-body text-amber-ink"
        >
          {t`As you left it, not kept yet.`}
          <Button look="quiet" onClick={() => draft.change(() => first)}>
            {isNew ? t`Begin anew` : t`As it is kept`}
          </Button>
        </p>
      )}
      {isOrdinary && !changed ? (
        <p role="status" className="bg-petrol-tint px-5 py-2 text-body">
          {t`Drawn as large as such a part mostly is. Nothing of it is measured yet: put its points where yours has them.`}
        </p>
      ) : null}
      {problem === null ? null : (
        <Notice look="stop" role="alert">
          {problem}
        </Notice>
      )}
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] lg:grid-cols-[21.25rem_minmax(0,1fr)_21.25rem]">
        <section
          aria-label={t`${current?.text}`}
          className="relative flex min-h-0 flex-col overflow-y-auto border-b border-hair p-4 lg:border-b-0 lg:border-r"
        >
          <p className="pb-2 text-body text-quiet">{t`${current?.says}`}</p>
          {failure === null ? null : (
            <Notice look="stop" role="alert">
              <strong>{t(failure.sentence)}</strong> {t(failure.fix)}
            </Notice>
          )}
          {step === 'outline' ? (
            <OutlineStep
              {...props}
              photo={<PhotoTrace photo={photo} onPhoto={setPhoto} scale={scale} onScale={setScale} />}
            />
          ) : null}
          {step === 'bow' ? (
            <BowStep
              {...props}
              failure={failure}
              next={answer?.next ?? null}
              behind={of !== form}
              miss={answer?.surface.bowFit.spotMiss ?? null}
            />
          ) : null}
          {step === 'features' ? <FeaturesStep {...props} /> : null}
          {step === 'edges' ? <EdgesStep {...props} /> : null}
          {step === 'marks' ? <MarksStep {...props} /> : null}
        </section>
        <section aria-label={t`Drawing`} className="min-h-[26.25rem] min-w-0 p-2 max-lg:order-first lg:min-h-0">
          <FormSketch
            form={form}
            handles={handles}
            chosen={chosen}
            next={step === 'bow' ? (answer?.next ?? null) : null}
            photo={photo}
            taps={scale ?? []}
            onTap={
              scale === null || scale.length >= 2 ? undefined : (at) => setScale((before) => [...(before ?? []), at])
            }
            onMove={(key, at, finished) => (finished ? draft.change : draft.drag)((now) => moveHandle(now, key, at))}
          />
        </section>
        <aside className="flex min-h-0 flex-col border-t border-hair bg-paper lg:border-l lg:border-t-0">
          <div className="h-72 border-b border-hair bg-chalk lg:h-[46%]">
            {answer === null ? (
              <p className="p-4 text-quiet">{t`The part appears here as soon as its outline is whole.`}</p>
            ) : (
              <Suspense fallback={<p className="p-4 text-quiet">{t`Opening the view`}</p>}>
                <PartView3D
                  surface={answer.surface}
                  stretch={asPairs(answer.curvature.share)}
                  full={1}
                  anchors={[]}
                  pulls={[]}
                  lines={form.bodyLines.map((line) => line.along)}
                  pointed={null}
                  onPoint={() => {}}
                />
              </Suspense>
            )}
          </div>
          <FormFigures form={form} answer={answer} onChange={draft.change} />
        </aside>
      </div>
    </div>
  )
}

/** One value per triangle as the pair that the stretch map draws. */
function asPairs(share: Float64Array): Float64Array {
  const pairs = new Float64Array(share.length * 2)
  share.forEach((value, t) => {
    pairs[2 * t] = 1 + Math.max(0, value)
    pairs[2 * t + 1] = 1 + Math.min(0, value)
  })
  return pairs
}
