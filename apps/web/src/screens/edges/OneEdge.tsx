import { counted, filmLength, length, list } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { EdgePlan, EdgeWork } from '@truelay/core/edges'
import { edgeAdvice, edgeCodeWords } from '@truelay/core/plan'
import type { Practice } from '@truelay/core/practice'
import type { ReactNode } from 'react'
import { Notice } from '../../ui/Notice.tsx'
import { EndChoice } from './EndChoice.tsx'
import { Quantity } from '../../ui/Quantity.tsx'

interface OneEdgeProps {
  readonly edge: EdgeWork
  readonly plan: EdgePlan
  readonly practice: Practice
}

/** One edge in large type: how much film, with what, when, and what speaks against it. */
export function OneEdge({ edge, plan, practice }: OneEdgeProps) {
  const t = useWords()
  const { rule } = edge
  const over = rule.maxMm <= 0
  const [least, most] = over ? [-rule.maxMm, -rule.minMm] : [rule.minMm, rule.maxMm]
  const blade = edge.tools.find((t) => t.bladeDeg !== null)
  const [notch] = edge.notches
  return (
    <aside
      // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard has to reach it
      tabIndex={0}
      className="border-hair bg-paper px-5 py-4 lg:overflow-y-auto lg:border-l"
      aria-label={t`Edge: ${edge.label}`}
    >
      <p className="label text-body text-quiet first-letter:uppercase">{edge.label}</p>
      <h2 className="text-title font-bold leading-tight first-letter:uppercase">{t(edgeCodeWords[edge.code])}</h2>
      <p className="mt-1 text-figure font-bold leading-none" data-testid="edge-amount">
        <Quantity of={length(least, tidy(least))} bare />
        {t` to `}
        <Quantity of={length(most, tidy(most))} unitClass="text-head" />{' '}
        <span className="whitespace-nowrap text-lead font-normal text-quiet">
          {over ? t`over the edge` : t`short of it`}
        </span>
      </p>
      <p className="mt-2 text-body leading-snug">{t(edgeAdvice(edge.code))}</p>
      {edge.doubts.map((doubt) => (
        <div key={t(doubt)} className="mt-3">
          <Notice look="caution" role="status">
            <strong>{t`Does this suit?`}</strong> {t(doubt)}
          </Notice>
        </div>
      ))}
      <dl className="mt-4">
        <Row label={t`When`}>{t(edge.when)}</Row>
        <Row label={t`With`}>{t`${list(edge.tools.map((tool) => tool.name))}`}</Row>
        {blade === undefined ? null : (
          <Row label={t`Blade`}>
            <strong className="text-title">{blade.bladeDeg}°</strong>, {blade.direction ? t(blade.direction) : null}
          </Row>
        )}
        {notch === undefined ? null : (
          <Row label={t`Notch at its corner`}>
            {notch.kind === 'slit' ? t`one slit of ` : t`two cuts of `}
            <strong>
              <Quantity of={length(notch.cutMm, 0)} />
            </strong>{' '}
            {t`at ${Math.round(notch.cutDeg)}°, ending ${length(notch.clearMm)} before the corner`}
          </Row>
        )}
        {edge.cutMm > 0 ? (
          <Row label={t`Cut here`}>
            <Quantity of={length(edge.cutMm, 0)} />
          </Row>
        ) : null}
        {edge.seal === null ? null : <Row label={t`Seal`}>{t(edge.seal)}</Row>}
      </dl>
      <EndChoice edge={edge.edge} code={edge.code} />
      {edge.schools.map((school) => (
        <section key={t(school.question)} className="mt-4 border-t border-hair pt-3">
          <h3 className="label-strong text-body">{t(school.question)}</h3>
          <ul>
            {school.options.map((option) => (
              <li key={t(option.name)} className="mt-1 flex gap-3 text-body leading-snug">
                <span
                  aria-hidden="true"
                  className={`mt-1 size-4 shrink-0 border-2 ${option.suits ? 'border-petrol bg-petrol' : 'border-quiet'}`}
                />
                <span>
                  <strong>{t(option.name)}</strong>
                  {option.suits ? t`, taken here` : ''}. {t(option.says)}
                </span>
              </li>
            ))}
          </ul>
          <p className="mt-1 text-note text-quiet">{t(school.because)}</p>
        </section>
      ))}
      <div className="mt-4 grid gap-2">
        {edge.cautions.map((caution) => (
          <Notice key={t(caution)} look="caution">
            {t(caution)}
          </Notice>
        ))}
      </div>
      <p className="mt-4 border-t border-hair pt-3 text-body">
        {plan.segments === 0
          ? t`No blade on this part.`
          : t`${counted(plan.segments, '# fresh segment', '# fresh segments')} for this part: one to begin, and again every ${filmLength(practice.bladeAlong)}. In all ${length(plan.cutMm)} to cut.`}
      </p>
    </aside>
  )
}

const tidy = (mm: number) => (Number.isInteger(mm) ? 0 : 1)

const Row = ({ label, children }: { readonly label: string; readonly children: ReactNode }) => (
  <div className="grid grid-cols-[7.5rem_1fr] items-baseline gap-3 border-t border-hair py-2">
    <dt className="label text-note text-quiet">{label}</dt>
    <dd className="text-body leading-snug">{children}</dd>
  </div>
)
