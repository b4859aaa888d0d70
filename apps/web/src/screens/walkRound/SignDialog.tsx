import { useWords } from '../../ui/words.ts'
import type { JobBundle, WalkRound } from '@truelay/contract'
import { findingMeanings } from '@truelay/core/plan'
import { useRef, useState } from 'react'
import { useSignOffMutation } from '../../remote/walkRoundApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { SignatureFields, type SignatureHandle } from '../frame/SignatureFields.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'

interface SignDialogProps {
  readonly open: boolean
  readonly bundle: JobBundle
  readonly walk: WalkRound
  readonly nameOf: (slot: string) => string
  readonly onClose: () => void
}

/** The customer reads what was found and signs on the screen. */
export function SignDialog({ open, bundle, walk, nameOf, onClose }: SignDialogProps) {
  const t = useWords()
  const [ready, setReady] = useState(false)
  const [withPen, setWithPen] = useState(true)
  const [sign, { error, isLoading }] = useSignOffMutation()
  const pen = useRef<SignatureHandle>(null)
  const finish = async () => {
    const draft = pen.current?.signature()
    if (draft === undefined) return
    const outcome = await sign({ jobId: bundle.job.id, draft })
    if (outcome.error === undefined) onClose()
  }
  return (
    <Modal open={open} title={t`What we found on your vehicle`} onClose={onClose}>
      <p className="text-body text-quiet">{t`${bundle.job.vehicle.model}, ${bundle.job.vehicle.colour}, ${bundle.job.vehicle.plate}. Before anything was touched.`}</p>
      <ol className="mt-3 min-h-0 flex-1 overflow-y-auto border-y border-hair">
        {walk.findings.length === 0 ? (
          <li className="py-3 text-lead">{t`Nothing: no damage, no coating, no film from before.`}</li>
        ) : (
          walk.findings.map((finding, i) => (
            <li key={finding.id} className="border-b border-hair py-2 text-body leading-snug last:border-b-0">
              <strong>
                {i + 1}. {nameOf(finding.slot)}: {t(findingMeanings[finding.kind].says)}
              </strong>
              {finding.note === '' ? '' : `. ${finding.note}`}
              <span className="block text-body text-quiet">{t(findingMeanings[finding.kind].follows)}</span>
            </li>
          ))
        )}
      </ol>
      <SignatureFields ref={pen} onReady={setReady} onPen={setWithPen} />
      <WhatFailed error={error} />
      <div className="mt-4 flex flex-wrap gap-3">
        <Button
          look="go"
          disabled={!ready || isLoading}
          onClick={() => void finish()}
          className="min-h-14 flex-1 text-lead"
        >{t`I have read this`}</Button>
        {!withPen ? null : <Button onClick={() => pen.current?.clear()} className="min-h-14">{t`Sign again`}</Button>}
        <Button onClick={onClose} className="min-h-14">{t`Not now`}</Button>
      </div>
    </Modal>
  )
}
