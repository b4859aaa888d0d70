import { useBlocker } from 'react-router'
import { Button } from './Button.tsx'
import { Modal } from './Modal.tsx'
import { useWords } from './words.ts'

interface AskBeforeLeavingProps {
  /** Something is typed that is not handed in. */
  readonly when: () => boolean
  readonly onThrowAway: () => void
}

/** Asks before a page with something typed is left; what is typed stays on the tablet unless it is thrown away. */
export function AskBeforeLeaving({ when, onThrowAway }: AskBeforeLeavingProps) {
  const t = useWords()
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) => currentLocation.pathname !== nextLocation.pathname && when(),
  )
  return (
    <Modal open={blocker.state === 'blocked'} title={t`Leave this page?`} onClose={() => blocker.reset?.()}>
      <p className="mt-3 text-lead">{t`What you have typed is not handed in yet. It stays on this tablet, and is here when you come back.`}</p>
      <p className="mt-6 flex flex-wrap gap-3">
        <Button look="go" className="min-h-14" onClick={() => blocker.reset?.()}>{t`Stay here`}</Button>
        <Button className="min-h-14" onClick={() => blocker.proceed?.()}>{t`Leave, keep it`}</Button>
        <Button
          look="quiet"
          className="min-h-14"
          onClick={() => {
            onThrowAway()
            blocker.proceed?.()
          }}
        >{t`Leave, throw it away`}</Button>
      </p>
    </Modal>
  )
}
