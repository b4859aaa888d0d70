import { volume } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { type MeasuredBatch, type Measures, pourWords, strengthWords } from '@truelay/core/mix'
import { Quantity } from '../../ui/Quantity.tsx'

interface PourListProps {
  readonly title: string
  readonly measured: MeasuredBatch
  readonly measures: Measures
  /** Poured away before anything is added. */
  readonly pourOffMl?: number
  /** What is in the bottle afterwards; left out = what was poured. */
  readonly finalMl?: number
  /** Left out = that of what was poured. */
  readonly strength?: MeasuredBatch['strength']
}

/** What to pour, in the order of pouring, to be read from the sink. */
export function PourList({ title, measured, measures, pourOffMl = 0, finalMl, strength }: PourListProps) {
  const t = useWords()
  const pours = measured.pours.filter((pour) => pour.ml > 0)
  return (
    <section aria-labelledby="pour-title">
      <h2 id="pour-title" className="label-strong border-b-2 border-ink pb-1 text-lead">
        {title}
      </h2>
      <ol data-testid="pours">
        {pourOffMl > 0.5 ? (
          <li className="grid grid-cols-[2.75rem_1fr_auto] items-baseline gap-x-3 border-b border-hair py-2 text-amber">
            <span className="text-head font-bold">1</span>
            <span className="text-head">
              {t`pour away`}
              <span className="block text-body text-quiet">{t`mix it well first`}</span>
            </span>
            <strong className="text-figure leading-none">
              <Quantity of={volume(pourOffMl)} unitClass="text-head" />
            </strong>
          </li>
        ) : null}
        {pours.map((pour, i) => (
          <li
            key={pour.what}
            className="grid grid-cols-[2.75rem_1fr_auto] items-baseline gap-x-3 border-b border-hair py-2"
          >
            <span className="text-head font-bold text-quiet">{i + (pourOffMl > 0.5 ? 2 : 1)}</span>
            <span className="text-head">
              {pour.what}
              <span className="block text-body text-quiet">{t(pourWords(pour, measures))}</span>
            </span>
            <strong className="text-figure leading-none">
              <Quantity of={volume(pour.ml)} unitClass="text-head" />
            </strong>
          </li>
        ))}
        {pours.length === 0 ? <li className="py-3 text-head">{t`Nothing to add.`}</li> : null}
      </ol>
      <p className="flex flex-wrap items-baseline justify-between gap-x-6 pt-2 text-lead" data-testid="results">
        <span>{t`gives ${volume(finalMl ?? measured.totalMl)} of`}</span>
        <strong className="text-title">{t(strengthWords(strength ?? measured.strength))}</strong>
      </p>
      {measured.warnings.map((warning) => (
        <p key={t(warning)} className="mt-2 border-l-5 border-amber bg-amber-tint px-3 py-1.5 text-body">
          {t(warning)}
        </p>
      ))}
    </section>
  )
}
