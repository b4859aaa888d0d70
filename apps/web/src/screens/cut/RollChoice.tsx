import type { KitCheck } from '@truelay/contract'
import { lotsOf } from '@truelay/contract'
import { filmLength, length } from '@truelay/core/say'
import { Link } from 'react-router'
import { Field, SelectInput, TextInput } from '../../ui/Field.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useWords } from '../../ui/words.ts'
import { rollWords } from '../stock/stockWords.ts'
import type { FilmToCut } from './toCut.ts'
import { anotherRoll, type CutSource } from './cutSources.ts'

interface RollChoiceProps {
  readonly film: FilmToCut
  readonly check: KitCheck
  readonly sources: readonly CutSource[]
  readonly chosen: CutSource
  readonly onChoose: (source: CutSource) => void
}

/** Which roll or offcut is cut from; where the shop keeps no book of it, its width and its lot. */
export function RollChoice({ film, check, sources, chosen, onChoose }: RollChoiceProps) {
  const t = useWords()
  const wordsOf = ({ roll, lot, lengthMm, widthMm }: CutSource) =>
    roll === null
      ? t`Another roll`
      : roll.offcutId === null
        ? t`${rollWords({ id: roll.rollId })}: ${filmLength(lengthMm ?? 0)}, lot ${lot}`
        : t`Offcut of ${rollWords({ id: roll.rollId })}: ${length(lengthMm ?? 0, 0)} by ${length(widthMm, 0)}`
  const ids = film.pieces.flatMap(({ of }) => ('pieceId' in of ? [of.pieceId] : []))
  const lots = check.arrived.filter(({ pieceId, arrived }) => arrived > 0 && ids.includes(pieceId)).flatMap(lotsOf)
  const other = lots.find((lot) => lot !== chosen.lot)
  return (
    <div className="grid gap-3 border-b border-hair px-5 py-3">
      {sources.length === 0 ? null : (
        <Field label={t`Cut from`}>
          <SelectInput
            value={chosen.key}
            onChange={({ target: { value } }) =>
              onChoose(sources.find(({ key }) => key === value) ?? anotherRoll(chosen.widthMm, ''))
            }
          >
            {[...sources, anotherRoll(0, '')].map((source) => (
              <option key={source.key} value={source.key}>
                {wordsOf(source)}
              </option>
            ))}
          </SelectInput>
        </Field>
      )}
      {chosen.roll === null ? (
        <>
          <div className="grid grid-cols-2 gap-4">
            <NumberField
              label={t`Width of the roll`}
              unit="mm"
              value={chosen.widthMm}
              digits={0}
              min={100}
              max={2500}
              onCommit={(widthMm) => onChoose({ ...chosen, widthMm })}
            />
          </div>
          <Field
            label={t`Lot on the core of the roll`}
            problem={
              chosen.lot.trim() === '' ? t`Read it off the core: it goes on the record of every piece.` : undefined
            }
          >
            <TextInput
              value={chosen.lot}
              maxLength={40}
              onChange={({ target: { value } }) => onChoose({ ...chosen, lot: value })}
            />
          </Field>
          <Link to="/shelf/rolls/new" className="text-body text-petrol underline">{t`Put this roll on the shelf`}</Link>
        </>
      ) : null}
      {other === undefined || chosen.lot.trim() === '' ? null : (
        <Notice look="caution">
          <span className="text-body">{t`Pieces of this job are of lot ${other} already. Two lots can differ in colour and gloss: lay neighbours from one.`}</span>
        </Notice>
      )}
    </div>
  )
}
