import type { HandOver, JobBundle, PartId } from '@truelay/contract'
import { addDays, addHours, format, isFuture, setHours, startOfDay } from 'date-fns'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { useWho } from '../../bench/useWho.ts'
import { useOpenVisitMutation } from '../../remote/jobsApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Field, TextInput } from '../../ui/Field.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'

interface OpenVisitProps {
  readonly job: JobBundle['job']
  readonly sheet: HandOver
}

/** A visit is short: it leaves so many hours after it has come, unless the job is put right. */
const visitHours = 2

/** When it ordinarily comes: at the next look at its edges, else tomorrow morning. */
const usually = ({ looks }: HandOver): Date => {
  const next = looks.map(({ at }) => new Date(at)).find((at) => isFuture(at))
  return next ?? setHours(startOfDay(addDays(new Date(), 1)), 9)
}

/** The vehicle comes back to be looked at: a short job of its own, with a log of its own. */
export function OpenVisit({ job, sheet }: OpenVisitProps) {
  const t = useWords()
  const [open, setOpen] = useState(false)
  return (
    <>
      <Button look="go" onClick={() => setOpen(true)}>{t`Open a come-back visit`}</Button>
      <Modal
        low
        open={open}
        title={t`Come-back visit`}
        onClose={() => setOpen(false)}
        actions={<Button onClick={() => setOpen(false)}>{t`Never mind`}</Button>}
      >
        <VisitFields job={job} sheet={sheet} />
      </Modal>
    </>
  )
}

function VisitFields({ job, sheet }: OpenVisitProps) {
  const t = useWords()
  const who = useWho(job.personId)
  const navigate = useNavigate()
  const [openVisit, { error, isLoading }] = useOpenVisitMutation()
  const logged = sheet.parts.filter(({ state }) => state === 'done')
  // A job of which nothing was logged went out before there was a log.
  const laid = logged.length > 0 ? logged : sheet.parts.filter(({ state }) => state === 'waiting')
  const leftOpen = laid.filter(({ left }) => left.some(({ accepted }) => !accepted))
  const [chosen, setChosen] = useState<readonly PartId[]>((leftOpen.length > 0 ? leftOpen : laid).map((p) => p.partId))
  const [arrives, setArrives] = useState(format(usually(sheet), "yyyy-MM-dd'T'HH:mm"))
  const at = new Date(arrives)
  const ready = chosen.length > 0 && !Number.isNaN(at.getTime())
  const begin = async () => {
    const dueAt = addHours(at, visitHours).toISOString()
    const visit = { personId: who, arrivesAt: at.toISOString(), dueAt, partIds: [...chosen] }
    const outcome = await openVisit({ id: job.id, visit })
    if (outcome.data !== undefined) void navigate(`/jobs/${outcome.data.id}`)
  }
  return (
    <div className="mt-4 space-y-4">
      <Field label={t`It comes`}>
        <TextInput type="datetime-local" value={arrives} onChange={(event) => setArrives(event.target.value)} />
      </Field>
      <fieldset>
        <legend className="label text-body text-quiet">{t`What is looked at`}</legend>
        {laid.map(({ partId, name, left }) => (
          <label key={partId} className="flex min-h-12 items-center gap-3 text-lead">
            <input
              type="checkbox"
              className="size-6 accent-petrol"
              checked={chosen.includes(partId)}
              onChange={({ target }) =>
                setChosen(target.checked ? [...chosen, partId] : chosen.filter((one) => one !== partId))
              }
            />
            <span>
              {name}
              {left.some(({ accepted }) => !accepted) ? (
                <span className="text-amber-ink">{t`: something was left open`}</span>
              ) : null}
            </span>
          </label>
        ))}
      </fieldset>
      <WhatFailed error={error} />
      <Button
        look="go"
        disabled={!ready || isLoading}
        className="min-h-14 w-full text-lead"
        onClick={() => void begin()}
      >{t`Open it`}</Button>
    </div>
  )
}
