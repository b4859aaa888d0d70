import { useState } from 'react'
import { useNavigate } from 'react-router'
import { useForgetCustomerMutation } from '../../remote/jobsApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'

/** Takes a customer's personal data out of all jobs, after it was said what that means: it is the one change here without a way back. */
export function ForgetCustomer({ customer }: { readonly customer: string }) {
  const t = useWords()
  const navigate = useNavigate()
  const [asking, setAsking] = useState(false)
  const [forget, { error, isLoading }] = useForgetCustomerMutation()
  const go = async () => {
    const outcome = await forget(customer)
    if (outcome.error === undefined) void navigate('/jobs')
  }
  return (
    <>
      <Button look="quiet" className="-ml-4" onClick={() => setAsking(true)}>{t`Remove this customer’s data`}</Button>
      <Modal
        open={asking}
        title={t`Remove what tells who ${customer} is?`}
        onClose={() => setAsking(false)}
        actions={<Button onClick={() => setAsking(false)}>{t`Keep it`}</Button>}
      >
        <div className="mt-4 max-w-2xl space-y-3 text-body">
          <p>{t`Name, number plates and signatures are taken out of every job of this customer. Film, lots, steps, findings and their photos stay: they are the record of the work. Look through the photos for people and plates yourself.`}</p>
          <p>
            <strong>{t`This cannot be undone.`}</strong>{' '}
            {t`Backups keep it until they are replaced, after fourteen days at the latest; delete those that were put elsewhere.`}
          </p>
          <WhatFailed error={error} />
          <Button look="caution" disabled={isLoading} onClick={() => void go()}>{t`Remove it from all jobs`}</Button>
        </div>
      </Modal>
    </>
  )
}
