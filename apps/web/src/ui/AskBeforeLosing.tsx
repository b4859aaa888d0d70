import { useBlocker } from 'react-router'
import { Button } from './Button.tsx'
import { Modal } from './Modal.tsx'
import { useWords } from './words.ts'

/** Asks before a page is left whose work is kept nowhere. */
export function AskBeforeLosing({ when }: { readonly when: () => boolean }) {
  const t = useWords()
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) => currentLocation.pathname !== nextLocation.pathname && when(),
  )
  return (
    <Modal open={blocker.state === 'blocked'} title={t`Leave this page?`} onClose={() => blocker.reset?.()}>
      <p className="mt-3 text-lead">{t`What was done here is not kept: coming back you begin anew.`}</p>
      <p className="mt-6 flex flex-wrap gap-3">
        <Button look="go" className="min-h-14" onClick={() => blocker.reset?.()}>{t`Stay here`}</Button>
        <Button look="quiet" className="min-h-14" onClick={() => blocker.proceed?.()}>{t`Leave, throw it away`}</Button>
      </p>
    </Modal>
  )
}
