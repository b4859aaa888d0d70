import { Button } from './Button.tsx'

/** What one does with a page that is made to be printed. */
export const PrintOrClose = ({ onClose }: { readonly onClose: () => void }) => (
  <>
    <Button look="go" onClick={() => window.print()}>
      Print
    </Button>
    <Button onClick={onClose}>Close</Button>
  </>
)
