import { atStart, name, say } from '@truelay/core/say'
import { wholeFailure } from '@truelay/core/result'
import { useWords } from '../../ui/words.ts'
import { type Form, formDoc, idFromName, jobId, ownRule, partId } from '@truelay/contract'
import { useEffect, useMemo, useState } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { useFormsQuery, useSaveFormMutation } from '../../remote/vehiclesApi.ts'
import { useJobQuery, useTakeFormMutation } from '../../remote/jobApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import type { PhotoUnder } from '../../drawings/FormSketch.tsx'
import { buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { blankForm } from './editForm.ts'
import { FormBench } from './FormBench.tsx'
import { formDraft } from './formDraft.ts'
import { asPart, ordinaryPart } from './ordinaryPart.ts'
import { photographedId } from './photos/useMeasuredPhotos.ts'
import { PhotoImport } from './photos/PhotoImport.tsx'
import { ScanImport } from './ScanImport.tsx'

/** Measuring a part: a new one, or one that is on file. */
export function FormScreen() {
  const t = useWords()
  const { formId = '' } = useParams()
  const [search] = useSearchParams()
  const navigate = useNavigate()
  const { data: forms, error } = useFormsQuery()
  const [saveForm, saving] = useSaveFormMutation()
  const [takeForm] = useTakeFormMutation()
  const [scanned, setScanned] = useState<Form | null>(null)
  const [under, setUnder] = useState<PhotoUnder | null>(null)
  useEffect(
    () => () => {
      if (under !== null) URL.revokeObjectURL(under.url)
    },
    [under],
  )
  const isNew = formId === 'new'
  const job = jobId.safeParse(search.get('job'))
  const part = partId.safeParse(search.get('part'))
  const ofJob = isNew && job.success && part.success
  const bundle = useJobQuery(job.success ? job.data : jobId.parse('none'), { skip: !ofJob })
  const begun = useMemo(
    () => (ofJob && bundle.data !== undefined ? ordinaryPart(bundle.data, part.data) : null),
    [ofJob, bundle.data, part.data],
  )
  if (forms === undefined)
    return error === undefined ? <Busy text={t`Opening the form`} /> : <Failed {...failureOf(error)} />
  if (ofJob && bundle.isLoading) return <Busy text={t`Opening the form`} />
  const known = forms.find((form) => form.id === formId)
  if (!isNew && known === undefined)
    return (
      <Failed sentence={say`There is no form "${name(formId)}".`} fix={say`Choose one from the list of forms.`}>
        <Link to="/forms" className={buttonClass('go')}>{t`To the forms`}</Link>
      </Failed>
    )
  const named = (form: Form) => (begun === null ? form : asPart(form, begun))
  if (isNew && search.has('scan') && scanned === null) return <ScanImport onMade={(form) => setScanned(named(form))} />
  if (isNew && search.has('photos') && scanned === null)
    return (
      <PhotoImport
        left={formDraft(`new ${photographedId}`).found()}
        onLeft={setScanned}
        onMade={(form, photo) => {
          setScanned(named(form))
          setUnder(photo)
        }}
      />
    )
  const first = known ?? scanned ?? begun ?? formDoc.parse(blankForm('new-part', 'New part'))
  const save = async (draft: Form): Promise<string | null> => {
    // "new" is the address of the empty bench.
    const taken = new Set<string>(['new', ...forms.map((form) => form.id)])
    const whole = formDoc.safeParse(isNew ? { ...draft, id: idFromName(draft.name, taken) } : draft)
    if (!whole.success) {
      const rule = ownRule(whole.error)
      return rule === null
        ? t`Something in this form is out of range. Check the last figure that was typed.`
        : t`${atStart(rule)}.`
    }
    const outcome = await saveForm(whole.data)
    if (outcome.error !== undefined) return t(wholeFailure(failureOf(outcome.error)))
    if (part.success) {
      await takeForm({ partId: part.data, formId: outcome.data.id })
      void navigate(`/jobs/${search.get('job')}/lay-sheets/${part.data}`)
    } else if (isNew) void navigate(`/forms/${outcome.data.id}`, { replace: true })
    return null
  }
  return (
    <FormBench
      key={known === undefined ? (scanned?.id ?? 'new') : `${known.id}-${known.version}`}
      first={first}
      isNew={isNew}
      isMade={scanned !== null}
      isOrdinary={first === begun}
      firstPhoto={under}
      saving={saving.isLoading}
      onSave={save}
    />
  )
}
