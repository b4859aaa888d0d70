import { labelOf, type Piece } from '@truelay/contract'
import { Dialog } from 'radix-ui'
import { useEffect, useState } from 'react'
import { Button } from '../../ui/Button.tsx'

interface LabelsDialogProps {
  readonly open: boolean
  readonly pieces: readonly Piece[]
  readonly onClose: () => void
}

/** The shop's own labels: a square code and the words beside it, one for each piece. */
export function LabelsDialog({ open, pieces, onClose }: LabelsDialogProps) {
  const [codes, setCodes] = useState<Readonly<Record<string, string>>>({})
  useEffect(() => {
    if (!open) return
    let current = true
    void import('qrcode').then(async ({ toDataURL }) => {
      const made: Record<string, string> = {}
      for (const piece of pieces)
        made[piece.id] = await toDataURL(labelOf(piece), { margin: 2, errorCorrectionLevel: 'M', scale: 6 })
      if (current) setCodes(made)
    })
    return () => {
      current = false
    }
  }, [open, pieces])
  return (
    <Dialog.Root
      open={open}
      onOpenChange={(now) => {
        if (!now) onClose()
      }}
    >
      <Dialog.Portal>
        <Dialog.Overlay className="no-print fixed inset-0 z-20 bg-ink/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-6 z-30 mx-auto flex max-w-5xl flex-col bg-paper p-5 print:static print:inset-0 print:p-0"
        >
          <div className="no-print flex items-center justify-between gap-4 pb-3">
            <Dialog.Title className="text-[26px] font-bold">Labels</Dialog.Title>
            <span className="flex gap-2">
              <Button look="go" onClick={() => window.print()}>
                Print
              </Button>
              <Button onClick={onClose}>Close</Button>
            </span>
          </div>
          <ul className="grid min-h-0 flex-1 grid-cols-2 content-start gap-2 overflow-y-auto sm:grid-cols-3 print:overflow-visible">
            {pieces.map((piece) => (
              <li key={piece.id} className="flex break-inside-avoid items-center gap-2 border border-hair p-2">
                {codes[piece.id] === undefined ? (
                  <span className="size-24 bg-bench" />
                ) : (
                  <img src={codes[piece.id]} alt={labelOf(piece)} className="size-24" />
                )}
                <span className="min-w-0 text-[15px] leading-snug">
                  <strong className="block">{piece.name}</strong>
                  lot {piece.lot}
                </span>
              </li>
            ))}
          </ul>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
