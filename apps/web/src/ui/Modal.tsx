import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'

interface ModalProps {
  readonly open: boolean
  readonly title: string
  readonly onClose: () => void
  /** Beside the title. */
  readonly actions?: ReactNode
  /** As tall as what it holds. */
  readonly low?: boolean
  readonly children: ReactNode
}

/** A page in front of the page; it prints alone. */
export function Modal({ open, title, onClose, actions, low = false, children }: ModalProps) {
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
          className={`fixed z-30 mx-auto flex flex-col bg-paper p-6 print:static print:inset-0 print:p-0 ${low ? 'inset-x-4 top-[8vh] max-h-[84vh] max-w-2xl overflow-y-auto' : 'inset-4 max-w-4xl'}`}
        >
          <div className="flex flex-wrap items-center justify-between gap-4">
            <Dialog.Title className="text-title font-bold leading-tight">{title}</Dialog.Title>
            {actions === undefined ? null : <span className="no-print flex gap-2">{actions}</span>}
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
