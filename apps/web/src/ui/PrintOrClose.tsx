import { useWords } from './words.ts'
import { Button } from './Button.tsx'

/** What one does with a page that is made to be printed. */
export const PrintOrClose = ({ onClose }: { readonly onClose: () => void }) => {
  const t = useWords()
  return (
    <>
      <Button look="go" onClick={() => window.print()}>{t`Print`}</Button>
      <Button onClick={onClose}>{t`Close`}</Button>
    </>
  )
}
