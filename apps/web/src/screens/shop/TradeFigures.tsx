import type { Shop } from '@truelay/contract'
import {
  type PracticeChange,
  type PracticeGroupName,
  practiceGroups,
  type PracticeKey,
  practiceTable,
} from '@truelay/core/practice'
import { counted, type Sentence } from '@truelay/core/say'
import { ChevronRight } from 'lucide-react'
import { useDeferredValue, useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { holdsWords } from '../../ui/holdsWords.ts'
import { NumberField } from '../../ui/NumberField.tsx'
import { SearchInput } from '../../ui/SearchInput.tsx'
import { typedIn } from '../../ui/typedIn.ts'
import { useUnits } from '../../ui/units.ts'
import { useWords } from '../../ui/words.ts'
import { ForRole } from '../frame/ForRole.tsx'

interface TradeFiguresProps {
  readonly shop: Shop
  readonly onChange: (change: PracticeChange) => void
}

/** Every figure of the trade with its range and its reason, by groups that are folded until somebody wants them or looks for a word. */
export function TradeFigures({ shop, onChange }: TradeFiguresProps) {
  const t = useWords()
  const [typed, setTyped] = useState('')
  const sought = useDeferredValue(typed).trim()
  const [open, setOpen] = useState<readonly PracticeGroupName[]>([])
  const holds = ({ title, key }: { readonly title: Sentence; readonly key: PracticeKey }) => {
    const { label, reason } = practiceTable[key]
    return holdsWords(
      sought,
      [title, label, reason].map((sentence) => t(sentence)),
    )
  }
  const found =
    sought === ''
      ? practiceGroups
      : practiceGroups
          .map((group) => ({ ...group, keys: group.keys.filter((key) => holds({ title: group.title, key })) }))
          .filter(({ keys }) => keys.length > 0)
  return (
    <section aria-labelledby="figures-title" className="mt-6 border-t border-hair pt-4">
      <h2 id="figures-title" className="label-strong text-lead">{t`Figures of the trade`}</h2>
      <p className="mt-1 max-w-prose leading-snug">
        {t`What is usual, and why. Change what is different in your shop: every plan counts with it from then on.`}
      </p>
      <div className="mt-3 max-w-md">
        <SearchInput
          label={t`Look for a figure`}
          examples={t`peel, alcohol, blade …`}
          value={typed}
          most={60}
          onChange={setTyped}
        />
      </div>
      <div className="mt-3 border-t border-hair">
        {found.map(({ name, title, keys }) => (
          <Group
            key={name}
            title={title}
            keys={keys}
            open={sought !== '' || open.includes(name)}
            onOpen={(isOpen) => {
              if (sought === '') setOpen(isOpen ? [...open, name] : open.filter((other) => other !== name))
            }}
            shop={shop}
            onChange={onChange}
          />
        ))}
        {found.length > 0 ? null : <p className="py-4 leading-snug">{t`No figure has “${typed.trim()}” in it.`}</p>}
      </div>
    </section>
  )
}

interface GroupProps extends TradeFiguresProps {
  readonly title: Sentence
  readonly keys: readonly PracticeKey[]
  readonly open: boolean
  readonly onOpen: (open: boolean) => void
}

function Group({ title, keys, open, onOpen, shop, onChange }: GroupProps) {
  const t = useWords()
  const own = keys.filter((key) => shop.practice[key] !== undefined).length
  return (
    <details open={open} onToggle={({ currentTarget }) => onOpen(currentTarget.open)} className="border-b border-hair">
      <summary className="flex min-h-13 cursor-pointer items-center gap-3 py-2">
        <ChevronRight size={20} aria-hidden="true" className={`shrink-0 text-quiet ${open ? 'rotate-90' : ''}`} />
        <h3 className="label-strong flex-1 text-body">{t(title)}</h3>
        {own === 0 ? null : (
          <span className="label-strong text-note text-petrol">
            {t`${counted(own, '# of your own', '# of your own')}`}
          </span>
        )}
        <span className="text-note text-quiet">{t`${counted(keys.length, '# figure', '# figures')}`}</span>
      </summary>
      {open ? (
        <ForRole least="lead">
          <ul>
            {keys.map((key) => (
              <FigureRow key={key} name={key} shop={shop} onChange={onChange} />
            ))}
          </ul>
        </ForRole>
      ) : null}
    </details>
  )
}

interface FigureRowProps extends TradeFiguresProps {
  readonly name: PracticeKey
}

function FigureRow({ name, shop, onChange }: FigureRowProps) {
  const t = useWords()
  const figure = practiceTable[name]
  const own = shop.practice[name]
  const [key, setKey] = useState(0)
  const digits = figure.unit === 'ratio' ? 3 : Number.isInteger(figure.value) && figure.value >= 10 ? 0 : 2
  const typing = typedIn(useUnits(), figure.unit, digits)
  const text = (x: number) => String(Number(typing.shown(x).toFixed(typing.digits)))
  return (
    <li className="grid items-end gap-x-6 border-t border-hair py-2.5 md:grid-cols-[14.375rem_1fr_auto]">
      <NumberField
        key={key}
        label={t(figure.label)}
        unit={figure.unit === 'ratio' ? t`ratio` : figure.unit}
        digits={digits}
        value={own ?? figure.value}
        min={figure.min}
        max={figure.max}
        onCommit={(value) => onChange({ [name]: value })}
        short
      />
      <p className="leading-snug">
        {t(figure.reason)}{' '}
        <span className="text-quiet">{t`Usual ${text(figure.value)}, range ${text(figure.min)} to ${text(figure.max)}.`}</span>
      </p>
      {own === undefined ? (
        <span />
      ) : (
        <Button
          look="quiet"
          onClick={() => {
            onChange({ [name]: null })
            setKey(key + 1)
          }}
        >{t`Back to usual`}</Button>
      )}
    </li>
  )
}
