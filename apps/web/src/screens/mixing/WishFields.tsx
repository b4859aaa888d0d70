import { say, type Sentence } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { LiquidSchool } from '@truelay/core/mix'
import type { Practice } from '@truelay/core/practice'
import { Field, SelectInput } from '../../ui/Field.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { mixedSchools, type Wish } from './wish.ts'

interface WishFieldsProps {
  readonly wish: Wish
  readonly practice: Practice
  readonly onWish: (wish: Wish) => void
}

/** What is wanted: a school by name, or a strength that is typed. */
export function WishFields({ wish, practice, onWish }: WishFieldsProps) {
  const t = useWords()
  return (
    <>
      <Field label={t`What is wanted`}>
        <SelectInput
          value={wish.school}
          onChange={(event) => onWish({ ...wish, school: event.target.value as LiquidSchool | 'own' })}
        >
          {mixedSchools.map(({ school, says }) => (
            <option key={school} value={school}>
              {forWords[school] === undefined ? t(says) : t`${says}, ${forWords[school]}`}
            </option>
          ))}
          <option value="own">{t`a strength of my own`}</option>
        </SelectInput>
      </Field>
      {wish.school === 'own' ? (
        <div className="grid grid-cols-2 gap-5">
          <NumberField
            label={t`Alcohol`}
            unit="%"
            digits={1}
            value={wish.own.alcoholPercent}
            min={0}
            max={99}
            onCommit={(alcoholPercent) => onWish({ ...wish, own: { ...wish.own, alcoholPercent } })}
          />
          <NumberField
            label={t`Soap`}
            unit="mL/L"
            digits={1}
            value={wish.own.soapMlPerL}
            min={0}
            max={50}
            onCommit={(soapMlPerL) => onWish({ ...wish, own: { ...wish.own, soapMlPerL } })}
          />
        </div>
      ) : null}
      {wish.school === 'strong tack' ? (
        <p className="text-note leading-snug text-quiet">{t`Bulk, deep shapes and edges. Not on lenses above ${practice.lensAlcohol} %.`}</p>
      ) : null}
    </>
  )
}

const forWords: Partial<Record<LiquidSchool, Sentence>> = {
  'light slip': say`clear film on panels`,
  'heavy slip': say`big pieces that slide far`,
  'water only': say`wet lens tint`,
  'weak tack': say`pre-cut panels`,
  'strong tack': say`bulk and edges`,
  hybrid: say`small parts, fast`,
  'tack only': say`mirrors and lamps`,
}
