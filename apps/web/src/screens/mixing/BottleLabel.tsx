import { volume } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { bottleLabelOf, type LiquidBatch, type Person } from '@truelay/contract'
import { strengthWords } from '@truelay/core/mix'
import { Modal } from '../../ui/Modal.tsx'
import { SquareCode } from '../../ui/SquareCode.tsx'
import { PrintOrClose } from '../../ui/PrintOrClose.tsx'

interface BottleLabelProps {
  readonly batch: LiquidBatch
  readonly people: readonly Person[]
  readonly keepsDays: number
  readonly onClose: () => void
}

/** The label of a bottle: its number large, what is in it, when, by whom, and a code to read. */
export function BottleLabel({ batch, people, keepsDays, onClose }: BottleLabelProps) {
  const t = useWords()
  const mixedAt = new Date(batch.mixedAt)
  const until = new Date(mixedAt.getTime() + keepsDays * 86_400_000)
  const day = (date: Date) => date.toLocaleDateString(undefined, { day: 'numeric', month: 'short' })
  return (
    <Modal
      open
      title={t`Label of bottle ${batch.number}`}
      onClose={onClose}
      actions={<PrintOrClose onClose={onClose} />}
    >
      <div className="mt-5 flex max-w-2xl items-center gap-6 border-2 border-ink p-5">
        <SquareCode of={bottleLabelOf(batch)} alt={t`Code of bottle ${batch.number}`} className="size-48" />
        <div>
          <p className="text-figure font-bold leading-none">{batch.number}</p>
          <p className="mt-2 text-title font-bold leading-tight">{batch.says ? t(batch.says) : null}</p>
          <p className="text-title">{t(strengthWords(batch.strength))}</p>
          <p className="mt-2 text-body">{t`${volume(batch.bottleMl)} bottle, ${batch.waterKind} water. Mixed ${day(mixedAt)} by ${people.find((p) => p.id === batch.personId)?.name ?? batch.personId}; good until ${day(until)}.`}</p>
          {batch.strength.alcoholPercent > 0 ? (
            <p className="mt-1 text-body font-bold">{t`Flammable. Fresh air, no flame, not beside a hot gun.`}</p>
          ) : null}
        </div>
      </div>
    </Modal>
  )
}
