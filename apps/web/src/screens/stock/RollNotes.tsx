import { type CountedRoll, offcutId, type Roll, type RollNote } from '@truelay/contract'
import { length } from '@truelay/core/say'
import { useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useWords } from '../../ui/words.ts'

interface RollNotesProps {
  readonly roll: Roll
  readonly account: CountedRoll['account']
  readonly busy: boolean
  readonly onNote: (happened: RollNote['happened']) => void
}

/** What a person finds out about a roll: how much is left, where it is spoilt, what was put by, that it is used up. */
export function RollNotes({ roll, account, busy, onNote }: RollNotesProps) {
  const t = useWords()
  const [leftM, setLeft] = useState(account.leftMm / 1000)
  const [fromM, setFrom] = useState(0)
  const [toM, setTo] = useState(0.3)
  const [offcut, setOffcut] = useState({ lengthMm: 500, widthMm: Math.min(500, roll.widthMm) })
  if (account.gone)
    return <Button disabled={busy} onClick={() => onNote({ kind: 'back' })}>{t`It is not used up after all`}</Button>
  const metres = { unit: 'm', digits: 2, min: 0, max: roll.lengthMm / 1000 }
  return (
    <div className="grid gap-5">
      <Note title={t`Measured`}>
        <NumberField label={t`Left on the roll`} {...metres} value={leftM} onCommit={setLeft} />
        <Button disabled={busy} onClick={() => onNote({ kind: 'measured', leftMm: 1000 * leftM })}>{t`Note it`}</Button>
      </Note>
      <Note title={t`Spoilt, counted from its loose end`}>
        <NumberField label={t`From`} {...metres} value={fromM} onCommit={setFrom} />
        <NumberField label={t`To`} {...metres} value={toM} onCommit={setTo} />
        <Button
          disabled={busy || toM <= fromM}
          onClick={() => onNote({ kind: 'spoilt', fromMm: 1000 * fromM, toMm: 1000 * toM })}
        >{t`Mark it`}</Button>
      </Note>
      <Note title={t`An offcut is put by`}>
        <NumberField
          label={t`Along the roll`}
          unit="mm"
          digits={0}
          min={50}
          max={roll.lengthMm}
          value={offcut.lengthMm}
          onCommit={(lengthMm) => setOffcut({ ...offcut, lengthMm })}
        />
        <NumberField
          label={t`Across it`}
          unit="mm"
          digits={0}
          min={50}
          max={roll.widthMm}
          value={offcut.widthMm}
          onCommit={(widthMm) => setOffcut({ ...offcut, widthMm })}
        />
        <Button
          disabled={busy}
          onClick={() =>
            onNote({
              kind: 'offcut kept',
              offcutId: offcutId.parse(crypto.randomUUID()),
              cutId: null,
              ...offcut,
            })
          }
        >{t`Keep it`}</Button>
      </Note>
      {account.offcuts.length === 0 ? null : (
        <ul>
          {account.offcuts.map(({ offcutId: id, lengthMm, widthMm }) => (
            <li key={id} className="flex items-center justify-between gap-3 border-t border-hair py-2 text-body">
              {t`Put by: ${length(lengthMm, 0)} by ${length(widthMm, 0)}`}
              <Button
                disabled={busy}
                onClick={() => onNote({ kind: 'offcut gone', offcutId: id })}
              >{t`Thrown away`}</Button>
            </li>
          ))}
        </ul>
      )}
      <Button disabled={busy} onClick={() => onNote({ kind: 'gone' })}>{t`The roll is used up`}</Button>
    </div>
  )
}

function Note({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <section aria-label={title}>
      <h2 className="label-strong text-body">{title}</h2>
      <div className="mt-1 flex items-end gap-4 [&>button]:shrink-0">{children}</div>
    </section>
  )
}
