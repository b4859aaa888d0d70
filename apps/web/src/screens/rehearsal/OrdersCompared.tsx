import { wholeFailure } from '@truelay/core/result'
import { useWords } from '../../ui/words.ts'
import type { JobBundle, Part } from '@truelay/contract'
import type { FormDoc } from '@truelay/core/form'
import { compareOrders, orderName, type RehearsalFigures } from '@truelay/core/lay'
import { length, name, nothing, percent, say, type Sentence, inSpan, span } from '@truelay/core/say'
import { ArrowDownRight, ArrowUpRight, Search } from 'lucide-react'
import { useMemo } from 'react'
import { Link, useNavigate } from 'react-router'
import { useSaveOrderMutation } from '../../remote/jobApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Notice } from '../../ui/Notice.tsx'
import type { ShownRehearsal } from '../../workers/rehearsalWork.ts'
import type { SearchState } from './useRehearsals.ts'
import { ForRole } from '../frame/ForRole.tsx'

interface OrdersComparedProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly form: FormDoc
  readonly patterned: boolean
  /** A part on which the order seldom changes much. */
  readonly small: boolean
  readonly a: ShownRehearsal | null
  readonly b: ShownRehearsal | null
  readonly search: SearchState
  readonly onLook: () => void
  readonly onStop: () => void
}

/** What the second order changes, in words and figures; the search; and which one goes into the fit. */
export function OrdersCompared(props: OrdersComparedProps) {
  const t = useWords()
  const { bundle, part, form, patterned, a, b, search } = props
  const differences = useMemo(
    () => (a === null || b === null ? [] : compareOrders(form, a.rehearsal.figures, b.rehearsal.figures, patterned)),
    [form, a, b, patterned],
  )
  return (
    <aside className="border-hair bg-paper lg:flex lg:min-h-0 lg:flex-col lg:border-l">
      <div className="lg:min-h-0 lg:flex-1 lg:overflow-y-auto">
        <SearchBox {...props} />
        <section aria-labelledby="changes" className="border-t border-hair px-4 py-3">
          <h2 id="changes" className="label-strong text-body">{t`What the second order changes`}</h2>
          {a === null || b === null ? (
            <p className="text-note text-quiet">{t`Rehearsing.`}</p>
          ) : differences.length === 0 ? (
            <p className="text-note">{t`Nothing that a hand would notice.`}</p>
          ) : (
            <ul>
              {differences.slice(0, 7).map((d) => (
                <li key={t(d.says)} className="mt-1.5 flex gap-2 text-body leading-snug">
                  {d.better ? (
                    <ArrowDownRight className="mt-0.5 shrink-0 text-good" size={19} aria-label={t`better:`} />
                  ) : (
                    <ArrowUpRight className="mt-0.5 shrink-0 text-amber" size={19} aria-label={t`worse:`} />
                  )}
                  <span>{t(d.says)}</span>
                </li>
              ))}
            </ul>
          )}
        </section>
        {a === null || b === null ? null : (
          <Figures a={a.rehearsal.figures} b={b.rehearsal.figures} form={form} patterned={patterned} />
        )}
        <p className="px-4 pb-3 text-note leading-snug text-quiet">{t`Film as a membrane without friction, pulled as evenly as hands can, laid twice with strokes half a stroke apart: figures are the means. Compare orders by it; do not read it to the tenth of a millimetre.`}</p>
      </div>
      <TakeIt bundle={bundle} part={part} b={b} search={search} />
    </aside>
  )
}

function SearchBox(props: OrdersComparedProps) {
  const { search, onLook, onStop } = props
  const t = useWords()
  return (
    <section aria-label={t`Search for a better order`} className="px-4 py-3">
      {search.phase === 'looking' ? (
        <div role="status">
          <p className="label-strong text-body">{t`Looking for a better order`}</p>
          <progress
            className="mt-1 block h-2.5 w-full"
            value={search.news.share}
            max={1}
            aria-label={t`How far the search is`}
          />
          <p className="mt-1 min-h-[3.875rem] text-note leading-snug">
            {t`${search.news.tried} tried.`}{' '}
            {search.news.best === null ? null : (
              <span className="text-quiet">{t`Best so far: ${search.news.best}`}</span>
            )}
          </p>
          <Button className="w-full" onClick={onStop}>{t`Stop looking`}</Button>
        </div>
      ) : (
        <>
          {search.phase === 'found' ? (
            <Notice look="good" role="status">
              <strong className="block text-body">
                {search.found.best.order.made === 'by school'
                  ? t`Nothing beats “${orderName(search.found.best.order)}”`
                  : t`A better order`}
              </strong>
              {t(search.found.because)}
              {search.times > 1 ? (
                <span className="mt-1 block">{t`Looked ${search.times} times, tried ${search.found.tried} orders: this is the best of all.`}</span>
              ) : null}
              {search.found.matters ? null : (
                <span className="mt-1 block">{t`On this part the order hardly matters: the schools lie close together. Lay it as suits your hand.`}</span>
              )}
            </Notice>
          ) : search.phase === 'refused' ? (
            <Notice look="caution" role="alert">
              {t(wholeFailure(search.failure))}
            </Notice>
          ) : (
            <p className="text-note leading-snug">
              {t`Tries all schools, then other anchors, pulls and starts, and says what they change.`}{' '}
              {props.small
                ? t`On a small part the order seldom changes much: the search says whether it does here.`
                : ''}
            </p>
          )}
          <Button look={search.phase === 'found' ? 'plain' : 'go'} className="mt-2.5 w-full" onClick={onLook}>
            <Search size={20} /> {search.phase === 'found' ? t`Look again` : t`Look for a better order`}
          </Button>
        </>
      )}
    </section>
  )
}

function Figures({
  a,
  b,
  form,
  patterned,
}: {
  readonly a: RehearsalFigures
  readonly b: RehearsalFigures
  readonly form: FormDoc
  readonly patterned: boolean
}) {
  const t = useWords()
  const share = (of: number): Sentence => say`${percent(100 * of, 1)}`
  const mm = (of: number): Sentence => say`${length(of)}`
  const left = (mmPer100: number): Sentence => say`${inSpan(mmPer100)}`
  const figure = (of: number): Sentence => say`${name(String(of))}`
  const far = (f: RehearsalFigures) => mm(Math.abs(f.farEnd.shiftMm))
  const shrunk = (f: RehearsalFigures) => left(Math.max(0, ...f.edges.map((e) => e.afterShrinkingMmPer100)))
  const worstRisk = (f: RehearsalFigures) =>
    f.hollows.some((h) => h.risk === 'high')
      ? say`high`
      : f.hollows.some((h) => h.risk === 'some')
        ? say`some`
        : say`none`
  const rows: (readonly [Sentence, Sentence, Sentence])[] = [
    [say`largest stretch`, share(a.largestStretch), share(b.largestStretch)],
    [say`film left over, per ${span}`, left(a.worstFingersMmPer100), left(b.worstFingersMmPer100)],
    [say`… after shrinking it warm`, shrunk(a), shrunk(b)],
    [say`may show a glue line`, share(a.glueLineShare), share(b.glueLineShare)],
    ...(a.hollows.length === 0 ? [] : [[say`risk of bridging`, worstRisk(a), worstRisk(b)] as const]),
    [say`far end comes out off by`, far(a), far(b)],
    [say`spots to fix first`, figure(a.anchors), figure(b.anchors)],
    [say`lifts`, figure(a.lifts), figure(b.lifts)],
    [say`pulls that need heat`, figure(a.warmPulls), figure(b.warmPulls)],
    ...(patterned ? [[say`pattern warps by`, share(a.patternWarp), share(b.patternWarp)] as const] : []),
    ...form.edges.map(
      (edge) =>
        [
          say`${name(edge.label)} needs`,
          share(a.edges.find((e) => e.edge === edge.name)?.stretch ?? 0),
          share(b.edges.find((e) => e.edge === edge.name)?.stretch ?? 0),
        ] as const,
    ),
  ]
  return (
    <table className="w-full border-t border-hair text-note">
      <thead>
        <tr className="label text-note text-quiet">
          <th scope="col" className="px-4 pt-2 text-left font-normal">{t`In figures`}</th>
          <th scope="col" className="pt-2 text-right font-normal">{t`first`}</th>
          <th scope="col" className="px-4 pt-2 text-right font-normal">{t`second`}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([label, first, second]) => (
          <tr key={t(label)}>
            <th scope="row" className="px-4 py-0.5 text-left font-normal">
              {t(label)}
            </th>
            <td className="whitespace-nowrap text-right">{t(first)}</td>
            <td className="whitespace-nowrap px-4 text-right font-bold">{t(second)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function TakeIt({ bundle, part, b, search }: Pick<OrdersComparedProps, 'bundle' | 'part' | 'b' | 'search'>) {
  const t = useWords()
  const [save, { isLoading, error }] = useSaveOrderMutation()
  const navigate = useNavigate()
  const sheet = `/jobs/${bundle.job.id}/lay-sheets/${part.id}`
  const because =
    search.phase === 'found' && b !== null && search.found.best.order === b.order ? search.found.because : nothing
  const take = async () => {
    if (b === null) return
    const saved = await save({
      jobId: bundle.job.id,
      partId: part.id,
      chosen: { order: b.order, because },
    })
    if (!('error' in saved)) void navigate(sheet)
  }
  return (
    <ForRole least="installer">
      <div className="no-print sticky bottom-0 grid gap-2 border-t border-hair bg-paper p-4">
        {error === undefined ? null : <Notice look="stop">{t(failureOf(error).sentence)}</Notice>}
        <Button
          look="go"
          disabled={b === null || isLoading}
          onClick={() => void take()}
        >{t`Take the second into the fit`}</Button>
        <div className="flex justify-between gap-3">
          {part.order == null ? (
            <span />
          ) : (
            <Button
              look="quiet"
              onClick={() => void save({ jobId: bundle.job.id, partId: part.id, chosen: null })}
            >{t`Back to the usual school`}</Button>
          )}
          <Link
            to={sheet}
            className="label-strong inline-flex min-h-11 items-center text-body text-petrol underline"
          >{t`Lay sheet`}</Link>
        </div>
      </div>
    </ForRole>
  )
}
