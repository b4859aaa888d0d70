import type { HandOver, JobBundle } from '@truelay/contract'
import { list, say } from '@truelay/core/say'
import { useRef, useState } from 'react'
import { Link } from 'react-router'
import { useWho } from '../../bench/useWho.ts'
import { useCloseJobMutation } from '../../remote/jobsApi.ts'
import { useHandOverJobMutation } from '../../remote/handOverApi.ts'
import { Button } from '../../ui/Button.tsx'
import { clockText, dayText } from '../../ui/clockText.ts'
import { Modal } from '../../ui/Modal.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { offerUndo } from '../../ui/undoOffer.ts'
import { useWords } from '../../ui/words.ts'
import { ForRole } from '../frame/ForRole.tsx'
import { type Signature, SignatureFields, type SignatureHandle } from '../frame/SignatureFields.tsx'
import { OpenVisit } from './OpenVisit.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'

interface CloseJobProps {
  readonly bundle: JobBundle
  readonly sheet: HandOver
}

/** The end of the job: what still stands in the way, else who takes the vehicle. */
export function CloseJob({ bundle: { job }, sheet }: CloseJobProps) {
  const t = useWords()
  const unfitted = sheet.parts.filter(({ state }) => state === 'waiting').map(({ name }) => name)
  const [signing, setSigning] = useState(false)
  const [reopen, { error }] = useCloseJobMutation()
  if (job.closedAt !== null)
    return (
      <section aria-label={t`The end of the job`} className="mt-6">
        <Notice look="good" role="status">
          <span className="text-lead">
            {sheet.handedOver === null || sheet.handedOver.name === ''
              ? t`Handed over on ${dayText(job.closedAt)}, ${clockText(job.closedAt)}.`
              : t`Handed over to ${sheet.handedOver.name} on ${dayText(job.closedAt)}, ${clockText(job.closedAt)}.`}
          </span>
        </Notice>
        <WhatFailed error={error} />
        <div className="mt-3">
          <ForRole least="installer">
            {job.visitOf === undefined ? <OpenVisit job={job} sheet={sheet} /> : null}{' '}
            <Button onClick={() => void reopen({ id: job.id, closed: false })}>{t`It is back: open it again`}</Button>
          </ForRole>
        </div>
      </section>
    )
  return (
    <section aria-label={t`The end of the job`} className="mt-6">
      {sheet.stops.length > 0 ? (
        <Notice look="stop" role="status">
          <strong className="block text-lead">{t`It cannot go out yet`}</strong>
          {sheet.stops.map((stop) => (
            <p key={t(stop)} className="text-body">
              {t(stop)}
            </p>
          ))}
          <p className="mt-1 text-body">{t`Put it right in the fit of that part, or leave the part out on the page of the job.`}</p>
          <Link
            to={`/jobs/${job.id}`}
            className="label-strong inline-flex min-h-11 items-center text-body text-petrol underline"
          >{t`To the job`}</Link>
        </Notice>
      ) : (
        <ForRole least="installer">
          {unfitted.length === 0 ? null : (
            <div className="mb-3">
              <Notice look="caution" role="status">
                {t`Not fitted: ${list(unfitted)}. Fit it first, or leave it out on the page of the job.`}
              </Notice>
            </div>
          )}
          <Button
            look={unfitted.length === 0 ? 'go' : 'plain'}
            className="min-h-18 w-full text-head"
            onClick={() => setSigning(true)}
          >
            {t`Hand it over`}
          </Button>
        </ForRole>
      )}
      <TakeOver open={signing} job={job} onClose={() => setSigning(false)} />
    </section>
  )
}

interface TakeOverProps {
  readonly open: boolean
  readonly job: JobBundle['job']
  readonly onClose: () => void
}

/** Whoever takes the vehicle signs, or it goes without. */
function TakeOver({ open, job, onClose }: TakeOverProps) {
  const t = useWords()
  const who = useWho(job.personId)
  const [ready, setReady] = useState(false)
  const [withPen, setWithPen] = useState(true)
  const pen = useRef<SignatureHandle>(null)
  const [handOver, { error, isLoading }] = useHandOverJobMutation()
  const [close] = useCloseJobMutation()
  const finish = async (signature: Signature) => {
    const outcome = await handOver({ id: job.id, draft: { ...signature, personId: who } })
    if (outcome.error !== undefined) return
    onClose()
    offerUndo({
      said: say`Handed over: it has left the bay.`,
      back: () => close({ id: job.id, closed: false }),
    })
  }
  return (
    <Modal open={open} title={t`Who takes it?`} onClose={onClose}>
      <p className="text-body text-quiet">{t`${job.vehicle.model}, ${job.vehicle.colour}, ${job.vehicle.plate}. I have been told what to mind and until when, and what was there before.`}</p>
      <SignatureFields ref={pen} onReady={setReady} onPen={setWithPen} />
      <WhatFailed error={error} />
      <div className="mt-4 flex flex-wrap gap-3">
        <Button
          look="go"
          disabled={!ready || isLoading}
          onClick={() => {
            const signature = pen.current?.signature()
            if (signature !== undefined) void finish(signature)
          }}
          className="min-h-14 flex-1 text-lead"
        >{t`I take it`}</Button>
        {withPen ? <Button onClick={() => pen.current?.clear()} className="min-h-14">{t`Sign again`}</Button> : null}
        <Button
          disabled={isLoading}
          onClick={() => void finish({ name: '', strokes: [] })}
          className="min-h-14"
        >{t`Nobody is here to sign`}</Button>
      </div>
    </Modal>
  )
}
